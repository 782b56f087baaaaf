import { requirePositive } from '../errors/preconditions.ts';
import { showNumber } from '../quantities/show.ts';

/** How two rates stand to each other, as a person would put it: percent up to double, then times as much. */
export type Comparison =
  | { readonly verdict: 'same' }
  | { readonly verdict: 'more' | 'less'; readonly percent: string }
  | { readonly verdict: 'times'; readonly times: string };

const SAME_WITHIN = 0.005;
const SAY_TIMES_FROM = 2;

/**
 * Compares two rates.
 *
 * @param ratio one rate over the other, above 0
 * @returns 'same' within half a percent
 * @example compareRates(1.25) // { verdict: 'more', percent: '25.0' }
 */
export function compareRates(ratio: number): Comparison {
  requirePositive({ ratio });
  if (Math.abs(ratio - 1) <= SAME_WITHIN) return { verdict: 'same' };
  if (ratio >= SAY_TIMES_FROM) return { verdict: 'times', times: showNumber(ratio, 3) };
  return {
    verdict: ratio > 1 ? 'more' : 'less',
    percent: showNumber(Math.abs(ratio - 1) * 100, 3),
  };
}
