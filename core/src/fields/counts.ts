import { InputError, toResult } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';

interface Wanted {
  readonly field: string;
  /** What would be right, for the sentence. */
  readonly hint: string;
}

/**
 * A share as typed in percent: "50" or "50 %" is 0.5.
 *
 * @param most most percent; more is an error
 * @param isPositive 0 is an error too
 * @throws InputError percent.unreadable
 * @example readPercent('50 %', { field: 'slowShare', hint: '50 %' }) // 0.5
 */
export function readPercent(
  input: string,
  {
    field,
    hint,
    most = 100,
    isPositive = false,
  }: Wanted & { readonly most?: number; readonly isPositive?: boolean },
): number {
  const { value } = toResult(() => readNumber(input.replace('%', ''), field));
  if (value === null || value < 0 || value > most || (isPositive && value === 0))
    throw new InputError('percent.unreadable', { field, hint });
  return value / 100;
}

/**
 * A whole number as typed, from 1 on.
 *
 * @throws InputError count.whole
 * @example readWhole('13', { field: 'layout.count', most: 200 }) // 13
 */
export function readWhole(
  input: string,
  { field, most }: { readonly field: string; readonly most: number },
): number {
  const { value } = toResult(() => readNumber(input, field));
  if (value === null || value < 1 || value > most || !Number.isInteger(value))
    throw new InputError('count.whole', { field, most, input });
  return value;
}

/**
 * A number of 0 or more as typed.
 *
 * @param isPositive 0 is an error too
 * @throws InputError count.unreadable
 * @example readCount('2.5', { field: 'stock', hint: '3', most: 1e6 }) // 2.5
 */
export function readCount(
  input: string,
  {
    field,
    hint,
    most,
    isPositive = false,
  }: Wanted & { readonly most: number; readonly isPositive?: boolean },
): number {
  const { value } = toResult(() => readNumber(input, field));
  if (value === null || value < 0 || value > most || (isPositive && value === 0))
    throw new InputError('count.unreadable', { field, hint });
  return value;
}

/**
 * How far a rate may be off, as typed in percent: above 0, and half of it at most.
 *
 * @throws InputError percent.unreadable
 * @example readTolerance('5 %', 'tolerance') // 0.05
 */
export const readTolerance = (input: string, field: string): number =>
  readPercent(input, { field, hint: '5 %', most: 50, isPositive: true });
