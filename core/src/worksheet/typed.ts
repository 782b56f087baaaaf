import { blankProduct, type ProductTyped, type RateUnit } from '../shelf/product.ts';
import type { NeedOf } from '../shelf/wanted.ts';
import type { PackageUnit } from '../loads/packages.ts';
import type { Nutrient } from '../need/nutrients.ts';
import type { AreaUnit, LengthUnit, MassPerAreaUnit, VolumePerAreaUnit } from '../quantities/units.ts';

/** One row of ground as typed; `id` keeps the row's identity while it moves. */
export interface AreaTyped {
  readonly id: string;
  readonly name: string;
  readonly size: string;
  readonly unit: AreaUnit;
  /** The area of a site that this was chosen from: its size is that of the choosing. Not there when typed by hand. */
  readonly from?: AreaOrigin | undefined;
}

/** Ids of a site and of one of its areas. */
export interface AreaOrigin {
  readonly site: string;
  readonly area: string;
}

/** Units that worked-out values are shown in; null follows what was typed. */
export interface ShownIn {
  readonly rate: RateUnit | null;
  readonly amount: PackageUnit | null;
  readonly area: AreaUnit | null;
}

/** In how many portions the whole is put down, and how many days apart; empty: all at once. */
export interface SplitTyped {
  readonly portions: string;
  readonly everyDays: string;
}

/** What the crew's rules are held against besides this sheet. */
export interface RuleFactsTyped {
  /** Id of the rule set; empty: none. */
  readonly setId: string;
  /** Day of the latest soil test of this ground, year-month-day; empty: none. */
  readonly soilTestDay: string;
  /** Put down earlier this year. */
  readonly soFar: readonly { readonly nutrient: Nutrient; readonly amount: string }[];
  readonly unit: MassPerAreaUnit;
}

/** The machine's chart that this sheet is spread by, and the spacing it is passed at. */
export interface SpreadTyped {
  /** Id of a calibration; empty: none chosen. */
  readonly calibration: string;
  readonly width: { readonly text: string; readonly unit: LengthUnit };
  /** The chart is worked out for this sheet's spacing instead of its own. */
  readonly recomputed: boolean;
}

/** Everything that a person typed on one worksheet: texts, and the unit each bare number counts in. */
export interface WorksheetTyped {
  readonly need: { readonly of: NeedOf; readonly amount: string; readonly unit: RateUnit };
  /** The label as it stood when it was put on this sheet. */
  readonly product: ProductTyped;
  readonly areas: readonly AreaTyped[];
  /** Finished spray mix per area, for what is mixed with water. */
  readonly carrier: { readonly amount: string; readonly unit: VolumePerAreaUnit };
  readonly split: SplitTyped;
  readonly rules: RuleFactsTyped;
  readonly spread: SpreadTyped;
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
  const unit = us ? 'lb/1000 ft2' : 'kg/ha';
  return {
    need: { of: 'N', amount: '', unit },
    product: blankProduct('dry-fertilizer', system),
    areas: [{ id: firstAreaId, name: '', size: '', unit: us ? 'ft2' : 'm2' }],
    carrier: { amount: '', unit: us ? 'gal/1000 ft2' : 'L/ha' },
    split: { portions: '', everyDays: '' },
    rules: { setId: '', soilTestDay: '', soFar: [], unit },
    spread: { calibration: '', width: { text: '', unit: us ? 'ft' : 'm' }, recomputed: false },
    shownIn: AS_TYPED,
  };
}
