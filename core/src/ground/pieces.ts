import { requireFinite } from '../errors/preconditions.ts';
import { isHole, type Ground } from './clip.ts';
import type { Outline, Point } from './outline.ts';

/**
 * Whether a point lies within an outline, whichever way that runs: how often a line from it crosses the edge (Shimrat 1962).
 *
 * @example liesWithin([{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 0, y: 4 }], { x: 1, y: 1 }) // true
 */
export function liesWithin(outline: Outline, { x, y }: Point): boolean {
  let inside = false;
  let a = outline.at(-1);
  for (const b of outline) {
    if (a && a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
    a = b;
  }
  return inside;
}

/**
 * Ground as pieces that do not touch: each edge with the holes in it.
 *
 * @example piecesOf([]) // []
 */
export function piecesOf(ground: Ground): Ground[] {
  for (const outline of ground) for (const { x, y } of outline) requireFinite({ x, y });
  const edges = ground.filter((outline) => outline.length > 2 && !isHole(outline));
  const holes = ground.filter((outline) => outline.length > 2 && isHole(outline));
  return edges.map((edge) => [edge].concat(holes.filter((hole) => liesWithin(edge, hole[0]!))));
}
