import type { PackageUnit } from '@steady-scatter/core/loads';
import {
  isBareNumber,
  RATE_AREAS,
  UNITS,
  type MassPerAreaUnit,
  type MassPerLaneUnit,
  type MassPerRowUnit,
  type MassUnit,
  type RateAreaUnit,
  type VolumePerAreaUnit,
  type VolumeUnit,
} from '@steady-scatter/core/quantities';
import type { RateUnit } from '@steady-scatter/core/products';

/** Weights that a need or a rate is given in. */
export const MASS_CHOICES = ['lb', 'oz', 'kg', 'g', 't', 'ton'] as const satisfies readonly MassUnit[];
export const RATE_AREA_CHOICES = Object.keys(RATE_AREAS) as RateAreaUnit[];

/** Rates that people show each other. */
export const RATE_CHOICES = [
  'lb/1000 ft2',
  'oz/1000 ft2',
  'lb/acre',
  'kg/ha',
  'g/m2',
  'kg/100 m2',
] as const satisfies readonly MassPerAreaUnit[];

/** The same where rows are fed, and where lanes are treated. */
export const ROW_RATE_CHOICES = ['lb/100 row ft', 'g/m of row'] as const satisfies readonly MassPerRowUnit[];
export const LANE_RATE_CHOICES = ['lb/lane-mile', 'kg/lane-km'] as const satisfies readonly MassPerLaneUnit[];

export const VOLUME_CHOICES = [
  'gal',
  'qt',
  'pt',
  'fl oz',
  'L',
  'mL',
] as const satisfies readonly VolumeUnit[];
export const VOLUME_RATE_CHOICES = [
  'fl oz/1000 ft2',
  'qt/1000 ft2',
  'gal/1000 ft2',
  'gal/acre',
  'L/ha',
  'mL/m2',
  'mL/100 m2',
] as const satisfies readonly VolumePerAreaUnit[];

export const rateUnit = (amount: PackageUnit, area: RateAreaUnit): RateUnit => `${amount}/${area}`;

export const symbolOf = (unit: keyof typeof UNITS): string => UNITS[unit].symbol;

/** True while the unit beside a field counts: the text is empty, or numbers alone (sides included). */
export const needsUnit = (text: string): boolean =>
  text.trim() === '' || isBareNumber(text.replace(/[x×*]/gi, ' '));
