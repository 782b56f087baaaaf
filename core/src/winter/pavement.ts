import { requireFinite } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { readQuantity } from '../quantities/quantity.ts';
import type { UnitId } from '../quantities/units.ts';

/** Ice is dealt with between these; what lies beyond is a slip of the unit. */
export const PAVEMENT_C = { coldest: -50, warmest: 15 } as const;

/** A typed temperature this near to the air's, and this far from the pavement's, was read in the air, degC. */
const AIR_C = { near: 0.6, far: 1.5 } as const;

/**
 * Whether a temperature that was typed for the pavement is that of the air, by what a station reads of both.
 *
 * @param degC as typed
 * @throws InputError number.unusable
 * @example looksLikeAir(-6, -6.1, -3.9) // true
 */
export function looksLikeAir(degC: number, airC: number, pavementC: number): boolean {
  requireFinite({ temperature: degC, air: airC, pavement: pavementC });
  return Math.abs(degC - airC) < AIR_C.near && Math.abs(degC - pavementC) > AIR_C.far;
}

/**
 * A pavement temperature as typed.
 *
 * @param bareUnit of a bare number
 * @returns degC
 * @throws InputError as readQuantity, and pavement.slip for one that no winter has: 25 degC where 25 degF was meant
 * @example readPavement('23', 'degF', 'pavement') // -5
 */
export function readPavement(input: string, bareUnit: UnitId, field: string): number {
  const { si } = readQuantity(input, { kind: 'temperature', bareUnit, field });
  if (si < PAVEMENT_C.coldest || si > PAVEMENT_C.warmest)
    throw new InputError('pavement.slip', { field, input: input.trim(), hint: '23 °F' });
  return si;
}
