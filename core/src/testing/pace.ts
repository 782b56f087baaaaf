import { message } from '../messages/message.ts';
import { meanOf, scatterOver } from '../numeric/spread.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';

/** A pace as timed over a course. */
export interface PaceTimed {
  /** Course length over the mean time, m/s. */
  readonly speedMPerS: number;
  readonly meanS: number;
  /** Standard deviation of the times (n - 1) over their mean; null for a single run. */
  readonly scatter: number | null;
}

/**
 * Speed over a course timed several times.
 *
 * @param courseM length of the course, m, above 0
 * @param timesS times, s, each above 0; at least one
 * @throws InputError quantity.not-positive for a course or a time of nothing; number.empty without a time
 * @example timedPace(40, [29.1, 28.4, 30.2]) // { speedMPerS: 1.368301, meanS: 29.233, scatter: 0.031039 }
 */
export function timedPace(courseM: number, timesS: readonly number[]): PaceTimed {
  if (timesS.length === 0) throw new InputError('number.empty', { field: 'time', hint: '27.5 s' });
  if (!(courseM > 0) || timesS.some((time) => !(time > 0)))
    throw new InputError('quantity.not-positive', { field: 'time', what: message('errors.what.courseAndTime'), hint: '40 m in 27.5 s' }); // prettier-ignore
  const meanS = meanOf(timesS);
  return { speedMPerS: finite(courseM / meanS), meanS, scatter: scatterOver(timesS) };
}

/**
 * How much more is put down per metre at another pace: `calibrated / walked - 1` for what flows by gravity or a motor, nothing
 * where wheels drive the metering.
 *
 * @example rateChangeAtPace(1.34, 1.22, 'flow') // 0.09836 more
 */
export function rateChangeAtPace(
  calibratedMPerS: number,
  walkedMPerS: number,
  metering: 'flow' | 'wheels',
): number {
  requirePositive({ calibratedMPerS, walkedMPerS });
  return metering === 'flow' ? finite(calibratedMPerS / walkedMPerS - 1) : 0;
}

/**
 * The time to aim for on a course, s.
 *
 * @example timeToAimFor(40, 1.25) // 32
 */
export function timeToAimFor(courseM: number, speedMPerS: number): number {
  requirePositive({ courseM, speedMPerS });
  return finite(courseM / speedMPerS);
}

/** A run walked this much faster or slower than the work says nothing certain of it. */
export const MAX_PACE_APART = 0.15;
/** How far the output of a machine may leave `1 / speed`, for each unit of the logarithm of the ratio of paces. */
const PACE_LAW_U = 0.2;

/** A run brought to the pace of work. */
export interface AtWorkingPace {
  /** Rate at the working pace over the rate of the run: `v run / v work`. */
  readonly factor: number;
  /** Relative standard uncertainty that bringing it there adds. */
  readonly u: number;
  /** Too far from the working pace to count for it. */
  readonly isApart: boolean;
}

/**
 * Brings a run that was timed to the pace of work: what flows by gravity or a motor puts out the same in each second, so
 * `rate at work = rate x v run / v work`. That law holds about, so `0.2 |ln(v run / v work)|` is added as a standard uncertainty.
 * Metering by wheels is neither corrected nor left out.
 *
 * @param runMPerS pace of the run, above 0
 * @param workMPerS pace of work, above 0
 * @example atWorkingPace(1.2, 1.34, 'flow') // { factor: 0.895522, u: 0.02206961, isApart: false }
 */
export function atWorkingPace(
  runMPerS: number,
  workMPerS: number,
  metering: 'flow' | 'wheels',
): AtWorkingPace {
  requirePositive({ runMPerS, workMPerS });
  if (metering === 'wheels') return { factor: 1, u: 0, isApart: false };
  const factor = finite(runMPerS / workMPerS);
  requirePositive({ factor });
  return {
    factor,
    u: PACE_LAW_U * Math.abs(Math.log(factor)),
    isApart: Math.abs(factor - 1) > MAX_PACE_APART,
  };
}
