import {
  CATCH_KINDS,
  MODE_IDS,
  MAX_ROWS,
  MAX_TRAYS,
  evaluateWidthTest,
  WAY_IDS,
  type CatchKind,
} from '@steady-scatter/core/width';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { lengthUnit, massUnit, typedText as text } from './units.ts';

const idOrNone = z.union([z.literal(''), z.uuid()]);
const length = z.strictObject({ text, unit: lengthUnit });

/** A width test as typed: how far it throws, what trays across the throw caught, and the spacing that was accepted. */
export const widthTestShape = z.strictObject({
  name: text,
  rig: idOrNone,
  product: text,
  setting: text,
  second: text,
  onDay: text,
  pace: z.strictObject({ course: text, unit: lengthUnit, time: text }),
  way: z.enum(WAY_IDS),
  throw: length,
  deflector: z.boolean(),
  layout: z.strictObject({
    count: text,
    spacing: text,
    gap: text,
    positions: z.string().max(4000),
    unit: lengthUnit,
  }),
  tray: z.strictObject({ length: text, width: text, unit: lengthUnit }),
  passes: text,
  kind: z.enum(Object.keys(CATCH_KINDS) as [CatchKind, ...CatchKind[]]),
  unit: massUnit,
  scaleStep: text,
  rows: z.array(z.array(text).max(MAX_TRAYS).readonly()).max(MAX_ROWS).readonly(),
  limit: text,
  mode: z.enum(MODE_IDS),
  looked: length,
  calibration: idOrNone,
  before: idOrNone,
  answers: z.array(z.string().max(500)).max(500).readonly(),
  accepted: z.strictObject({ text, unit: lengthUnit, onDay: text, by: text }).nullable(),
  notes: z.string().max(4000),
});

export const widthTestResult = once(evaluateWidthTest);

/** The same as it may be kept: what is in it can be read. */
export const widthTestInput = widthTestShape.superRefine((typed, context) =>
  addInputErrors(context, widthTestResult(typed).errors),
);

export const widthTestWrite = writeOf(widthTestInput);
export const widthTest = keptOf(widthTestShape);

export type WidthTest = z.infer<typeof widthTest>;
export type WidthTestWrite = z.infer<typeof widthTestWrite>;
