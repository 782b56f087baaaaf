import type { AreaUnit, LengthUnit } from '@steady-scatter/core/quantities';
import { AREA_CHOICES } from '../units/areas.ts';
import { unitChoices } from '../ui/unitChoices.ts';

/** Units of length that people measure ground in. */
export const LENGTH_CHOICES = unitChoices<LengthUnit>(['ft', 'm', 'yd', 'in', 'cm']);

/** Units that an area is shown in. */
export const SIZE_CHOICES = unitChoices<AreaUnit>(AREA_CHOICES);
