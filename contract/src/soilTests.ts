import { evaluateSoilTest, SOIL_NUTRIENTS, type SoilNutrient } from '@steady-scatter/core/need';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { massRateUnit, typedText as text } from './units.ts';

const needs = z.strictObject(
  Object.fromEntries(SOIL_NUTRIENTS.map((id) => [id, text])) as Record<SoilNutrient, typeof text>,
);

/** A soil test as typed from the laboratory's sheet. */
export const soilTestShape = z.strictObject({
  name: text,
  site: z.union([z.literal(''), z.uuid()]).default(''),
  area: z.union([z.literal(''), z.uuid()]).default(''),
  onDay: text,
  lab: text,
  needs,
  form: z.enum(['oxide', 'elemental']),
  unit: massRateUnit,
  ph: text,
  limeNote: z.string().max(4000),
  notes: z.string().max(4000),
});

export const soilTestResult = once(evaluateSoilTest);

/** The same as it may be kept: what is in it can be read. */
export const soilTestInput = soilTestShape.superRefine((typed, context) =>
  addInputErrors(context, soilTestResult(typed).errors),
);

export const soilTestWrite = writeOf(soilTestInput);
export const soilTest = keptOf(soilTestShape);

export type SoilTest = z.infer<typeof soilTest>;
export type SoilTestWrite = z.infer<typeof soilTestWrite>;
