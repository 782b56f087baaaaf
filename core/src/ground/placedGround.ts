import { difference, groundArea, groundOf, type Ground } from './clip.ts';
import { boundsOf, type Bounds } from './outline.ts';
import type { PartResult } from './parts.ts';

/** Less than this share of the area counts as touching, not as lying over each other. */
const TOUCHING = 1e-6;

/** A part with its area known. */
export type WholePart = PartResult & { areaM2: number };

const pointsOf = (parts: readonly PartResult[]): number =>
  parts.reduce(
    (sum, { outlines }) => sum + outlines.reduce((points, outline) => points + outline.length, 0),
    0,
  );

/** Most points of parts that lie over each other, and most of an area in all: the time grows with the square of what lies together. */
export const MAX_TANGLED = 6000;
const MAX_POINTS = 40_000;

const meet = (a: Bounds, b: Bounds): boolean =>
  a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;

/** Parts whose boxes meet, directly or through others: what lies elsewhere has no say in what they cover. */
function heaps(parts: readonly WholePart[]): WholePart[][] {
  let found: { box: Bounds; parts: WholePart[] }[] = [];
  for (const part of parts) {
    const box = boundsOf(part.outlines.flat());
    if (!box) continue;
    const met = found.filter((heap) => meet(heap.box, box));
    const rest = found.filter((heap) => !met.includes(heap));
    const all = [box, ...met.map((heap) => heap.box)];
    const whole = {
      minX: Math.min(...all.map(({ minX }) => minX)),
      minY: Math.min(...all.map(({ minY }) => minY)),
      maxX: Math.max(...all.map(({ maxX }) => maxX)),
      maxY: Math.max(...all.map(({ maxY }) => maxY)),
    };
    found = [...rest, { box: whole, parts: [...met.flatMap((heap) => heap.parts), part] }];
  }
  return found.map((heap) => heap.parts);
}

/** What the parts of a heap cover: by adding up where nothing overlaps, else by clipping. */
function clipHeap(parts: readonly WholePart[]) {
  const piecesOf = (cut: boolean): Ground =>
    parts.filter((part) => part.cut === cut).flatMap(({ outlines }) => groundOf(outlines));
  const [added, cuts] = [piecesOf(false), piecesOf(true)];
  const ground = difference(added, cuts);
  const [whole, left] = [groundArea(added), groundArea(ground)];
  return { ground, left, off: Math.abs(whole - groundArea(cuts) - left), whole };
}

/** What placed parts cover, heap by heap; `sum` is what they add up to where nothing overlaps, m2. */
export function coverOf(parts: readonly WholePart[], sum: number) {
  const clippings = heaps(parts).map(clipHeap);
  const total = (of: (clipping: (typeof clippings)[number]) => number) =>
    clippings.reduce((all, clipping) => all + of(clipping), 0);
  const clipped = total(({ off }) => off) > TOUCHING * total(({ whole }) => whole);
  return { ground: clippings.flatMap(({ ground }) => ground), clipped, areaM2: clipped ? total(({ left }) => left) : sum }; // prettier-ignore
}

/** Parts that lie over each other with more points than can be worked out while somebody waits. */
export const isTangled = (parts: readonly WholePart[]): boolean =>
  pointsOf(parts) > MAX_POINTS ||
  heaps(parts).some((heap) => heap.length > 1 && pointsOf(heap) > MAX_TANGLED);
