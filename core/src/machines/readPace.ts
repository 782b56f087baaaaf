import { message } from '../messages/message.ts';
import * as z from 'zod';
import type { Collected } from '../errors/collect.ts';
import { toResult } from '../errors/InputError.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { lengthUnit, text, type InputOf } from '../fields/schema.ts';

/** A pace, as the time that a course takes, or as a speed where the time stands: "3 mph". */
export const paceInput = z.object({ course: text, unit: lengthUnit, time: text });
export type PaceOfWork = InputOf<typeof paceInput>;

/** A speed typed as such; null: it is none. */
const speedIn = (input: string): number | null =>
  toResult(() => readQuantity(input, { kind: 'speed', bareUnit: null, field: '' })).value?.si ?? null;

/**
 * A pace from the time over a course, m/s; null while one of them is missing. A speed in place of the time needs no course.
 *
 * @param field path of the pace, for errors
 * @example readPace({ course: '120', unit: 'ft', time: '27.2' }, 'pace', collect()) // 1.3447
 */
export function readPace(
  { course, unit, time }: PaceOfWork,
  field: string,
  { readIfPresent }: Pick<Collected, 'readIfPresent'>,
): number | null {
  const speed = speedIn(time);
  if (speed !== null && speed > 0) return speed;
  const courseM = readIfPresent(
    course,
    () =>
      readPositive(
        course,
        { kind: 'length', bareUnit: unit, field: `${field}.course` },
        message('errors.what.course'),
      ).si,
  );
  const timeS = readIfPresent(
    time,
    () =>
      readPositive(time, { kind: 'time', bareUnit: 's', field: `${field}.time` }, message('errors.what.time'))
        .si,
  );
  return courseM !== null && timeS !== null ? courseM / timeS : null;
}
