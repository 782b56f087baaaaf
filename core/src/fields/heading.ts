import type { Message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { isCalendarDay } from './days.ts';

const LONGEST_NAME = 120;

/**
 * Reads the name of a job or an area: spaces trimmed and made even, at most 120 characters.
 *
 * @param example a name that would be right, for the sentence
 * @throws InputError name.empty, text.too-long
 * @example readName('  Spring  feed ', 'name', message('errors.example.job')) // 'Spring feed'
 */
export function readName(input: string, field: string, example: Message): string {
  const name = input.replace(/\s+/g, ' ').trim();
  if (name === '') throw new InputError('name.empty', { field, example });
  if (name.length > LONGEST_NAME)
    throw new InputError('text.too-long', { field, length: name.length, most: LONGEST_NAME });
  return name;
}

/**
 * Reads a day of the calendar, "2026-04-18", from 1900 to 2199.
 *
 * @returns the same text
 * @throws InputError date.unreadable, also for a day that the month does not have
 * @example readDay('2026-02-30', 'onDay') // throws
 */
export function readDay(input: string, field: string): string {
  const real = /^(19|20|21)\d\d-\d\d-\d\d$/.test(input) && isCalendarDay(input);
  if (!real) throw new InputError('date.unreadable', { field, input, hint: '2026-04-18' });
  return input;
}

/**
 * Notes a day that cannot be read; none at all is missing, not wrong. A blank is no day, since lists are ordered by it.
 *
 * @example noteDay((read) => read(), 'x', 'runs.0.onDay') // throws
 */
export function noteDay(tryRead: (read: () => string) => unknown, input: string, field: string): void {
  if (input !== '') tryRead(() => readDay(input, field));
}
