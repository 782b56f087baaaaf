import { blankProduct, upgradeProduct, type ProductInput, type RateUnit } from '../shelf/product.ts';
import type { NeedOf } from '../shelf/wanted.ts';
import type { PackageUnit } from '../loads/packages.ts';
import type { Nutrient } from '../need/nutrients.ts';
import type { AreaUnit, LengthUnit, MassPerAreaUnit, VolumePerAreaUnit } from '../quantities/units.ts';

/** One row of ground as typed; `id` keeps the row's identity while it moves. */
export interface AreaInput {
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

/**
 * In how many portions the whole is put down, and how many days apart; empty: all at once. Each portion goes over the ground once,
 * or in two directions at right angles with half of it each.
 */
export interface SplitInput {
  readonly portions: string;
  readonly everyDays: string;
  readonly directions: 'one' | 'two';
}

/** Spray volume: of the finished mix, or of the water alone that the product is added to. */
export interface CarrierInput {
  readonly amount: string;
  readonly unit: VolumePerAreaUnit;
  readonly means: 'mix' | 'water';
}

/** What the crew's rules are held against besides this sheet. */
export interface RuleFactsInput {
  /** Id of the rule set; empty: none. */
  readonly setId: string;
  /** Id of the soil test that this sheet goes by; empty: none, or one that is known by its day alone. */
  readonly soilTest: string;
  /** Day of the latest soil test of this ground, year-month-day; empty: none. */
  readonly soilTestDay: string;
  /** Put down earlier this year. */
  readonly soFar: readonly { readonly nutrient: Nutrient; readonly amount: string }[];
  readonly unit: MassPerAreaUnit;
}

/** The machine's chart that this sheet is spread by, and the spacing it is passed at. */
export interface SpreadInput {
  /** Id of a calibration; empty: none chosen. */
  readonly calibration: string;
  readonly width: { readonly text: string; readonly unit: LengthUnit };
  /** The chart is worked out for this sheet's spacing instead of its own. */
  readonly recomputed: boolean;
  /** The product of the sheet and that of the chart are one under two names: both as they were called then; empty: not said. */
  readonly sameProduct: string;
}

/** Everything that a person typed on one worksheet: texts, and the unit each bare number counts in. */
export interface WorksheetInput {
  readonly need: { readonly of: NeedOf; readonly amount: string; readonly unit: RateUnit };
  /** The label as it stood when it was put on this sheet. */
  readonly product: ProductInput;
  readonly areas: readonly AreaInput[];
  /** Finished spray mix per area, for what is mixed with water. */
  readonly carrier: CarrierInput;
  readonly split: SplitInput;
  readonly rules: RuleFactsInput;
  readonly spread: SpreadInput;
  readonly shownIn: ShownIn;
  /** Questions that were answered with yes, by id: what was typed stands. */
  readonly confirmed: readonly string[];
}

/** Most rows that one worksheet holds. */
export const MAX_AREAS = 200;

/** Nothing overridden: worked-out values follow the units that were typed. */
export const AS_TYPED: ShownIn = { rate: null, amount: null, area: null };

/**
 * An empty worksheet in US or metric units.
 *
 * @param firstAreaId id of the one empty row
 * @example blankWorksheet('metric', 'a').need.unit // 'kg/ha'
 */
export function blankWorksheet(system: 'us' | 'metric', firstAreaId: string): WorksheetInput {
  const us = system === 'us';
  const unit = us ? 'lb/1000 ft2' : 'kg/ha';
  return {
    need: { of: 'N', amount: '', unit },
    product: blankProduct('dry-fertilizer', system),
    areas: [{ id: firstAreaId, name: '', size: '', unit: us ? 'ft2' : 'm2' }],
    carrier: { amount: '', unit: us ? 'gal/1000 ft2' : 'L/ha', means: 'mix' },
    split: { portions: '', everyDays: '', directions: 'one' },
    rules: { setId: '', soilTest: '', soilTestDay: '', soFar: [], unit },
    spread: {
      calibration: '',
      width: { text: '', unit: us ? 'ft' : 'm' },
      recomputed: false,
      sameProduct: '',
    },
    shownIn: AS_TYPED,
    confirmed: [],
  };
}

/** A sheet of an earlier version: what it did not know yet is missing, here and in its parts. */
export type EarlierWorksheet = { readonly [K in keyof WorksheetInput]?: Partial<WorksheetInput[K]> };

/**
 * A worksheet as this version knows it, from one that an earlier version kept: what it did not know yet is blank.
 *
 * @example upgradeWorksheet({ split: { portions: '2', everyDays: '28' } }).split.directions // 'one'
 */
export function upgradeWorksheet(kept: EarlierWorksheet): WorksheetInput {
  const blank = blankWorksheet(kept.need?.unit?.startsWith('kg') ? 'metric' : 'us', '');
  const part = <K extends 'need' | 'carrier' | 'split' | 'rules' | 'spread'>(name: K): WorksheetInput[K] => ({ ...blank[name], ...kept[name] }); // prettier-ignore
  return {
    need: part('need'),
    product: upgradeProduct(kept.product ?? blank.product),
    areas: (kept.areas as WorksheetInput['areas'] | undefined) ?? blank.areas,
    carrier: part('carrier'),
    split: part('split'),
    rules: part('rules'),
    spread: part('spread'),
    shownIn: { ...AS_TYPED, ...kept.shownIn },
    confirmed: (kept.confirmed as readonly string[] | undefined) ?? [],
  };
}
