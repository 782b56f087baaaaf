import { finite } from '../errors/preconditions.ts';

/**
 * The sum of numbers; 0 for none.
 *
 * @example sumOf([1, 2, 3.5]) // 6.5
 */
export const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/**
 * The mean of some values.
 *
 * @param values at least one
 * @example meanOf([29.1, 28.4, 30.2]) // 29.2333
 */
export const meanOf = (values: readonly number[]): number => finite(sumOf(values) / values.length);

/**
 * How much values scatter: their standard deviation (n - 1) over their mean.
 *
 * @returns null for a single value, and where the mean is nothing: then nothing can be said
 * @example scatterOver([29.1, 28.4, 30.2]) // 0.031039
 */
export function scatterOver(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const mean = meanOf(values);
  if (mean <= 0) return null;
  return finite(Math.sqrt(sumOf(values.map((value) => (value - mean) ** 2)) / (values.length - 1)) / mean);
}

/**
 * The middle one of some values in their order; of an even number the upper of the two in the middle.
 *
 * @returns null for none
 * @example middleOf([3, 1, 2]) // 2
 */
export const middleOf = (values: readonly number[]): number | null =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? null;
