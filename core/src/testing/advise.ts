import { pooled, settingCurve, type CurvePoint, type SettingCurve } from './curve.ts';
import { settingMeans, type Run, type SettingMean } from './scatter.ts';

/** What is asked of a machine: its marks, what was tested, and what is wanted. */
export interface Wanted {
  /** Openings of the marks, lowest first: the farther from closed, the more flows. The closed one may be among them. */
  readonly marks: readonly number[];
  /** Position of the closed mark. */
  readonly closed: number;
  /** Where product first flows, if it was found; null: not known. */
  readonly firstFlow: number | null;
  readonly runs: readonly Run[];
  /** Any unit, that of the runs. */
  readonly target: number;
  /** Share of the target: 0.05, or 0.1 for what forgives. */
  readonly tolerance: number;
  /** The most that may be put down: a label, a cap, an active ingredient; null without one. */
  readonly ceiling: number | null;
  /** Where to begin while nothing is tested. */
  readonly start: number;
  /** The setting that the shape of another product's chart gives, once one setting is tested; null: it says nothing. */
  readonly byShape?: ((test: { readonly setting: number; readonly rate: number }) => number | null) | null;
}

/** How good a tested setting is: settled (U within the tolerance), usable (within twice), or not yet. */
export type Standing = 'settled' | 'usable' | 'open';

/** Why a setting is proposed. */
export type Because =
  | 'start'
  | 'proportion'
  | 'shape'
  | 'curve'
  | 'beyond'
  | 'repeat'
  | 'settled'
  | 'usable'
  | 'no-mark-fits';

export interface Advice {
  /** The mark to set. */
  readonly setting: number;
  readonly because: Because;
  /** Where the curve meets the target, before a mark was taken; null where there is no curve. */
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
}

const pointsOf = (means: readonly SettingMean[]): CurvePoint[] =>
  means.map(({ setting, mean, runs }) => ({ x: setting, y: mean, weight: runs }));

const nearest = (marks: readonly number[], x: number): number =>
  marks.reduce((best, mark) => (Math.abs(mark - x) < Math.abs(best - x) ? mark : best));

const openMarks = ({ marks, closed }: Wanted): number[] => marks.filter((mark) => mark > closed);

/** The mark for a guessed position: nearest, or at or below it under a ceiling; never the closed one. */
function markAt(x: number, wanted: Wanted): number {
  const open = openMarks(wanted);
  const under = wanted.ceiling === null ? open : open.filter((mark) => mark <= x);
  return nearest(under.length > 0 ? under : open.slice(0, 1), x);
}

/**
 * How a tested setting stands: usable from two runs on, its mean within the tolerance and U within twice of it; settled when U
 * is within the tolerance. Under a ceiling mean x (1 + U) may not pass it.
 *
 * @example standingOf({ setting: 7, runs: 3, mean: 3.62, uRelative: 0.0425 }, 3.6, 0.05, null) // 'settled'
 */
export function standingOf(
  { runs, mean, uRelative }: SettingMean,
  target: number,
  tolerance: number,
  ceiling: number | null,
): Standing {
  if (runs < 2 || Math.abs(mean / target - 1) > tolerance || uRelative > 2 * tolerance) return 'open';
  if (ceiling !== null && mean * (1 + uRelative) > ceiling) return 'open';
  return uRelative <= tolerance ? 'settled' : 'usable';
}

/** The mark whose rate is nearest to the target; under a ceiling the nearest that keeps it, its band counted where it was repeated. */
function markOnCurve(curve: SettingCurve, means: readonly SettingMean[], wanted: Wanted): number | null {
  const { target, ceiling } = wanted;
  const rateAt = (mark: number) => curve.at(mark);
  const most = (mark: number) =>
    rateAt(mark) * (1 + (means.find((mean) => mean.setting === mark && mean.runs > 1)?.uRelative ?? 0));
  const within = openMarks(wanted).filter((mark) => mark >= curve.from && mark <= curve.to);
  const allowed = ceiling === null ? within : within.filter((mark) => most(mark) <= ceiling * (1 + 1e-9));
  if (allowed.length === 0) return null;
  return allowed.reduce((best, mark) =>
    Math.abs(rateAt(mark) - target) < Math.abs(rateAt(best) - target) ? mark : best,
  );
}

/** Beyond the tests: along the end chord, at most one mark past the end. */
function beyond(curve: SettingCurve, wanted: Wanted): { mark: number; expected: number } | null {
  const points = curve.points;
  const isAbove = wanted.target > points.at(-1)!.y;
  const [end, inner] = isAbove ? [points.at(-1)!, points.at(-2)!] : [points[0]!, points[1]!];
  const open = openMarks(wanted);
  const mark = isAbove ? open.find((m) => m > end.x) : open.findLast((m) => m < end.x);
  if (mark === undefined) return null;
  const slope = (end.y - inner.y) / (end.x - inner.x);
  return { mark, expected: Math.max(0, end.y + slope * (mark - end.x)) };
}

/** A mark that is proposed, and on what grounds. */
type Proposal = Pick<Advice, 'setting' | 'exact' | 'expected' | 'isGuess' | 'because'>;

