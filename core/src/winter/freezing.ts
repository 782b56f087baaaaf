import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { between, placeOf } from '../numeric/between.ts';
import { BRINE_SALTS, type BrineSaltId } from './brineSalts.ts';

/** Mass of a litre of water, kg: a film is of water, not of brine. */
export const WATER_KG_PER_M3 = 1000;

/**
 * The strength of a brine that just stays liquid.
 *
 * @param degC of the pavement
 * @returns mass per cent; 0 from 0 degC up; null where the salt keeps nothing liquid any more
 * @throws InputError number.unusable
 * @example strengthAt('sodium-chloride', -5) // 7.87909
 */
export function strengthAt(salt: BrineSaltId, degC: number): number | null {
  requireFinite({ temperature: degC });
  return degC >= 0 ? 0 : placeOf(BRINE_SALTS[salt].freezes, degC);
}

/**
 * Where a brine freezes.
 *
 * @param percent by mass, 0 or more
 * @returns degC; null for a brine stronger than the curve: salt comes out of it before ice does
 * @throws InputError number.unusable
 * @example freezesAt('sodium-chloride', 20) // -16.458
 */
export function freezesAt(salt: BrineSaltId, percent: number): number | null {
  requireFinite({ strength: percent });
  return between(BRINE_SALTS[salt].freezes, percent);
}

/**
 * Salt that keeps a film of water liquid: `m = h x 1000 kg/m3 x w / (1 - w)`.
 *
 * @param filmM thickness of the water, m, above 0
 * @param degC of the pavement
 * @returns kg/m2; 0 from 0 degC up; null where the salt keeps nothing liquid any more
 * @throws InputError number.unusable
 * @example saltForFilm('sodium-chloride', 1e-4, -5) // 0.008552987
 */
export function saltForFilm(salt: BrineSaltId, filmM: number, degC: number): number | null {
  requirePositive({ film: filmM });
  const percent = strengthAt(salt, degC);
  return percent === null ? null : finite((filmM * WATER_KG_PER_M3 * percent) / (100 - percent));
}

/**
 * The film of water that so much salt keeps liquid; more falls on it, and it refreezes.
 *
 * @param kgPerM2 salt on the ground, above 0
 * @param degC of the pavement
 * @returns m; null from 0 degC up, where nothing freezes, and where the salt keeps nothing liquid any more
 * @throws InputError number.unusable
 * @example filmHeld('sodium-chloride', 0.015, -5) // 0.000175377
 */
export function filmHeld(salt: BrineSaltId, kgPerM2: number, degC: number): number | null {
  requirePositive({ rate: kgPerM2 });
  const percent = strengthAt(salt, degC);
  return percent === null || percent === 0 ? null : finite((kgPerM2 * (100 - percent)) / percent / WATER_KG_PER_M3); // prettier-ignore
}
