import { evaluateRig, RIG_KIND_IDS } from '@steady-scatter/core/rigs';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { lengthUnit, massUnit, typedText as text } from './units.ts';

const lines = z.array(text).max(60).readonly();

const scale = z.strictObject({
  name: text,
  style: z.enum(['numbers', 'letters', 'own']),
  from: text,
  to: text,
  step: text,
  own: z.string().max(4000),
  closed: text,
  firstFlow: text,
  readAt: text,
});

/** A machine as typed. */
export const rigShape = z.strictObject({
  name: text,
  kind: z.enum(RIG_KIND_IDS),
  control: scale,
  second: scale,
  outlets: z.strictObject({ count: text, feeds: z.enum(['one-row', 'own-rows']) }),
  hopper: z.strictObject({ size: text, unit: massUnit }),
  width: z.strictObject({ text, unit: lengthUnit }),
  pace: z.strictObject({ course: text, unit: lengthUnit, time: text }),
  before: lines,
  after: lines,
  services: z
    .array(z.strictObject({ id: z.string().max(60), onDay: text, what: text, dueDay: text }))
    .max(200)
    .readonly(),
  notes: z.string().max(4000),
});

export const rigResult = once(evaluateRig);

/** The same as it may be kept: what is in it can be read. */
export const rigInput = rigShape.superRefine((typed, context) =>
  addInputErrors(context, rigResult(typed).errors),
);

export const rigWrite = writeOf(rigInput);
export const rig = keptOf(rigShape);

export type Rig = z.infer<typeof rig>;
export type RigWrite = z.infer<typeof rigWrite>;
