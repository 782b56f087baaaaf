import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { latestOf, type AppendedRow } from '../fields/latest.ts';
import { readCount } from '../fields/counts.ts';
import { nameKey } from '../fields/nameKey.ts';
import { text, type InputOf } from '../fields/schema.ts';

/** What can happen to packages on a shelf; what was spread is known from the records. */
export const STOCK_MOVES = ['counted', 'received', 'disposed'] as const;
export type StockMoveKind = (typeof STOCK_MOVES)[number];

/** A movement of a product on the shelf, as typed: a row that is appended. */
export const stockMoveInput = z.object({
  what: z.enum(STOCK_MOVES),
  /** Packages; a part of one counts as a fraction. */
  packages: text,
  /** Which lot it was; empty: not said. */
  lot: text,
  /** Price of one package, of what was received. */
  price: text,
  by: text,
  note: text,
  /** Why it does not count; empty: it counts. */
  void: text,
});
export type StockMoveInput = InputOf<typeof stockMoveInput>;

const MAX = 1e6;

/**
 * Reads a movement of stock. None at all may be counted, but not received.
 *
 * @example evaluateStockMove({ what: 'counted', packages: '0', lot: '', price: '', by: '', note: '', void: '' }).packages // 0
 */
export function evaluateStockMove({ what, packages }: StockMoveInput): {
  readonly packages: number | null;
  readonly errors: readonly InputError[];
} {
  const { errors, tryRead } = collect();
  const read = tryRead(() => {
    if (packages.trim() === '') throw new InputError('number.empty', { field: 'packages', hint: '3.5' });
    return readCount(packages, {
      field: 'packages',
      hint: '3.5',
      most: MAX,
      isPositive: what !== 'counted',
    });
  });
  return { packages: read, errors };
}

/** What is on a shelf of one product. */
export interface Stock {
  /** Below 0: more was used than came, so something was not said. */
  readonly packages: number;
  /** When it was counted last; empty: never, then all that is known was added up. */
  readonly countedAt: string;
  readonly received: number;
  readonly used: number;
  readonly disposed: number;
}

/** What was spread of a product: kg or L, and when. */
export interface StockUse {
  readonly at: string;
  readonly si: number;
}

/** A movement as it was appended. */
export interface StockMoveRow extends AppendedRow {
  readonly input: StockMoveInput;
}

/**
 * What is on the shelf: the last count, what came after it, less what was spread and thrown away after it. It does not hang on the order
 * in which rows came.
 *
 * @param used what was spread of it, at any time
 * @param packageSi content of a package, kg or L; null: not known, so that what was spread cannot be taken off
 * @returns null where nothing was ever said of it
 * @example stockOf([], [], 22.7) // null
 */
export function stockOf(moves: readonly StockMoveRow[], used: readonly StockUse[], packageSi: number | null): Stock | null {
  if (packageSi !== null) requirePositive({ packageSi });
  const known = new Map(moves.map((row) => [row.id, row]));
  const stand = latestOf(moves)
    .filter(({ input }) => input.void.trim() === '')
    .map((row) => ({ input: row.input, id: row.first ?? row.id, at: known.get(row.first ?? row.id)?.occurredAt ?? row.occurredAt, packages: evaluateStockMove(row.input).packages ?? 0 }))
    .toSorted((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id));
  if (stand.length === 0) return null;
  const last = stand.findLastIndex(({ input }) => input.what === 'counted');
  const countedAt = stand[last]?.at ?? '';
  const since = stand.slice(last + 1);
  const sum = (what: StockMoveKind) => since.filter(({ input }) => input.what === what).reduce((all, { packages }) => all + packages, 0);
  for (const { si } of used) requireFinite({ used: si });
  const usedSi = used.filter(({ at }) => at > countedAt).reduce((all, { si }) => all + si, 0);
  const [received, disposed, gone] = [sum('received'), sum('disposed'), packageSi === null ? 0 : usedSi / packageSi];
  return { packages: finite((stand[last]?.packages ?? 0) + received - disposed - gone), countedAt, received, used: finite(gone), disposed };
} // prettier-ignore

/**
 * When a lot came: of its first receipt that counts.
 *
 * @returns the moment; empty: no lot is said, or nobody told when it came
 * @example lotCameAt([], 'LF-2604') // ''
 */
export function lotCameAt(moves: readonly StockMoveRow[], lot: string): string {
  const sought = nameKey(lot);
  if (sought === '') return '';
  const known = new Map(moves.map((row) => [row.id, row]));
  const came = latestOf(moves)
    .filter(
      ({ input }) => input.what === 'received' && input.void.trim() === '' && nameKey(input.lot) === sought,
    )
    .map((row) => known.get(row.first ?? '')?.occurredAt ?? row.occurredAt);
  return came.toSorted()[0] ?? '';
}
