import type { Nutrient } from '../need/nutrients.ts';
import type { AreaUnit, MassPerAreaUnit, MassUnit } from '../quantities/units.ts';

/** One row of ground as typed; `id` keeps the row's identity while it moves. */
export interface AreaTyped {
  readonly id: string;
  readonly name: string;
  readonly size: string;
  readonly unit: AreaUnit;
}

/** Units that worked-out values are shown in; null follows what was typed. */
export interface ShownIn {
  readonly rate: MassPerAreaUnit | null;
  readonly amount: MassUnit | null;
  readonly area: AreaUnit | null;
}

/** Everything that a person typed on one worksheet: texts, and the unit each bare number counts in. */
export interface WorksheetTyped {
  readonly need: { readonly nutrient: Nutrient; readonly amount: string; readonly unit: MassPerAreaUnit };
  readonly grade: string;
  readonly areas: readonly AreaTyped[];
  readonly package: { readonly size: string; readonly unit: MassUnit };
  /** Ground that one package covers by its label; with the package it is the label's own rate. */
  readonly coverage: { readonly size: string; readonly unit: AreaUnit };
  readonly shownIn: ShownIn;
}

/** Most rows that one worksheet holds. */
export const MOST_AREAS = 200;

/** Nothing overridden: worked-out values follow the units that were typed. */
export const AS_TYPED: ShownIn = { rate: null, amount: null, area: null };

/**
 * An empty worksheet in US or metric units.
 *
 * @param firstAreaId id of the one empty row
 * @example blankWorksheet('metric', 'a').need.unit // 'kg/ha'
 */
export function blankWorksheet(system: 'us' | 'metric', firstAreaId: string): WorksheetTyped {
  const us = system === 'us';
  return {
    need: { nutrient: 'N', amount: '', unit: us ? 'lb/1000 ft2' : 'kg/ha' },
    grade: '',
    areas: [{ id: firstAreaId, name: '', size: '', unit: us ? 'ft2' : 'm2' }],
    package: { size: '', unit: us ? 'lb' : 'kg' },
    coverage: { size: '', unit: us ? 'ft2' : 'm2' },
    shownIn: AS_TYPED,
  };
}
