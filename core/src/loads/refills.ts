import { finite, requirePositive } from '../errors/preconditions.ts';

/** Rows that are fed out of something that has to be filled again: a knapsack, a small hopper. */
export interface RowWork {
  /** Product on each metre of row, kg/m. */
  readonly kgPerM: number;
  /** What one filling holds, kg. */
  readonly fillKg: number;
  /** Length of one row, m. */
  readonly rowM: number;
  readonly rows: number;
}

/** How far a filling goes, and where the next one should stand. */
export interface RowRefills {
  /** Row that one filling serves, m. */
  readonly metresPerFill: number;
  /** Whole rows that it serves: so many make a block with one filling; 0: less than a row. */
  readonly rowsPerFill: number;
  /** A block's load, kg: whole rows, so that nobody walks back unfed. */
  readonly loadKg: number;
  /** Blocks in all, and the rows of the last one where it is a smaller one. */
  readonly blocks: number;
  readonly lastRows: number;
  /** Where the refill point stands: at the end that one starts from, at both ends by turns, or along the row. */
  readonly standsAt: 'start' | 'both-ends' | 'along-row';
}

/**
 * How far a filling goes down the rows: `metres = fill / output`. A block is as many whole rows as one filling serves; an even number
 * brings one back to where one began, an odd one to the other end.
 *
 * @param work all above 0, rows a whole number
 * @throws InputError number.unusable
 * @example rowRefills({ kgPerM: 0.033, fillKg: 15, rowM: 100, rows: 12 }) // { metresPerFill: 454.5, rowsPerFill: 4, loadKg: 13.2, blocks: 3, lastRows: 4, standsAt: 'start' }
 */
export function rowRefills({ kgPerM, fillKg, rowM, rows }: RowWork): RowRefills {
  requirePositive({ kgPerM, fillKg, rowM, rows });
  const metresPerFill = finite(fillKg / kgPerM);
  const rowsPerFill = Math.min(rows, Math.floor(metresPerFill / rowM + 1e-9));
  const each = Math.max(1, rowsPerFill);
  const blocks = Math.ceil(rows / each - 1e-9);
  return {
    metresPerFill,
    rowsPerFill,
    loadKg: rowsPerFill === 0 ? fillKg : finite(rowsPerFill * rowM * kgPerM),
    blocks,
    lastRows: rows - (blocks - 1) * each,
    standsAt: rowsPerFill === 0 ? 'along-row' : rowsPerFill % 2 === 0 ? 'start' : 'both-ends',
  };
}
