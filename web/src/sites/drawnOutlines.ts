import {
  layOut,
  type Buffers,
  type LayoutMode,
  type Outline,
  type PartResult,
  type Point,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';

const STILL: Point = { x: 0, y: 0 };

/** An outline as far from its place as its part is drawn. */
export const moved = (outline: Outline, { x: right, y: up }: Point = STILL): Outline[number][] =>
  outline.map(({ x, y }) => ({ x: x + right, y: y + up }));

/**
 * Where parts are drawn: where they lie, or beside each other on a sum sheet. `offsets` says how far each was moved for it.
 *
 * @param held offsets to keep, while something is dragged
 */
export function drawnOutlines(
  parts: readonly PartResult[],
  layoutMode: LayoutMode,
  held: readonly Point[] | null = null,
): { outlines: Outline[][]; offsets: readonly Point[] } {
  const offsets = held ?? (layoutMode === 'placed' ? parts.map(() => STILL) : layOut(parts));
  const outlines = parts.map((part, index) => part.outlines.map((outline) => moved(outline, offsets[index])));
  return { outlines, offsets };
}

/** What buffers hold back, where it is drawn; nothing on a sum sheet of several parts, each of which would have its own. */
export function drawnBuffers(
  { parts, layoutMode }: SiteAreaInput,
  { ground }: Buffers,
  offsets: readonly Point[],
): readonly Outline[] {
  const added = parts.filter(({ cut }) => !cut).length;
  if (layoutMode === 'sum' && added !== 1) return [];
  return ground.map((outline) => moved(outline, offsets[parts.findIndex(({ cut }) => !cut)]));
}
