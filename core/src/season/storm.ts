import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readDay, readName } from '../fields/heading.ts';
import { idOrNone, notes, ownIds, partId, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';

/** A storm as typed: when it was, and the route over what is treated. Its rounds are appended beside it. */
export const stormInput = z.object({
  name: text,
  fromDay: text,
  /** Empty: it is not over. */
  toDay: text,
  guide: idOrNone,
  /** Areas of sites in the order in which they are treated. */
  route: z
    .array(z.object({ id: partId, site: z.uuid(), area: z.uuid() }))
    .max(400)
    .refine(ownIds, { params: { sentence: message('errors.ownIds') } }),
  notes,
});
export type StormInput = InputOf<typeof stormInput>;

/**
 * A storm that begins.
 *
 * @example blankStorm().route // []
 */
export const blankStorm = (): StormInput => ({
  name: '',
  fromDay: '',
  toDay: '',
  guide: '',
  route: [],
  notes: '',
});

/**
 * Reads a storm. It may go over midnight and over New Year; it ends on the day it began, or later.
 *
 * @example evaluateStorm({ ...storm, toDay: '2026-12-03' }).errors[0].code // 'storm.ends'
 */
export function evaluateStorm({ name, fromDay, toDay }: StormInput): {
  readonly errors: readonly InputError[];
} {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(name, 'name', message('errors.example.storm')));
  const from = tryRead(() => readDay(fromDay, 'fromDay'));
  const to = readIfPresent(toDay, () => readDay(toDay, 'toDay'));
  if (from !== null && to !== null && to < from)
    errors.push(new InputError('storm.ends', { field: 'toDay', hint: from }));
  return { errors };
}
