import { meanOf, sumOf } from '../numeric/spread.ts';
import { finite, requireFinite } from '../errors/preconditions.ts';
import { COVERAGE } from './uncertainty.ts';
import { student95 } from './student.ts';

/** What the rates at one setting come to. */
export interface SettingMean {
  readonly setting: number;
  readonly runs: number;
  readonly mean: number;
  /** About 95 %, share of the mean. */
  readonly uRelative: number;
}

/** How much repeats differ by themselves. */
export interface Scatter {
  /** Share of the mean, one standard deviation. */
  readonly s: number;
  readonly degrees: number;
}

/** Repeats that were made before, pooled: the sum of squared relative deviations and its degrees of freedom. */
export interface ScatterRecord {
  readonly squares: number;
  readonly degrees: number;
}

/** A machine of which no repeats are known. */
export const NO_RECORD: ScatterRecord = { squares: 0, degrees: 0 };

/** Believed until a machine and product show their own: 3 % with the weight of four degrees of freedom. */
const BELIEVED = { s: 0.03, degrees: 4 };

/** Times over one course that a rate rests on. Runs that share them share their error. */
export interface CourseTimings {
  /** The same for runs that share the timings. */
  readonly id: string;
  /** At least one, each above 0, s. */
  readonly timesS: readonly number[];
}

/** A run of a test: the setting it was made at, its rate, and what its readings alone leave uncertain. */
export interface Run {
  readonly setting: number;
  /** Any unit, the same for all; 0: nothing came out. */
  readonly rate: number;
  /** Relative standard uncertainty from the readings (uB). */
  readonly uReadings: number;
  /** Times over the course that went into the rate; null or absent: it does not rest on any. */
  readonly timings?: CourseTimings | null;
}

export const groupBySetting = <R extends Pick<Run, 'setting'>>(runs: readonly R[]): Map<number, R[]> => {
  const groups = new Map<number, R[]>();
  for (const run of runs) {
    const group = groups.get(run.setting);
    if (group) group.push(run);
    else groups.set(run.setting, [run]);
  }
  return groups;
};

/**
 * The record of groups of repeats: each group's squared deviations from its own mean, relative to it.
 *
 * @example recordOf([[1, 1], [2]]) // { squares: 0, degrees: 1 }
 */
export function recordOf(groups: readonly (readonly number[])[]): ScatterRecord {
  let [squares, degrees] = [0, 0];
  for (const group of groups) {
    group.forEach((value) => requireFinite({ value }));
    const mean = group.length > 1 ? meanOf(group) : 0;
    // Where nothing flows nothing can scatter.
    if (!(mean > 0)) continue;
    squares += finite(sumOf(group.map((value) => (value / mean - 1) ** 2)));
    degrees += group.length - 1;
  }
  return { squares, degrees };
}

/**
 * The repeats of several calibrations as one record.
 *
 * @example joinRecords([{ squares: 0.01, degrees: 2 }, { squares: 0.02, degrees: 1 }]) // { squares: 0.03, degrees: 3 }
 */
export const joinRecords = (records: readonly ScatterRecord[]): ScatterRecord => ({
  squares: finite(sumOf(records.map(({ squares }) => squares))),
  degrees: finite(sumOf(records.map(({ degrees }) => degrees))),
});

/** A record with the belief of 3 % on 4 degrees of freedom. */
const believed = ({ squares, degrees }: ScatterRecord): Scatter => ({
  s: finite(Math.sqrt((BELIEVED.degrees * BELIEVED.s ** 2 + squares) / (BELIEVED.degrees + degrees))),
  degrees: BELIEVED.degrees + degrees,
});

/** The repeats of a calibration: each setting is a group of its own, of the runs in which something came out. */
export const repeatsOf = (runs: readonly Run[]): ScatterRecord =>
  recordOf([...groupBySetting(runs.filter(({ rate }) => rate > 0)).values()].map((group) => group.map(({ rate }) => rate))); // prettier-ignore

/**
 * Scatter of repeats, pooled over settings with a belief of 3 % on 4 degrees of freedom:
 * `s^2 = (4 x 0.03^2 + sum of (r / mean - 1)^2) / (4 + sum of (n - 1))`.
 *
 * @param record repeats of this machine in its other calibrations
 * @example scatterOf([[8, 4.89], [8, 4.71], [7, 3.67], [7, 3.58], [7, 3.61]].map(([setting, rate]) => ({ setting, rate, uReadings: 0 }))).s // 0.0257
 */
export const scatterOf = (runs: readonly Run[], record: ScatterRecord = NO_RECORD): Scatter =>
  believed(joinRecords([repeatsOf(runs), record]));

/**
 * The part of a mean's band that the times over the course leave, about 95 %: `tc sc / sqrt(nc)`, each set of timings weighed by
 * its share of the runs. Timings scatter like runs: `sc^2 = (4 x 0.03^2 + sum of (t / mean - 1)^2) / (4 + n - 1)`.
 *
 * @param sets the timings of each run; the same id counts once
 * @returns share of the mean; 0 without timings
 * @example timingBand([{ id: 'a', timesS: [27.5, 28.4, 27.9] }]) // 0.03702484
 */
export function timingBand(sets: readonly (CourseTimings | null | undefined)[]): number {
  const known = new Map<string, { timesS: readonly number[]; runs: number }>();
  for (const set of sets)
    if (set && set.timesS.length > 0)
      known.set(set.id, { timesS: set.timesS, runs: (known.get(set.id)?.runs ?? 0) + 1 });
  if (known.size === 0) return 0;
  const { s, degrees } = believed(recordOf([...known.values()].map(({ timesS }) => timesS)));
  const shares = [...known.values()].map(({ timesS, runs }) => (runs / sets.length) ** 2 / timesS.length);
  return finite(student95(degrees) * s * Math.sqrt(sumOf(shares)));
}

/**
 * The mean at each setting with its band: `U^2 = (2 uB)^2 + (t s / sqrt(n))^2 + (tc sc / sqrt(nc))^2`, lowest setting first. uB is
 * the mean of the runs': errors of one scale and one tape do not average out.
 *
 * @param runs of one machine with one product
 * @param record repeats of this machine in its other calibrations
 * @example settingMeans([3.67, 3.58, 3.61].map((rate) => ({ setting: 7, rate, uReadings: 0 })))[0] // { setting: 7, runs: 3, mean: 3.62, uRelative: 0.0361 }
 */
export function settingMeans(runs: readonly Run[], record: ScatterRecord = NO_RECORD): SettingMean[] {
  for (const { setting, rate, uReadings } of runs) requireFinite({ setting, rate, uReadings });
  const { s, degrees } = scatterOf(runs, record);
  const t = student95(degrees);
  return [...groupBySetting(runs)]
    .map(([setting, group]): SettingMean => {
      const uReadings = meanOf(group.map((run) => run.uReadings));
      return {
        setting,
        runs: group.length,
        mean: finite(meanOf(group.map(({ rate }) => rate))),
        uRelative: finite(
          Math.hypot(
            COVERAGE * uReadings,
            (t * s) / Math.sqrt(group.length),
            timingBand(group.map(({ timings }) => timings)),
          ),
        ),
      };
    })
    .toSorted((a, b) => a.setting - b.setting);
}
