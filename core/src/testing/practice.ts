import { showExact } from '../quantities/show.ts';
import { attempt } from '../errors/InputError.ts';
import type { CalibrationReading } from './calibration.ts';
import type { CalibrationTyped, RunTyped } from './calibrationTyped.ts';
import { fillAim } from './methods/fillTime.ts';
import { methodOf, type MethodField } from './methodTable.ts';
import { timedPace, timeToAimFor } from './pace.ts';
import { readField } from './readRun.ts';

/** Steadier than this on foot is as good as it gets. */
const STEADY = 0.03;

/**
 * How a practised pace went, in a sentence.
 *
 * @param courseM length of the course, m, above 0
 * @param timesS times so far, s, each above 0
 * @param aimS the time to aim for; null: not known
 * @example practiceText(40, [29.1, 28.4, 30.2], 29) // '3 walks: 29.2 s on average, 3.1 % apart. …'
 */
export function practiceText(courseM: number, timesS: readonly number[], aimS: number | null): string {
  if (timesS.length === 0) return aimS === null ? 'Walk the course and press at each end.' : `Walk the course in ${showExact(aimS, 3)} s. Press at each end.`; // prettier-ignore
  const { meanS, scatter } = timedPace(courseM, timesS);
  const walks = `${timesS.length === 1 ? 'One walk' : `${timesS.length} walks`}: ${meanS.toFixed(1)} s on average`;
  const apart = scatter === null ? '' : `, ${showExact(scatter * 100, 2)} % apart`;
  const off = aimS === null ? null : meanS / aimS - 1;
  const aim =
    off === null || Math.abs(off) < 0.02
      ? ''
      : ` ${showExact(Math.abs(off) * 100, 2)} % ${off > 0 ? 'slow' : 'fast'}: aim for ${showExact(aimS!, 3)} s.`;
  const verdict = scatter === null ? ' Walk it twice more.' : scatter <= STEADY ? ' Steady enough.' : ' Not steady yet: count your steps aloud.'; // prettier-ignore
  return `${walks}${apart}.${aim}${verdict}`;
}

/** What the container has to do: the time in which it fills at the rate that is wanted; null while something is missing. */
function timeToFill(typed: CalibrationTyped, run: RunTyped, reading: CalibrationReading): number | null {
  const content = methodOf('fill-time')
    .fields(1)
    .find(({ id }) => id === 'content')!;
  const read = attempt(() => readField(content, run.readings['content'] ?? '', typed, 'content')).value;
  const { targetKgPerM2, widthM, paceMPerS } = reading;
  if (!read || targetKgPerM2 === null || widthM === null || paceMPerS === null) return null;
  return fillAim({ targetKgPerM2, spacingM: widthM, containerKg: read.si, speedMPerS: paceMPerS }).fillS;
}

/**
 * The time to aim for with a watch: over the strip or the course at the pace of work, or until a container should be full.
 *
 * @param field what is timed
 * @returns null where there is nothing to aim for
 * @example timeToAim(typed, run, 0, reading, field) // 22.7
 */
export function timeToAim(
  typed: CalibrationTyped,
  run: RunTyped,
  at: number,
  reading: CalibrationReading,
  field: MethodField,
): number | null {
  if (field.id === 'catchTime') return null;
  if (field.id === 'fillTime') return timeToFill(typed, run, reading);
  const lengthM = reading.runs[at]?.lengthM ?? null;
  return lengthM !== null && reading.paceMPerS !== null ? timeToAimFor(lengthM, reading.paceMPerS) : null;
}
