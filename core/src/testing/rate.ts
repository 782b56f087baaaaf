import {
  isUnitOf,
  type MassPerAreaUnit,
  type MassPerLaneUnit,
  type MassPerRowUnit,
  type VolumePerAreaUnit,
} from '../quantities/units.ts';

/** What the rates of a calibration are: a weight or a volume on the ground, or a weight on a length of row or of lane. */
export const RATE_DIMENSIONS = ['massPerArea', 'massPerRowLength', 'massPerLaneLength', 'volumePerArea'] as const; // prettier-ignore
export type RateDimension = (typeof RATE_DIMENSIONS)[number];
/** What is put on the ground in other ways than by a machine that is tested here, too: brine on lanes. */
type GroundDimension = RateDimension | 'volumePerLaneLength';
export type BenchRateUnit = MassPerAreaUnit | MassPerRowUnit | MassPerLaneUnit | VolumePerAreaUnit;

/** A rate with what it is: kg/m2, kg/m of row or lane, or L/m2 of what is sprayed. */
export interface Rate {
  readonly si: number;
  readonly dimension: RateDimension;
}

/**
 * What rates in a unit are per.
 *
 * @example dimensionOf('lb/lane-mile') // 'massPerLaneLength'
 */
export const dimensionOf = (unit: BenchRateUnit): RateDimension =>
  RATE_DIMENSIONS.find((dimension) => isUnitOf(dimension, unit)) ?? 'massPerArea';

/**
 * Whether a rate is what goes on a metre, whatever that is wide.
 *
 * @example isPerLength('massPerRowLength') // true
 */
export const isPerLength = (dimension: GroundDimension): boolean =>
  dimension === 'massPerRowLength' ||
  dimension === 'massPerLaneLength' ||
  dimension === 'volumePerLaneLength';

/**
 * Whether a rate is of what is sprayed: a volume, which is caught in jugs and not weighed.
 *
 * @example isSprayed('volumePerArea') // true
 */
export const isSprayed = (dimension: RateDimension): boolean => dimension === 'volumePerArea';

/**
 * A rate as what goes on the ground, kg/m2 or L/m2.
 *
 * @param widthM width that one length serves: of the lane, or from row to row, m; null: not known
 * @returns null where the width is needed and not known
 * @example perArea({ si: 0.0845, dimension: 'massPerLaneLength' }, 3.6576) // 0.0231
 */
export const perArea = (
  { si, dimension }: { readonly si: number; readonly dimension: GroundDimension },
  widthM: number | null,
): number | null => {
  // prettier-ignore
  if (!isPerLength(dimension)) return si;
  return widthM !== null && widthM > 0 ? si / widthM : null;
};

/**
 * What goes on the ground as a rate of another dimension: the other way of perArea.
 *
 * @param kgPerM2 0 or more
 * @returns null where the width is needed and not known
 * @example rateIn('massPerRowLength', 0.022, 1.5) // { si: 0.033, dimension: 'massPerRowLength' }
 */
export const rateIn = (dimension: RateDimension, kgPerM2: number, widthM: number | null): Rate | null => {
  if (!isPerLength(dimension)) return { si: kgPerM2, dimension };
  return widthM === null ? null : { si: kgPerM2 * widthM, dimension };
};

/**
 * A rate as one of another dimension.
 *
 * @param widthM what one length serves, m; null: not known
 * @returns null where the width is needed and not known, and between a weight and a volume
 * @example rateAs({ si: 0.022, dimension: 'massPerArea' }, 'massPerRowLength', 1.5) // { si: 0.033, dimension: 'massPerRowLength' }
 */
export function rateAs(rate: Rate, dimension: RateDimension, widthM: number | null): Rate | null {
  if (rate.dimension === dimension) return rate;
  if (isSprayed(rate.dimension) || isSprayed(dimension)) return null;
  if (isPerLength(rate.dimension) && isPerLength(dimension)) return { si: rate.si, dimension };
  const kgPerM2 = perArea(rate, widthM);
  return kgPerM2 === null ? null : rateIn(dimension, kgPerM2, widthM);
}
