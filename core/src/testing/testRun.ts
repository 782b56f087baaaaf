import * as z from 'zod';
import { InputError } from '../errors/index.ts';
import { lengthUnit, massUnit, type InputOf } from '../fields/schema.ts';
import { evaluateCalibration } from './calibration.ts';
import { runInput, type CalibrationInput } from './calibrationInput.ts';

/**
 * A test run that is done, as it is appended: with the units that its bare numbers are in, so that it goes on saying the same whatever
 * the calibration is changed to. A reading taken anew, or a run that is excluded, is a further row that names the first.
 */
export const testRunInput = runInput
  .omit({ id: true, step: true })
  .extend({ units: z.object({ mass: massUnit, length: lengthUnit }) });
export type TestRunInput = InputOf<typeof testRunInput>;

const PLACE = 'runs.0.';

/**
 * Whether a test run can be read: what is wrong with it, each at its field.
 *
 * @param calibration that it belongs to; what else was measured for it does not matter
 * @returns errors of its own fields alone; the scale of the machine is not looked at
 * @example evaluateTestRun({ ...calibration.runs[0], units: calibration.units, onDay: '2026-02-30' }, calibration).errors[0].field // 'onDay'
 */
export function evaluateTestRun(
  { units, ...run }: TestRunInput,
  calibration: CalibrationInput,
): { readonly errors: readonly InputError[] } {
  const alone = { ...calibration, units, signOff: null, runs: [{ ...run, id: '', step: '' }] };
  const { errors } = evaluateCalibration(alone);
  return {
    errors: errors
      .filter(({ field }) => field.startsWith(PLACE))
      .map((error) => error.at(error.field.slice(PLACE.length))),
  };
}
