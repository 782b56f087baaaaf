import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { toResult } from '../errors/InputError.ts';
import { readMark } from '../machines/scale.ts';
import type { BenchRig } from './benchRig.ts';
import type { CalibrationResult } from './calibration.ts';
import { chartOf } from './chart.ts';
import { settingCurve } from './curve.ts';
import { groupBySetting, type SettingMean } from './scatter.ts';
import { student95 } from './student.ts';
import { COVERAGE } from './uncertainty.ts';

/** A weighed run of ordinary work: what really fell at a mark, over a whole job. */
export interface FieldRun {
  readonly id: string;
  /** The mark as it was noted. */
  readonly mark: string;
  /** In the dimension of the calibration, in SI units. */
  readonly rateSi: number;
  /** Relative standard uncertainty from the weighing. */
  readonly uReadings: number;
}

/** How much runs in the field differ by themselves, as a share, against runs of a test; degrees of freedom that this is believed with. */
export const FIELD_SCATTER = { s: 0.05, testS: 0.03, degrees: 4 } as const;

/** A weigh-back says as much as this part of a test run: `(0.03 / 0.05)^2`. */
const SHARE = (FIELD_SCATTER.testS / FIELD_SCATTER.s) ** 2;

/** A mean with the weigh-backs of its mark in it: each weighs as much as it says, and the band narrows by what they add. */
function joined(test: SettingMean | undefined, field: SettingMean): SettingMean {
  if (!test) return field;
  const weight = test.runs + SHARE * field.runs;
  return {
    setting: test.setting,
    runs: test.runs,
    mean: finite((test.runs * test.mean + SHARE * field.runs * field.mean) / weight),
    uRelative: finite(test.uRelative * Math.sqrt(test.runs / weight)),
  };
}

/**
 * Means of weigh-backs at each mark, with their band: `U^2 = (2 uB)^2 + (t x 0.05 / sqrt(n))^2`, lowest first.
 *
 * @param rig whose marks they were made at; a mark that it does not have is left out
 * @example fieldMeans([], benchRig(redSpreader)) // []
 */
export function fieldMeans(runs: readonly FieldRun[], rig: BenchRig): SettingMean[] {
  const read = runs.flatMap(({ mark, rateSi, uReadings }) => {
    requirePositive({ rate: rateSi });
    requireFinite({ uReadings });
    const found = toResult(() => readMark(mark, rig.scale, 'mark')).value;
    return found ? [{ setting: found.opening, rate: rateSi, uReadings }] : [];
  });
  const { s, degrees } = FIELD_SCATTER;
  return [...groupBySetting(read)]
    .map(([setting, group]): SettingMean => {
      const mean = (of: (run: (typeof group)[number]) => number) => group.reduce((sum, run) => sum + of(run), 0) / group.length; // prettier-ignore
      const scatter = (student95(degrees) * s) / Math.sqrt(group.length);
      return { setting, runs: group.length, mean: finite(mean(({ rate }) => rate)), uRelative: finite(Math.hypot(COVERAGE * mean(({ uReadings }) => uReadings), scatter)) }; // prettier-ignore
    })
    .toSorted((a, b) => a.setting - b.setting);
}

/**
 * A chart with the weigh-backs of ordinary runs in it: each is a test of its setting, with its wider band. What is advised to test next
 * stays as the bench alone has it.
 *
 * @example withFieldRuns(reading, [], benchRig(redSpreader)) === reading // true
 */
export function withFieldRuns(
  reading: CalibrationResult,
  runs: readonly FieldRun[],
  rig: BenchRig,
): CalibrationResult {
  const field = reading.spray || rig.scale.marks.length === 0 ? [] : fieldMeans(runs, rig);
  if (field.length === 0) return reading;
  const at = new Map(reading.means.map((mean) => [mean.setting, mean]));
  for (const mean of field) at.set(mean.setting, joined(at.get(mean.setting), mean));
  const means = [...at.values()].toSorted((a, b) => a.setting - b.setting);
  const { marks } = rig.scale;
  const curve = means.length < 2 ? reading.curve : settingCurve(means.map(({ setting, mean, runs: weight }) => ({ x: setting, y: mean, weight }))); // prettier-ignore
  const lines = chartOf(marks.map(({ opening }) => opening), means); // prettier-ignore
  const chart = lines.map(({ setting, rate, tested }) => ({ mark: marks.find(({ opening }) => opening === setting)!, rateSi: rate, tested })); // prettier-ignore
  return { ...reading, field, means, curve, chart };
}
