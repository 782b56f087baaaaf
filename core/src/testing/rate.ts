import {
  isUnitOf,
  type MassPerAreaUnit,
  type MassPerLaneUnit,
  type MassPerRowUnit,
} from '../quantities/units.ts';

/** What the rates of a calibration are per: ground, or a length of row or of lane. */
export const RATE_DIMENSIONS = ['massPerArea', 'massPerRowLength', 'massPerLaneLength'] as const;
export type RateDimension = (typeof RATE_DIMENSIONS)[number];
export type BenchRateUnit = MassPerAreaUnit | MassPerRowUnit | MassPerLaneUnit;

/** A rate with what it is per: kg/m2, or kg/m of row or lane. */
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
export const isPerLength = (dimension: RateDimension): boolean => dimension !== 'massPerArea';

/**
 * A rate as what goes on the ground, kg/m2.
 *
 * @param widthM width that one length serves: of the lane, or from row to row, m; null: not known
 * @returns null where the width is needed and not known
 * @example perArea({ si: 0.0845, dimension: 'massPerLaneLength' }, 3.6576) // 0.0231
 */
export const perArea = ({ si, dimension }: Rate, widthM: number | null): number | null => {
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
 * @returns null where the width is needed and not known
 * @example rateAs({ si: 0.022, dimension: 'massPerArea' }, 'massPerRowLength', 1.5) // { si: 0.033, dimension: 'massPerRowLength' }
 */
export function rateAs(rate: Rate, dimension: RateDimension, widthM: number | null): Rate | null {
  if (rate.dimension === dimension) return rate;
  if (isPerLength(rate.dimension) && isPerLength(dimension)) return { si: rate.si, dimension };
  const kgPerM2 = perArea(rate, widthM);
  return kgPerM2 === null ? null : rateIn(dimension, kgPerM2, widthM);
}
