import { blankRun, type CalibrationInput, type RunInput } from './calibrationInput.ts';
import { methodOf, type MethodId } from './methodTable.ts';
import { unitsOf } from './readRun.ts';

/** Readings that stay the same from one run to the next: the course, and what is weighed once. */
const SAME = [
  'length',
  'course',
  'passes',
  'area',
  'tare',
  'content',
  'courseTime',
  'courseTime.2',
  'courseTime.3',
];

type Runs = Pick<CalibrationInput, 'runs' | 'units'>;

const lastOf = ({ runs }: Runs, method: MethodId): RunInput | undefined =>
  runs.findLast((run) => run.method === method);

/**
 * What of the last run of a method holds for the next one: its readings that stay the same. None where its bare numbers are in other
 * units than those of the calibration by now: they would be read as something else.
 *
 * @param method how the next run is made
 * @param outlets how many outlets are caught apart, from 1
 * @returns texts as typed, by the fields of the method; empty where there are none
 * @example keptReadings(calibration, 'fill-time', 1) // {}
 */
export function keptReadings(calibration: Runs, method: MethodId, outlets: number): Record<string, string> {
  const last = lastOf(calibration, method);
  if (!last) return {};
  const { mass, length } = unitsOf(last, calibration);
  const isOfTheseUnits = mass === calibration.units.mass && length === calibration.units.length;
  const fields = new Set(
    methodOf(method)
      .fields(outlets)
      .map(({ id }) => id),
  );
  const kept = SAME.filter((id) => isOfTheseUnits && fields.has(id) && last.readings[id]);
  return Object.fromEntries(kept.map((id) => [id, last.readings[id] ?? '']));
}

/** What a run that is begun is told from outside. */
export interface RunStart {
  readonly id: string;
  /** Year-month-day. */
  readonly onDay: string;
  /** The mark that is advised; null where none is: that of the last run then. */
  readonly mark: string | null;
}

/**
 * What the next run of a calibration begins with: the mark that is advised, and what stays the same from the last one of its method.
 * What has to be looked over is asked for once a day.
 *
 * @param method how it is made
 * @param outlets how many outlets are caught apart, from 1
 * @example nextRun(calibration, 'weigh-back', 1, { id: 'r', onDay: '2026-04-18', mark: '12' }).setting // '12'
 */
export function nextRun(
  calibration: Pick<CalibrationInput, 'runs' | 'units' | 'width'>,
  method: MethodId,
  outlets: number,
  { id, onDay, mark }: RunStart,
): RunInput {
  const last = lastOf(calibration, method);
  const checked = last?.onDay === onDay ? last.checked : [];
  return {
    ...blankRun(id, onDay, method),
    setting: mark ?? last?.setting ?? '',
    readings: keptReadings(calibration, method, outlets),
    container: last?.container ?? '',
    checked,
    units: calibration.units,
    width: calibration.width.text.trim() === '' ? null : calibration.width,
    step: checked.length > 0 ? 'set' : 'checks',
  };
}
