import { finite, requirePositive } from '../errors/preconditions.ts';
/**
 * Granular carrier for a rate of active ingredient: `product rate = ai rate / load fraction`.
 *
 * @param aiKgPerM2 active ingredient wanted, kg/m2, above 0
 * @param loadFraction mass fraction of active ingredient in the product, above 0 and at most 1
 * @returns product rate in kg/m2
 * @throws InputError number.unusable
 * @example carrierRate(0.6e-4, 0.0043) // 0.0139535 kg/m2 = 139.53 kg/ha
 */
export function carrierRate(aiKgPerM2: number, loadFraction: number): number {
  requirePositive({ loadFraction });
  return finite(aiKgPerM2 / loadFraction);
}
