import { boundsOf, type Ground } from '../ground/index.ts';

/** Square cells over the ground and what lies round it; a cell is looked at in its middle. */
export interface Grid {
  /** The corner lowest and farthest left, m. */
  readonly x0: number;
  readonly y0: number;
  readonly cellM: number;
  readonly columns: number;
  readonly rows: number;
}

/** Most cells of a map: coarser ones are taken beyond that. */
const MAX_CELLS = 4_000_000;

/** Cells over ground and as far beyond it as product may get. */
export function gridOver(ground: Ground, beyondM: number, cellM: number): Grid {
  const box = boundsOf(ground.flat())!;
  const [wide, high] = [box.maxX - box.minX + 2 * beyondM, box.maxY - box.minY + 2 * beyondM];
  const size = Math.max(cellM, Math.sqrt((wide * high) / MAX_CELLS));
  // Whole cells within the ground's own box, so that its straight sides do not cut through them.
  const margin = Math.ceil(beyondM / size);
  const count = (length: number) => Math.ceil(length / size - 1e-9) + 2 * margin;
  return {
    x0: box.minX - margin * size,
    y0: box.minY - margin * size,
    cellM: size,
    columns: count(box.maxX - box.minX),
    rows: count(box.maxY - box.minY),
  };
}

/** Where a line of cells crosses outlines, in order along it. */
function crossingsAt(ground: Ground, y: number): number[] {
  const found: number[] = [];
  for (const outline of ground) {
    let a = outline.at(-1)!;
    for (const b of outline) {
      if (a.y > y !== b.y > y) found.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
      a = b;
    }
  }
  return found.toSorted((one, other) => one - other);
}

/** Which cells lie on ground, in their middle: 1 where they do. */
export function cellsOn(ground: Ground, { x0, y0, cellM, columns, rows }: Grid): Uint8Array {
  const on = new Uint8Array(columns * rows);
  for (let row = 0; row < rows; row += 1) {
    const found = crossingsAt(ground, y0 + (row + 0.5) * cellM);
    for (let index = 0; index + 1 < found.length; index += 2) {
      const first = Math.max(0, Math.ceil((found[index]! - x0) / cellM - 0.5));
      const last = Math.min(columns - 1, Math.ceil((found[index + 1]! - x0) / cellM - 0.5) - 1);
      if (last >= first) on.fill(1, row * columns + first, row * columns + last + 1);
    }
  }
  return on;
}
