import type { EdgeKind, Ground, Outline, Point } from '../ground/index.ts';
import type { Grid } from './grid.ts';

/** What lies where product should not get to: kept back by a buffer, beyond an edge that matters, or just beyond the area. */
export const OFF_KINDS = ['water', 'drain', 'buffer', 'pavement', 'neighbour', 'other'] as const;
export type OffKind = (typeof OFF_KINDS)[number];

/** An edge of the area that something lies beyond. */
export interface KnownEdge {
  readonly kind: EdgeKind;
  readonly points: Outline;
  readonly closed: boolean;
}

const squared = (p: Point, a: Point, b: Point): number => {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const share = length > 0 ? Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length)) : 0;
  return (p.x - a.x - share * dx) ** 2 + (p.y - a.y - share * dy) ** 2;
};

function nearest(point: Point, line: Outline, closed: boolean): number {
  let best = Infinity;
  for (let index = closed ? 0 : 1; index < line.length; index += 1)
    best = Math.min(best, squared(point, line[index === 0 ? line.length - 1 : index - 1]!, line[index]!));
  return Math.sqrt(best);
}

/** An edge that matters lies on the outline of the area: it is the nearer of the two where they are as near. */
const SAME_M = 0.05;
/** What lies beyond an edge is told apart no finer than this, m. */
const COARSE_M = 0.5;

/**
 * What lies beyond the area at a cell, by its place among the kinds: what the edge nearest to it says.
 *
 * @param area all of it, its buffers too
 */
export function kindsAround(area: Ground, edges: readonly KnownEdge[], { x0, y0, cellM, columns, rows }: Grid): (column: number, row: number) => number {
  const kindAt = (point: Point): OffKind => {
    const plain = area.reduce((least, outline) => Math.min(least, nearest(point, outline, true)), Infinity);
    let best: { far: number; kind: OffKind } = { far: plain + SAME_M, kind: 'other' };
    for (const { kind, points, closed } of edges) {
      const far = nearest(point, points, closed);
      if (far < best.far) best = { far, kind };
    }
    return best.kind;
  };
  const together = Math.max(1, Math.round(COARSE_M / cellM));
  const [wide, high] = [Math.ceil(columns / together), Math.ceil(rows / together)];
  // One more than the place of the kind; 0: nobody asked yet.
  const known = new Uint8Array(wide * high);
  return (column, row) => {
    const x = (column / together) | 0;
    const y = (row / together) | 0;
    const before = known[y * wide + x]!;
    if (before > 0) return before - 1;
    const kind = kindAt({ x: x0 + (x + 0.5) * together * cellM, y: y0 + (y + 0.5) * together * cellM });
    const place = OFF_KINDS.indexOf(kind);
    known[y * wide + x] = place + 1;
    return place;
  };
} // prettier-ignore
