import { readQuantity, type QuantityField } from './quantity.ts';
import type { UnitId } from './units.ts';

/**
 * Reads a quantity off an instrument: its value, and the step of its last digit.
 *
 * @throws InputError as readQuantity
 * @example readReading('14.35', { kind: 'mass', bareUnit: 'lb', field: 'left' }) // { si: 6.509, resolutionSi: 0.0045 }
 */
export function readReading(
  typed: string,
  wanted: QuantityField & { bareUnit: UnitId },
): { readonly si: number; readonly resolutionSi: number } {
  const { si, resolutionSi } = readQuantity(typed, wanted);
  return { si, resolutionSi };
}
