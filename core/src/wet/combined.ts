import { finite, requirePositive } from '../errors/preconditions.ts';

/** A rig that spreads and sprays at one ground speed. */
export interface CombinedWork {
  /** What is sprayed in one pass, m. */
  readonly sprayM: number;
  readonly speedMPerS: number;
  /** Ground that a course is made for, m2. */
  readonly areaM2: number;
}

/** The two courses of it. */
export interface CombinedCourses {
  readonly sprayCourseM: number;
  readonly sprayS: number;
  /** Granules are thrown twice as wide: each spot gets them from both sides, half a rate each pass. */
  readonly throwM: number;
  readonly granularCourseM: number;
  /** How long granules are caught for that ground. */
  readonly granularS: number;
}

/**
 * The courses of a combined rig: throw twice the spray width, passes one spray width apart, so that each pass lays half the rate and every
 * spot gets it from both sides; the granular course for the same ground is half as long, and so is its time.
 *
 * @param work all above 0
 * @throws InputError number.unusable
 * @example combinedCourses({ sprayM: 2, speedMPerS: 1.25, areaM2: 100 }) // { sprayCourseM: 50, sprayS: 40, throwM: 4, granularCourseM: 25, granularS: 20 }
 */
export function combinedCourses({ sprayM, speedMPerS, areaM2 }: CombinedWork): CombinedCourses {
  requirePositive({ sprayM, speedMPerS, areaM2 });
  const sprayCourseM = finite(areaM2 / sprayM);
  const sprayS = finite(sprayCourseM / speedMPerS);
  return { sprayCourseM, sprayS, throwM: 2 * sprayM, granularCourseM: sprayCourseM / 2, granularS: sprayS / 2 };
} // prettier-ignore
