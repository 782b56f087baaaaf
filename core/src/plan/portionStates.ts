import { daysApart, daysUntil } from '../fields/days.ts';
import { grouped } from '../fields/grouped.ts';
import { nameKey } from '../fields/nameKey.ts';
import type { LedgerRow } from '../season/ledgerRow.ts';
import type { PortionInput } from './planInput.ts';

/** How a portion stands: it was spread, its day went by, it waits, its day is near, or it lies ahead. */
export const PORTION_STATES = ['done', 'missed', 'held', 'due', 'ahead'] as const;
export type PortionState = (typeof PORTION_STATES)[number];

/** How one portion stands, and by which record. */
export interface PortionStanding {
  readonly state: PortionState;
  /** The first row of the record that was it; null: none. */
  readonly root: string | null;
  /** The day of that record. */
  readonly doneOn: string;
}

/** A record so near to the day of a portion was it, days. */
export const NEAR_DAYS = 14;
/** What lies further off is no matter of these days. */
const SOON_DAYS = 7;

interface Pair {
  readonly portion: PortionInput;
  readonly row: LedgerRow;
  readonly apart: number;
}

/** The nearer first; then the earlier, so that it does not hang on the order in which records came. */
const byNearness = (a: Pair, b: Pair): number =>
  a.apart - b.apart ||
  a.portion.onDay.localeCompare(b.portion.onDay) ||
  a.row.onDay.localeCompare(b.row.onDay) ||
  a.row.root.localeCompare(b.row.root) ||
  a.portion.id.localeCompare(b.portion.id);

/** Which record was which portion: each record is one at most. Of the sheet that was made of it, on whatever day; else near its day. */
function pairsOf(portions: readonly PortionInput[], rows: readonly LedgerRow[]): Map<string, LedgerRow> {
  const byArea = grouped(rows.filter(({ isVoid }) => !isVoid), ({ areaKey }) => areaKey);
  const pairs = portions.flatMap((portion) =>
    (byArea.get(portion.area) ?? []).flatMap((row): Pair[] => {
      if (portion.job !== '' && row.subject === portion.job) return [{ portion, row, apart: -1 }];
      const apart = daysApart(portion.onDay, row.onDay);
      return row.productKey === nameKey(portion.productName) && apart <= NEAR_DAYS ? [{ portion, row, apart }] : [];
    }),
  );
  const found = new Map<string, LedgerRow>();
  const used = new Set<string>();
  for (const { portion, row } of pairs.toSorted(byNearness)) {
    if (found.has(portion.id) || used.has(row.root)) continue;
    found.set(portion.id, row);
    used.add(row.root);
  }
  return found;
} // prettier-ignore

/**
 * How each portion stands on a day, by what was recorded.
 *
 * @param rows records of its ground, in any order
 * @param today year-month-day
 * @example portionStates([], [], '2026-04-18').size // 0
 */
export function portionStates(
  portions: readonly PortionInput[],
  rows: readonly LedgerRow[],
  today: string,
): ReadonlyMap<string, PortionStanding> {
  const done = pairsOf(portions, rows);
  return new Map(
    portions.map(({ id, hold, onDay }): [string, PortionStanding] => {
      const row = done.get(id);
      if (row) return [id, { state: 'done', root: row.root, doneOn: row.onDay }];
      const state = hold !== '' ? 'held' : onDay < today ? 'missed' : daysUntil(today, onDay) <= SOON_DAYS ? 'due' : 'ahead'; // prettier-ignore
      return [id, { state, root: null, doneOn: '' }];
    }),
  );
}
