import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { between, placeOf } from '../numeric/between.ts';
import { BRINE_SALTS, type BrineSaltId } from './brineSalts.ts';
import { strengthAt, WATER_KG_PER_M3 } from './freezing.ts';

/** What a hydrometer is marked in: kg/L, or specific gravity against water at 60 degF or at 20 degC. */
export const HYDROMETER_MARKS = { 'kg/L': 1, 'sg-60F': 0.999, 'sg-20C': 0.9982 } as const;
export type HydrometerMarks = keyof typeof HYDROMETER_MARKS;

/** Between these a sample is read as it stands; outside it is brought to 20 degC first. */
export const SAMPLE_C = { low: 15, high: 25 } as const;

/**
 * Density of a brine at 20 degC, linear between the points of the table.
 *
 * @param percent by mass
 * @returns kg/L; null outside the table
 * @throws InputError number.unusable
 * @example brineDensity('sodium-chloride', 23.3) // 1.1746932
 */
export function brineDensity(salt: BrineSaltId, percent: number): number | null {
  requireFinite({ strength: percent });
  return between(BRINE_SALTS[salt].density, percent);
}

/**
 * Strength of a brine from what a hydrometer shows in it.
 *
 * @param reading as the hydrometer is marked
 * @param marks what that is
 * @returns mass per cent; null below water, and above what water holds
 * @throws InputError number.unusable
 * @example brineStrength('sodium-chloride', 1.15, 'kg/L') // 20.271082
 */
export function brineStrength(salt: BrineSaltId, reading: number, marks: HydrometerMarks): number | null {
  requireFinite({ reading });
  return placeOf(BRINE_SALTS[salt].density, reading * HYDROMETER_MARKS[marks]);
}

/** Salt and water for a tank. */
export interface BrineMaking {
  readonly saltKg: number;
  /** 1 L of it is taken as 1 kg. */
  readonly waterKg: number;
}

/**
 * Salt and water that make so much brine.
 *
 * @param litres of finished brine at 20 degC, above 0
 * @param percent by mass, above 0
 * @returns null where water does not hold so much
 * @throws InputError number.unusable
 * @example brineFor('sodium-chloride', 1000, 23.3)?.saltKg // 273.703527
 */
export function brineFor(salt: BrineSaltId, litres: number, percent: number): BrineMaking | null {
  requirePositive({ volume: litres, strength: percent });
  const density = brineDensity(salt, percent);
  if (density === null) return null;
  const kg = finite(litres * density);
  return { saltKg: (kg * percent) / 100, waterKg: kg * (1 - percent / 100) };
}

/**
 * What a tank that is off still takes: salt where it is weak, water where it is strong.
 *
 * @param litres in the tank at 20 degC, above 0
 * @param from mass per cent that it has
 * @param to mass per cent that it is to have
 * @returns null where water does not hold so much
 * @throws InputError number.unusable
 * @example correctedBrine('sodium-chloride', 800, 18, 23.3)?.saltKg // 62.577314
 */
export function correctedBrine(salt: BrineSaltId, litres: number, from: number, to: number): BrineMaking | null {
  requirePositive({ volume: litres, strength: to });
  const density = brineDensity(salt, from);
  if (density === null || brineDensity(salt, to) === null) return null;
  const kg = litres * density;
  const held = (kg * from) / 100;
  return to > from
    ? { saltKg: finite(((to / 100) * kg - held) / (1 - to / 100)), waterKg: 0 }
    : { saltKg: 0, waterKg: finite((held * 100) / to - kg) };
} // prettier-ignore

/** A brine on the ground: the salt in it, and how far it is from freezing. */
export interface BrineOnGround {
  readonly saltKgPerM2: number;
  /** Water that it still takes before it freezes, m: 1 kg on 1 m2 is 1 mm; below 0 it freezes as it is; null: nothing freezes at 0 degC and above, or the salt holds nothing so cold. */
  readonly moreWaterM: number | null;
}

/**
 * What so much brine does on pavement.
 *
 * @param lPerM2 of brine at 20 degC, above 0
 * @param percent by mass, above 0
 * @param degC of the pavement
 * @returns null where water does not hold so much
 * @throws InputError number.unusable
 * @example brineOnGround('sodium-chloride', 0.025723, 23.3, -5)?.saltKgPerM2 // 0.0070404758
 */
export function brineOnGround(salt: BrineSaltId, lPerM2: number, percent: number, degC: number): BrineOnGround | null {
  requirePositive({ rate: lPerM2, strength: percent });
  const density = brineDensity(salt, percent);
  if (density === null) return null;
  const kg = lPerM2 * density;
  const saltKgPerM2 = finite((kg * percent) / 100);
  const liquid = strengthAt(salt, degC);
  return { saltKgPerM2, moreWaterM: liquid === null || liquid === 0 ? null : finite(((saltKgPerM2 * 100) / liquid - kg) / WATER_KG_PER_M3) };
} // prettier-ignore

/** What a load of dry salt takes of brine. */
export interface Prewetting {
  readonly brineL: number;
  /** Salt that comes with the brine, kg, and as a share of the dry salt. */
  readonly saltKg: number;
  readonly share: number;
}

/**
 * Brine that wets a load of dry salt before it is spread, so that it works at once and stays where it fell.
 *
 * @param loadKg of dry salt, above 0
 * @param lPerKg of brine, above 0
 * @param percent strength of the brine by mass, above 0
 * @returns null where water does not hold so much
 * @throws InputError number.unusable
 * @example prewetting('sodium-chloride', 1000, 0.03, 23.3)?.brineL // 30
 */
export function prewetting(salt: BrineSaltId, loadKg: number, lPerKg: number, percent: number): Prewetting | null {
  requirePositive({ load: loadKg, rate: lPerKg, strength: percent });
  const brineL = finite(loadKg * lPerKg);
  const making = brineL === 0 ? null : brineFor(salt, brineL, percent);
  return making && { brineL, saltKg: making.saltKg, share: making.saltKg / loadKg };
} // prettier-ignore
