import { boundsOf, type Outline, type Point } from './outline.ts';
import type { PartResult, PartInput } from './parts.ts';

const ORIGIN: Point = { x: 0, y: 0 };

/**
 * Where the parts of a sum sheet are drawn: beside each other in rows, since they have no place of their own.
 *
 * @returns how far each part is moved from where its outline stands; parts without an outline stay
 * @example layOut([]) // []
 */
export function layOut(parts: readonly PartResult[]): Point[] {
  const boxes = parts.map(({ outlines }) => boundsOf(outlines.flat()));
  const sizes = boxes.flatMap((box) => (box ? [Math.max(box.maxX - box.minX, box.maxY - box.minY)] : []));
  const largest = sizes.length === 0 ? 0 : Math.max(...sizes);
  const gap = largest * 0.12;
  // About as wide as it is high: as many of the largest in a row as the root of their number.
  const wide = (largest + gap) * Math.max(2, Math.ceil(Math.sqrt(sizes.length)));
  let [x, y, high] = [0, 0, 0];
  return boxes.map((box) => {
    if (!box) return ORIGIN;
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    if (x > 0 && x + width > wide) [x, y, high] = [0, y - high - gap, 0];
    const moved = { x: x - box.minX, y: y - box.maxY };
    x += width + gap;
    high = Math.max(high, height);
    return moved;
  });
}

/**
 * The parts of a sum sheet with a first place each, for a placed drawing: added ground side by side, cut-outs in the middle of
 * the first of it. Parts that were placed before keep their places.
 *
 * @param readings of the parts, in their order
 * @example placeParts([], []) // []
 */
export function placeParts(parts: readonly PartInput[], readings: readonly PartResult[]): PartInput[] {
  if (parts.some(({ at }) => at.x !== 0 || at.y !== 0)) return [...parts];
  const offsets = layOut(readings.map((reading) => (reading.cut ? { ...reading, outlines: [] } : reading)));
  const first = readings.findIndex(({ cut }) => !cut);
  const box = boundsOf(readings[first]?.outlines.flat() ?? []);
  const origin = offsets[first] ?? ORIGIN;
  const middle = box
    ? { x: (box.minX + box.maxX) / 2 + origin.x, y: (box.minY + box.maxY) / 2 + origin.y }
    : ORIGIN;
  return parts.map((part, index): PartInput => {
    const { x, y } = part.cut ? middle : offsets[index]!;
    return { ...part, at: { ...part.at, x, y } };
  });
}

/**
 * Where a new part goes on a placed drawing: a cut-out into the middle of the ground, others beside it.
 *
 * @example placeFor(false, [[{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 4, y: 2 }]]) // { x: 4, y: 0 }
 */
export function placeFor(cut: boolean, ground: readonly Outline[]): Point {
  const box = boundsOf(ground.flat());
  if (!box) return ORIGIN;
  return cut ? { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 } : { x: box.maxX, y: box.minY };
}

/**
 * How far to move an outline so that it meets others: a corner of it onto one of theirs, else onto the grid.
 *
 * @param anchor the point that falls on the grid
 * @param outline where it was dragged to
 * @param others outlines it may meet
 * @param withinM the farthest that a corner is drawn, m
 * @param gridM the grid it falls on otherwise, m
 * @example snapMove({ x: 0, y: 0 }, [{ x: 0, y: 0 }], [[{ x: 0.2, y: 0 }]], 0.5, 0) // { x: 0.2, y: 0 }
 */
export function snapMove(
  anchor: Point,
  outline: Outline,
  others: readonly Outline[],
  withinM: number,
  gridM: number,
): Point {
  let best: { by: Point; far: number } | null = null;
  const corners = outline.length > 64 ? [] : outline;
  for (const { x, y } of corners)
    for (const other of others)
      for (const corner of other.length > 64 ? [] : other) {
        const by = { x: corner.x - x, y: corner.y - y };
        const far = Math.hypot(by.x, by.y);
        if (far <= withinM && (!best || far < best.far)) best = { by, far };
      }
  if (best) return best.by;
  const toGrid = (value: number) => Math.round(value / gridM) * gridM - value;
  return { x: toGrid(anchor.x), y: toGrid(anchor.y) };
}
