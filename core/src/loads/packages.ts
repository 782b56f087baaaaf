import { message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { readPositive, type Quantity } from '../quantities/quantity.ts';
import { UNITS, type MassUnit, type VolumeUnit } from '../quantities/units.ts';

const MAX_SI = 100_000;

/** A unit that product is packed and weighed out in: of weight, or of volume for a liquid. */
export type PackageUnit = MassUnit | VolumeUnit;

/** A package size as typed; `si` in kg, or in L for a liquid. */
export interface PackageResult extends Quantity {
  readonly unit: PackageUnit;
}

/**
 * Reads the product in one package: "40 lb", "40 lb bag", "25 kg", "2.5 gal jug".
 *
 * @param typed what was typed
 * @param bareUnit unit of a bare number; its kind is the kind that is read
 * @returns kg or L, above 0 and at most 100 000
 * @throws InputError as readPositive, and package.too-large
 * @example readPackage('40-lb bag', 'lb', 'package.size').si // 18.1436948
 */
export function readPackage(input: string, bareUnit: PackageUnit, field: string): PackageResult {
  const text = input
    .replace(/(\d)-(?=[a-z])/i, '$1 ')
    .replace(/\s*\b(bags?|packages?|sacks?|boxes|box|pails?|jugs?|cans?|drums?)\b/i, '');
  const { kind } = UNITS[bareUnit];
  const reading = readPositive(text, { kind, bareUnit, field }, message('errors.what.package'));
  if (reading.si > MAX_SI) throw new InputError('package.too-large', { field, input });
  return { ...reading, input, unit: reading.unit as PackageUnit };
}

/** What to take from the shelf for an amount. */
export interface PackageCount {
  /** Packages the amount comes to, not rounded. */
  readonly exact: number;
  /** Whole packages, rounded up once for everything. */
  readonly whole: number;
  /** Share of the last package that is used, above 0 and at most 1; 0 when none is needed. */
  readonly lastShare: number;
  /** What is left in the last one, kg or L. */
  readonly leftSi: number;
  /** Whole packages that do even when the ground is as large as its band allows. */
  readonly wholeAtMost: number;
}

/**
 * Packages for the whole amount: `amount / package`, rounded up once for everything together.
 *
 * @param amountSi product needed in all, kg or L, 0 or more
 * @param packageSi product in one package, in the same unit, above 0
 * @param bandSi about 95 % of the amount, 0 where it is not known
 * @throws InputError quantity.not-positive
 * @returns counts; an amount within 1e-9 of a whole number of packages is not rounded up past it
 * @example countPackages(11.2, 18.1) // { exact: 0.6188, whole: 1, lastShare: 0.6188, leftSi: 6.9, wholeAtMost: 1 }
 */
export function countPackages(amountSi: number, packageSi: number, bandSi = 0): PackageCount {
  if (
    !(packageSi > 0) ||
    !(amountSi >= 0) ||
    !Number.isFinite((amountSi + bandSi) / packageSi) ||
    !Number.isFinite(packageSi) ||
    !(bandSi >= 0)
  )
    throw new InputError('quantity.not-positive', {
      field: 'package',
      what: message('errors.what.package'),
      hint: '40 lb',
    });
  const wholeFor = (count: number) => Math.max(0, Math.ceil(count - 1e-9 * Math.max(1, count)));
  const exact = amountSi / packageSi;
  const whole = wholeFor(exact);
  const lastShare = whole === 0 ? 0 : Math.min(1, exact - (whole - 1));
  return { exact, whole, lastShare, leftSi: Math.max(0, whole * packageSi - amountSi), wholeAtMost: wholeFor((amountSi + bandSi) / packageSi) }; // prettier-ignore
}
