import { UNITS, type LengthUnit } from '../quantities/units.ts';
import { showExact } from '../quantities/show.ts';
import type { Point } from './outline.ts';
import type { PacesResult } from './paces.ts';
import type { ShapeInput } from './parts.ts';
import { shapeOf, type ShapeKind } from './shapes.ts';

/** A point of a shape that can be dragged. Points are the shape's own: before it is placed and turned. */
export interface Handle {
  readonly at: Point;
  /** The dimensions when it is dragged to a point. */
  move(to: Point): number[];
  /** Dragging it makes a new corner. */
  readonly adds?: true;
}

type D = readonly number[];
const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
const point = (x: number, y: number): Point => ({ x, y });

/** Less than a hand: a dragged length stops here, so that the shape can be dragged open again. */
const MIN = 0.1;
const atLeast = (m: number): number => Math.max(MIN, m);

function threeSides([a = 0, , c = 0]: D, corners: readonly Point[]): Handle[] {
  const [origin = point(0, 0), end = origin, top = origin] = corners;
  return [
    { at: end, move: ({ x }) => [atLeast(x), distance(point(atLeast(x), 0), top), c] },
    { at: top, move: (to) => [a, distance(end, to), distance(origin, to)] },
  ];
}

/** Corners 1 and 3 at the ends of the diagonal along x, 2 below and 4 above it. */
function fourSides([a = 0, b = 0, c = 0, d = 0, e = 0]: D, corners: readonly Point[]): Handle[] {
  const [one = point(0, 0), two = one, three = one, four = one] = corners;
  return [
    { at: two, move: (to) => [distance(one, to), distance(to, three), c, d, e] },
    {
      at: three,
      move: ({ x }) => {
        const to = point(atLeast(x), 0);
        return [a, distance(two, to), distance(to, four), d, to.x];
      },
    },
    { at: four, move: (to) => [a, b, distance(three, to), distance(to, one), e] },
  ];
}

/** Sides and left turns of a closed walk through corners; the first side is along x. */
function walkThrough(corners: readonly Point[]): number[] {
  const headings = corners.map((corner, index) => {
    const next = corners[(index + 1) % corners.length]!;
    return Math.atan2(next.y - corner.y, next.x - corner.x);
  });
  return corners.flatMap((corner, index) => {
    const next = (index + 1) % corners.length;
    const turn = headings[next]! - headings[index]!;
    return [distance(corner, corners[next]!), Math.atan2(Math.sin(turn), Math.cos(turn))];
  });
}

const walkHandles = (_: D, corners: readonly Point[]): Handle[] =>
  corners.flatMap((at, index) =>
    index === 0
      ? []
      : [
          {
            at,
            move: (to: Point) => walkThrough(corners.with(index, index === 1 ? point(atLeast(to.x), 0) : to)),
          },
        ],
  );

function polygonHandles(d: D): Handle[] {
  const corners = Array.from({ length: d.length / 2 }, (_, index) => point(d[2 * index]!, d[2 * index + 1]!));
  const flat = (points: readonly Point[]) => points.flatMap(({ x, y }) => [x, y]);
  return [
    ...corners.map((at, index) => ({ at, move: (to: Point) => flat(corners.with(index, to)) })),
    ...corners.map((a, index) => {
      const b = corners[(index + 1) % corners.length]!;
      return {
        at: point((a.x + b.x) / 2, (a.y + b.y) / 2),
        adds: true as const,
        move: (to: Point) => flat(corners.toSpliced(index + 1, 0, to)),
      };
    }),
  ];
}

const round = ([r = 0]: D): Handle[] => [
  { at: point(r, 0), move: (to) => [atLeast(distance(to, point(0, 0)))] },
];

