import type { AreaUnit, LengthUnit } from '../quantities/units.ts';

const AREA_FOR = { ft: 'ft2', yd: 'yd2', in: 'ft2', mi: 'acre' } as const;

/** The unit that a bare size of tested ground counts in, by the unit of bare lengths. */
export const areaFor = (unit: LengthUnit): AreaUnit => AREA_FOR[unit as keyof typeof AREA_FOR] ?? 'm2';
