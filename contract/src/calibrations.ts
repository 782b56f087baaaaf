import { METHOD_IDS, MOST_RUNS, NO_SCALE, readCalibration } from '@steady-scatter/core';
import * as z from 'zod';
import { addInputErrors } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { lengthUnit, massRateUnit, massUnit, typedText as text } from './units.ts';

const run = z.strictObject({
  id: z.string().min(1).max(60),
  onDay: text,
  setting: text,
  method: z.enum(METHOD_IDS),
  readings: z.record(z.string().max(40), text),
  struck: text,
  note: text,
});

/** A machine calibrated for a product, as typed. The scale of a machine is its own: here only the readings are checked. */
export const calibrationTyped = z
  .strictObject({
    name: text,
    rig: z.union([z.literal(''), z.uuid()]),
    product: text,
    lot: text,
    target: z.strictObject({ amount: text, unit: massRateUnit }),
    tolerance: text,
    isCeiling: z.boolean(),
    start: z.enum(['low', 'middle']),
    width: z.strictObject({ text, unit: lengthUnit, by: z.enum(['measured', 'chosen']) }),
    scaleStep: text,
    units: z.strictObject({ mass: massUnit, length: lengthUnit }),
    runs: z.array(run).max(MOST_RUNS).readonly(),
    signOff: z.strictObject({ setting: text, onDay: text, by: text }).nullable(),
    notes: z.string().max(4000),
  })
  .superRefine((typed, context) => addInputErrors(context, readCalibration(typed, NO_SCALE, null).errors));

export const calibrationWrite = writeOf(calibrationTyped);
export const calibration = keptOf(calibrationTyped);

export type Calibration = z.infer<typeof calibration>;
export type CalibrationWrite = z.infer<typeof calibrationWrite>;
