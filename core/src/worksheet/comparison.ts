import { requirePositive } from '../errors/preconditions.ts';
import { showNumber } from '../quantities/show.ts';

/** How two rates stand to each other, for a sentence. */
export interface Comparison {
  readonly verdict: 'same' | 'more' | 'less';
  /** The difference in words: "17.0 % more", "2.50 times as much", "as much". */
  readonly words: string;
}

const SAME_WITHIN = 0.005;
const SAY_TIMES_FROM = 2;

/**
 * Puts a ratio into the words that a person would use: percent up to double, then "times as much".
 *
 * @param ratio one rate over the other, above 0
 * @returns "as much" within half a percent
 * @example compareInWords(1.25).words // '25.0 % more'
 */
export function compareInWords(ratio: number): Comparison {
  requirePositive({ ratio });
  if (Math.abs(ratio - 1) <= SAME_WITHIN) return { verdict: 'same', words: 'as much' };
  if (ratio >= SAY_TIMES_FROM) return { verdict: 'more', words: `${showNumber(ratio, 3)} times as much` };
  const percent = `${showNumber(Math.abs(ratio - 1) * 100, 3)} %`;
  return ratio > 1
    ? { verdict: 'more', words: `${percent} more` }
    : { verdict: 'less', words: `${percent} less` };
}
