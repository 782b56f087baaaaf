import { message } from '../messages/message.ts';
import { finite } from '../errors/preconditions.ts';
import { resolutionU } from '../numeric/resolution.ts';
import { InputError } from '../errors/InputError.ts';

/** A number read off an instrument, SI, and the smallest step that the instrument shows; 0 for what was chosen. */
export interface Reading {
  readonly si: number;
  readonly resolutionSi: number;
}

/** Half-widths shown are about 95 %: this many standard uncertainties. */
export const COVERAGE = 2;

/** What a part of a rate's uncertainty comes from. */
export type UncertainOf = 'weighing' | 'volume' | 'length' | 'width' | 'area' | 'time' | 'pace';

/** One part of a rate's uncertainty: relative standard uncertainty. */
export interface UncertaintySource {
  readonly of: UncertainOf;
  readonly u: number;
}

/** Relative standard uncertainty of a product or a quotient: its parts in quadrature (JCGM 100:2008, 5.1.6). */
export const combined = (sources: readonly UncertaintySource[]): number =>
  finite(Math.hypot(...sources.map(({ u }) => u)));

/** A net weight: the difference of two weighings on one scale, each with its resolution. */
export interface Net {
  readonly si: number;
  readonly uSi: number;
}

/**
 * What is left of two weighings: `before - after`, their uncertainties in quadrature. 0 is a result: nothing came out.
 *
 * @param field path of the second weighing, for the error
 * @throws InputError test.nothing-out when the second is more
 * @example netOf({ si: 18, resolutionSi: 0.05 }, { si: 14.35, resolutionSi: 0.05 }, 'out') // { si: 3.65, uSi: 0.0204 }
 */
export function netOf(before: Reading, after: Reading, field: string): Net {
  // Two equal weighings in different units differ in the last digits.
  const difference = finite(before.si - after.si);
  const si = Math.abs(difference) < 1e-12 * before.si ? 0 : difference;
  if (!(si >= 0)) throw new InputError('test.nothing-out', { field });
  return { si, uSi: Math.hypot(resolutionU(before.resolutionSi), resolutionU(after.resolutionSi)) };
}

/**
 * Relative standard uncertainty of a reading; 0 for nothing.
 *
 * @example relative({ si: 10, resolutionSi: 0.1 }) // 0.00288675
 */
export const relative = ({ si, resolutionSi }: Reading): number =>
  si === 0 ? 0 : finite(resolutionU(resolutionSi) / Math.abs(finite(si)));

/** Relative standard uncertainty of a net weight; 0 where nothing came out. */
export const relativeNet = ({ si, uSi }: Net): number => (si === 0 ? 0 : uSi / si);

/**
 * The least net weight that a scale tells to within a share: `k sqrt(2) r / sqrt(12) / share`.
 *
 * @param resolutionSi step of the scale, kg, 0 or more
 * @param within share of the weight, above 0
 * @throws InputError share.not-positive
 * @example leastNet(0.1, 0.1) // 0.816497 lb on a scale that reads to 0.1 lb
 */
export function leastNet(resolutionSi: number, within: number): number {
  if (!(within > 0)) throw new InputError('quantity.not-positive', { field: 'within', what: message('errors.what.tolerance'), hint: '5 %' }); // prettier-ignore
  return finite((COVERAGE * Math.SQRT2 * resolutionU(resolutionSi)) / within);
}
