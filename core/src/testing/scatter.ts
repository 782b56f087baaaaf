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

/** How much runs at one setting differ by themselves. */
export interface Scatter {
  /** Share of the mean, one standard deviation. */
  readonly s: number;
  readonly degrees: number;
}

/** Believed until a machine and product show their own: 3 % with the weight of four degrees of freedom. */
const BELIEVED = { s: 0.03, degrees: 4 };

/** A run of a test: the setting it was made at, its rate, and what its readings alone leave uncertain. */
export interface Run {
  readonly setting: number;
  /** Any unit, the same for all. */
  readonly rate: number;
  /** Relative standard uncertainty from the readings (uB). */
  readonly uReadings: number;
}

export const groupBySetting = <R extends Run>(runs: readonly R[]): Map<number, R[]> => {
  const groups = new Map<number, R[]>();
  for (const run of runs) {
    const group = groups.get(run.setting);
    if (group) group.push(run);
    else groups.set(run.setting, [run]);
  }
  return groups;
};

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Scatter of repeats, pooled over settings with a belief of 3 % on 4 degrees of freedom:
 * `s^2 = (4 x 0.03^2 + sum of (r / mean - 1)^2) / (4 + sum of (n - 1))`.
 *
 * @example scatterOf(runs).s // 0.02570055 for 4.89, 4.71 at one setting and 3.67, 3.58, 3.61 at another
 */
export function scatterOf(runs: readonly Run[]): Scatter {
  let [squares, degrees] = [BELIEVED.degrees * BELIEVED.s ** 2, BELIEVED.degrees];
  for (const group of groupBySetting(runs).values()) {
    const mean = meanOf(group.map(({ rate }) => rate));
    // Where nothing flows nothing can scatter.
    if (mean <= 0) continue;
    squares += group.reduce((sum, { rate }) => sum + (rate / mean - 1) ** 2, 0);
    degrees += group.length - 1;
  }
  return { s: Math.sqrt(squares / degrees), degrees };
}

/**
 * The mean at each setting with its band: `U = sqrt((2 uB)^2 + (t s / sqrt(n))^2)`, lowest setting first. uB is the mean of
 * the runs': errors of one scale and one tape do not average out.
 *
 * @param runs of one machine with one product
 * @example settingMeans(runs)[0] // { setting: 7, runs: 3, mean: 3.62, uRelative: 0.0425 }
 */
export function settingMeans(runs: readonly Run[]): SettingMean[] {
  const { s, degrees } = scatterOf(runs);
  const t = student95(degrees);
  return [...groupBySetting(runs)]
    .map(([setting, group]): SettingMean => {
      const uReadings = meanOf(group.map((run) => run.uReadings));
      return {
        setting,
        runs: group.length,
        mean: meanOf(group.map(({ rate }) => rate)),
        uRelative: Math.hypot(COVERAGE * uReadings, (t * s) / Math.sqrt(group.length)),
      };
    })
    .toSorted((a, b) => a.setting - b.setting);
}
