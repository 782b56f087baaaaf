import { InputError } from '../errors/InputError.ts';
import type { CalibrationTyped } from './calibrationTyped.ts';

/**
 * Holds a change of a calibration against what was kept: no run may go, and a reading that was taken anew has to stand among
 * the earlier ones of its run.
 *
 * @returns what would be lost; none: the change keeps everything
 * @example lostReadings(before, { ...before, runs: [] })[0]?.code // 'run.gone'
 */
export function lostReadings(before: CalibrationTyped, after: CalibrationTyped): InputError[] {
  return before.runs.flatMap((was): InputError[] => {
    const at = after.runs.findIndex(({ id }) => id === was.id);
    const now = after.runs[at];
    if (!now) return [new InputError('run.gone', { field: 'runs', typed: was.setting })];
    return Object.entries(was.readings).flatMap(([field, text]) => {
      const isThere = text.trim() === '' || now.readings[field] === text || now.earlier.some((each) => each.field === field && each.text === text); // prettier-ignore
      return isThere ? [] : [new InputError('run.overwritten', { field: `runs.${at}.readings.${field}`, typed: text })]; // prettier-ignore
    });
  });
}
