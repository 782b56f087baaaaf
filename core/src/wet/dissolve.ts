import { finite, requirePositive } from '../errors/preconditions.ts';
import { coolsBy, solubilityAt, type SaltId } from './salts.ts';

/** Something dry that goes into water. */
export interface Dissolving {
  readonly kg: number;
  /** What it is; null: its solubility is typed, or not known. */
  readonly salt: SaltId | null;
  /** g in 100 g water, as typed; null: that of the salt. */
  readonly gPer100g: number | null;
  /** Temperature of the water, degC. */
  readonly degC: number;
  /** Water that there is for it in all, L; 1 L is taken as 1 kg. */
  readonly waterL: number;
}

/** Whether it dissolves, and what the first dissolve takes. */
export interface Dissolved {
  /** Least water that holds it once the mix is back at the temperature of the water, L. */
  readonly leastWaterL: number;
  /** All the water there is holds it. */
  readonly fits: boolean;
  /** How far the least water cools, degrees C; null: not known of this product. */
  readonly coolsByC: number | null;
}

/**
 * Whether a soluble dry product goes into the water there is: `least water = product / (g per 100 g) x 100`. It holds once the mix is
 * back at the temperature of the water. Several salts are looked at each alone: together less dissolves.
 *
 * @param of amounts above 0
 * @returns null where nothing is known of how it dissolves
 * @throws InputError number.unusable
 * @example dissolving({ kg: 3.2, salt: 'potassium-nitrate', gPer100g: null, degC: 10, waterL: 100 })?.leastWaterL // 15.311005
 */
export function dissolving({ kg, salt, gPer100g, degC, waterL }: Dissolving): Dissolved | null {
  requirePositive({ kg, water: waterL });
  const holds = gPer100g ?? (salt === null ? null : solubilityAt(salt, degC));
  if (holds === null) return null;
  requirePositive({ solubility: holds });
  const leastWaterL = finite((kg / holds) * 100);
  return {
    leastWaterL,
    fits: leastWaterL <= waterL,
    coolsByC: salt === null ? null : coolsBy(salt, kg, leastWaterL),
  };
}
