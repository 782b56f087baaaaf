import { UNITS, type AreaUnit, type LengthUnit } from '@steady-scatter/core/quantities';
import { AREA_CHOICES } from '../ground/units.ts';

const choice = <Id extends AreaUnit | LengthUnit>(id: Id) => ({ id, label: UNITS[id].symbol });

/** Units of length that people measure ground in. */
export const LENGTH_CHOICES = (['ft', 'm', 'yd', 'in', 'cm'] as const).map((id) => choice<LengthUnit>(id));

/** Units that an area is shown in. */
export const SIZE_CHOICES = AREA_CHOICES.map((id) => choice<AreaUnit>(id));
