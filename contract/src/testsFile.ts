import { toResult } from '@steady-scatter/core/errors';
import {
  calibrationInput,
  checkTestsFile,
  evaluateCalibration,
  TESTS_FORMAT,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import type { RigInput } from '@steady-scatter/core/machines';
import * as z from 'zod';
import { readInput } from './readInput.ts';
import { calibrations } from './kinds/calibrations.ts';
import type { Shape } from './kinds/kind.ts';
import { rigs } from './kinds/rigs.ts';

/** What a file holds of one kind: rows of any version up to the current one. */
const rowsOf = <Input>(kind: Shape<Input>, most: number) =>
  z
    .array(
      z.object({
        id: z.uuid(),
        schemaVersion: z.int().min(1).max(kind.schemaVersion).default(1),
        input: z.record(z.string(), z.unknown()).optional(),
        /** What an earlier version wrote in place of input. */
        typed: z.record(z.string(), z.unknown()).default({}),
      }),
    )
    .max(most)
    .transform((rows, context) =>
      rows.map(({ id, schemaVersion, typed, input = typed }, index) => {
        const { data, error } = attemptRead(() => readInput(kind, { schemaVersion, input }));
        for (const issue of error?.issues ?? [])
          context.issues.push({ ...issue, path: [index, ...issue.path], input } as never);
        return { id, input: data as Input };
      }),
    );

function attemptRead<Input>(
  read: () => Input,
): { data: Input; error: null } | { data: null; error: z.ZodError } {
  try {
    return { data: read(), error: null };
  } catch (error) {
    if (error instanceof z.ZodError) return { data: null, error };
    throw error;
  }
}

/** In a file a calibration has its runs with it. */
const WITH_RUNS = {
  ...calibrations,
  schema: calibrationInput,
  evaluate: (input: CalibrationInput) => evaluateCalibration(input),
};

/** A file of tests: machines and their calibrations, as typed. What opens it says what it is. */
export const testsFile = z
  .unknown()
  .superRefine((value, context) => {
    const { error } = toResult(() => checkTestsFile(value));
    if (error)
      context.addIssue({
        code: 'custom',
        message: error.message,
        params: { code: error.code, sentence: error.sentence },
      });
  })
  .pipe(
    z.object({
      format: z.literal(TESTS_FORMAT.format),
      version: z.literal(TESTS_FORMAT.version),
      rigs: rowsOf(rigs, 500),
      calibrations: rowsOf<CalibrationInput>(WITH_RUNS, 2000),
    }),
  );

export interface TestsFile {
  readonly format: typeof TESTS_FORMAT.format;
  readonly version: typeof TESTS_FORMAT.version;
  readonly rigs: readonly { readonly id: string; readonly input: RigInput }[];
  readonly calibrations: readonly { readonly id: string; readonly input: CalibrationInput }[];
}
