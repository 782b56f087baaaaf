import { message } from '../messages/message.ts';
import * as z from 'zod';
import {
  areaUnit,
  idOrNone,
  keyOf,
  lengthText,
  massRateUnit,
  mateUnit,
  ownIds,
  packageUnit,
  rateUnit,
  text,
  volumeRateUnit,
  volumeUnit,
  type InputOf,
} from '../fields/schema.ts';
import { NUTRIENT_IDS } from '../need/nutrients.ts';
import { blankProduct, productInput } from '../products/product.ts';
import { NEED_OF } from '../products/wanted.ts';

/** Most rows that one worksheet holds. */
export const MAX_AREAS = 200;

/** Ids of a site and of one of its areas. */
const areaOrigin = z.object({ site: z.uuid(), area: z.uuid() });
export type AreaOrigin = InputOf<typeof areaOrigin>;

/** One row of ground as typed; `id` keeps the row's identity while it moves. */
const areaInput = z.object({
  id: z.uuid(),
  name: z.string().max(120),
  size: text,
  unit: areaUnit,
  /** The area of a site that this was chosen from: its size is that of the choosing. Not there when typed by hand. */
  from: areaOrigin.optional(),
});
export type AreaInput = InputOf<typeof areaInput>;

/** What else goes into a tank: so much on the ground, or in each volume of the mix. */
const mateInput = z.object({ id: z.uuid(), product: productInput, amount: text, unit: mateUnit });
export type MateInput = InputOf<typeof mateInput>;
const MAX_MATES = 6;

/** Units that worked-out values are shown in; null follows what was typed. */
export const shownIn = z.object({
  rate: rateUnit.nullable(),
  amount: packageUnit.nullable(),
  area: areaUnit.nullable(),
});
export type ShownIn = InputOf<typeof shownIn>;

/** Everything that a person typed on one worksheet: texts, and the unit each bare number counts in. */
export const worksheetInput = z.object({
  need: z.object({ nutrient: keyOf(NEED_OF), amount: text, unit: rateUnit }),
  /** The label as it stood when it was put on this sheet. */
  product: productInput,
  areas: z
    .array(areaInput)
    .max(MAX_AREAS)
    .refine(ownIds, { params: { sentence: message('errors.ownIds') } }),
  /** Spray volume: of the finished mix, or of the water alone that the product is added to. */
  carrier: z.object({ amount: text, unit: volumeRateUnit, means: z.enum(['mix', 'water']) }),
  /**
   * In how many portions the whole is put down, and how many days apart; empty: all at once. Each portion goes over the ground once,
   * or in two directions at right angles with half of it each.
   */
  split: z.object({ portions: text, everyDays: text, directions: z.enum(['one', 'two']) }),
  /** What the crew's rules are held against besides this sheet. */
  rules: z.object({
    /** Id of the rule set; empty: none. */
    setId: idOrNone,
    /** Id of the soil test that this sheet goes by; empty: none, or one that is known by its day alone. */
    soilTest: idOrNone,
    /** Day of the latest soil test of this ground, year-month-day; empty: none. */
    soilTestDay: text,
    /** Put down earlier this year. */
    soFar: z.array(z.object({ nutrient: z.enum(NUTRIENT_IDS), amount: text })).max(NUTRIENT_IDS.length),
    unit: massRateUnit,
  }),
  /** The machine's chart that this sheet is spread by, and the spacing it is passed at. */
  spread: z.object({
    /** Id of a calibration; empty: none chosen. */
    calibration: idOrNone,
    width: lengthText,
    /** The chart is worked out for this sheet's spacing instead of its own. */
    recomputed: z.boolean(),
    /** How long one row is, for refills; empty: not said. */
    rowLength: lengthText,
    /** The product of the sheet and that of the chart are one under two names: both as they were called then; empty: not said. */
    sameProduct: text,
  }),
  /** What the tank is filled to; empty: what that of the machine holds. And how warm the water is. */
  tank: z.object({
    size: text,
    unit: volumeUnit,
    water: text,
    waterUnit: z.enum(['degC', 'degF']),
    /** The chart of what sprays, where the sheet’s own chart is of granules; empty: the sheet’s own. */
    calibration: idOrNone,
  }),
  /** What else goes into the tank, or down at the same time. */
  mates: z.array(mateInput).max(MAX_MATES),
  shownIn,
  /** Questions that were answered with yes, by id: what was typed stands. */
  confirmed: z.array(text).max(1000),
});
export type WorksheetInput = InputOf<typeof worksheetInput>;
export type CarrierInput = WorksheetInput['carrier'];
export type SplitInput = WorksheetInput['split'];
export type RuleFactsInput = WorksheetInput['rules'];
export type SpreadInput = WorksheetInput['spread'];

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
    need: { nutrient: 'N', amount: '', unit },
    product: blankProduct('dry-fertilizer', system),
    areas: [{ id: firstAreaId, name: '', size: '', unit: us ? 'ft2' : 'm2' }],
    carrier: { amount: '', unit: us ? 'gal/1000 ft2' : 'L/ha', means: 'mix' },
    split: { portions: '', everyDays: '', directions: 'one' },
    rules: { setId: '', soilTest: '', soilTestDay: '', soFar: [], unit },
    spread: {
      calibration: '',
      width: { text: '', unit: us ? 'ft' : 'm' },
      recomputed: false,
      rowLength: { text: '', unit: us ? 'ft' : 'm' },
      sameProduct: '',
    },
    tank: { size: '', unit: us ? 'gal' : 'L', water: '', waterUnit: us ? 'degF' : 'degC', calibration: '' },
    mates: [],
    shownIn: AS_TYPED,
    confirmed: [],
  };
}
