import { fromSi } from '../quantities/convert.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';
import type { CalibrationResult } from './calibration.ts';
import { rateChangeAtPace } from './pace.ts';
import { dimensionOf, rateAs, type BenchRateUnit } from './rate.ts';
import { countedRuns } from './readRun.ts';

/** A point of the chart: opening of the mark, rate in the unit of the chart, and half the width of its band. */
export interface ChartPoint {
  readonly x: number;
  readonly y: number;
  readonly band: number;
}

/** Setting against rate, ready to be drawn. */
export interface SettingPicture {
  /** The curve with its band: that of the means, in between straight from one to the next. */
  readonly curve: readonly ChartPoint[];
  /** The curve at a pace a tenth slower and a tenth faster; none where wheels drive the metering. */
  readonly slower: readonly ChartPoint[];
  readonly faster: readonly ChartPoint[];
  readonly runs: readonly ChartPoint[];
  readonly means: readonly ChartPoint[];
  /** The mark to set, with the rate expected there or wanted. */
  readonly next: ChartPoint | null;
  readonly target: ChartPoint | null;
}

const STEPS = 120;
/** What-if for pace: this share slower and faster. */
export const PACE_SPREAD = 0.1;

/** The band at a setting between two means, straight from one to the other. */
function bandAt(means: readonly { setting: number; uRelative: number }[], x: number): number {
  const after = means.findIndex(({ setting }) => setting >= x);
  const [low, high] = [means[Math.max(0, after - 1)], means[after]];
  if (!low || !high || high.setting === low.setting) return high?.uRelative ?? 0;
  const share = (x - low.setting) / (high.setting - low.setting);
  return low.uRelative + share * (high.uRelative - low.uRelative);
}

/**
 * What the chart of a calibration shows, in a unit of rates; nothing where its own cannot be brought to that.
 *
 * @example settingPicture(reading, 'lb/1000 ft2', 'push-rotary').means[0] // { x: 6, y: 1.17, band: 0.098 }
 */
export function settingPicture(
  { advice, means: tested, curve: through, runs, targetSi, tolerance, dimension, widthM }: CalibrationResult,
  unit: BenchRateUnit,
  kind: RigKind,
): SettingPicture {
  const one = rateAs({ si: 1, dimension }, dimensionOf(unit), widthM);
  const inUnit = (si: number) => fromSi(si * (one?.si ?? 0), unit);
  const means = one ? tested : [];
  const curve = one && through;
  const points = curve
    ? Array.from({ length: STEPS + 1 }, (_, index): ChartPoint => {
        const x = curve.from + ((curve.to - curve.from) * index) / STEPS;
        const rate = inUnit(curve.at(x));
        return { x, y: rate, band: rate * bandAt(means, x) };
      })
    : [];
  const { metering } = rigKind(kind);
  const atPace = (share: number) => {
    const change = rateChangeAtPace(1, share, metering);
    return change === 0 ? [] : points.map(({ x, y }) => ({ x, y: y * (1 + change), band: 0 }));
  };
  return {
    curve: points,
    slower: atPace(1 - PACE_SPREAD),
    faster: atPace(1 + PACE_SPREAD),
    runs: countedRuns(runs).map(({ setting, rate }) => ({ x: setting, y: inUnit(rate), band: 0 })),
    means: means.map(({ setting, mean, uRelative }) => ({ x: setting, y: inUnit(mean), band: inUnit(mean * uRelative) })), // prettier-ignore
    next: advice && targetSi !== null ? { x: advice.setting, y: inUnit(advice.expected ?? targetSi), band: 0 } : null, // prettier-ignore
    target: targetSi === null ? null : { x: 0, y: inUnit(targetSi), band: inUnit(targetSi * tolerance) }, // prettier-ignore
  };
}
