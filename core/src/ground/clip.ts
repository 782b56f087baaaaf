import {
  difference as without,
  EndType,
  FillRule,
  inflatePaths,
  intersect,
  JoinType,
  ramerDouglasPeuckerD,
  union as together,
  type Paths64,
} from 'clipper2-ts';
import { InputError } from '../errors/InputError.ts';
import { requireFinite, requirePositive } from '../errors/preconditions.ts';
import type { Outline, Point } from './outline.ts';

/** Pieces of ground as outlines: edges run anticlockwise, holes clockwise. */
export type Ground = readonly Outline[];

/** Area within an outline: above 0 when it runs anticlockwise, as an edge does, below 0 for a hole. */
const signedArea = (outline: Outline): number => {
  const origin = outline[0];
  if (!origin) return 0;
  return (
    outline.reduce((sum, a, index) => {
      const b = outline[(index + 1) % outline.length]!;
      return sum + (a.x - origin.x) * (b.y - origin.y) - (b.x - origin.x) * (a.y - origin.y);
    }, 0) / 2
  );
};

const turned = (outline: Outline, anticlockwise: boolean): Outline =>
  signedArea(outline) > 0 === anticlockwise ? outline : outline.toReversed();

/** One shape, its edge first and then its holes, as ground. */
export const groundOf = (outlines: readonly Outline[]): Ground =>
  outlines.map((outline, index) => turned(outline, index === 0));

/**
 * Area of pieces of ground, their holes taken off, m2.
 *
 * @example groundArea([[{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 4, y: 2 }]]) // 4
 */
export const groundArea = (ground: Ground): number =>
  ground.reduce((sum, outline) => sum + signedArea(outline), 0);

/**
 * An outline that runs round a hole.
 *
 * @example isHole([{ x: 0, y: 0 }, { x: 4, y: 2 }, { x: 4, y: 0 }]) // true
 */
export const isHole = (outline: Outline): boolean => signedArea(outline) < 0;

/** Whole numbers up to here multiply without losing a digit. */
const MAX_WHOLE = 2 ** 26;

/** Outlines that enclose something; refuses what is no place. */
function enclosing(ground: Ground): Ground {
  for (const outline of ground) for (const { x, y } of outline) requireFinite({ x, y });
  return ground.filter((outline) => outline.length > 2);
}

/** The library works on whole numbers: ground about its first point, as finely as they allow (1 um up to 60 m). */
function wholeNumbers(lines: Ground, beyondM = 0) {
  const first = lines[0]?.[0] ?? { x: 0, y: 0 };
  const reach = lines
    .flat()
    .reduce((most, { x, y }) => Math.max(most, Math.abs(x - first.x), Math.abs(y - first.y)), 1e-3);
  // A power of ten, so that what was typed in millimetres stays exact.
  const scale = 10 ** Math.floor(Math.log10(MAX_WHOLE / (reach + beyondM)));
  const into = (ground: Ground): Paths64 =>
    ground.map((line) =>
      line.map(({ x, y }) => ({
        x: Math.round((x - first.x) * scale),
        y: Math.round((y - first.y) * scale),
      })),
    );
  const back = (paths: Paths64): Ground =>
    paths.map((path) => path.map(({ x, y }): Point => ({ x: x / scale + first.x, y: y / scale + first.y })));
  return { scale, into, back };
}

type Clip = (a: Paths64, b: Paths64, rule: FillRule) => Paths64;

function clipping(a: Ground, b: Ground, clip: Clip, rule = FillRule.NonZero): Ground {
  const [first, second] = [enclosing(a), enclosing(b)];
  const { into, back } = wholeNumbers([...first, ...second]);
  return back(clip(into(first), into(second), rule));
}

/** All of these together, overlaps counted once. */
export const union = (ground: Ground): Ground => clipping(ground, [], together);

/** Ground inside an edge that may cross itself: loops are ground whichever way they run. */
export const untangled = (outline: Outline): Ground => clipping([outline], [], together, FillRule.EvenOdd);

/**
 * The first without the second.
 *
 * @example difference([], []) // []
 */
export const difference = (from: Ground, cut: Ground): Ground => clipping(from, cut, without);

