import type { LedgerArea } from '@steady-scatter/core/regulations';

const NAMES = new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' });

/** "Apr" of "2026-04". */
export const monthName = (month: string): string => NAMES.format(Date.parse(`${month}-01T00:00:00Z`));

/** The months from a day to a day. */
export function monthsBetween(from: string, to: string): string[] {
  const months: string[] = [];
  let [year, month] = [Number(from.slice(0, 4)), Number(from.slice(5, 7))];
  for (; months.length < 24; [year, month] = month === 12 ? [year + 1, 1] : [year, month + 1]) {
    const next = `${year}-${String(month).padStart(2, '0')}`;
    if (next > to.slice(0, 7)) break;
    months.push(next);
  }
  return months;
}

/** The records behind a figure. */
export const logOf = ({ areaKey }: Pick<LedgerArea, 'areaKey'>, { from, to }: { from: string; to: string }, product = ''): string =>
  `/log?${new URLSearchParams({ area: areaKey, ...(product && { q: product }), from, to }).toString()}`; // prettier-ignore
