import type { PackageUnit } from '../loads/packages.ts';
import type { ScoopInput } from '../loads/scoop.ts';
import type { AreaUnit, MassPerAreaUnit, VolumePerAreaUnit } from '../quantities/units.ts';

/** Kinds of product: the words for them, whether they go by weight or by volume, and what they put on the ground. */
export const PRODUCT_KINDS = {
  'dry-fertilizer': { words: 'dry fertilizer', form: 'dry', puts: 'nutrient' },
  'soluble-fertilizer': { words: 'soluble fertilizer', form: 'dry', puts: 'nutrient' },
  'liquid-fertilizer': { words: 'liquid fertilizer', form: 'liquid', puts: 'nutrient' },
  'granular-carrier': { words: 'granular carrier', form: 'dry', puts: 'active ingredient' },
  'dry-deicer': { words: 'dry de-icer', form: 'dry', puts: 'de-icer' },
  'liquid-deicer': { words: 'liquid de-icer', form: 'liquid', puts: 'de-icer' },
} as const;

export type ProductKind = keyof typeof PRODUCT_KINDS;
export const PRODUCT_KIND_IDS = Object.keys(PRODUCT_KINDS) as ProductKind[];

/** A setting that the label prints for a machine, with the pace that it assumes. Free text: nobody's chart is known here. */
export interface LabelSetting {
  readonly machine: string;
  readonly setting: string;
  readonly pace: string;
}

/** What a label's percentages are of. */
export type GradeBasis = 'weight' | 'volume';

/** A rate of any product: by weight, or by volume for a liquid. */
export type RateUnit = MassPerAreaUnit | VolumePerAreaUnit;

/** A product as it was typed from its label: texts, and the unit that each bare number counts in. */
export interface ProductInput {
  readonly kind: ProductKind;
  readonly name: string;
  /** N-P2O5-K2O and secondary nutrients; empty for what feeds nothing. */
  readonly grade: string;
  /** What the label's percentages are of: of the weight, or grams in 100 mL as some liquids state them (w/v). */
  readonly gradeBasis: GradeBasis;
  /** Share of the nitrogen that is slow-release, percent. */
  readonly slowShare: string;
  readonly activeIngredient: string;
  /** Active ingredient in the product, percent by mass. */
  readonly load: string;
  /** Density of a liquid, bulk density of what is dry. */
  readonly density: { readonly text: string; readonly unit: 'kg/L' | 'g/L' | 'lb/gal' };
  readonly package: { readonly size: string; readonly unit: PackageUnit };
  /** Price of one package. */
  readonly price: string;
  /** Packages in stock; a part of one counts as a fraction. */
  readonly stock: string;
  /** Ground that one package covers by its label. */
  readonly coverage: { readonly size: string; readonly unit: AreaUnit };
  /** The label's own rates: lowest, highest, most at once, and most in a year. */
  readonly labelRate: {
    readonly low: string;
    readonly high: string;
    readonly mostAtOnce: string;
    readonly mostPerYear: string;
    readonly unit: RateUnit;
  };
  /** Spray volume that the label allows for what is mixed with water. */
  readonly carrier: { readonly low: string; readonly high: string; readonly unit: VolumePerAreaUnit };
  /** Least days between two applications. */
  readonly leastIntervalDays: string;
  readonly settings: readonly LabelSetting[];
  readonly scoop: ScoopInput;
  /** Number for the size of the grain, as the label gives it. */
  readonly grainSize: string;
  readonly lot: string;
  readonly notes: string;
}

/** An empty product in US or metric units. */
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
    carrier: { low: '', high: '', unit: us ? 'gal/1000 ft2' : 'L/ha' },
    leastIntervalDays: '',
    settings: [],
    scoop: { name: '', tare: '', weighings: [], unit: us ? 'lb' : 'kg' },
    grainSize: '',
    lot: '',
    notes: '',
  };
}

const METRIC = /^(kg|g|L|mL|t)\b/;

/**
 * A product as this version knows it, from one that an earlier version kept: what it did not know yet is blank.
 *
 * @example upgradeProduct({ kind: 'dry-fertilizer', name: 'Feed' }).grade // ''
 */
export function upgradeProduct(kept: Partial<ProductInput>): ProductInput {
  const kind = kept.kind ?? 'dry-fertilizer';
  const blank = blankProduct(kind, METRIC.test(kept.package?.unit ?? '') ? 'metric' : 'us');
  return {
    ...blank,
    ...kept,
    labelRate: { ...blank.labelRate, ...kept.labelRate },
  };
}
