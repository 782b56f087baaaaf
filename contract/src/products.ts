import { isUnitOf, KINDS, PRODUCT_KIND_IDS, readProduct, type ProductTyped } from '@steady-scatter/core';
import * as z from 'zod';
import { addInputErrors } from './inputIssues.ts';
import { areaUnit } from './worksheet.ts';

const text = z.string().max(400);

type PackageUnit = ProductTyped['package']['unit'];
type RateUnit = ProductTyped['labelRate']['unit'];

const eitherUnit = <Id extends string>(a: keyof typeof KINDS, b: keyof typeof KINDS) =>
  z.custom<Id>((id) => typeof id === 'string' && (isUnitOf(a, id) || isUnitOf(b, id)), {
    error: `This has to be a unit for ${KINDS[a].words} or for ${KINDS[b].words}.`,
  });

/** A product as typed from its label. Empty fields are allowed, wrong ones are not. */
export const productTyped = z
  .strictObject({
    kind: z.enum(PRODUCT_KIND_IDS),
    name: text,
    grade: text,
    slowShare: text,
    activeIngredient: text,
    load: text,
    density: z.strictObject({ text, unit: z.enum(['kg/L', 'g/L', 'lb/gal']) }),
    package: z.strictObject({ size: text, unit: eitherUnit<PackageUnit>('mass', 'volume') }),
    price: text,
    stock: text,
    coverage: z.strictObject({ size: text, unit: areaUnit }),
    labelRate: z.strictObject({
      low: text,
      high: text,
      mostPerYear: text,
      unit: eitherUnit<RateUnit>('massPerArea', 'volumePerArea'),
    }),
    leastIntervalDays: text,
    settings: z
      .array(z.strictObject({ machine: text, setting: text, pace: text }))
      .max(20)
      .readonly(),
    grainSize: text,
    lot: text,
    notes: z.string().max(4000),
  })
  .superRefine((typed, context) => addInputErrors(context, readProduct(typed).errors));

export const productId = z.uuid({ error: 'This has to be the id of a product.' });

/** A product as written: `version` is the one last seen, 0 for a new product. */
export const productWrite = z.strictObject({ version: z.int().min(0), typed: productTyped });

/** A product as kept. */
export const product = z.object({
  id: z.string(),
  version: z.int(),
  isSample: z.boolean(),
  typed: productTyped,
  changedAt: z.string(),
});

export type Product = z.infer<typeof product>;
export type ProductWrite = z.infer<typeof productWrite>;
