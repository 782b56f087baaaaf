import type { Night } from './useNight.ts';

/** The unit that rates of tonight are shown in: on the ground, as the guide counts. */
export const rateUnitOf = ({ guide, asks }: Pick<Night, 'guide' | 'asks'>) => {
  const { dryUnit = 'lb/1000 ft2', liquidUnit = 'gal/1000 ft2' } = guide?.input ?? {};
  const isUs = /lb|gal/.test(asks === 'liquid' ? liquidUnit : dryUnit);
  if (asks === 'liquid') return isUs ? ('gal/1000 ft2' as const) : ('L/100 m2' as const);
  return isUs ? ('lb/1000 ft2' as const) : ('g/m2' as const);
};