/** One setting tested: in proportion from where product first flows, or on up the scale where nothing did. */
function fromOne(only: SettingMean, wanted: Wanted): Proposal {
  const { target, tolerance, ceiling, closed, firstFlow, marks } = wanted;
  const guess = { isGuess: true, because: 'proportion' } as const;
  if (only.mean <= 0) {
    const halfWayOn = (only.setting + (marks.at(-1) ?? only.setting)) / 2;
    return { ...guess, setting: markAt(halfWayOn, wanted), exact: null, expected: null };
  }
  const from = firstFlow ?? closed;
  const shaped = wanted.byShape?.({ setting: only.setting, rate: only.mean }) ?? null;
  const exact = shaped ?? from + ((only.setting - from) * target) / only.mean;
  const isThere = Math.abs(only.mean / target - 1) <= tolerance && (ceiling === null || only.mean <= ceiling);
  const setting = isThere ? only.setting : markAt(exact, wanted);
  const because = shaped === null ? guess.because : 'shape';
  return { isGuess: true, because, setting, exact, expected: setting === only.setting ? only.mean : null };
}

/** The rate is not reached by what was tested: one mark farther, unless the end is as near or the ceiling forbids it. */
function fromEnd(curve: SettingCurve, means: readonly SettingMean[], wanted: Wanted): Proposal {
  const { target, ceiling, tolerance } = wanted;
  const next = beyond(curve, wanted);
  const end = markOnCurve(curve, means, wanted);
  const away = (rate: number) => Math.abs(rate - target);
  // An end that is within the tolerance is kept; two settings alone say too little of the next mark to keep one that is not.
  const endWillDo =
    end !== null &&
    next !== null &&
    (away(curve.at(end)) <= tolerance * target ||
      (means.length > 2 && away(curve.at(end)) <= away(next.expected)));
  const isOver = next !== null && ceiling !== null && next.expected > ceiling;
  if (next && !endWillDo && !isOver)
    return { setting: next.mark, exact: null, expected: next.expected, isGuess: true, because: 'beyond' };
  const setting = end ?? curve.from;
  return { setting, exact: null, expected: curve.at(setting), isGuess: false, because: 'curve' };
}

/** Two or more settings tested: the mark nearest on the curve; where a ceiling forbids all that was tested, one mark lower. */
function fromCurve(curve: SettingCurve, means: readonly SettingMean[], wanted: Wanted): Proposal {
  const exact = curve.solve(wanted.target);
  if (exact === null) return fromEnd(curve, means, wanted);
  const setting = markOnCurve(curve, means, wanted);
  if (setting !== null)
    return { setting, exact, expected: curve.at(setting), isGuess: false, because: 'curve' };
  const lower = beyond(curve, { ...wanted, target: -Infinity });
  return { setting: lower?.mark ?? curve.from, exact, expected: lower?.expected ?? null, isGuess: true, because: 'beyond' }; // prettier-ignore
}

/**
 * The next setting to try, or the one to keep.
 *
 * Nothing tested: where to begin. One setting: in proportion from the first-flow mark, else the closed mark. Two or more: the
 * monotone curve through their pooled means is solved for the target and the mark nearest in rate is taken, at or below it under
 * a ceiling; beyond the tests the end chord, at most one mark. A mark that was tested is repeated until it is usable.
 *
 * @example advise({ …, runs at 4, 6, 8, 10 of 1.1, 2.6, 4.9, 6.4, target: 3.6 }) // setting 7, exact 6.881830, expected 3.75
 */
export function advise(wanted: Wanted): Advice {
  const { runs, target, tolerance, ceiling, start } = wanted;
  const means = settingMeans(runs);
  const [first] = means;
  if (!first) {
    const setting = markAt(start, wanted);
    return { setting, because: 'start', exact: null, expected: null, isGuess: true, standing: 'open', means, curve: null }; // prettier-ignore
  }
  const curve = means.length === 1 ? null : settingCurve(pointsOf(means));
  const proposal = curve ? fromCurve(curve, means, wanted) : fromOne(first, wanted);
  const tested = means.find(({ setting }) => setting === proposal.setting);
  if (!tested) return { ...proposal, means, curve, standing: 'open' };
  const standing = standingOf(tested, target, tolerance, ceiling);
  const misses = tested.runs > 1 && Math.abs(tested.mean / target - 1) > tolerance;
  const because = standing !== 'open' ? standing : misses ? 'no-mark-fits' : 'repeat';
  return { ...proposal, because, means, curve, standing };
}

/** Rates by the curve at marks over what was tested: a machine's chart for a product. */
export function chartOf(
  marks: readonly number[],
  means: readonly SettingMean[],
): { setting: number; rate: number; tested: boolean }[] {
  const points = pointsOf(means);
  if (points.length < 2) return pooled(points).map(({ x, y }) => ({ setting: x, rate: y, tested: true }));
  const curve = settingCurve(points);
  return marks
    .filter((mark) => mark >= curve.from && mark <= curve.to)
    .map((setting) => ({
      setting,
      rate: curve.at(setting),
      tested: means.some((mean) => mean.setting === setting),
    }));
}
