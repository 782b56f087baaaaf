import { InputError } from '../errors/InputError.ts';
import { readPositive, type Quantity } from '../quantities/quantity.ts';
import type { MassUnit } from '../quantities/units.ts';

const MOST_KG = 100_000;

/** A package size as typed. */
export interface PackageReading extends Quantity {
  readonly unit: MassUnit;
}

/**
 * Reads the product in one package: "40 lb", "40 lb bag", "25 kg".
 *
 * @param typed what was typed
 * @param bareUnit unit of a bare number
 * @returns kg, above 0 and at most 100 000
 * @throws InputError as readPositive, and package.too-large
 * @example readPackage('40-lb bag', 'lb', 'package.size').si // 18.1436948
 */
export function readPackage(typed: string, bareUnit: MassUnit, field: string): PackageReading {
  const text = typed
    .replace(/(\d)-(?=[a-z])/i, '$1 ')
    .replace(/\s*\b(bags?|packages?|sacks?|boxes|box|pails?)\b/i, '');
  const reading = readPositive(text, { kind: 'mass', bareUnit, field }, 'The package');
  if (reading.si > MOST_KG) throw new InputError('package.too-large', { field, typed });
  return { ...reading, typed, unit: reading.unit as MassUnit };
}

/** What to take from the shelf for an amount. */
export interface PackageCount {
  /** Packages the amount comes to, not rounded. */
  readonly exact: number;
  /** Whole packages, rounded up once for everything. */
  readonly whole: number;
  /** Share of the last package that is used, above 0 and at most 1; 0 when none is needed. */
  readonly lastShare: number;
  /** What is left in the last one, kg. */
  readonly leftKg: number;
}

/**
 * Packages for the whole amount: `amount / package`, rounded up once for everything together.
 *
 * @param amountKg product needed in all, kg, 0 or more
 * @param packageKg product in one package, kg, above 0
 * @returns counts; an amount within 1e-9 of a whole number of packages is not rounded up past it
 * @example countPackages(11.2, 18.1) // { exact: 0.6187..., whole: 1, lastShare: 0.6187..., leftKg: 6.9 }
 */
export function countPackages(amountKg: number, packageKg: number): PackageCount {
  const exact = amountKg / packageKg;
  const whole = Math.max(0, Math.ceil(exact - 1e-9 * Math.max(1, exact)));
  const lastShare = whole === 0 ? 0 : Math.min(1, exact - (whole - 1));
  return { exact, whole, lastShare, leftKg: Math.max(0, whole * packageKg - amountKg) };
}
