import { finite } from '../errors/preconditions.ts';
import { UNITS, type UnitId } from './units.ts';

/**
 * The SI value of a number in a unit.
 *
 * @param number finite
 * @param unit any unit of the table
 * @throws InputError number.unusable
 * @returns the value in the SI unit of the unit's kind
 * @example toSi(1, 'lb') // 0.45359237
 */
export const toSi = (number: number, unit: UnitId): number =>
  finite(number * UNITS[unit].toSi + zeroOf(unit));

/**
 * The number that an SI value has in a unit.
 *
 * @param si value in the SI unit of the unit's kind, finite
 * @param unit any unit of the table
 * @example fromSi(0.45359237, 'lb') // 1
 */
export const fromSi = (si: number, unit: UnitId): number => finite((si - zeroOf(unit)) / UNITS[unit].toSi);

const zeroOf = (unit: UnitId): number => UNITS[unit].zeroAt ?? 0;
