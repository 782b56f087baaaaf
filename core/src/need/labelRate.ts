import { finite, requirePositive } from '../errors/preconditions.ts';
/**
 * The product rate that a label's coverage means: "one 40-lb bag covers 12 000 ft2".
 *
 * @param packageKg product in the package, kg, above 0
 * @param coverageM2 ground that it is said to cover, m2, above 0
 * @returns product rate in kg/m2
 * @throws InputError number.unusable
 * @example labelRate(18.1436948, 1114.836) // 0.0162748 kg/m2 = 3.333 lb/1000 ft2
 */
export function labelRate(packageKg: number, coverageM2: number): number {
  requirePositive({ coverageM2 });
  return finite(packageKg / coverageM2);
}
