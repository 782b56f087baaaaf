// The one place of core that works with Date, and only as a calendar: no clock, no place.
import { InputError } from '../errors/InputError.ts';

const DAY_MS = 86_400_000;
/** A leap year, so that 02-29 counts as a day of a year. */
const LEAP_YEAR = '2024';
const timeOf = (day: string): number => Date.parse(`${day}T00:00:00Z`);

/**
 * The day so many days later: "2026-04-18" and 28 -> "2026-05-16".
 *
 * @param day year-month-day
 * @example daysLater('2026-04-18', 28) // '2026-05-16'
 */
export function daysLater(day: string, days: number): string {
  const time = timeOf(day) + days * DAY_MS;
  // Date reaches 8.64e15 ms to either side of 1970.
  if (!(Math.abs(time) <= 8.64e15)) throw new InputError('date.unreadable', { field: 'day', input: day, hint: '2026-04-18' }); // prettier-ignore
  return new Date(time).toISOString().slice(0, 10);
}

/**
 * Whether the calendar has a day: `isCalendarDay('2026-02-30')` is false.
 *
 * @param day year-month-day
 */
export function isCalendarDay(day: string): boolean {
  const time = timeOf(day);
  return Number.isFinite(time) && new Date(time).toISOString().startsWith(day);
}

/**
 * Whether a year may have a day: `isDayOfYear('02-29')` is true.
 *
 * @param monthDay month-day
 */
export const isDayOfYear = (monthDay: string): boolean =>
  /^\d\d-\d\d$/.test(monthDay) && isCalendarDay(`${LEAP_YEAR}-${monthDay}`);

/** Days from one day to another; below 0 when it lies before. */
export const daysUntil = (from: string, to: string): number =>
  Math.round((timeOf(to) - timeOf(from)) / DAY_MS);

/** Days between two days, whichever comes first. */
export const daysApart = (a: string, b: string): number => Math.abs(daysUntil(a, b));

/** Years from one day to another, 365.25 days each; negative when it lies before. */
export const yearsBetween = (from: string, to: string): number =>
  (timeOf(to) - timeOf(from)) / (365.25 * DAY_MS);

/**
 * A moment as a number: ms since 1970, NaN for what is none.
 *
 * @param moment ISO 8601
 */
export const momentMs = (moment: string): number => Date.parse(moment);
