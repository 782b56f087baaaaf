import { message } from '../messages/message.ts';
import { meanOf, scatterOver } from '../numeric/spread.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import type { ScoopInput } from './scoopInput.ts';

/** A scoop of one product as weighed. */
export interface ScoopResult {
  /** Net mass of each weighing, kg. */
  readonly netKg: readonly number[];
  readonly meanKg: number;
  /** Standard deviation of the weighings over their mean (n - 1); null for a single one. */
  readonly scatter: number | null;
}

/**
 * A scoop from its weighings: net = gross - tare, mean and scatter.
 *
 * @param typed gross weighings and the tare as typed; an empty weighing is not made yet, an empty tare is 0
 * @param field path of the scoop, for errors
 * @returns the reading (null before the first weighing), and every error at its field
 * @example evaluateScoop({ name: '', tare: '0.2', weighings: ['1.0', '1.04'], unit: 'lb' }, 'scoop').reading?.scatter // 0.0345
 */
export function evaluateScoop(
  { tare, weighings, unit }: ScoopInput,
  field: string,
): { reading: ScoopResult | null; errors: InputError[] } {
  const empty = toResult(() =>
    tare.trim() === '' ? 0 : readQuantity(tare, { kind: 'mass', bareUnit: unit, field: `${field}.tare` }).si,
  );
  const errors = empty.error ? [empty.error] : [];
  const netKg: number[] = [];
  weighings.forEach((input, index) => {
    if (input.trim() === '') return;
    const path = `${field}.weighings.${index}`;
    const { value, error } = toResult(() => {
      const gross = readPositive(
        input,
        { kind: 'mass', bareUnit: unit, field: path },
        message('errors.what.fullScoop'),
      ).si;
      const net = gross - (empty.value ?? 0);
      if (net > 0) return net;
      const hint = `more than ${showExact(fromSi(empty.value ?? 0, unit))} ${UNITS[unit].symbol}`;
      throw new InputError('scoop.not-over-tare', { field: path, input, hint });
    });
    if (error) errors.push(error);
    else netKg.push(value);
  });
  if (errors.length > 0 || netKg.length === 0) return { reading: null, errors };
  return { reading: { netKg, meanKg: meanOf(netKg), scatter: scatterOver(netKg) }, errors };
}
