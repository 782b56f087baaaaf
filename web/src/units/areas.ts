import type { AreaUnit } from '@steady-scatter/core/quantities';

/** Areas that ground is measured in. */
export const AREA_CHOICES = ['ft2', 'm2', 'yd2', 'acre', 'ha'] as const satisfies readonly AreaUnit[];
