import { layOut, type Hold, type Outline, type PartReading, type Point } from '@steady-scatter/core';

const STILL: Point = { x: 0, y: 0 };

/**
 * Where parts are drawn: where they lie, or beside each other on a sum sheet. `offsets` says how far each was moved for it.
 *
 * @param held offsets to keep, while something is dragged
 */
export function drawnOutlines(
  parts: readonly PartReading[],
  hold: Hold,
  held: readonly Point[] | null = null,
): { outlines: Outline[][]; offsets: readonly Point[] } {
  const offsets = held ?? (hold === 'placed' ? parts.map(() => STILL) : layOut(parts));
  const outlines = parts.map((part, at) => {
    const { x: right, y: up } = offsets[at] ?? STILL;
    return part.outlines.map((outline) => outline.map(({ x, y }) => ({ x: x + right, y: y + up })));
  });
  return { outlines, offsets };
}
