import { message, type Message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { crossesItself, outlineArea, roundOutline, type Point } from './outline.ts';

/** A length or an angle that a shape is measured by. */
export type Dimension =
  | 'length'
  | 'width'
  | 'base'
  | 'height'
  | 'sideA'
  | 'sideB'
  | 'sideC'
  | 'oneParallel'
  | 'otherParallel'
  | 'radius'
  | 'outerRadius'
  | 'innerRadius'
  | 'side1'
  | 'side2'
  | 'side3'
  | 'side4'
  | 'diagonal'
  | 'offsetDistance'
  | 'offset'
  | 'side'
  | 'turn'
  | 'size'
  | 'x'
  | 'y';

/** How a shape is measured and worked out. Dimensions are metres (turning angles radians, a known size m2), in the order of `dimensions`. */
interface Shape {
  /** Each dimension; for a list what repeats. */
  readonly dimensions: readonly Dimension[];
  /** From here on the dimensions repeat; null: there are just these. */
  readonly repeats: { readonly from: number; readonly least: number } | null;
  /** Says why the shape cannot be. `field` is that of the part. */
  check(d: readonly number[], field: string): void;
  area(d: readonly number[]): number;
  /** Closed outlines from the origin: the first is the edge, further ones are holes. */
  outlines(d: readonly number[]): Point[][];
}

const point = (x: number, y: number): Point => ({ x, y });
const noCheck = () => undefined;

/** Heron's formula in Kahan's order, which keeps its digits for needles (Kahan 2014, "Miscalculating Area and Angles"). */
function heron(sides: readonly [number, number, number]): number {
  const [a, b, c] = sides.toSorted((x, y) => y - x) as [number, number, number];
  return Math.sqrt(Math.max(0, (a + (b + c)) * (c - (a - b)) * (c + (a - b)) * (a + (b - c)))) / 4;
}

function checkTriangle([a, b, c]: readonly [number, number, number], field: string, which: Message): void {
  const longest = Math.max(a, b, c);
  if (longest >= a + b + c - longest) throw new InputError('shape.triangle', { field, which });
}

/** The third corner of a triangle on a base from the origin along x: `left` from its start, `right` from its end. */
function apex(base: number, left: number, right: number, side: 1 | -1): Point {
  const x = (base * base + left * left - right * right) / (2 * base);
  return point(x, side * Math.sqrt(Math.max(0, left * left - x * x)));
}

/** Corners of a walk of sides and turns; what is left open at the end is spread over the sides by their length. */
function walk(d: readonly number[]): { corners: Point[]; gap: number; length: number } {
  let heading = 0;
  let at = point(0, 0);
  let length = 0;
  const reached: { at: Point; length: number }[] = [{ at, length }];
  for (let i = 0; i < d.length; i += 2) {
    const side = d[i]!;
    at = point(at.x + side * Math.cos(heading), at.y + side * Math.sin(heading));
    length += side;
    reached.push({ at, length });
    heading += d[i + 1] ?? 0;
  }
  const gap = Math.hypot(at.x, at.y);
  const corners = reached
    .slice(0, -1)
    .map(({ at: corner, length: walked }) =>
      point(corner.x - (at.x * walked) / length, corner.y - (at.y * walked) / length),
    );
  return { corners, gap, length };
}

/** A walk that misses its beginning by more than this share of its length has a mistake in it. */
const MAX_GAP = 0.05;

const pointsOf = (d: readonly number[]): Point[] =>
  Array.from({ length: Math.floor(d.length / 2) }, (_, index) => point(d[2 * index]!, d[2 * index + 1]!));

/** Every shape that ground is measured in. Sources: Euclidean geometry; offsets by the trapezoid rule. */
export const SHAPES = {
  rectangle: {
    dimensions: ['length', 'width'],
    repeats: null,
    check: noCheck,
    area: ([l = 0, w = 0]) => l * w,
    outlines: ([l = 0, w = 0]) => [[point(0, 0), point(l, 0), point(l, w), point(0, w)]],
  },
  triangle: {
    dimensions: ['base', 'height'],
    repeats: null,
    check: noCheck,
    area: ([b = 0, h = 0]) => (b * h) / 2,
    outlines: ([b = 0, h = 0]) => [[point(0, 0), point(b, 0), point(b / 2, h)]],
  },
  'three-sides': {
    dimensions: ['sideA', 'sideB', 'sideC'],
    repeats: null,
    check: ([a = 0, b = 0, c = 0], field) => checkTriangle([a, b, c], field, message('errors.which.longest')),
    area: ([a = 0, b = 0, c = 0]) => heron([a, b, c]),
    outlines: ([a = 0, b = 0, c = 0]) => [[point(0, 0), point(a, 0), apex(a, c, b, 1)]],
  },
  trapezoid: {
    dimensions: ['oneParallel', 'otherParallel', 'height'],
    repeats: null,
    check: noCheck,
    area: ([a = 0, b = 0, h = 0]) => ((a + b) / 2) * h,
    outlines: ([a = 0, b = 0, h = 0]) => [
      [point(0, 0), point(a, 0), point((a + b) / 2, h), point((a - b) / 2, h)],
    ],
  },
  circle: {
    dimensions: ['radius'],
    repeats: null,
    check: noCheck,
    area: ([r = 0]) => Math.PI * r * r,
    outlines: ([r = 0]) => [roundOutline(r, r)],
  },
  'half-circle': {
    dimensions: ['radius'],
    repeats: null,
    check: noCheck,
    area: ([r = 0]) => (Math.PI * r * r) / 2,
    outlines: ([r = 0]) => [roundOutline(r, r, Math.PI)],
  },
  ellipse: {
    dimensions: ['length', 'width'],
    repeats: null,
    check: noCheck,
    area: ([l = 0, w = 0]) => (Math.PI / 4) * l * w,
    outlines: ([l = 0, w = 0]) => [roundOutline(l / 2, w / 2)],
  },
  ring: {
    dimensions: ['outerRadius', 'innerRadius'],
    repeats: null,
    check([outer = 0, inner = 0], field) {
      if (inner >= outer) throw new InputError('shape.ring', { field });
    },
    area: ([outer = 0, inner = 0]) => Math.PI * (outer * outer - inner * inner),
    outlines: ([outer = 0, inner = 0]) => [roundOutline(outer, outer), roundOutline(inner, inner)],
  },
  'four-sides': {
    dimensions: ['side1', 'side2', 'side3', 'side4', 'diagonal'],
    repeats: null,
    check([a = 0, b = 0, c = 0, d = 0, e = 0], field) {
      checkTriangle([a, b, e], field, message('errors.which.sides12'));
      checkTriangle([c, d, e], field, message('errors.which.sides34'));
    },
    area: ([a = 0, b = 0, c = 0, d = 0, e = 0]) => heron([a, b, e]) + heron([c, d, e]),
    outlines: ([a = 0, b = 0, c = 0, d = 0, e = 0]) => [
      [point(0, 0), apex(e, a, b, -1), point(e, 0), apex(e, d, c, 1)],
    ],
  },
  offsets: {
    dimensions: ['offsetDistance', 'offset'],
    repeats: { from: 1, least: 2 },
    check: noCheck,
    area: ([step = 0, ...offsets]) =>
      step * (offsets.reduce((sum, o) => sum + o, 0) - ((offsets[0] ?? 0) + (offsets.at(-1) ?? 0)) / 2),
    outlines: ([step = 0, ...offsets]) => [
      [
        point(0, 0),
        ...offsets.map((o, index) => point(index * step, o)),
        point((offsets.length - 1) * step, 0),
      ],
    ],
  },
  walk: {
    dimensions: ['side', 'turn'],
    repeats: { from: 0, least: 6 },
    check(d, field) {
      const { corners, gap, length } = walk(d);
      if (gap > MAX_GAP * length)
        throw new InputError('shape.open', { field, share: String(Math.round((gap / length) * 100)) });
      if (crossesItself(corners)) throw new InputError('shape.crosses', { field });
    },
    area: (d) => outlineArea(walk(d).corners),
    outlines: (d) => [walk(d).corners],
  },
  known: {
    dimensions: ['size'],
    repeats: null,
    check: noCheck,
    area: ([size = 0]) => size,
    // Where its edge runs is not known: a square stands for it.
    outlines: ([size = 0]) => [[point(0, 0), point(Math.sqrt(size), 0), point(Math.sqrt(size), Math.sqrt(size)), point(0, Math.sqrt(size))]], // prettier-ignore
  },
  polygon: {
    dimensions: ['x', 'y'],
    repeats: { from: 0, least: 6 },
    check(d, field) {
      if (crossesItself(pointsOf(d))) throw new InputError('shape.crosses', { field });
    },
    area: (d) => outlineArea(pointsOf(d)),
    outlines: (d) => [pointsOf(d)],
  },
} as const satisfies Record<string, Shape>;

export type ShapeKind = keyof typeof SHAPES;
export const SHAPE_KINDS = Object.keys(SHAPES) as ShapeKind[];

/**
 * A shape of the table, whatever its kind.
 *
 * @example shapeOf('rectangle').dimensions.length // 2
 */
export const shapeOf = (kind: ShapeKind): Shape => SHAPES[kind];
