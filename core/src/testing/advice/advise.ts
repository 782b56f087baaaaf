import { InputError } from '../../errors/InputError.ts';
import { requireFinite, requirePositive } from '../../errors/preconditions.ts';
import type { SettingCurve } from '../curve.ts';
import type { SettingMean } from '../scatter.ts';
import { guessBeyond, markAt, upward } from './guess.ts';
import { whatIsKnown, type Known, type Wanted } from './known.ts';

/** How good a tested setting is: settled (U within the tolerance), usable (within twice), or not yet. */
export type Standing = 'settled' | 'usable' | 'open';

/** Why a setting is proposed. */
export type Because =
  /** Nothing is tested yet. */
  | 'start'
  /** All that was tested passed nothing. */
  | 'no-flow'
  | 'proportion'
  | 'shape'
  | 'curve'
  | 'beyond'
  /** The mark before only just fits: its neighbour may be nearer. */
  | 'beside'
  | 'repeat'
  | 'settled'
  | 'usable'
  /** The end: the marks on both sides of the rate are known well enough, and none comes within the tolerance. */
  | 'no-mark-fits'
  /** The end: the lowest open mark puts down more than the ceiling. */
  | 'all-over'
  /** The end: even fully open nothing comes out. */
  | 'nothing-flows';

export interface Advice {
  /** The mark to set. */
  readonly setting: number;
  readonly because: Because;
  /** Where the curve or the guess meets the rate, before a mark was taken; null where there is none. */
  readonly exact: number | null;
  /** Rate expected at the mark; null while nothing is known. */
  readonly expected: number | null;
  /** Not from within what was tested. */
  readonly isGuess: boolean;
  /** How the mark stands, where it was tested. */
  readonly standing: Standing;
  readonly means: readonly SettingMean[];
  /** The curve through the means; null with fewer than two settings. */
  readonly curve: SettingCurve | null;
  /** Highest mark that passed nothing; null: none did. */
  readonly noFlow: number | null;
  /** No mark fits: the mark next above the one that is proposed, whose rate another pace or spacing would bring in. */
  readonly above: SettingMean | null;
}

type Proposal = Pick<Advice, 'setting' | 'because' | 'exact' | 'expected' | 'isGuess' | 'above'>;

const plain = (setting: number, because: Because, more: Partial<Proposal> = {}): Proposal => ({
  setting,
  because,
  exact: null,
  expected: null,
  isGuess: false,
  above: null,
  ...more,
});

/** Runs at one mark before it is given up as neither in nor out. */
const ENOUGH_RUNS = 4;
/** A mean this share of the tolerance off only just fits: its neighbour towards the rate may be the better mark. */
const JUST = 0.5;
/** Runs at each of two marks that both only just fit before one of them is ended at. */
const COMPARED_RUNS = 3;

/** Rates that will do: within the tolerance; under a ceiling from twice the tolerance below it. */
function windowOf({
  target,
  tolerance,
  ceiling,
}: Pick<Wanted, 'target' | 'tolerance' | 'ceiling'>): readonly [number, number] {
  // prettier-ignore
  return ceiling === null
    ? [target * (1 - tolerance), target * (1 + tolerance)]
    : [ceiling * (1 - 2 * tolerance), ceiling];
}

/** The mean with its band passes the ceiling. */
const mayPass = ({ mean, uRelative }: SettingMean, ceiling: number | null): boolean =>
  ceiling !== null && mean * (1 + uRelative) > ceiling;

/**
 * How a tested setting stands: usable from two runs on, its mean within the tolerance and U within twice of it; settled when U
 * is within the tolerance. Under a ceiling it may lie up to twice the tolerance below, and mean x (1 + U) may not pass it.
 *
 * @example standingOf({ setting: 7, runs: 3, mean: 3.62, uRelative: 0.0425 }, { target: 3.6, tolerance: 0.05, ceiling: null }) // 'settled'
 */
export function standingOf(
  at: SettingMean,
  wanted: Pick<Wanted, 'target' | 'tolerance' | 'ceiling'>,
): Standing {
  const { target, tolerance, ceiling } = wanted;
  requirePositive({ target, tolerance, ceiling: ceiling ?? 1 });
  requireFinite({ mean: at.mean, runs: at.runs, uRelative: at.uRelative });
  const [low, high] = windowOf(wanted);
  if (at.runs < 2 || at.mean < low || at.mean > high || at.uRelative > 2 * tolerance) return 'open';
  if (mayPass(at, ceiling)) return 'open';
  return at.uRelative <= tolerance ? 'settled' : 'usable';
}

