import { isHole, type Ground, type Outline, type Point } from '../ground/index.ts';

/** Whether a point lies within an outline, whichever way that runs. */
export function liesWithin(outline: Outline, { x, y }: Point): boolean {
  let inside = false;
  let a = outline.at(-1);
  for (const b of outline) {
    if (a && a.y > y !== b.y > y && x < a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
    a = b;
  }
  return inside;
}

/** Ground as pieces that do not touch: each edge with the holes in it, the larger ones first. */
export function piecesOf(ground: Ground): Ground[] {
  const edges = ground.filter((outline) => outline.length > 2 && !isHole(outline));
  const holes = ground.filter((outline) => outline.length > 2 && isHole(outline));
  return edges.map((edge) => [edge].concat(holes.filter((hole) => liesWithin(edge, hole[0]!))));
}
