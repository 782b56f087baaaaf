import { InputError } from '../errors/InputError.ts';

/** A number read off an instrument, SI, and the smallest step that the instrument shows; 0 for what was chosen. */
export interface Reading {
  readonly si: number;
  readonly resolutionSi: number;
}

/** Half-widths shown are about 95 %: this many standard uncertainties. */
export const COVERAGE = 2;

/**
 * Standard uncertainty of a reading from its resolution: `r / sqrt(12)` (JCGM 100:2008, F.2.2.1).
 *
 * @example resolutionU(0.05) // 0.01443
 */
export const resolutionU = (resolutionSi: number): number => resolutionSi / Math.sqrt(12);

/** A net weight: the difference of two weighings on one scale, each with its resolution. */
export interface Net {
  readonly si: number;
  readonly uSi: number;
}

/**
 * What is left of two weighings: `before - after`, their uncertainties in quadrature.
 *
 * @param field path of the second weighing, for the error
 * @throws InputError test.nothing-out when the second is not less
 * @example netOf({ si: 18, resolutionSi: 0.05 }, { si: 14.35, resolutionSi: 0.05 }, 'out') // { si: 3.65, uSi: 0.0204 }
 */
export function netOf(before: Reading, after: Reading, field: string): Net {
  const si = before.si - after.si;
  if (!(si > 0)) throw new InputError('test.nothing-out', { field });
  return { si, uSi: Math.hypot(resolutionU(before.resolutionSi), resolutionU(after.resolutionSi)) };
}

/** Relative standard uncertainty of a reading. */
export const relative = ({ si, resolutionSi }: Reading): number => resolutionU(resolutionSi) / si;

/**
 * The least net weight that a scale tells to within a share: `k sqrt(2) r / sqrt(12) / share`.
 *
 * @param within share of the weight, above 0
 * @example leastNet(0.1, 0.1) // 0.816497 lb on a scale that reads to 0.1 lb
 */
export const leastNet = (resolutionSi: number, within: number): number =>
  (COVERAGE * Math.SQRT2 * resolutionU(resolutionSi)) / within;
