import * as z from 'zod';
import { InputError } from '../errors/index.ts';
import { latestOf, type AppendedRow } from '../fields/latest.ts';
import { idOrNone, type InputOf } from '../fields/schema.ts';
import { evaluateCalibration } from './calibration.ts';
import {
  bareUnits,
  runInput,
  type CalibrationAim,
  type CalibrationInput,
  type RunInput,
} from './calibrationInput.ts';
import { isEmptyRun } from './keepsReadings.ts';

/**
 * A test run that is done, as it is appended: with the units that its bare numbers are in, so that it goes on saying the same whatever
 * the calibration is changed to. A reading taken anew, or a run that is excluded, is a further row that names the first.
 */
export const testRunInput = runInput.omit({ id: true, row: true, step: true }).extend({ units: bareUnits });
export type TestRunInput = InputOf<typeof testRunInput>;

/** A test run that is being made: it is handed between devices until it is done and appended. */
export const openRunInput = testRunInput.extend({ calibration: idOrNone, step: z.string().max(20) });
export type OpenRunInput = InputOf<typeof openRunInput>;

const PLACE = 'runs.0.';

/**
 * Whether a test run can be read: what is wrong with it, each at its field.
 *
 * @param calibration that it belongs to; what else was measured for it does not matter
 * @returns errors of its own fields alone; the scale of the machine is not looked at
 * @example evaluateTestRun({ ...calibration.runs[0], units: calibration.units, onDay: '2026-02-30' }, calibration).errors[0].field // 'onDay'
 */
export function evaluateTestRun(
  run: TestRunInput,
  calibration: CalibrationAim,
): { readonly errors: readonly InputError[] } {
  const alone = { ...calibration, signOff: null, runs: [{ ...run, id: '', row: '', step: '' }] };
  const { errors } = evaluateCalibration(alone);
  return {
    errors: errors
      .filter(({ field }) => field.startsWith(PLACE))
      .map((error) => error.at(error.field.slice(PLACE.length))),
  };
}

/** An appended test run. */
interface RunRow extends AppendedRow {
  readonly input: TestRunInput;
}

/** A test run that is being made, with its id. */
interface OpenRun {
  readonly id: string;
  readonly input: OpenRunInput;
}

/** Runs by the row that says them: one that nothing was said of since stays the same. */
const RUNS = new WeakMap<RunRow, RunInput>();

function runOf(row: RunRow): RunInput {
  const { id, first, input } = row;
  const run = RUNS.get(row) ?? { ...input, id: first ?? id, row: id, step: '' };
  RUNS.set(row, run);
  return run;
}

/**
 * A calibration with its test runs: of those that are appended what they say by now, in the order in which they were made; then those
 * that are being made. One that was appended meanwhile is not open any more.
 *
 * @param rows appended for it, in any order
 * @param open the documents of runs that are being made for it
 * @example withRuns(calibration, [], []).runs // []
 */
export function withRuns(
  aim: CalibrationAim,
  rows: readonly RunRow[],
  open: readonly OpenRun[],
): CalibrationInput {
  const done = latestOf(rows).map(runOf);
  const ids = new Set(done.map(({ id }) => id));
  const made = open
    .filter(({ id }) => !ids.has(id))
    .map(({ id, input }) => runOfOpen(id, input));
  return { ...aim, runs: [...done, ...made] };
} // prettier-ignore

/**
 * What is stored of a calibration itself.
 *
 * @example aimOf(calibration).name // 'Red spreader, lake feed'
 */
export function aimOf(calibration: CalibrationInput): CalibrationAim {
  const { runs: _, ...aim } = calibration;
  return aim;
}

/**
 * A run as it is appended.
 *
 * @param calibration that it belongs to: its units are those of bare numbers where the run has none of its own
 * @example testRunOf(calibration.runs[0], calibration).units.mass // 'lb'
 */
export function testRunOf(run: RunInput, { units: usual }: CalibrationAim): TestRunInput {
  const { id: _, row: __, step: ___, units, ...said } = run;
  return { ...said, units: units ?? usual };
}

/**
 * A run as it is stored while it is being made.
 *
 * @param id of the calibration
 * @example openRunOf(calibration.runs[0], '', calibration).step // ''
 */
export const openRunOf = (run: RunInput, id: string, calibration: CalibrationAim): OpenRunInput => ({
  ...testRunOf(run, calibration),
  calibration: id,
  step: run.step,
});

/**
 * The same the other way: what is being made as a run of its calibration.
 *
 * @param id its own
 * @example runOfOpen('a', openRunOf(calibration.runs[0], '', calibration)).id // 'a'
 */
export function runOfOpen(id: string, input: OpenRunInput): RunInput {
  const { calibration: _, ...run } = input;
  return { ...run, id, row: '' };
}

const textOf = (run: RunInput, on: CalibrationAim): string =>
  JSON.stringify(Object.entries(testRunOf(run, on)).toSorted(([a], [b]) => (a < b ? -1 : 1)));

/**
 * The same calibration with other ids for its runs, wherever it names them: as one that came from a file is stored anew.
 *
 * @param idOf the new id of a run, or of the row that says it
 * @example withRunIds(calibration, (id) => `new.${id}`).runs[0].id // 'new.8.46.95'
 */
export function withRunIds(calibration: CalibrationInput, idOf: (id: string) => string): CalibrationInput {
  const { runs, signOff, confirmed } = calibration;
  const rows = new Map(runs.map(({ id, row }) => [row, id]));
  return {
    ...calibration,
    runs: runs.map((run) => Object.assign({}, run, { id: idOf(run.id), row: '' })),
    signOff: signOff && { ...signOff, runs: signOff.runs.map((row) => idOf(rows.get(row) ?? row)) },
    confirmed: confirmed.map((id) => {
      const [question = '', ...of] = id.split('.');
      return [question, ...of.map(idOf)].join('.');
    }),
  };
}

/**
 * The runs of a calibration that say something that is not appended yet: new ones, and those that say something anew. What is being
 * made, and what says nothing, is not appended.
 *
 * @param before as it stands
 * @example runsToAppend(calibration, calibration) // []
 */
export function runsToAppend(before: CalibrationInput, after: CalibrationInput): RunInput[] {
  const known = new Map(before.runs.map((run) => [run.id, run]));
  return after.runs.filter((run) => {
    const was = known.get(run.id);
    const isDone = run.step === '' && (was?.step ?? '') === '';
    const says = !isEmptyRun(run) || run.excluded !== '' || run.note !== '' || was !== undefined;
    return isDone && says && (!was || textOf(was, before) !== textOf(run, after));
  });
}

/**
 * How the runs of a calibration stand against what was signed off.
 *
 * @returns ids of the done runs that the sign-off does not rest on: they came, or were taken anew, since
 * @example runsSince(calibration) // []
 */
export function runsSince({ signOff, runs }: CalibrationInput): string[] {
  if (!signOff || signOff.runs.length === 0) return [];
  const rests = new Set(signOff.runs);
  return runs.filter(({ id, row, step, excluded }) => step === '' && excluded === '' && !rests.has(row || id)).map(({ id }) => id);
} // prettier-ignore
