import { InputError } from '../errors/InputError.ts';
import type { CalibrationAim, EarlierReading, RunInput } from './calibrationInput.ts';

/** What a run holds of its readings. */
type Readings = Pick<RunInput, 'readings' | 'earlier'>;

/**
 * A run in which nothing was read yet: it may be removed.
 *
 * @example isEmptyRun(calibration.runs[0]) // false
 */
export const isEmptyRun = (run: Readings & Pick<RunInput, 'noFlow'>): boolean =>
  !run.noFlow && run.earlier.length === 0 && Object.values(run.readings).every((text) => text.trim() === '');

/** Readings of a run that were stored and are another ones now. */
const takenAnew = (was: Readings, now: Readings): { field: string; text: string }[] =>
  Object.entries(was.readings).flatMap(([field, text]) => {
    const stands = text.trim() === '' || now.readings[field] === text || now.earlier.some((each) => each.field === field && each.text === text); // prettier-ignore
    return stands ? [] : [{ field, text }];
  });

/** Earlier readings of a run that stood beside it and do not any more. */
const dropped = (was: Readings, now: Readings): EarlierReading[] =>
  was.earlier.filter(({ field, text }) => !now.earlier.some((each) => each.field === field && each.text === text)); // prettier-ignore

/**
 * A changed run with what was read before beside what was taken anew: nothing that was measured is overwritten.
 *
 * @param why a word on why it was taken anew
 * @example keepEarlier(calibration.runs[0], { ...calibration.runs[0], readings: { left: '46.90' } }, 'taken anew').earlier[1] // { field: 'left', text: '46.95', why: 'taken anew' }
 */
export function keepEarlier<Run extends Readings>(was: Readings, now: Run, why: string): Run {
  const anew = takenAnew(was, now).map(({ field, text }): EarlierReading => ({ field, text, why }));
  const kept = [...dropped(was, now), ...anew];
  return kept.length === 0 ? now : { ...now, earlier: [...now.earlier, ...kept] };
}

/**
 * Holds a change of a run that is being made against what was stored: a reading that was taken anew has to stand among the earlier
 * ones.
 *
 * @returns what would be lost; none: the change keeps everything
 * @example lostReadings(calibration.runs[0], { ...calibration.runs[0], readings: {} })[0].code // 'run.overwritten'
 */
export const lostReadings = (was: Readings, now: Readings): InputError[] =>
  [...takenAnew(was, now), ...dropped(was, now)].map(({ field, text }) => new InputError('run.overwritten', { field: `readings.${field}`, input: text })); // prettier-ignore

/**
 * Holds a change of a calibration that has test runs against how it was: they were made with its machine.
 *
 * @returns none: it is of the same machine, or had none before
 * @example otherMachine({ rig: 'a' }, { rig: 'b' })[0].code // 'calibration.other-machine'
 */
export const otherMachine = (
  before: Pick<CalibrationAim, 'rig'>,
  after: Pick<CalibrationAim, 'rig'>,
): InputError[] =>
  before.rig !== '' && after.rig !== before.rig
    ? [new InputError('calibration.other-machine', { field: 'rig' })]
    : [];
