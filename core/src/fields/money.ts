import { InputError, toResult } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';

const MAX_PRICE = 1e7;

/**
 * A price as typed, whatever sign of a currency stands with it, in hundredths.
 *
 * @throws InputError price.unreadable, also for parts of a hundredth
 * @example readPrice('$24.50', 'price') // 2450
 */
export function readPrice(input: string, field: string): number {
  const { value } = toResult(() => readNumber(input.replace(/[^\d.,\s-]/g, ''), field));
  const cents = value === null ? -1 : Math.round(value * 100);
  const whole = value !== null && Math.abs(cents - value * 100) < 1e-6;
  if (value === null || value < 0 || value > MAX_PRICE || !whole)
    throw new InputError('price.unreadable', { field, hint: '24.50' });
  return cents;
}

/**
 * Money as it is shown, to the hundredth.
 *
 * @param cents hundredths; parts of one are rounded
 * @example moneyText(6360) // '63.60'
 */
export const moneyText = (cents: number): string => (cents / 100).toFixed(2);
