import { finite, requireFinite } from '../errors/preconditions.ts';
/** A point on the ground, metres: x to the east or the right, y to the north or up. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A closed line of at least three points; the last is joined to the first. */
export type Outline = readonly Point[];

/**
 * Length of a line through points, m; closed: back to its first point.
 *
 * @example lineLength([{ x: 0, y: 0 }, { x: 3, y: 4 }], false) // 5
 */
export const lineLength = (line: Outline, closed: boolean): number =>
  finite(
    line.reduce((sum, a, index) => {
      const b = line[index + 1] ?? (closed ? line[0]! : a);
      return sum + Math.hypot(b.x - a.x, b.y - a.y);
    }, 0),
  );

/** Neighbours of a closed outline in pairs: each side from its first point to its second. */
const sidesOf = (outline: Outline): [Point, Point][] =>
  outline.map((point, index) => [point, outline[(index + 1) % outline.length]!]);

/**
 * Area inside an outline by the surveyor's formula, about its first point so that far coordinates lose no digits.
 *
 * @param outline at least three points; which way round does not matter
 * @returns m2, 0 or more
 * @example outlineArea([{ x: 0, y: 0 }, { x: 3, y: 0 }, { x: 3, y: 4 }]) // 6
 */
export function outlineArea(outline: Outline): number {
  const origin = outline[0];
  if (!origin) return 0;
  const twice = sidesOf(outline).reduce(
    (sum, [a, b]) => sum + (a.x - origin.x) * (b.y - origin.y) - (b.x - origin.x) * (a.y - origin.y),
    0,
  );
  return finite(Math.abs(twice) / 2);
}

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

const cross = ([a, b]: [Point, Point], [c, d]: [Point, Point]): boolean =>
  turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;

/** Closer than this share of the outline is on the line. */
const ON_LINE = 1e-9;

/** A point lies on a side, between its ends or on one of them. */
function liesOn(point: Point, [a, b]: [Point, Point], near: number): boolean {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length <= near) return Math.hypot(point.x - a.x, point.y - a.y) <= near;
  const along = ((point.x - a.x) * (b.x - a.x) + (point.y - a.y) * (b.y - a.y)) / length;
  return along >= -near && along <= length + near && Math.abs(turn(a, b, point)) / length <= near;
}

/** The nearest corner in one direction that lies off the line of a side, as the side of it that it lies on; 0: none does. */
function sideOf(outline: Outline, from: number, step: 1 | -1, [a, b]: [Point, Point], near: number): number {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  for (let walked = 1; walked < outline.length; walked += 1) {
    const at = outline[(from + step * walked + outline.length * walked) % outline.length]!;
    const off = turn(a, b, at) / length;
    if (Math.abs(off) > near) return Math.sign(off);
  }
  return 0;
}

/** The outline passes through one of its own sides at a corner: before it, it lies on one side, after it on the other. */
function passesThrough(outline: Outline, corner: number, side: number, near: number): boolean {
  const ends = [side, (side + 1) % outline.length];
  if (ends.includes(corner)) return false;
  const line: [Point, Point] = [outline[ends[0]!]!, outline[ends[1]!]!];
  if (!liesOn(outline[corner]!, line, near)) return false;
  return sideOf(outline, corner, -1, line, near) * sideOf(outline, corner, 1, line, near) < 0;
}

/**
 * True when an outline crosses itself: two sides between their ends, or through a corner. Touching without passing through is no
 * crossing.
 *
 * @example crossesItself([{ x: 0, y: 0 }, { x: 2, y: 2 }, { x: 2, y: 0 }, { x: 0, y: 2 }]) // true
 */
export function crossesItself(outline: Outline): boolean {
  const sides = sidesOf(outline);
  if (sides.some((side, index) => sides.slice(index + 2).some((other) => cross(side, other)))) return true;
  const box = boundsOf(outline);
  const near = box ? ON_LINE * Math.hypot(box.maxX - box.minX, box.maxY - box.minY) : 0;
  return outline.some((_, corner) => sides.some((__, side) => passesThrough(outline, corner, side, near)));
}

/** Where an outline reaches to. */
export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/**
 * The box around points; null without any.
 *
 * @example boundsOf([{ x: 0, y: 2 }, { x: 3, y: 1 }]) // { minX: 0, minY: 1, maxX: 3, maxY: 2 }
 */
export function boundsOf(points: readonly Point[]): Bounds | null {
  if (points.length === 0) return null;
  for (const { x, y } of points) requireFinite({ x, y });
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const least = (all: number[]) => all.reduce((a, b) => Math.min(a, b));
  const most = (all: number[]) => all.reduce((a, b) => Math.max(a, b));
  return { minX: least(xs), minY: least(ys), maxX: most(xs), maxY: most(ys) };
}

/** Corners of a full turn: where curves are clipped, areas stay within 1e-4. */
const ROUND = 80;
const STEP = (2 * Math.PI) / ROUND;
/** How far the corners lie outside the curve. */
const STRETCH = Math.sqrt(STEP / Math.sin(STEP));

/**
 * The width of a curve, from that of its outline, m.
 *
 * @example acrossCurve(10) // 9.99486
 */
export const acrossCurve = (outlineM: number): number => finite(outlineM / STRETCH);

/**
 * A curve as an outline whose area is that of the curve: its corners lie a little outside, so that nothing is lost.
 *
 * @param rx half the length along x, m
 * @param ry half the length along y, m
 * @param turnRad how much of the turn, radians: 2 pi for an ellipse, pi for its upper half
 */
export function roundOutline(rx: number, ry: number, turnRad = 2 * Math.PI): Point[] {
  const closed = turnRad === 2 * Math.PI;
  const steps = closed ? ROUND : ROUND / 2;
  return Array.from({ length: closed ? steps : steps + 1 }, (_, index) => ({
    x: rx * STRETCH * Math.cos(index * STEP),
    y: ry * STRETCH * Math.sin(index * STEP),
  }));
}

/** An outline turned about the origin (radians, anticlockwise) and moved. */
export function placed(outline: Outline, at: Point, turnRad: number): Point[] {
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return outline.map(({ x, y }) => ({ x: at.x + x * cos - y * sin, y: at.y + x * sin + y * cos }));
}
