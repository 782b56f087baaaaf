import { PRODUCT_KIND_IDS, evaluateProduct } from '@steady-scatter/core/shelf';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { areaUnit, massUnit, packageUnit, rateUnit, typedText as text, volumeRateUnit } from './units.ts';

/** A label as typed, its texts not looked at yet. */
export const productFacts = z.strictObject({
  kind: z.enum(PRODUCT_KIND_IDS),
  name: text,
  grade: text,
  gradeBasis: z.enum(['weight', 'volume']),
  slowShare: text,
  activeIngredient: text,
  load: text,
  density: z.strictObject({ text, unit: z.enum(['kg/L', 'g/L', 'lb/gal']) }),
  package: z.strictObject({ size: text, unit: packageUnit }),
  price: text,
  stock: text,
  coverage: z.strictObject({ size: text, unit: areaUnit }),
  labelRate: z.strictObject({ low: text, high: text, mostAtOnce: text, mostPerYear: text, unit: rateUnit }),
  carrier: z.strictObject({ low: text, high: text, unit: volumeRateUnit }),
  leastIntervalDays: text,
  settings: z
    .array(z.strictObject({ machine: text, setting: text, pace: text }))
    .max(20)
    .readonly(),
  scoop: z.strictObject({
    name: text,
    tare: text,
    weighings: z.array(text).max(50).readonly(),
    unit: massUnit,
  }),
  grainSize: text,
  lot: text,
  notes: z.string().max(4000),
});

export const productResult = once(evaluateProduct);

/** A product of the shelf. Empty fields are allowed, wrong ones are not. */
export const productInput = productFacts.superRefine((typed, context) =>
  addInputErrors(context, productResult(typed).errors),
);

export const productWrite = writeOf(productInput);
export const product = keptOf(productFacts);

/** Most products in one batch: what fits the size of a request. */
export const MAX_IN_BATCH = 500;

/** New products, all at once. */
export const productBatch = z.strictObject({
  products: z
    .array(z.strictObject({ id: z.uuid(), typed: productInput }))
    .min(1)
    .max(MAX_IN_BATCH),
});
/** Ids of products that are to go, all at once. */
export const productIds = z.strictObject({ ids: z.array(z.uuid()).min(1).max(5000) });

export type Product = z.infer<typeof product>;
export type ProductWrite = z.infer<typeof productWrite>;
export type ProductBatch = z.infer<typeof productBatch>;
