import { splitUnit } from '../need/needField.ts';
import { toSi } from '../quantities/convert.ts';
import type { AreaUnit, MassPerAreaUnit, MassUnit } from '../quantities/units.ts';
import type { WorksheetReading } from './readings.ts';
import type { ShownIn, WorksheetTyped } from './typed.ts';

/** The units that a worksheet's worked-out values are shown in. */
export interface SheetUnits {
  readonly rate: MassPerAreaUnit;
  readonly amount: MassUnit;
  readonly area: AreaUnit;
}

const SMALLER: Readonly<Partial<Record<MassUnit, MassUnit>>> = { lb: 'oz', kg: 'g' };
const LARGER: Readonly<Partial<Record<MassUnit, MassUnit>>> = { oz: 'lb', g: 'kg' };

/** lb or kg from one unit up, oz or g below it. */
function readableMass(unit: MassUnit, totalKg: number | null): MassUnit {
  const base = LARGER[unit] ?? unit;
  const small = SMALLER[base];
  return small && totalKg !== null && totalKg < toSi(1, base) ? small : base;
}

/**
 * Chooses the units to show worked-out values in: those set on the sheet, else those that were typed, with
 * ounces or grams where the whole comes to less than a pound or a kilogram.
 *
 * @param amountKg the total amount, or null while it is not known
 */
export function chooseUnits(
  typed: WorksheetTyped,
  reading: WorksheetReading,
  shownIn: ShownIn,
  amountKg: number | null,
): SheetUnits {
  const needUnit = reading.need?.unit ?? typed.need.unit;
  const firstArea = reading.areas.find(({ size }) => size)?.size?.unit ?? typed.areas[0]?.unit ?? 'm2';
  return {
    rate: shownIn.rate ?? needUnit,
    amount: shownIn.amount ?? readableMass(splitUnit(shownIn.rate ?? needUnit)[0], amountKg),
    area: shownIn.area ?? firstArea,
  };
}
