import { daysLater, daysUntil } from '../fields/days.ts';

const WEEKS = 13;
const A_MONDAY = '1970-01-05';

/**
 * A quarter of a year in whole weeks, Monday first, from the week in which a month begins.
 *
 * @param month year-month
 * @returns thirteen weeks of seven days, year-month-day
 * @example weeksFrom('2026-04')[0][0] // '2026-03-30'
 */
export function weeksFrom(month: string): string[][] {
  const first = `${month}-01`;
  const monday = daysLater(first, -(((daysUntil(A_MONDAY, first) % 7) + 7) % 7));
  return Array.from({ length: WEEKS }, (_, week) => Array.from({ length: 7 }, (_day, index) => daysLater(monday, week * 7 + index))); // prettier-ignore
}

/**
 * So many months later, or sooner below 0.
 *
 * @param month year-month
 * @example monthLater('2026-12', 1) // '2027-01'
 */
export function monthLater(month: string, by: number): string {
  const at = Number(month.slice(0, 4)) * 12 + Number(month.slice(5, 7)) - 1 + by;
  return `${String(Math.floor(at / 12)).padStart(4, '0')}-${String((at % 12) + 1).padStart(2, '0')}`;
}

/**
 * The month that a plan is opened at: where something is to be done next, else where it begins.
 *
 * @param days of what is not done, year-month-day
 * @example openingMonth([], '2026-04-18', '2027-01-01') // '2027-01'
 */
export function openingMonth(days: readonly string[], today: string, fromDay: string): string {
  const next = days.toSorted().find((day) => day >= today);
  return (next ?? fromDay).slice(0, 7);
}
