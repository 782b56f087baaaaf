import { groundArea, groundOf, isHole, simplified, untangled } from '../clip.ts';
import { localPlane, type Place } from '../geodetic.ts';
import { crossesItself, lineLength, outlineArea, type Outline, type Point } from '../outline.ts';
import { isPlane, type BoundaryLine } from './boundaryLine.ts';

/** What an edge from a file comes to as ground. */
export interface Surveyed {
  readonly name: string;
  readonly kind: BoundaryLine['kind'];
  /** Each piece: its edge, then holes, m from the site's place, to the millimetre. */
  readonly pieces: readonly (readonly Outline[])[];
  readonly areaM2: number;
  /** Points in the file, and corners that are left. */
  readonly points: number;
  readonly corners: number;
  /** By how much leaving points out changed the area, share of it. */
  readonly changed: number;
  /** How far a walk ended from where it began, m; the last side closes it. */
  readonly gapM: number;
  /** The gap is more than a fifth of the walk: the last side is a guess. */
  readonly isOpen: boolean;
  /** How much the points of a walk jitter from one to the next, m (one standard deviation each way); 0 where that is not told. */
  readonly jitterM: number;
  /** How far a point may be off when nobody says, m: what a pocket receiver does in the open, or the walk's own jitter; null for an area. */
  readonly offM: number | null;
  /** The edge crossed itself and was untangled. */
  readonly crossed: boolean;
}

const MAX_CORNERS = 1000;
const POCKET_RECEIVER_M = 3;
const MAX_GAP = 0.2;
/** Loops smaller than this share of the ground are where a walk overran its beginning. */
const SMALL_LOOP = 0.01;
/** What may be left out at first: of a walk, of a surveyed edge, m. */
const WITHIN = { walk: 0.3, area: 0.01 } as const;

/** Points farther apart than this, m, or fewer than so many, tell corners and not jitter. */
const NEIGHBOURS = { withinM: 10, least: 12 };

/** Median distance of a point from the middle of its neighbours, as the scatter of one point each way (Rayleigh). */
function jitterOf(line: Outline): number {
  const off = line.slice(1, -1).flatMap(({ x, y }, index) => {
    const [before, after] = [line[index]!, line[index + 2]!];
    const apart = Math.max(Math.hypot(x - before.x, y - before.y), Math.hypot(x - after.x, y - after.y));
    return apart > NEIGHBOURS.withinM ? [] : [Math.hypot(x - (before.x + after.x) / 2, y - (before.y + after.y) / 2)]; // prettier-ignore
  });
  if (off.length < NEIGHBOURS.least) return 0;
  const median = off.toSorted((a, b) => a - b)[Math.floor(off.length / 2)] ?? 0;
  return median / Math.sqrt(2 * Math.LN2) / Math.sqrt(1.5);
}

const same = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) < 1e-3;

/** Neighbours that coincide, and a last point on the first, told once. */
function withoutRepeats(line: Outline): Outline {
  const kept = line.filter((point, index) => index === 0 || !same(point, line[index - 1]!));
  return kept.length > 1 && same(kept[0]!, kept.at(-1)!) ? kept.slice(0, -1) : kept;
}

/** A closed edge with fewer corners: simplified in two halves, parted at the corner farthest from the first. */
function fewer(edge: Outline, withinM: number): Outline {
  const first = edge[0]!;
  const far = edge.reduce(
    (best, { x, y }, index) => {
      const away = Math.hypot(x - first.x, y - first.y);
      return away > best.away ? { at: index, away } : best;
    },
    { at: 0, away: 0 },
  ).at;
  const halves = [edge.slice(0, far + 1), [...edge.slice(far), first]];
  return halves.flatMap((half) => simplified(half, withinM).slice(0, -1));
}

function simplify(edge: Outline, withinM: number): Outline {
  const line = fewer(edge, withinM);
  return line.length <= MAX_CORNERS ? line : simplify(edge, withinM * 2);
}

const toMillimetre = (edge: Outline): Outline =>
  edge.map(({ x, y }) => ({ x: Math.round(x * 1000) / 1000, y: Math.round(y * 1000) / 1000 }));

/** An edge that crosses itself as the pieces it runs round, loops of an overrun left out. */
function untangle(edge: Outline): Outline[][] {
  const pieces = untangled(edge).filter((piece) => !isHole(piece));
  const most = Math.max(...pieces.map((piece) => outlineArea(piece)));
  return pieces.filter((piece) => outlineArea(piece) > SMALL_LOOP * most).map((piece) => [piece]);
}

/** Where the drawing of a file begins: the south-west corner of its first edge, in round ten-thousandths of a degree. */
export function originOf(traces: readonly BoundaryLine[]): Place | null {
  const rings = traces[0]?.rings;
  if (!rings || isPlane(rings)) return null;
  const [edge = []] = rings;
  const least = (of: (place: Place) => number) =>
    Math.floor(edge.reduce((low, place) => Math.min(low, of(place)), Infinity) * 1e4) / 1e4;
  return { latDeg: least((place) => place.latDeg), lonDeg: least((place) => place.lonDeg) };
}

/**
 * Makes ground of an edge from a file: on a plane that keeps the ellipsoid's areas, closed, with no more than a thousand
 * corners, and untangled where it crosses itself.
 *
 * @param place the site's place; null for points in metres
 * @returns null when no ground is left
 */
export function cleanBoundary({ name, kind, rings }: BoundaryLine, place: Place | null): Surveyed | null {
  const plane = place && localPlane(place);
  const lines = isPlane(rings)
    ? rings
    : plane
      ? rings.map((ring) => ring.map((point) => plane.toPlane(point)))
      : [];
  const [walked = []] = lines;
  const outlines = lines.map((line) => withoutRepeats(line)).filter((line) => line.length >= 3);
  const [edge] = outlines;
  if (!edge) return null;
  const length = lineLength(edge, true);
  const gapM = kind === 'walk' ? Math.hypot(walked[0]!.x - walked.at(-1)!.x, walked[0]!.y - walked.at(-1)!.y) : 0; // prettier-ignore
  const kept = outlines.map((outline) => toMillimetre(simplify(outline, WITHIN[kind])));
  const crossed = crossesItself(kept[0]!);
  const pieces = crossed ? untangle(kept[0]!) : [kept];
  const areaOf = (all: readonly (readonly Outline[])[]) =>
    all.reduce((sum, piece) => sum + groundArea(groundOf(piece)), 0);
  const areaM2 = areaOf(pieces);
  const jitterM = kind === 'walk' ? jitterOf(walked) : 0;
  const before = areaOf([outlines]);
  if (!(areaM2 > 0)) return null;
  return {
    name,
    kind,
    pieces,
    areaM2,
    points: rings.reduce((sum, ring) => sum + ring.length, 0),
    corners: pieces.flat().reduce((sum, outline) => sum + outline.length, 0),
    changed: crossed ? 0 : Math.abs(areaM2 - before) / before,
    gapM,
    isOpen: gapM > MAX_GAP * length,
    jitterM,
    offM: kind === 'walk' ? Math.max(POCKET_RECEIVER_M, 2 * jitterM) : null,
    crossed,
  };
}
