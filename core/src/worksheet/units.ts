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
 * Chooses the units to show worked-out values in: those set on the sheet, else those that the person prefers, else
 * those that were typed. Unless set on the sheet, the whole is in ounces or grams where it comes to less than a
 * pound or a kilogram.
 *
 * @param preferred the person's preference; null entries follow what was typed
 * @param amountKg the total amount, or null while it is not known
 */
export function chooseUnits(
  typed: WorksheetTyped,
  reading: WorksheetReading,
  preferred: ShownIn,
  amountKg: number | null,
): SheetUnits {
  const { shownIn } = typed;
  const rate = shownIn.rate ?? preferred.rate ?? reading.need?.unit ?? typed.need.unit;
  const firstArea = reading.areas.find(({ size }) => size)?.size?.unit ?? typed.areas[0]?.unit ?? 'm2';
  return {
    rate,
    amount: shownIn.amount ?? readableMass(preferred.amount ?? splitUnit(rate)[0], amountKg),
    area: shownIn.area ?? preferred.area ?? firstArea,
  };
}
