import { KINDS, testsFile } from '@steady-scatter/contract';
import { toResult, InputError } from '@steady-scatter/core/errors';
import type { RigInput } from '@steady-scatter/core/machines';
import {
  evaluateCalibration,
  readTests,
  testsTable,
  TESTS_FORMAT,
  withRunIds,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import Papa from 'papaparse';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/bench';
import type { Message } from '@steady-scatter/core/messages';
import type * as z from 'zod';
import { calibrationContext, type BenchShelf } from '../calibrationContext.ts';

/** What a file of tests brings: machines that are new, and calibrations with the machine each is of. */
export interface TestsToTake {
  readonly rigs: readonly { readonly id: string; readonly input: RigInput }[];
  readonly calibrations: readonly {
    readonly id: string;
    readonly input: CalibrationInput;
    /** Its machine in words. */
    readonly machine: string;
  }[];
}

/** All machines and calibrations, as a file that says what it is. */
export const testsJson = ({ rigs, calibrations }: BenchShelf): string =>
  JSON.stringify(
    {
      ...TESTS_FORMAT,
      rigs: rigs.map(({ id, input }) => ({ id, schemaVersion: KINDS.rigs.schemaVersion, input })),
      calibrations: calibrations.map(({ id, input }) => ({ id, schemaVersion: KINDS.calibrations.schemaVersion, input: withRunIds(input, (run) => run) })), // prettier-ignore
    },
    null,
    2,
  );

/** All runs, a row each; nothing in it that a spreadsheet would run. */
export const testsCsv = (shelf: BenchShelf): string =>
  Papa.unparse(
    testsTable(
      shelf.calibrations.map(({ input }) => {
        const { rig, bench, reading } = calibrationContext(input, shelf);
        return { machine: rig?.name ?? '', outlets: bench.outlets, input, reading };
      }),
      speak,
    ),
    { escapeFormulae: true, newline: '\r\n' },
  );

/** What is wrong with a part of a file: core's own words where core says it. */
const issueText = (issue: z.core.$ZodIssue): string => {
  const told = issue.code === 'custom' ? (issue.params?.['sentence'] as Message | undefined) : undefined;
  return told ? speak(told) : issue.message;
};

/** The line of a table that an error is at. */
const lineOf = ({ field }: InputError): string => field.split('.')[1] ?? '';

function fromJson(text: string, shelf: BenchShelf): TestsToTake {
  const { value, error } = attemptJson(text);
  if (error) throw new Error(say('bench.files.damaged', { why: error }));
  const read = testsFile.safeParse(value);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new Error(
      `${issue?.path.length ? say('bench.files.at', { place: issue.path.join('.') }) : ''}${issue ? issueText(issue) : ''}`,
    );
  }
  const known = new Set(shelf.rigs.map(({ id }) => id));
  const rigs = read.data.rigs.filter(({ id }) => !known.has(id));
  const names = new Map([...shelf.rigs, ...rigs].map(({ id, input }) => [id, input.name]));
  return {
    rigs,
    calibrations: read.data.calibrations.map(({ id, input }) => ({
      id,
      input: names.has(input.rig) ? input : { ...input, rig: '' },
      machine: names.get(input.rig) ?? say('bench.compare.noMachine'),
    })),
  };
}

function attemptJson(text: string): { value: unknown; error: string | null } {
  try {
    return { value: JSON.parse(text), error: null };
  } catch (error) {
    return { value: null, error: error instanceof Error ? error.message : String(error) };
  }
}

function fromCsv(text: string, shelf: BenchShelf): TestsToTake {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: true });
  // A spreadsheet's guard against formulas is not part of what was typed.
  const rows = data.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')));
  const { value, error } = toResult(() => readTests(rows, () => newId(), speak));
  if (error) throw new Error(say('bench.files.atLine', { line: lineOf(error), what: speak(error.sentence) }));
  return {
    rigs: [],
    calibrations: value.map(({ machine, input }) => {
      const rig = shelf.rigs.find((each) => each.input.name.toLowerCase() === machine.toLowerCase());
      const [wrong] = evaluateCalibration(input).errors;
      if (wrong) throw new InputError(wrong.code, { ...wrong.facts, field: wrong.field, hint: wrong.hint });
      return { id: newId(), input: { ...input, rig: rig?.id ?? '' }, machine: rig?.input.name ?? say('bench.files.unknownMachine', { machine }) }; // prettier-ignore
    }),
  };
}

/**
 * Reads a file of tests, whichever of the two kinds it is.
 *
 * @throws Error with a sentence and the place in the file
 */
export const readTestsText = (text: string, fileName: string, shelf: BenchShelf): TestsToTake => {
  if (text.trim() === '') throw new Error(say('bench.files.empty'));
  return /\.csv$/i.test(fileName) ? fromCsv(text, shelf) : fromJson(text, shelf);
};