/** Whether runs at a mark say clearly enough that it is outside what will do. */
function isDecided({ mean, uRelative, runs }: SettingMean, wanted: Wanted): boolean {
  const [low, high] = windowOf(wanted);
  const outside = Math.max(low - mean, mean - high) / wanted.target;
  return runs >= ENOUGH_RUNS || outside > uRelative / 2;
}

const nearestIn = (means: readonly SettingMean[], aim: number): SettingMean | undefined =>
  means.toSorted((a, b) => Math.abs(a.mean - aim) - Math.abs(b.mean - aim))[0];

/** The neighbours of the rate among what was tested: the last mark that stays below it and the first that reaches it. */
function around({ means, curve, aim }: Known): readonly [SettingMean | null, SettingMean | null] {
  const rate = (at: number) => curve?.points[at]?.y ?? means[at]!.mean;
  const high = means.findIndex((_, index) => rate(index) >= aim);
  const low = high < 0 ? means.length - 1 : high - 1;
  return [means[low] ?? null, means[high] ?? null];
}

/** Between two tested marks: the untested one whose rate by the curve is nearest, under a ceiling one that keeps it. */
function between(known: Known, wanted: Wanted, marks: readonly number[]): Proposal {
  const { aim } = known;
  const curve = known.curve!;
  const rate = (mark: number) => curve.at(mark);
  const kept = wanted.ceiling === null ? marks : marks.filter((mark) => rate(mark) <= wanted.ceiling!);
  const setting = (kept.length > 0 ? kept : marks.slice(0, 1)).reduce((best, mark) =>
    Math.abs(rate(mark) - aim) < Math.abs(rate(best) - aim) ? mark : best,
  );
  return plain(setting, 'curve', { exact: curve.solve(aim), expected: rate(setting) });
}

/** No mark is left to try: run the nearest ones until they are known to be out, then say that none fits. */
function noneFits(known: Known, wanted: Wanted, low: SettingMean | null, high: SettingMean | null): Proposal {
  const { ceiling } = wanted;
  const allowed = [low, high].filter((mean) => mean !== null && mean.setting < known.overFrom) as SettingMean[]; // prettier-ignore
  const open = allowed.filter((mean) => !isDecided(mean, wanted)).toSorted((a, b) => a.runs - b.runs)[0];
  if (open) return plain(open.setting, 'repeat', { expected: open.mean });
  const safe = known.means.filter((mean) => mean.setting < known.overFrom);
  const kept = ceiling === null ? nearestIn(allowed, known.aim) : safe.at(-1);
  if (!kept) return plain((low ?? high)!.setting, 'all-over', { expected: (low ?? high)!.mean });
  const above = known.means.find(({ setting }) => setting > kept.setting) ?? null;
  return plain(kept.setting, 'no-mark-fits', { expected: kept.mean, above });
}

/** Nothing that was tested will do: the mark to test next. */
function search(known: Known, wanted: Wanted): Proposal {
  const [low, high] = around(known);
  const isUntested = (mark: number) => known.means.every(({ setting }) => setting !== mark);
  const left = known.open.filter(
    (mark) =>
      isUntested(mark) && mark < known.overFrom && mark > (low?.setting ?? -Infinity) && mark < (high?.setting ?? Infinity), // prettier-ignore
  );
  if (left.length === 0) return noneFits(known, wanted, low, high);
  if (low && high) return between(known, wanted, left);
  const { setting, exact, because } = guessBeyond(known, wanted, low ? 'up' : 'down', left);
  return plain(setting, because, { exact, isGuess: true });
}

/** The band once a mark has been run often enough. */
const bandInTheEnd = ({ uRelative, runs }: SettingMean): number =>
  uRelative * Math.sqrt(Math.min(1, runs / ENOUGH_RUNS));

/** Whether the next mark towards the rate is worth a look though this one fits: it only just does, or its band keeps passing the ceiling. */
function isDoubtful(best: SettingMean, { target, tolerance, ceiling }: Wanted): boolean {
  if (ceiling === null) return Math.abs(best.mean / target - 1) > JUST * tolerance;
  return best.runs > 1 && best.mean * (1 + bandInTheEnd(best)) > ceiling;
}

