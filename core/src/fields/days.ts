import { InputError } from '../errors/InputError.ts';

const DAY_MS = 86_400_000;
const timeOf = (day: string): number => Date.parse(`${day}T00:00:00Z`);

/**
 * The day so many days later: "2026-04-18" and 28 -> "2026-05-16".
 *
 * @param day year-month-day
 */
export function daysLater(day: string, days: number): string {
  const time = timeOf(day) + days * DAY_MS;
  // Date reaches 8.64e15 ms to either side of 1970.
  if (!(Math.abs(time) <= 8.64e15)) throw new InputError('date.unreadable', { field: 'day', typed: day, hint: '2026-04-18' }); // prettier-ignore
  return new Date(time).toISOString().slice(0, 10);
}

/** Years from one day to another, 365.25 days each; negative when it lies before. */
export const yearsBetween = (from: string, to: string): number =>
  (timeOf(to) - timeOf(from)) / (365.25 * DAY_MS);
