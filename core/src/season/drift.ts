import { requireFinite } from '../errors/preconditions.ts';

/** One run of a machine with a product: what went out against what was meant. */
export interface RunRatio {
  readonly id: string;
  readonly startedAt: string;
  /** 1: as meant. */
  readonly ratio: number;
}

/** One run in the line of all of them. */
export interface DriftPoint extends RunRatio {
  /** The weighted mean by then, and how far from 1 it may lie by chance. */
  readonly mean: number;
  readonly limit: number;
  /** It lies so far from those before it that something else happened: a wrong fill, a leak, a wrong area. It moves nothing. */
  readonly isOdd: boolean;
}

/** How a machine stands: as meant, drifting to one side, or with too few runs to tell. */
export interface Drift {
  readonly points: readonly DriftPoint[];
  readonly state: 'few' | 'within' | 'heavy' | 'light';
  /** The weighted mean of the runs that count. */
  readonly mean: number;
}

/** Weight of the newest run; scatter of single runs in the field, as a share; width of the band in standard deviations (Roberts 1959). */
export const EWMA = { weight: 0.3, scatter: 0.05, width: 2.7, odd: 5 } as const;
/** With fewer nobody can tell a drift from a run. */
const MIN_RUNS = 3;

/**
 * How far what goes out drifts from what was meant: `z = 0.3 r + 0.7 z before`, from 1 on, with
 * `limit = 2.7 x 0.05 x sqrt(0.3 / 1.7 x (1 - 0.7^2n))` (S. W. Roberts, "Control chart tests based on geometric moving averages", 1959).
 * A single run that lies five scatters from the mean before it is odd and left out; two of them in a row on one side are no accident.
 *
 * @param runs of one machine with one product, in any order
 * @example driftOf([{ id: 'a', startedAt: '2026-04-01', ratio: 1.1 }]).points[0].mean // 1.03
 */
export function driftOf(runs: readonly RunRatio[]): Drift {
  for (const { ratio } of runs) requireFinite({ ratio });
  const points: DriftPoint[] = [];
  let [mean, counted, oddBefore] = [1, 0, 0];
  for (const run of runs.toSorted((a, b) => a.startedAt.localeCompare(b.startedAt) || a.id.localeCompare(b.id))) {
    const away = run.ratio - mean;
    const side = Math.abs(away) > EWMA.odd * EWMA.scatter ? Math.sign(away) : 0;
    const isOdd = side !== 0 && side !== oddBefore;
    oddBefore = side;
    if (!isOdd) {
      mean += EWMA.weight * away;
      counted += 1;
    }
    points.push({ ...run, mean, limit: limitAfter(Math.max(1, counted)), isOdd });
  }
  const limit = limitAfter(Math.max(1, counted));
  const state = counted < MIN_RUNS ? 'few' : Math.abs(mean - 1) <= limit ? 'within' : mean > 1 ? 'heavy' : 'light';
  return { points, state, mean };
} // prettier-ignore

const limitAfter = (runs: number): number =>
  EWMA.width *
  EWMA.scatter *
  Math.sqrt((EWMA.weight / (2 - EWMA.weight)) * (1 - (1 - EWMA.weight) ** (2 * runs)));