/** The untested mark beside one that fits, where it is worth a look. */
function beside(best: SettingMean, known: Known, wanted: Wanted): Proposal | null {
  if (!isDoubtful(best, wanted)) return null;
  const isDown = wanted.ceiling !== null || best.mean > wanted.target;
  const mark = isDown
    ? known.open.findLast((each) => each < best.setting)
    : known.open.find((each) => each > best.setting);
  if (mark === undefined || known.means.some(({ setting }) => setting === mark)) return null;
  const { curve } = known;
  const expected = curve && mark >= curve.from && mark <= curve.to ? curve.at(mark) : null;
  // Between tested marks the curve tells which of the two is nearer.
  const isFarther = expected !== null && Math.abs(expected - known.aim) > Math.abs(best.mean - known.aim);
  if (isFarther && wanted.ceiling === null) return null;
  return plain(mark, 'beside', { expected, isGuess: expected === null });
}

/** Two tested marks that both only just fit, on either side of the rate: the one with fewer runs, until they can be told apart. */
function toCompare(best: SettingMean, known: Known, wanted: Wanted): Proposal | null {
  const { target, tolerance, ceiling } = wanted;
  if (ceiling !== null || !isDoubtful(best, wanted)) return null;
  const rival = known.means.find(
    ({ mean, uRelative }) => (mean > target) !== (best.mean > target) && Math.abs(mean / target - 1) < tolerance + uRelative / 2, // prettier-ignore
  );
  if (!rival) return null;
  const fewer = rival.runs < best.runs ? rival : best;
  return fewer.runs < COMPARED_RUNS ? plain(fewer.setting, 'repeat', { expected: fewer.mean }) : null;
}

/** The mark to go on with. */
function propose(known: Known, wanted: Wanted): Proposal {
  const { open, noFlow, means, aim, overFrom } = known;
  const { ceiling, marks } = wanted;
  if (open.length === 0) return plain(marks.at(-1)!, 'nothing-flows', { expected: 0 });
  if (means.length === 0) {
    if (noFlow === null) return plain(markAt(wanted.start, open, ceiling), 'start', { isGuess: true });
    return plain(upward(Infinity, noFlow, open, null), 'no-flow', { isGuess: true });
  }
  const [low, high] = windowOf(wanted);
  const isSpent = (mean: SettingMean) => mean.runs >= ENOUGH_RUNS && mayPass(mean, ceiling);
  const fitting = means.filter((mean) => mean.setting < overFrom && mean.mean >= low && mean.mean <= high && !isSpent(mean)); // prettier-ignore
  const best = nearestIn(fitting, aim);
  if (!best) return search(known, wanted);
  const instead = beside(best, known, wanted) ?? toCompare(best, known, wanted);
  if (instead) return instead;
  const standing = standingOf(best, wanted);
  const exact = known.curve?.solve(aim) ?? null;
  return plain(best.setting, standing === 'open' ? 'repeat' : standing, { exact, expected: best.mean });
}

/** Refuses what no machine can be asked. */
function requireWanted({ marks, closed, firstFlow, runs, target, tolerance, ceiling, start }: Wanted): void {
  requirePositive({ target, tolerance, ceiling: ceiling ?? 1 });
  for (const mark of [...marks, closed, firstFlow ?? 0, start]) requireFinite({ mark });
  for (const { setting, rate, uReadings } of runs) requireFinite({ setting, rate, uReadings });
  if (marks.some((mark, index) => index > 0 && mark <= marks[index - 1]!)) throw new InputError('curve.points', { field: 'marks' }); // prettier-ignore
} // prettier-ignore

/**
 * The next setting to try, or the one to keep.
 *
 * What is known (bounds from runs in which nothing came out, pooled means with their bands, the ceiling) decides: a tested mark
 * that will do is repeated until it is usable; else the rate is searched between the tested marks around it by the curve, or
 * beyond them by proportion, another chart's shape or the end chord; and only when no mark is left there it is said that none fits.
 * Over a ceiling every further mark lies below the lowest one whose mean is over it.
 *
 * @returns null where the machine has no open mark
 * @example advise({ marks: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10], closed: 0, firstFlow: null, runs: [1.1, 2.6, 4.9, 6.4].map((rate, index) => ({ setting: 4 + 2 * index, rate, uReadings: 0.01 })), record: NO_RECORD, target: 3.6, tolerance: 0.05, ceiling: null, start: 4, shape: null }).setting // 7
 */
export function advise(wanted: Wanted): Advice | null {
  requireWanted(wanted);
  const known = whatIsKnown(wanted);
  if (!wanted.marks.some((mark) => mark > wanted.closed)) return null;
  const proposal = propose(known, wanted);
  const tested = known.means.find(({ setting }) => setting === proposal.setting);
  const standing = tested ? standingOf(tested, wanted) : 'open';
  return { ...proposal, standing, means: known.means, curve: known.curve, noFlow: known.noFlow };
}
