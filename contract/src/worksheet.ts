import { NUTRIENT_IDS } from '@steady-scatter/core/need';
import { NEED_OF_IDS } from '@steady-scatter/core/shelf';
import { answerWorksheet, AS_TYPED, MAX_AREAS } from '@steady-scatter/core/worksheet';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { productFacts } from './products.ts';
import {
  areaUnit,
  lengthUnit,
  massRateUnit,
  packageUnit,
  rateUnit,
  typedText,
  volumeRateUnit,
} from './units.ts';

const areaTyped = z.strictObject({
  id: z.uuid(),
  name: z.string().max(120),
  size: typedText,
  unit: areaUnit,
  from: z.strictObject({ site: z.uuid(), area: z.uuid() }).optional(),
});

/** A worksheet as typed, its texts not looked at yet. */
export const worksheetShape = z.strictObject({
  need: z.strictObject({ of: z.enum(NEED_OF_IDS), amount: typedText, unit: rateUnit }),
  product: productFacts,
  areas: z
    .array(areaTyped)
    .max(MAX_AREAS)
    .refine((areas) => new Set(areas.map(({ id }) => id)).size === areas.length, {
      error: 'Each area has to have an id of its own.',
    })
    .readonly(),
  carrier: z.strictObject({ amount: typedText, unit: volumeRateUnit, means: z.enum(['mix', 'water']).default('mix') }), // prettier-ignore
  split: z.strictObject({ portions: typedText, everyDays: typedText, directions: z.enum(['one', 'two']).default('one') }), // prettier-ignore
  rules: z.strictObject({
    setId: z.union([z.literal(''), z.uuid()]),
    soilTest: z.union([z.literal(''), z.uuid()]).default(''),
    soilTestDay: typedText,
    soFar: z
      .array(z.strictObject({ nutrient: z.enum(NUTRIENT_IDS), amount: typedText }))
      .max(NUTRIENT_IDS.length)
      .readonly(),
    unit: massRateUnit,
  }),
  spread: z.strictObject({
    calibration: z.union([z.literal(''), z.uuid()]),
    width: z.strictObject({ text: typedText, unit: lengthUnit }),
    recomputed: z.boolean(),
    sameProduct: z.string().max(400).default(''),
  }),
  shownIn: z.strictObject({
    rate: rateUnit.nullable(),
    amount: packageUnit.nullable(),
    area: areaUnit.nullable(),
  }),
  confirmed: z.array(z.string().max(400)).max(1000).readonly().default([]),
});

export const worksheetAnswer = once((typed: z.infer<typeof worksheetShape>) =>
  answerWorksheet(typed, AS_TYPED),
);

/** The same as it may be kept. Empty fields are allowed, wrong ones are not: each carries core's own sentence. */
export const worksheet = worksheetShape.superRefine((typed, context) =>
  addInputErrors(context, worksheetAnswer(typed).errors),
);
