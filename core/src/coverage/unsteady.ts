import { normal, seeded } from '../width/seeded.ts';

/** How a walk differs from the plan along its way. */
export interface Unsteady {
  /** Sideways of the line, to the right, m. */
  readonly sideM: Float64Array;
  /** Output against that of a steady pace. */
  readonly output: Float64Array;
  readonly stepM: number;
}

const STEP_M = 0.25;
/** A walker drifts and hurries over about so many metres. */
const DRIFT_M = 6;

/** Values along a way that follow each other smoothly, with mean 0 and standard deviation 1 (autoregressive, first order). */
function drift(count: number, next: () => number): Float64Array {
  const keeps = Math.exp(-STEP_M / DRIFT_M);
  const fresh = Math.sqrt(1 - keeps * keeps);
  const values = new Float64Array(count);
  let now = normal(next);
  for (let index = 0; index < count; index += 1) {
    values[index] = now;
    now = keeps * now + fresh * normal(next);
  }
  return values;
}

/** The least pace against the steady one: nobody stands. */
const MIN_PACE = 0.4;

/**
 * A walk of a length: how far off the line, and how much comes out for the pace.
 *
 * @param paceSd of the pace over its mean; @param flows output goes as 1/speed
 */
export function unsteadyWalk(
  lengthM: number,
  { seed, wanderM, paceSd, flows }: { seed: number; wanderM: number; paceSd: number; flows: boolean },
): Unsteady {
  const count = Math.max(2, Math.ceil(lengthM / STEP_M) + 2);
  const next = seeded(seed);
  const sideM = drift(count, next).map((value) => value * wanderM);
  const pace = drift(count, next);
  const output = pace.map((value) => (flows ? 1 / Math.max(MIN_PACE, 1 + value * paceSd) : 1));
  return { sideM, output, stepM: STEP_M };
}

/** All that comes out between two places of a walk, as metres of a steady one. */
export function outputBetween({ output, stepM }: Unsteady, fromM: number, toM: number): number {
  let sum = 0;
  for (let index = Math.max(0, Math.floor(fromM / stepM)); index * stepM < toM; index += 1)
    sum += (Math.min(toM, (index + 1) * stepM) - Math.max(fromM, index * stepM)) * output[index]!;
  return sum;
}
