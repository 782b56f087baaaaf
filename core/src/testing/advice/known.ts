import { settingCurve, type SettingCurve } from '../curve.ts';
import { settingMeans, type Run, type ScatterRecord, type SettingMean } from '../scatter.ts';

/** What is asked of a machine: its marks, what was tested, and what is wanted. */
export interface Wanted {
  /** Openings of the marks, lowest first: the farther from closed, the more flows. The closed one may be among them. */
  readonly marks: readonly number[];
  /** Position of the closed mark. */
  readonly closed: number;
  /** Where product first flows, if it was found; null: not known. */
  readonly firstFlow: number | null;
  readonly runs: readonly Run[];
  /** Repeats of this machine in its other calibrations. */
  readonly record: ScatterRecord;
  /** Any unit, that of the runs; above 0. */
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

/** What the tests tell: the marks that are left to choose from, the means with their bands, and what bounds a guess. */
export interface Known {
  /** Marks that can be the answer: open, and above every one that passed nothing; lowest first. */
  readonly open: readonly number[];
  /** Where flow begins at the earliest: the noted first flow, the highest mark that passed nothing, or closed. */
  readonly from: number;
  /** Highest mark that passed nothing; null: none did. */
  readonly noFlow: number | null;
  /** Settings at which product flowed, lowest first. */
  readonly means: readonly SettingMean[];
  /** Through the pooled means; null with fewer than two settings. */
  readonly curve: SettingCurve | null;
  /** The rate to come to: the target, or as far under the ceiling as keeps a mean within the tolerance off it. */
  readonly aim: number;
  /** Lowest mark whose mean lies over the ceiling; Infinity: none does. */
  readonly overFrom: number;
}

/** An aim this much farther under the ceiling than the tolerance leaves room for the band. */
const UNDER_CEILING = 0.005;

export const aimOf = ({
  target,
  ceiling,
  tolerance,
}: Pick<Wanted, 'target' | 'ceiling' | 'tolerance'>): number =>
  ceiling === null ? target : Math.min(target, ceiling * (1 - tolerance - UNDER_CEILING));

/**
 * A run in which nothing came out at or above a mark that flowed: one of the two went wrong. It is asked about and does not count.
 */
export const contradictsFlow = (run: Run, runs: readonly Run[]): boolean =>
  run.rate <= 0 && runs.some(({ setting, rate }) => rate > 0 && setting <= run.setting);

/** Reads the runs of a calibration for what they tell of the machine. */
export function whatIsKnown(wanted: Wanted): Known {
  const { marks, closed, firstFlow, record, ceiling } = wanted;
  // What was typed at the closed mark says nothing of an open one.
  const runs = wanted.runs.filter(({ setting }) => setting > closed);
  const dry = runs.filter((run) => run.rate <= 0 && !contradictsFlow(run, runs));
  const noFlow = dry.length === 0 ? null : Math.max(...dry.map(({ setting }) => setting));
  const means = settingMeans(runs.filter(({ rate }) => rate > 0), record); // prettier-ignore
  const points = means.map(({ setting, mean, runs: weight }) => ({ x: setting, y: mean, weight }));
  // A first flow that was noted above a mark that flows was noted with another product.
  const noted = firstFlow !== null && (means[0]?.setting ?? Infinity) > firstFlow ? firstFlow : closed;
  const over = ceiling === null ? undefined : means.find(({ mean }) => mean > ceiling);
  return {
    open: marks.filter((mark) => mark > closed && mark > (noFlow ?? -Infinity)),
    from: Math.max(noted, noFlow ?? -Infinity),
    noFlow,
    means,
    curve: points.length > 1 ? settingCurve(points) : null,
    aim: aimOf(wanted),
    overFrom: over?.setting ?? Infinity,
  };
}
