import type { Point } from '../ground/index.ts';
import type { Grid } from './grid.ts';
import type { PatternTable } from './patterns.ts';
import type { Unsteady } from './unsteady.ts';

/** A straight piece of a way that is walked with the gate open. */
export interface Run {
  readonly from: Point;
  readonly to: Point;
  /** kg/m, or L/m. */
  readonly perM: number;
  readonly table: PatternTable;
  readonly walk: Unsteady;
  /** Where along the walk it begins, m. */
  readonly walkedM: number;
  /** Farthest sideways of the line, m. */
  readonly widestM: number;
}

/** First cell of a row in which a value that grows evenly has come to a bound, or is not beyond it yet. */
const firstCell = (atFirst: number, perCell: number, low: number, high: number): number =>
  perCell === 0
    ? atFirst >= low && atFirst <= high
      ? 0
      : Infinity
    : Math.ceil(((perCell > 0 ? low : high) - atFirst) / perCell);
const lastCell = (atFirst: number, perCell: number, low: number, high: number): number =>
  perCell === 0 ? Infinity : Math.floor(((perCell > 0 ? high : low) - atFirst) / perCell);

/** Last cell of a row that is still in the step of the walk which begins at a place; at least the one that it was found in. */
function lastOfStep(atFirst: number, perCell: number, from: number, stepM: number): number {
  if (perCell === 0) return Infinity;
  // The first step reaches back to before the run, and a place on the border may be found in either.
  return perCell > 0
    ? Math.ceil((from + stepM - atFirst) / perCell) - 1
    : Math.floor((from - atFirst) / perCell);
}

/** The share of a cell that lies within a run. */
const covered = (s: number, length: number, half: number): number =>
  Math.min(1, (s + half) / (2 * half)) * Math.min(1, (length - s + half) / (2 * half));

/** From so many cells on it is worth while to look where the pattern begins and ends. */
const LONG = 8;

/** As good as nothing: a run along a row or across it does not drift off it. */
const NOTHING = 1e-12;
const grown = (perCell: number): number => (Math.abs(perCell) < NOTHING ? 0 : perCell);

/**
 * Lays one run on the map. A cell gets what falls in its middle; at both ends of a run it gets the share of it that the run covers. The
 * work is that of the cells that the run touches, and nothing is made on the way.
 *
 * @param map kg/m2 or L/m2, one for each cell; added to
 */
export function layRun(map: Float64Array, { x0, y0, cellM, columns, rows }: Grid, run: Run): void {
  const { from, to, perM, table, walk, walkedM, widestM } = run;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (!(length > 0)) return;
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const { share, fromM, stepM } = table;
  const { sideM, output } = walk;
  const last = share.length - 2;
  const [perStep, perWalk, half] = [1 / stepM, 1 / walk.stepM, cellM / 2];
  const [low, high] = [fromM - widestM, fromM + last * stepM + widestM];
  const reachY = Math.max(Math.abs(low), Math.abs(high)) * Math.abs(ux) + half;
  const lowest = Math.max(0, Math.floor((Math.min(from.y, to.y) - reachY - y0) / cellM));
  const highest = Math.min(rows - 1, Math.ceil((Math.max(from.y, to.y) + reachY - y0) / cellM));
  const [perS, perV] = [grown(ux * cellM), grown(uy * cellM)];
  const perCell = perV * perStep;
  const dx = x0 + half - from.x;
  for (let row = lowest; row <= highest; row += 1) {
    const dy = y0 + (row + 0.5) * cellM - from.y;
    // Along the run, and to the right of it, in the first cell of the row.
    const s0 = dx * ux + dy * uy;
    const v0 = dx * uy - dy * ux;
    const first = Math.max(0, firstCell(s0, perS, -half, length + half), firstCell(v0, perV, low, high));
    const end = Math.min(columns - 1, lastCell(s0, perS, -half, length + half), lastCell(v0, perV, low, high));
    const base = row * columns;
    let column = first;
    while (column <= end) {
      // As far as one step of the walk goes, everything about whoever walks stays as it is.
      const s = s0 + column * perS;
      const step = ((s < 0 ? 0 : s) + walkedM) * perWalk | 0;
      const until = Math.min(end, Math.max(column, lastOfStep(s0, perS, step * walk.stepM - walkedM, walk.stepM)));
      const lets = perM * output[step]!;
      const beginsAt = (v0 - sideM[step]! - fromM) * perStep;
      const isEnd = Math.min(s, s0 + until * perS) < half || Math.max(s, s0 + until * perS) > length - half;
      // Where the walk goes on for long, only the cells that its pattern reaches are looked at.
      const isLong = until - column > LONG;
      const stop = isLong ? Math.min(until, lastCell(beginsAt, perCell, 0, last)) : until;
      for (column = isLong ? Math.max(column, firstCell(beginsAt, perCell, 0, last)) : column; column <= stop; column += 1) {
        const at = beginsAt + column * perCell;
        if (at < 0 || at >= last) continue;
        const below = at | 0;
        const here = share[below]!;
        const value = lets * (here + (at - below) * (share[below + 1]! - here));
        map[base + column]! += isEnd ? value * covered(s0 + column * perS, length, half) : value;
      }
      column = until + 1;
    }
  }
} // prettier-ignore
