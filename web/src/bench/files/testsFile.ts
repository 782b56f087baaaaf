import { testsFile } from '@steady-scatter/contract';
import { toResult, InputError } from '@steady-scatter/core/errors';
import { upgradeRig, type RigInput } from '@steady-scatter/core/rigs';
import {
  upgradeCalibration,
  evaluateCalibration,
  readTests,
  testsTable,
  TESTS_FORMAT,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import Papa from 'papaparse';
import { v7 as newId } from 'uuid';
import { calibrationContext, type BenchShelf } from '../calibrationContext.ts';

/** What a file of tests brings: machines that are new, and calibrations with the machine each is of. */
export interface TestsToTake {
  readonly rigs: readonly { readonly id: string; readonly typed: RigInput }[];
  readonly calibrations: readonly {
    readonly id: string;
    readonly typed: CalibrationInput;
    /** Its machine in words. */
    readonly machine: string;
  }[];
}

/** All machines and calibrations, as a file that says what it is. */
export const testsJson = ({ rigs, calibrations }: BenchShelf): string =>
  JSON.stringify(
    {
      ...TESTS_FORMAT,
      rigs: rigs.map(({ id, typed }) => ({ id, typed })),
      calibrations: calibrations.map(({ id, typed }) => ({ id, typed })),
    },
    null,
    2,
  );

/** All runs, a row each; nothing in it that a spreadsheet would run. */
export const testsCsv = (shelf: BenchShelf): string =>
  Papa.unparse(
    testsTable(
      shelf.calibrations.map(({ typed }) => {
        const { rig, bench, reading } = calibrationContext(typed, shelf);
        return { machine: rig?.name ?? '', outlets: bench.outlets, typed, reading };
      }),
    ),
    { escapeFormulae: true, newline: '\r\n' },
  );

/** Parts that an earlier version did not write are filled in. */
function completed(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { rigs, calibrations, ...head } = value as Record<string, unknown>;
  const fill = <Typed>(list: unknown, by: (typed: Partial<Typed>) => Typed) =>
    Array.isArray(list)
      ? list.map((each: { typed?: Partial<Typed> }) => Object.assign({}, each, { typed: by(each.typed ?? {}) })) // prettier-ignore
      : list;
  return { ...head, rigs: fill(rigs, upgradeRig), calibrations: fill(calibrations, upgradeCalibration) };
}

function fromJson(text: string, shelf: BenchShelf): TestsToTake {
  const { value, error } = attemptJson(text);
  if (error) throw new Error(`The file breaks off or is damaged: ${error}. Save it once more.`);
  const read = testsFile.safeParse(completed(value));
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new Error(`${issue?.path.length ? `At ${issue.path.join('.')}: ` : ''}${issue?.message ?? ''}`);
  }
  const known = new Set(shelf.rigs.map(({ id }) => id));
  const rigs = read.data.rigs.filter(({ id }) => !known.has(id));
  const names = new Map([...shelf.rigs, ...rigs].map(({ id, typed }) => [id, typed.name]));
  return {
    rigs,
    calibrations: read.data.calibrations.map(({ id, typed }) => ({
      id,
      typed: names.has(typed.rig) ? typed : { ...typed, rig: '' },
      machine: names.get(typed.rig) ?? 'no machine',
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
  const { value, error } = toResult(() => readTests(rows, () => newId()));
  if (error) throw new Error(`At ${error.field}: ${error.message}`);
  return {
    rigs: [],
    calibrations: value.map(({ machine, typed }) => {
      const rig = shelf.rigs.find((each) => each.typed.name.toLowerCase() === machine.toLowerCase());
      const [wrong] = evaluateCalibration(typed).errors;
      if (wrong) throw new InputError(wrong.code, { ...wrong.facts, field: wrong.field, hint: wrong.hint });
      return { id: newId(), typed: { ...typed, rig: rig?.id ?? '' }, machine: rig?.typed.name ?? `no machine called ${machine} here` }; // prettier-ignore
    }),
  };
}

/**
 * Reads a file of tests, whichever of the two kinds it is.
 *
 * @throws Error with a sentence and the place in the file
 */
export const readTestsText = (text: string, fileName: string, shelf: BenchShelf): TestsToTake => {
  if (text.trim() === '') throw new Error('The file is empty.');
  return /\.csv$/i.test(fileName) ? fromCsv(text, shelf) : fromJson(text, shelf);
};
