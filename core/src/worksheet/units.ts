import { splitUnit } from '../need/needField.ts';
import { toSi } from '../quantities/convert.ts';
import { UNITS, type AreaUnit, type MassPerAreaUnit, type MassUnit } from '../quantities/units.ts';
import type { PackageUnit } from '../loads/packages.ts';
import type { RateUnit } from '../products/product.ts';
import { liquidRateUnit, volumeFor } from '../products/rateUnit.ts';
import type { WorksheetResult } from './readings.ts';
import type { ShownIn, WorksheetInput } from './worksheetInput.ts';

/** The units that a worksheet's worked-out values are shown in; `delivered` is always by weight. */
export interface SheetUnits {
  readonly rate: RateUnit;
  readonly amount: PackageUnit;
  readonly area: AreaUnit;
  readonly delivered: MassPerAreaUnit;
}

const SMALLER: Readonly<Partial<Record<PackageUnit, PackageUnit>>> = {
  lb: 'oz',
  kg: 'g',
  gal: 'fl oz',
  L: 'mL',
};
const LARGER: Readonly<Partial<Record<PackageUnit, PackageUnit>>> = {
  oz: 'lb',
  g: 'kg',
  'fl oz': 'gal',
  mL: 'L',
};

/** lb or kg (gal or L) from one unit up, oz or g (fl oz or mL) below it. */
function readable(unit: PackageUnit, totalSi: number | null): PackageUnit {
  const base = LARGER[unit] ?? unit;
  const small = SMALLER[base];
  return small && totalSi !== null && totalSi < toSi(1, base) ? small : base;
}

/** A rate of the right kind for the product: a unit of weight becomes one of volume for a liquid. */
const asVolume = (unit: RateUnit): RateUnit =>
  UNITS[unit].kind === 'volumePerArea' ? unit : liquidRateUnit(unit as MassPerAreaUnit);

/** Set units that do not measure this product count as not set. */
const ofKind = <Id extends RateUnit | PackageUnit>(unit: Id | null, kind: string): Id | null =>
  unit !== null && UNITS[unit].kind === kind ? unit : null;

/**
 * Chooses the units to show worked-out values in: those set on the sheet, else those that the person prefers, else
 * those that were typed. Unless set on the sheet, the whole is in ounces or grams (fluid ounces or millilitres) where it
 * comes to less than a pound or a kilogram (gallon or litre).
 *
 * @param preferred the person's preference; null entries follow what was typed
 * @param amountSi the total amount, kg or L, or null while it is not known
 */
export function chooseUnits(
  input: WorksheetInput,
  reading: WorksheetResult,
  preferred: ShownIn,
  amountSi: number | null,
): SheetUnits {
  const { shownIn } = input;
  const liquid = reading.product.form === 'liquid';
  const needUnit = reading.need?.unit ?? input.need.unit;
  const wished = preferred.rate ?? needUnit;
  const rate =
    ofKind(shownIn.rate, liquid ? 'volumePerArea' : 'massPerArea') ?? (liquid ? asVolume(wished) : wished);
  const mass = preferred.amount ?? splitUnit(rate)[0];
  const amount = liquid && UNITS[mass].kind === 'mass' ? volumeFor(mass as MassUnit) : mass;
  const firstArea = reading.areas.find(({ size }) => size)?.size?.unit ?? input.areas[0]?.unit ?? 'm2';
  return {
    rate,
    amount: ofKind(shownIn.amount, liquid ? 'volume' : 'mass') ?? readable(amount, amountSi),
    area: shownIn.area ?? preferred.area ?? firstArea,
    delivered: weightRate(liquid ? (ofKind(preferred.rate, 'massPerArea') ?? needUnit) : rate),
  };
}

/** A weight on the same area, for a rate that may be of volume. */
function weightRate(unit: RateUnit): MassPerAreaUnit {
  if (UNITS[unit].kind === 'massPerArea') return unit as MassPerAreaUnit;
  const [volume, area] = splitUnit(unit);
  return `${volumeFor('kg') === volume || volume === 'mL' ? 'kg' : 'lb'}/${area}`;
}
