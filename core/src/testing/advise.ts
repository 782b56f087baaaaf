import { pooled, settingCurve, type SettingCurve } from './curve.ts';
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
}

/** How good a tested setting is: settled (U within the tolerance), usable (within twice), or not yet. */
export type Standing = 'settled' | 'usable' | 'open';

/** Why a setting is proposed. */
export type Because =
  | 'start'
  | 'proportion'
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
  const { runs, target, tolerance, ceiling, closed, firstFlow, start } = wanted;
  const means = settingMeans(runs);
  const none = { exact: null, expected: null, means, curve: null, standing: 'open' } as const;
  const [first] = means;
  if (!first) return { ...none, setting: markAt(start, wanted), because: 'start', isGuess: true };

  const told = (
    advice: Pick<Advice, 'setting' | 'exact' | 'expected' | 'isGuess' | 'curve'>,
    because: Because,
  ): Advice => {
    const tested = means.find(({ setting }) => setting === advice.setting);
    const standing = tested ? standingOf(tested, target, tolerance, ceiling) : 'open';
    if (!tested) return { ...advice, means, because, standing };
    if (standing !== 'open') return { ...advice, means, because: standing, standing };
    const misses = Math.abs(tested.mean / target - 1) > tolerance;
    return { ...advice, means, because: misses && tested.runs > 1 ? 'no-mark-fits' : 'repeat', standing };
  };

  if (means.length === 1) {
    const from = firstFlow ?? closed;
    if (first.mean <= 0) {
      // Nothing flowed: half way on to the widest mark.
      const widest = wanted.marks.at(-1) ?? first.setting;
      return {
        ...none,
        setting: markAt((first.setting + widest) / 2, wanted),
        because: 'proportion',
        isGuess: true,
      };
    }
    const exact = from + ((first.setting - from) * target) / first.mean;
    const isThere =
      Math.abs(first.mean / target - 1) <= tolerance && (ceiling === null || first.mean <= ceiling);
    const setting = isThere ? first.setting : markAt(exact, wanted);
    return told({ setting, exact, expected: setting === first.setting ? first.mean : null, isGuess: true, curve: null }, 'proportion'); // prettier-ignore
  }

  const curve = settingCurve(
    means.map(({ setting, mean, runs: weight }) => ({ x: setting, y: mean, weight })),
  );
  const exact = curve.solve(target);
  if (exact === null) {
    const next = beyond(curve, wanted);
    const end = markOnCurve(curve, means, wanted);
    const endRate = end === null ? null : curve.at(end);
    const endIsNearer = endRate !== null && next !== null && Math.abs(endRate - target) <= Math.abs(next.expected - target); // prettier-ignore
    const isOver = next !== null && ceiling !== null && next.expected > ceiling;
    if (next && !(endIsNearer && means.length > 2) && !isOver)
      return told(
        { setting: next.mark, exact: null, expected: next.expected, isGuess: true, curve },
        'beyond',
      );
    const setting = end ?? means[0]!.setting;
    return told({ setting, exact: null, expected: curve.at(setting), isGuess: false, curve }, 'curve');
  }
  const setting = markOnCurve(curve, means, wanted);
  if (setting === null) {
    const lower = beyond(curve, { ...wanted, target: -Infinity });
    const mark = lower?.mark ?? means[0]!.setting;
    return told({ setting: mark, exact, expected: lower?.expected ?? null, isGuess: true, curve }, 'beyond');
  }
  return told({ setting, exact, expected: curve.at(setting), isGuess: false, curve }, 'curve');
}

/** Rates by the curve at marks over what was tested: a machine's chart for a product. */
export function chartOf(
  marks: readonly number[],
  means: readonly SettingMean[],
): { setting: number; rate: number; tested: boolean }[] {
  const points = means.map(({ setting, mean, runs }) => ({ x: setting, y: mean, weight: runs }));
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
