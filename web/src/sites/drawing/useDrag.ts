import {
  draggedLengths,
  handlesOf,
  snapMove,
  snapStepM,
  type PacesResult,
  type PartResult,
  type PartInput,
  type Point,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import { useRef } from 'react';
import { useStable } from '../../ui/useStable.ts';
import { toCanvas, toGround, type View } from './view.ts';

const MAX_HANDLES = 120;
/** A corner is drawn onto another from this near, px. */
const SNAP_PX = 10;
const ORIGIN: Point = { x: 0, y: 0 };

const rotate = ({ x, y }: Point, degrees: number): Point => {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { x: x * cos - y * sin, y: x * sin + y * cos };
};

const withPart = (area: SiteAreaInput, part: PartInput): SiteAreaInput => ({
  ...area,
  parts: area.parts.map((old) => (old.id === part.id ? part : old)),
});

interface Wanted {
  area: SiteAreaInput;
  parts: readonly PartResult[];
  paces: PacesResult;
  /** Index of the chosen part, -1 without one. */
  chosen: number;
  offsets: readonly Point[];
  view: View;
  snaps: boolean;
  onDrag(area: SiteAreaInput): void;
  onDrop(area: SiteAreaInput, about: string): void;
}

/** A yellow point as it lies on the canvas. */
export interface PlacedHandle {
  readonly at: Point;
  readonly adds: boolean;
}

/** Moving parts, and dragging the points of the chosen one. */
export function useDrag({ area, parts, paces, chosen, offsets, view, snaps, onDrag, onDrop }: Wanted) {
  /** Where a part was when its drag began. */
  const start = useRef<Point | null>(null);
  const tell = (next: SiteAreaInput, isEnd: boolean) => (isEnd ? onDrop(next, '') : onDrag(next));

  const onMove = useStable((id: string, by: Point, isEnd: boolean) => {
    const at = area.parts.findIndex((part) => part.id === id);
    const part = area.parts[at];
    if (!part) return;
    start.current ??= { x: part.at.x, y: part.at.y };
    const to = { x: start.current.x + by.x, y: start.current.y + by.y };
    if (isEnd) start.current = null;
    const edge = (parts[at]?.outlines[0] ?? []).map(({ x, y }) => ({
      x: x - part.at.x + to.x,
      y: y - part.at.y + to.y,
    }));
    const others = parts.flatMap((other, index) => (index === at ? [] : other.outlines.slice(0, 1)));
    const snap = snaps ? snapMove(to, edge, others, SNAP_PX / view.scale, snapStepM(part.unit)) : ORIGIN;
    tell(withPart(area, { ...part, at: { ...part.at, x: to.x + snap.x, y: to.y + snap.y } }), isEnd);
  });

  const part = area.parts[chosen];
  const dimensions = parts[chosen]?.dimensions ?? null;
  const shift = offsets[chosen] ?? ORIGIN;
  const handles =
    part && part.kind !== 'boundary' && dimensions
      ? handlesOf(part.kind, dimensions).slice(0, MAX_HANDLES)
      : [];
  const placed = handles.map(({ at, adds = false }): PlacedHandle => {
    const turned = rotate(at, part?.at.turn ?? 0);
    const ground = { x: turned.x + (part?.at.x ?? 0) + shift.x, y: turned.y + (part?.at.y ?? 0) + shift.y };
    return { at: toCanvas(view, ground), adds };
  });

  function onHandle(nth: number, canvas: Point, isEnd: boolean) {
    const handle = handles[nth];
    if (!part || part.kind === 'boundary' || !handle) return;
    const ground = toGround(view, canvas);
    const own = { x: ground.x - shift.x - part.at.x, y: ground.y - shift.y - part.at.y };
    const after = handle.move(rotate(own, -part.at.turn));
    const lengths = draggedLengths(part, handle.adds ? null : dimensions, after, paces, snaps);
    tell(withPart(area, { ...part, lengths }), isEnd);
  }

  return { onMove, onHandle, handles: placed };
}
