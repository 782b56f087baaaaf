import { attempt } from '../errors/InputError.ts';
import type { Kind } from './kinds.ts';
import { readQuantity, type QuantityField } from './quantity.ts';
import { UNITS, type UnitId } from './units.ts';

const VULGAR: readonly (readonly [RegExp, number])[] = [[/[½]/, 2], [/[¼¾]/, 4], [/[⅓⅔]/, 3], [/[⅛⅜⅝⅞]/, 8]]; // prettier-ignore

/**
 * The place of the last digit of what was typed, in its last unit: 1 for "62 ft", 0.1 for "18.4 m", 0.5 for "7½".
 *
 * @example lastPlace('14.35 lb') // 0.01
 */
export function lastPlace(typed: string): number {
  const parts = /\d\/(\d+)\D*$/.exec(typed)?.[1] ?? VULGAR.find(([sign]) => sign.test(typed))?.[1];
  if (parts !== undefined) return 1 / Number(parts);
  return 10 ** -(/(\d+)(?:\.(\d+))?\D*$/.exec(typed)?.[2]?.length ?? 0);
}

/**
 * The size of the unit that the last number of a text counts in, SI: that of inches for 62' 6", of ounces for 3 lb 4 oz.
 *
 * @param bareUnit unit of a bare number
 * @example lastUnitSi('3 lb 4 oz', 'mass', 'lb') // 0.02835
 */
export function lastUnitSi(typed: string, kind: Kind, bareUnit: UnitId): number {
  if (kind === 'length' && /\d\s*(?:"|''|in\b|inch)/i.test(typed)) return UNITS.in.toSi;
  const named = /\d\s*([a-z']+)\s*$/i.exec(typed)?.[1];
  const found = named && attempt(() => readQuantity(`1 ${named}`, { kind, bareUnit: null, field: '' })).value;
  return found ? found.si : UNITS[bareUnit].toSi;
}

/**
 * Reads a quantity off an instrument: its value, and the step of its last digit.
 *
 * @throws InputError as readQuantity
 * @example readReading('14.35', { kind: 'mass', bareUnit: 'lb', field: 'left' }) // { si: 6.509, resolutionSi: 0.0045 }
 */
export function readReading(
  typed: string,
  wanted: QuantityField & { bareUnit: UnitId },
): { si: number; resolutionSi: number } {
  const { si } = readQuantity(typed, wanted);
  return { si, resolutionSi: lastPlace(typed) * lastUnitSi(typed, wanted.kind, wanted.bareUnit) };
}
