import { message, type Message } from '../messages/message.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import type { LengthUnit } from '../quantities/units.ts';
import { NO_RIG, type BenchRig } from './benchRig.ts';
import { toResult } from '../errors/InputError.ts';
import type { CalibrationResult } from './calibration.ts';
import type { CalibrationInput, RunInput } from './calibrationInput.ts';
import { fillAim, type FillAim } from './methods/fillTime.ts';
import { methodOf } from './methodTable.ts';
import type { MethodField } from './methods/method.ts';
import { timedPace, timeToAimFor } from './pace.ts';
import { isPerLength } from './rate.ts';
import { readField, unitsOf } from './readRun.ts';

/** Steadier than this on foot is as good as it gets. */
const STEADY = 0.03;

/**
 * How a practiced pace went.
 *
 * @param courseM length of the course, m, above 0
 * @param timesS times so far, s, each above 0
 * @param aimS the time to aim for; null: not known
 * @example practice(40, [29.1, 28.4, 30.2], 29).facts.mean // '29.2'
 */
export function practice(courseM: number, timesS: readonly number[], aimS: number | null): Message {
  if (timesS.length === 0) return aimS === null ? message('practice.walk') : message('practice.walkIn', { seconds: showExact(aimS, 3) }); // prettier-ignore
  const { meanS, scatter } = timedPace(courseM, timesS);
  const off = aimS === null || !(aimS > 0) ? null : meanS / aimS - 1;
  const isOff = off !== null && Math.abs(off) >= 0.02;
  return message('practice.walked', {
    walks: timesS.length,
    mean: meanS.toFixed(1),
    scatter: scatter === null ? 'none' : scatter <= STEADY ? 'steady' : 'wide',
    apart: showExact((scatter ?? 0) * 100, 2),
    side: isOff ? (off > 0 ? 'slow' : 'fast') : 'none',
    percent: showExact(Math.abs(off ?? 0) * 100, 2),
    aim: showExact(aimS ?? 0, 3),
  });
}

/**
 * What the container of a fill-time test has to do: the distance it serves and the time in which it has to fill.
 *
 * @returns null while its content, the rate, the spacing or the pace is missing
 * @example fillAimOf(calibration, calibration.runs[0], reading, bench) // null
 */
export function fillAimOf(
  input: CalibrationInput,
  run: RunInput,
  reading: CalibrationResult,
  { outlets, rows }: BenchRig,
): FillAim | null {
  const fields = methodOf('fill-time').fields(outlets);
  const massOf = (id: string) => {
    const text = run.readings[id]?.trim() ?? '';
    return text === '' ? null : toResult(() => readField(fields.find((field) => field.id === id)!, text, unitsOf(run, input), id)).value; // prettier-ignore
  };
  const [full, empty] = [massOf('content'), massOf('tare')];
  const { targetSi, paceMPerS } = reading;
  const widthM = isPerLength(reading.dimension) ? 1 : reading.widthM;
  const containerKg = full ? full.si - (empty?.si ?? 0) : 0;
  if (!(containerKg > 0) || targetSi === null || widthM === null || paceMPerS === null) return null;
  return fillAim({ targetKgPerM2: targetSi, spacingM: widthM, containerKg, speedMPerS: paceMPerS, outletsPerRow: outlets / rows }); // prettier-ignore
}

/**
 * What is told of it: the first answer of that method.
 *
 * @example fillAimRemark({ outputPerM: 0.033, servesM: 139.39, fillS: 154.88 }, 'm') // { id: 'practice.fill', facts: { distance: '139 m', seconds: '155' } }
 */
export function fillAimRemark({ servesM, fillS }: FillAim, unit: LengthUnit): Message {
  const { number, unit: symbol } = showQuantity(servesM, unit, 3);
  return message('practice.fill', { distance: `${number} ${symbol}`, seconds: showExact(fillS, 3) });
}

/**
 * The time to aim for with a watch: over the strip or the course at the pace of work, or until a container should be full.
 *
 * @param field what is timed
 * @returns null where there is nothing to aim for
 * @example timeToAim(calibration, calibration.runs[0], 0, reading, methodOf('weigh-back').fields(1).find(({ id }) => id === 'time'), bench) // 22.67
 */
export function timeToAim(
  input: CalibrationInput,
  run: RunInput,
  at: number,
  reading: CalibrationResult,
  field: MethodField,
  rig: BenchRig = NO_RIG,
): number | null {
  if (field.id === 'catchTime') return null;
  if (field.id === 'fillTime') return fillAimOf(input, run, reading, rig)?.fillS ?? null;
  const lengthM = reading.runs[at]?.lengthM ?? null;
  return lengthM !== null && reading.paceMPerS !== null ? timeToAimFor(lengthM, reading.paceMPerS) : null;
}
