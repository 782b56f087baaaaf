import * as z from 'zod';
import {
  areaUnit,
  notes,
  packageUnit,
  rateUnit,
  text,
  volumeRateUnit,
  type InputOf,
} from '../fields/schema.ts';
import { scoopInput } from '../loads/scoopInput.ts';
import { SALT_IDS } from '../wet/salts.ts';
import { blankLimits, conditionLimits } from './conditionLimits.ts';
import { blankDeicer, deicerInput } from './deicer.ts';
import type { MassPerAreaUnit, VolumePerAreaUnit } from '../quantities/units.ts';

/** Kinds of product: the words for them, whether they go by weight or by volume, and what they put on the ground. */
export const PRODUCT_KINDS = {
  'dry-fertilizer': { form: 'dry', puts: 'nutrient' },
  'soluble-fertilizer': { form: 'dry', puts: 'nutrient' },
  'liquid-fertilizer': { form: 'liquid', puts: 'nutrient' },
  'granular-carrier': { form: 'dry', puts: 'active-ingredient' },
  'dry-deicer': { form: 'dry', puts: 'de-icer' },
  'liquid-deicer': { form: 'liquid', puts: 'de-icer' },
} as const;

export type ProductKind = keyof typeof PRODUCT_KINDS;
export const PRODUCT_KIND_IDS = Object.keys(PRODUCT_KINDS) as ProductKind[];

/** A rate of any product: by weight, or by volume for a liquid. */
export type RateUnit = MassPerAreaUnit | VolumePerAreaUnit;

/** A product as it was typed from its label: texts, and the unit that each bare number counts in. */
export const productInput = z.object({
  kind: z.enum(PRODUCT_KIND_IDS),
  name: text,
  /** N-P2O5-K2O and secondary nutrients; empty for what feeds nothing. */
  grade: text,
  /** What the label's percentages are of: of the weight, or grams in 100 mL as some liquids state them (w/v). */
  gradeBasis: z.enum(['weight', 'volume']),
  /** Share of the nitrogen that is slow-release, percent. */
  slowShare: text,
  activeIngredient: text,
  /** Active ingredient in the product, percent by mass. */
  load: text,
  /** Density of a liquid, bulk density of what is dry. */
  density: z.object({ text, unit: z.enum(['kg/L', 'g/L', 'lb/gal']) }),
  package: z.object({ size: text, unit: packageUnit }),
  /** Price of one package. */
  price: text,
  /** Packages in stock; a part of one counts as a fraction. */
  stock: text,
  /** Ground that one package covers by its label. */
  coverage: z.object({ size: text, unit: areaUnit }),
  /** The label's own rates: lowest, highest, most at once, and most in a year. */
  labelRate: z.object({ low: text, high: text, mostAtOnce: text, mostPerYear: text, unit: rateUnit }),
  /** Spray volume that the label allows for what is mixed with water. */
  carrier: z.object({
    low: text,
    high: text,
    unit: volumeRateUnit,
    /** Whether it means finished mix or the water alone; empty: the label does not say. */
    means: z.enum(['', 'mix', 'water']),
  }),
  /** What it is, where it is dissolved: one of the salts whose solubility is known; empty: another one. */
  salt: z.enum(['', ...SALT_IDS]),
  /** Grams of it that 100 g water hold, where the label says so. */
  solubility: text,
  /** Least days between two applications. */
  leastIntervalDays: text,
  /** What it may not go out in. */
  limits: conditionLimits,
  /** Settings that the label prints for machines, with the pace that each assumes. Free text: nobody's chart is known here. */
  settings: z.array(z.object({ machine: text, setting: text, pace: text })).max(20),
  scoop: scoopInput,
  /** Number for the size of the grain, as the label gives it. */
  grainSize: text,
  lot: text,
  deicer: deicerInput,
  notes,
});
export type ProductInput = InputOf<typeof productInput>;
export type LabelSetting = ProductInput['settings'][number];
export type GradeBasis = ProductInput['gradeBasis'];

/**
 * An empty product in US or metric units.
 *
 * @example blankProduct('liquid-fertilizer', 'us').package.unit // 'gal'
 */
export function blankProduct(kind: ProductKind, system: 'us' | 'metric'): ProductInput {
  const us = system === 'us';
  const liquid = PRODUCT_KINDS[kind].form === 'liquid';
  const dryUnits = us ? { pack: 'lb', rate: 'lb/1000 ft2' } as const : { pack: 'kg', rate: 'kg/ha' } as const; // prettier-ignore
  const wetUnits = us ? { pack: 'gal', rate: 'fl oz/1000 ft2' } as const : { pack: 'L', rate: 'L/ha' } as const; // prettier-ignore
  const { pack, rate } = liquid ? wetUnits : dryUnits;
  return {
    kind,
    name: '',
    grade: '',
    gradeBasis: 'weight',
    slowShare: '',
    activeIngredient: '',
    load: '',
    density: { text: '', unit: us ? 'lb/gal' : 'kg/L' },
    package: { size: '', unit: pack },
    price: '',
    stock: '',
    coverage: { size: '', unit: us ? 'ft2' : 'm2' },
    labelRate: { low: '', high: '', mostAtOnce: '', mostPerYear: '', unit: rate },
    carrier: { low: '', high: '', unit: us ? 'gal/1000 ft2' : 'L/ha', means: '' },
    salt: '',
    solubility: '',
    leastIntervalDays: '',
    limits: blankLimits(system),
    settings: [],
    scoop: { name: '', tare: '', weighings: [], unit: us ? 'lb' : 'kg' },
    grainSize: '',
    lot: '',
    deicer: blankDeicer(system),
    notes: '',
  };
}