const HANDLES: Readonly<Record<ShapeKind, (d: D, corners: readonly Point[]) => Handle[]>> = {
  rectangle: ([l = 0, w = 0]) => [
    { at: point(l, w / 2), move: ({ x }) => [atLeast(x), w] },
    { at: point(l / 2, w), move: ({ y }) => [l, atLeast(y)] },
    { at: point(l, w), move: ({ x, y }) => [atLeast(x), atLeast(y)] },
  ],
  triangle: ([b = 0, h = 0]) => [
    { at: point(b, 0), move: ({ x }) => [atLeast(x), h] },
    { at: point(b / 2, h), move: ({ y }) => [b, atLeast(y)] },
  ],
  'three-sides': threeSides,
  trapezoid: ([a = 0, b = 0, h = 0]) => [
    { at: point(a, 0), move: ({ x }) => [atLeast(x), b, h] },
    { at: point((a + b) / 2, h), move: ({ x, y }) => [a, atLeast(2 * x - a), atLeast(y)] },
  ],
  circle: round,
  'half-circle': round,
  ellipse: ([l = 0, w = 0]) => [
    { at: point(l / 2, 0), move: ({ x }) => [atLeast(2 * x), w] },
    { at: point(0, w / 2), move: ({ y }) => [l, atLeast(2 * y)] },
  ],
  ring: ([outer = 0, inner = 0]) => [
    { at: point(outer, 0), move: (to) => [atLeast(distance(to, point(0, 0))), inner] },
    { at: point(inner, 0), move: (to) => [outer, atLeast(distance(to, point(0, 0)))] },
  ],
  'four-sides': fourSides,
  offsets: ([step = 0, ...offsets]) => [
    ...offsets.map((offset, index) => ({
      at: point(index * step, offset),
      move: ({ y }: Point) => [step, ...offsets.with(index, Math.max(0, y))],
    })),
    {
      at: point((offsets.length - 1) * step, 0),
      move: ({ x }) => [atLeast(x / (offsets.length - 1)), ...offsets],
    },
  ],
  walk: walkHandles,
  // Its size is known, not its edge: there is nothing to drag.
  known: () => [],
  polygon: polygonHandles,
};

/** As many dimensions as the shape has, each a number. */
function isWhole(kind: ShapeKind, d: D): boolean {
  const { dimensions, repeats } = shapeOf(kind);
  return d.length >= (repeats ? repeats.from + repeats.least : dimensions.length) && d.every(Number.isFinite);
}

/**
 * The points by which a shape can be dragged, and what its dimensions become.
 *
 * @param d dimensions as read, m and radians
 * @example handlesOf('circle', [2])[0].move({ x: 0, y: 3 }) // [3]
 */
export const handlesOf = (kind: ShapeKind, d: D): Handle[] =>
  isWhole(kind, d)
    ? HANDLES[kind](d, shapeOf(kind).outlines(d)[0] ?? []).filter(({ at }) => Number.isFinite(at.x + at.y))
    : [];

/** What a dragged length is rounded to while it snaps, in its own unit. */
const STEP: Readonly<Record<LengthUnit, number>> = {
  m: 0.1,
  cm: 5,
  mm: 50,
  km: 0.001,
  ft: 0.5,
  in: 6,
  yd: 0.25,
  mi: 0.001,
};

/**
 * The unit that a drawing snaps to, m: half a foot, a decimetre.
 *
 * @example snapStepM('m') // 0.1
 */
export const snapStepM = (unit: LengthUnit): number => STEP[unit] * UNITS[unit].toSi;

/**
 * The texts of a shape's lengths after it was dragged: those that changed, in the unit or paces they were typed in.
 *
 * @param before dimensions as read, m and radians
 * @param after dimensions as dragged
 * @param snap whether lengths go to whole steps
 * @example draggedLengths(rectangle('p', '62', '38'), [18.9, 11.6], [20, 11.6], paces, false) // ['65.617', '38']
 */
export function draggedLengths(
  part: ShapeInput,
  before: D | null,
  after: D,
  paces: PacesResult,
  snap: boolean,
): string[] {
  const paceM = part.by === 'paces' ? (paces.pace?.paceM ?? null) : null;
  const wheel = part.by === 'wheel' ? paces.wheelFactor : 1;
  const unitM = paceM ?? UNITS[part.unit].toSi * wheel;
  const step = paceM ? 0.5 : STEP[part.unit];
  return after.map((value, index) => {
    const input = part.lengths[index];
    if (input && before?.length === after.length && Math.abs(before[index]! - value) < 1e-9) return input;
    if (part.kind === 'walk' && index % 2 === 1) return showExact(Math.round((value * 1800) / Math.PI) / 10);
    const number = value / unitM;
    return showExact(snap ? Math.round(number / step) * step : Math.round(number * 1000) / 1000);
  });
}
