import { toResult } from '@steady-scatter/core/errors';
import {
  checkTestsFile,
  METHOD_IDS,
  MAX_RUNS,
  evaluateCalibration,
  STARTS,
  TESTS_FORMAT,
} from '@steady-scatter/core/testing';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { rigInput } from './rigs.ts';
import { lengthUnit, massRateUnit, massUnit, typedText as text } from './units.ts';

const width = z.strictObject({ text, unit: lengthUnit, by: z.enum(['measured', 'chosen']) });
const pace = z.strictObject({ course: text, unit: lengthUnit, time: text });
const idOrNone = z.union([z.literal(''), z.uuid()]);

const run = z.strictObject({
  id: z.string().min(1).max(60),
  onDay: text,
  setting: text,
  method: z.enum(METHOD_IDS),
  readings: z.record(z.string().max(40), text),
  earlier: z
    .array(z.strictObject({ field: z.string().max(40), text, why: text }))
    .max(200)
    .readonly(),
  width: width.nullable(),
  container: text,
  step: z.string().max(20),
  checked: z.array(text).max(120).readonly(),
  noFlow: z.boolean().default(false),
  struck: text,
  note: text,
});

const signOff = z.strictObject({
  setting: text,
  onDay: text,
  by: text,
  state: text,
  pace,
  width,
  second: text,
  lot: text,
  grain: text,
});

const tools = z.strictObject({
  scale: z.enum(['machine', 'small', 'none']),
  tarp: z.boolean(),
  floor: z.boolean(),
  tray: z.boolean(),
  ground: z.boolean(),
  helper: z.boolean(),
  wind: z.boolean(),
});

/** A machine calibrated for a product, as typed. The scale of a machine is its own: here only the readings are checked. */
export const calibrationShape = z.strictObject({
  name: text,
  rig: idOrNone,
  product: text,
  productId: idOrNone,
  lot: text,
  grain: text,
  target: z.strictObject({ amount: text, unit: massRateUnit }),
  tolerance: text,
  isCeiling: z.boolean(),
  start: z.enum(Object.keys(STARTS) as [keyof typeof STARTS, ...(keyof typeof STARTS)[]]),
  label: z.strictObject({
    pace: text,
    lines: z
      .array(z.strictObject({ setting: text, amount: text }))
      .max(60)
      .readonly(),
  }),
  shape: idOrNone,
  width,
  pace,
  second: text,
  firstFlow: text,
  tools,
  scaleStep: text,
  units: z.strictObject({ mass: massUnit, length: lengthUnit }),
  runs: z.array(run).max(MAX_RUNS).readonly(),
  answers: z.array(z.string().max(200)).max(1000).readonly(),
  signOff: signOff.nullable(),
  notes: z.string().max(4000),
});

export const calibrationResult = once(evaluateCalibration);

/** The same as it may be kept: what is in it can be read. */
export const calibrationInput = calibrationShape.superRefine((typed, context) =>
  addInputErrors(context, calibrationResult(typed).errors),
);

export const calibrationWrite = writeOf(calibrationInput);
export const calibration = keptOf(calibrationShape);

/** A file of tests: machines and their calibrations, as typed. What opens it says what it is. */
export const testsFile = z
  .unknown()
  .superRefine((value, context) => {
    const { error } = toResult(() => checkTestsFile(value));
    if (error) context.addIssue({ code: 'custom', message: error.message });
  })
  .pipe(
    z.object({
      format: z.literal(TESTS_FORMAT.format),
      version: z.literal(TESTS_FORMAT.version),
      rigs: z.array(z.object({ id: z.uuid(), typed: rigInput })).max(500),
      calibrations: z.array(z.object({ id: z.uuid(), typed: calibrationInput })).max(2000),
    }),
  );

export type Calibration = z.infer<typeof calibration>;
export type CalibrationWrite = z.infer<typeof calibrationWrite>;
export type TestsFile = z.infer<typeof testsFile>;
