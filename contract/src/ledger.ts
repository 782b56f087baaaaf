import { LEDGER_NUTRIENTS, type LedgerNutrient } from '@steady-scatter/core/need';
import * as z from 'zod';

const day = z.iso.date({ error: 'This has to be a day, for example 2026-04-18.' });

/** Between two days; of some areas or one site, or of all; without what was recorded for one job. */
export const ledgerQuery = z.strictObject({
  from: day,
  to: day,
  /** Keys of areas: their ids, separated by commas. */
  areas: z
    .string()
    .transform((keys) => keys.split(','))
    .pipe(z.array(z.string().min(1).max(80)).min(1).max(400))
    .optional(),
  /** Sums of each month, or of all the days together: then their month is empty. */
  by: z.enum(['month', 'span']).default('span'),
  site: z.uuid().optional(),
  without: z.uuid().optional(),
});
export type LedgerQuery = z.output<typeof ledgerQuery>;

const nutrients = z.object(
  Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [nutrient, z.number()])) as Record<
    LedgerNutrient,
    z.ZodNumber
  >,
);

const sums = z.object({
  month: z.string(),
  count: z.int(),
  perM2: nutrients,
  quickNPerM2: z.number(),
  kg: nutrients,
  aiKg: z.number(),
  saltKg: z.number(),
  chlorideKg: z.number(),
  cents: z.number(),
  withoutPrice: z.int(),
});

/** One area in the ledger. */
export const ledgerArea = z.object({
  areaKey: z.string(),
  area: z.string(),
  site: z.string(),
  areaName: z.string(),
  siteName: z.string(),
  lastDay: z.string(),
  months: z.array(sums).readonly(),
  products: z
    .array(
      z.object({
        key: z.string(),
        name: z.string(),
        count: z.int(),
        lastDay: z.string(),
        days: z.array(z.string()).readonly(),
        siPerM2: z.number(),
      }),
    ) // prettier-ignore
    .readonly(),
});
