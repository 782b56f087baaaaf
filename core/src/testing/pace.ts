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
 * @example timedPace(40, [29.1, 28.4, 30.2]) // speed 1.368301 m/s, scatter 3.103913 %
 */
export function timedPace(courseM: number, timesS: readonly number[]): PaceTimed {
  const meanS = timesS.reduce((sum, time) => sum + time, 0) / timesS.length;
  const squares = timesS.reduce((sum, time) => sum + (time - meanS) ** 2, 0);
  const scatter = timesS.length < 2 ? null : Math.sqrt(squares / (timesS.length - 1)) / meanS;
  return { speedMPerS: courseM / meanS, meanS, scatter };
}

/**
 * How much more is put down per metre at another pace: `calibrated / walked - 1` for what flows by gravity or a motor, nothing
 * where wheels drive the metering.
 *
 * @example rateChangeAtPace(1.34, 1.22, 'flow') // 0.09836 more
 */
export const rateChangeAtPace = (
  calibratedMPerS: number,
  walkedMPerS: number,
  metering: 'flow' | 'wheels',
): number => (metering === 'flow' ? calibratedMPerS / walkedMPerS - 1 : 0);

/** The time to aim for on a course, s. */
export const timeToAimFor = (courseM: number, speedMPerS: number): number => courseM / speedMPerS;