/**
 * What both cover.
 *
 * @example intersection([], []) // []
 */
export const intersection = (a: Ground, b: Ground): Ground => clipping(a, b, intersect);

/** An arc is drawn within this share of its radius; round what is walked along, within this one. */
const ARC = 1e-4;
const INSET_ARC = 1e-2;
/** No strip is wider, m. */
const MAX_STRIP_M = 1e6;

/**
 * All ground within a distance of a line.
 *
 * @param line at least two points
 * @param distanceM m, above 0
 * @param closed the last point is joined to the first
 */
export function around(line: Outline, distanceM: number, closed: boolean): Ground {
  return line.length <= AT_ONCE ? aroundShort(line, distanceM, closed) : aroundLong(line, distanceM, closed);
}

/** Longest line that is worked out as one, points: the time grows with the square of their number. */
const AT_ONCE = 64;
const STRETCH = 16;

/** Stretch by stretch, then all of them together two by two. */
function aroundLong(line: Outline, distanceM: number, closed: boolean): Ground {
  const all = closed ? [...line, line[0]!] : line;
  let pieces: Ground[] = [];
  for (let from = 0; from < all.length - 1; from += STRETCH)
    pieces.push(aroundShort(all.slice(from, from + STRETCH + 1), distanceM, false));
  while (pieces.length > 1)
    pieces = pieces.flatMap((piece, index) =>
      index % 2 === 0 ? [union([...piece, ...(pieces[index + 1] ?? [])])] : [],
    );
  return pieces[0] ?? [];
}

function aroundShort(line: Outline, distanceM: number, closed: boolean): Ground {
  const { scale, into, back } = wholeNumbers([line], distanceM);
  const delta = distanceM * scale;
  return back(
    inflatePaths(
      into([line]),
      delta,
      JoinType.Round,
      closed ? EndType.Joined : EndType.Round,
      2,
      delta * ARC,
    ),
  );
}

/** Those that are more than one point: the library breaks down at one that has nothing around it. */
const extended = (paths: Paths64): Paths64 =>
  paths.filter(([first, ...rest]) => rest.some(({ x, y }) => x !== first!.x || y !== first!.y));

/**
 * Ground without a strip along all its edges, those of its holes too: what a trim pass leaves. A distance below 0 makes it wider.
 *
 * @param distanceM width of the strip, m
 * @example groundArea(inset([[{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 4, y: 3 }, { x: 0, y: 3 }]], 1)) // 2
 */
export function inset(ground: Ground, distanceM: number): Ground {
  if (!(Math.abs(distanceM) <= MAX_STRIP_M)) throw new InputError('number.unusable', { field: 'distanceM', input: String(distanceM) }); // prettier-ignore
  const outlines = enclosing(ground);
  if (outlines.length === 0 || distanceM === 0) return outlines;
  const { scale, into, back } = wholeNumbers(outlines, Math.abs(distanceM));
  const delta = -distanceM * scale;
  const arc = Math.max(Math.abs(delta) * INSET_ARC, 1);
  return back(inflatePaths(extended(into(outlines)), delta, JoinType.Round, EndType.Polygon, 2, arc));
}

/**
 * Ground whose pieces lie closer together than a hand is wide, as one: parts that were placed side by side touch.
 *
 * @param withinM m, above 0
 * @example joined([], 0.05) // []
 */
export function joined(ground: Ground, withinM: number): Ground {
  requirePositive({ withinM, upTo: MAX_STRIP_M - withinM });
  const outlines = enclosing(ground);
  if (outlines.length < 2) return outlines;
  const { scale, into, back } = wholeNumbers(outlines, withinM);
  const grown = inflatePaths(
    extended(into(outlines)),
    (withinM / 2) * scale,
    JoinType.Miter,
    EndType.Polygon,
  );
  return back(inflatePaths(grown, (-withinM / 2) * scale, JoinType.Miter, EndType.Polygon));
}

/**
 * A line with fewer corners that stays within a distance of all its points (Douglas and Peucker 1973; Ramer 1972).
 *
 * @param withinM m, above 0
 */
export const simplified = (line: Outline, withinM: number): Outline =>
  ramerDouglasPeuckerD([...line], withinM);
