import { InputError } from '../errors/InputError.ts';
import type { CalibrationInput, EarlierReading, RunInput } from './calibrationInput.ts';

/** A run in which nothing was read yet: it may be removed. */
export const isEmptyRun = (run: RunInput): boolean =>
  !run.noFlow && run.earlier.length === 0 && Object.values(run.readings).every((text) => text.trim() === '');

/** Readings of a run that were kept and are another ones now. */
const takenAnew = (was: RunInput, now: RunInput): { field: string; text: string }[] =>
  Object.entries(was.readings).flatMap(([field, text]) => {
    const stands = text.trim() === '' || now.readings[field] === text || now.earlier.some((each) => each.field === field && each.text === text); // prettier-ignore
    return stands ? [] : [{ field, text }];
  });

/** Earlier readings of a run that stood beside it and do not any more. */
const dropped = (was: RunInput, now: RunInput): EarlierReading[] =>
  was.earlier.filter(({ field, text }) => !now.earlier.some((each) => each.field === field && each.text === text)); // prettier-ignore

/**
 * What was kept before stays beside what was taken anew: nothing that was measured is overwritten, and no run goes.
 *
 * @param why a word on why it was taken anew
 * @example keepEarlier(calibration, { ...calibration, runs: [{ ...calibration.runs[0], readings: { left: '46.90' } }] }, 'taken anew').runs[0].earlier[1] // { field: 'left', text: '46.95', why: 'taken anew' }
 */
export function keepEarlier(
  before: CalibrationInput,
  after: CalibrationInput,
  why: string,
): CalibrationInput {
  const runs = after.runs.map((now) => {
    const was = before.runs.find(({ id }) => id === now.id);
    if (!was) return now;
    const anew = takenAnew(was, now).map((each): EarlierReading => Object.assign({ why }, each));
    const kept = [...dropped(was, now), ...anew];
    return kept.length === 0 ? now : Object.assign({}, now, { earlier: [...now.earlier, ...kept] });
  });
  const gone = before.runs.filter((was) => !isEmptyRun(was) && !after.runs.some(({ id }) => id === was.id));
  return { ...after, runs: [...runs, ...gone] };
}

/**
 * Holds a change of a calibration against what was kept: no run may go, and a reading that was taken anew has to stand among
 * the earlier ones of its run. A calibration with runs belongs to its machine.
 *
 * @returns what would be lost; none: the change keeps everything
 * @example lostReadings(calibration, { ...calibration, runs: [] })[0].code // 'run.gone'
 */
export function lostReadings(before: CalibrationInput, after: CalibrationInput): InputError[] {
  const isMoved =
    before.rig !== '' && after.rig !== before.rig && before.runs.some((run) => !isEmptyRun(run));
  const moved = isMoved ? [new InputError('calibration.other-machine', { field: 'rig' })] : [];
  return [...moved, ...before.runs.flatMap((was) => lostOf(was, after))];
}

/** What would be lost of one run. */
function lostOf(was: RunInput, after: CalibrationInput): InputError[] {
  const at = after.runs.findIndex(({ id }) => id === was.id);
  const now = after.runs[at];
  if (!now && isEmptyRun(was)) return [];
  if (!now) return [new InputError('run.gone', { field: 'runs', input: was.setting })];
  return [...takenAnew(was, now), ...dropped(was, now)].map(({ field, text }) => new InputError('run.overwritten', { field: `runs.${at}.readings.${field}`, input: text })); // prettier-ignore
}
