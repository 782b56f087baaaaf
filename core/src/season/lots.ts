import { finite, requirePositive } from '../errors/preconditions.ts';
import { grouped } from '../fields/grouped.ts';
import { latestOf } from '../fields/latest.ts';
import { nameKey } from '../fields/nameKey.ts';
import { evaluateApplication, isVoid } from './application.ts';
import { dayOfRow } from './look.ts';
import type { DoneRow } from './rounds.ts';
import { evaluateStockMove, type StockMoveRow } from './stock.ts';

/** One thing that happened to a lot. */
export interface LotStep {
  /** Of the movement or of the record. */
  readonly id: string;
  readonly what: 'received' | 'disposed' | 'spread';
  /** The moment, ISO 8601 in UTC. */
  readonly at: string;
  /** The day where it happened; empty: that of the moment. */
  readonly onDay: string;
  readonly by: string;
  /** null: the size of a package is not known. */
  readonly packages: number | null;
  /** kg or L, of what was spread. */
  readonly amountSi: number | null;
  /** The record, of what was spread. */
  readonly row: DoneRow | null;
  /** Packages that are left after it; null: not known. */
  readonly left: number | null;
}

/** A lot of a product, from its delivery to what is left. */
export interface Lot {
  /** As it was first written. */
  readonly lot: string;
  readonly steps: readonly LotStep[];
  /** Packages. */
  readonly received: number;
  readonly used: number | null;
  readonly disposed: number;
  /** Below 0: more was used than came under this name. */
  readonly left: number | null;
}

type Bare = Omit<LotStep, 'left'> & { readonly lot: string };

function lotOf(steps: readonly Bare[]): Lot {
  const own = steps.toSorted((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id));
  const total = (what: LotStep['what']) =>
    own.filter((step) => step.what === what).reduce<number | null>((sum, { packages }) => (sum === null || packages === null ? null : finite(sum + packages)), 0);
  let left: number | null = 0;
  const walked = own.map(({ lot: _lot, ...step }): LotStep => {
    const by = step.packages;
    left = left === null || by === null ? null : finite(left + (step.what === 'received' ? by : -by));
    return Object.assign({ left }, step);
  });
  return { lot: own[0]!.lot, steps: walked, received: total('received') ?? 0, used: total('spread'), disposed: total('disposed') ?? 0, left };
} // prettier-ignore

/**
 * The lots of a product, each with its whole path: when it came, where it was spread, what was thrown away, what is left. What does not
 * count is in none of it, and it does not hang on the order in which rows came.
 *
 * @param moves of the product
 * @param uses records of the product, as they stand by now
 * @param packageSi content of a package, kg or L; null: not known
 * @returns the lot that came or was used last first; what names no lot is in none
 * @example lotsOf([], [], 18) // []
 */
export function lotsOf(
  moves: readonly StockMoveRow[],
  uses: readonly DoneRow[],
  packageSi: number | null,
): Lot[] {
  if (packageSi !== null) requirePositive({ packageSi });
  const known = new Map(moves.map((row) => [row.id, row]));
  const ofMoves = latestOf(moves).flatMap((row): Bare[] => {
    const { what, lot, by } = row.input;
    if (what === 'counted' || row.input.void.trim() !== '') return [];
    const first = known.get(row.first ?? '') ?? row;
    return [{ id: first.id, what, lot: lot.trim(), at: first.occurredAt, onDay: '', by, packages: evaluateStockMove(row.input).packages, amountSi: null, row: null }]; // prettier-ignore
  });
  const ofUses = uses.flatMap((row): Bare[] => {
    const { amountSi } = evaluateApplication(row.input);
    if (isVoid(row.input) || amountSi === null) return [];
    return [{ id: row.root, what: 'spread', lot: row.input.product.lot.trim(), at: row.startedAt, onDay: dayOfRow(row), by: row.input.by, packages: packageSi === null ? null : finite(amountSi / packageSi), amountSi, row }]; // prettier-ignore
  });
  const named = [...ofMoves, ...ofUses].filter(({ lot }) => lot !== '');
  return [...grouped(named, ({ lot }) => nameKey(lot)).values()]
    .map(lotOf)
    .toSorted((a, b) => b.steps.at(-1)!.at.localeCompare(a.steps.at(-1)!.at) || a.lot.localeCompare(b.lot));
}
