import { systemOf } from '@steady-scatter/core/quantities';
import type { Night } from './useNight.ts';

type Asked = Pick<Night, 'guide' | 'asks'>;

/** Whether amounts of tonight are told in US units: as the guide counts. */
export function isUsNight({ guide, asks }: Asked): boolean {
  const { dryUnit = 'lb/1000 ft2', liquidUnit = 'gal/1000 ft2' } = guide?.input ?? {};
  return systemOf(asks === 'liquid' ? liquidUnit : dryUnit) === 'us';
}

/** The unit that rates of tonight are shown in: on the ground, as the guide counts. */
export const rateUnitOf = (night: Asked) => {
  const isUs = isUsNight(night);
  if (night.asks === 'liquid') return isUs ? ('gal/1000 ft2' as const) : ('L/100 m2' as const);
  return isUs ? ('lb/1000 ft2' as const) : ('g/m2' as const);
};

/** The unit that amounts of tonight are told in. */
export function amountUnitOf(night: Asked): 'lb' | 'kg' | 'gal' | 'L' {
  const isUs = isUsNight(night);
  if (night.asks === 'liquid') return isUs ? 'gal' : 'L';
  return isUs ? 'lb' : 'kg';
}
