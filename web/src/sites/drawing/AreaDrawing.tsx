import { Box, Button } from '@chakra-ui/react';
import {
  draggedLengths,
  handlesOf,
  readPart,
  lengthUnitFor,
  partText,
  snapMove,
  snapStepM,
  type Outline,
  type PacesReading,
  type PartTyped,
  type Point,
  type SiteAreaReading,
  type SiteAreaTyped,
} from '@steady-scatter/core';
import { Download, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Circle, Label, Layer, Line, Shape, Stage, Tag, Text } from 'react-konva';
import { ActButton } from '../../ui/ActButton.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { useStable } from '../../ui/useStable.ts';
import { dimensionsOf } from '../dimensions.ts';
import { drawnOutlines } from '../drawnOutlines.ts';
import { planSvg } from '../plan/planSvg.ts';
import { Grid } from './Grid.tsx';
import { PartShape, tracePath } from './PartShape.tsx';
import { FIGURES, useInk } from './useInk.ts';
import { stillFits, toCanvas, toGround, viewOf, type View } from './view.ts';

interface Props {
  area: SiteAreaTyped;
  /** What the area comes to; may be a step behind while something is dragged. */
  reading: SiteAreaReading;
  paces: PacesReading;
  chosen: string | null;
  history: { readonly can: { undo: boolean; redo: boolean }; undo(): void; redo(): void };
  onChoose(id: string | null): void;
  /** The area while something is dragged. */
  onDrag(area: SiteAreaTyped): void;
  /** The area when it is let go. */
  onDrop(area: SiteAreaTyped, about: string): void;
  onNudge(id: string, by: { x: number; y: number; turn: number }): void;
}

const HEIGHT = { phone: 300, desk: 425 };
/** More parts than these show their dimensions only when chosen. */
const MOST_WITH_DIMENSIONS = 8;
const MOST_HANDLES = 120;

function useWidth() {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => setWidth(Math.floor(element.clientWidth)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return { box, width, height: width > 0 && width < 480 ? HEIGHT.phone : HEIGHT.desk };
}

/** The view of the drawing: stays while everything is in it, and never changes under a finger. */
function useView(outlines: readonly Outline[], width: number, height: number, isDragging: boolean): View {
  const [held, setHeld] = useState<{ view: View; width: number; height: number } | null>(null);
  const sameSize = held?.width === width && held.height === height;
  if (held && sameSize && (isDragging || stillFits(held.view, outlines, width, height))) return held.view;
  const view = viewOf(outlines, width, height);
  // A drawing too thin to fill half the view is seen as well as it can be.
  if (held && sameSize && JSON.stringify(held.view) === JSON.stringify(view)) return held.view;
  setHeld({ view, width, height });
  return view;
}

const rotate = ({ x, y }: Point, degrees: number): Point => {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return { x: x * cos - y * sin, y: x * sin + y * cos };
};

const withPart = (area: SiteAreaTyped, part: PartTyped): SiteAreaTyped => ({
  ...area,
  parts: area.parts.map((old) => (old.id === part.id ? part : old)),
});

const isRound = ({ kind }: PartTyped): boolean => ['circle', 'half-circle', 'ellipse', 'ring'].includes(kind);

const NUDGES: Readonly<Record<string, { x: number; y: number; turn: number }>> = {
  ArrowLeft: { x: -1, y: 0, turn: 0 },
  ArrowRight: { x: 1, y: 0, turn: 0 },
  ArrowUp: { x: 0, y: 1, turn: 0 },
  ArrowDown: { x: 0, y: -1, turn: 0 },
  r: { x: 0, y: 0, turn: 15 },
  R: { x: 0, y: 0, turn: -15 },
};

/** An area drawn to scale: parts with their dimensions, buffers, handles to drag; on a placed drawing parts move and turn. */
export default function AreaDrawing(props: Props) {
  const { area, reading, paces, chosen, history, onChoose, onDrag, onDrop, onNudge } = props;
  const { box, width, height } = useWidth();
  const ink = useInk();
  const helpId = useId();
  /** Where parts of a sum sheet are drawn while one is dragged: none may move away under a finger. */
  const [held, setHeld] = useState<readonly Point[] | null>(null);
  /** A point is dragged: what can be pressed of the parts need not be worked out meanwhile. */
  const [isSizing, setSizing] = useState(false);
  const [snaps, setSnaps] = useState(true);
  const isPlaced = area.hold === 'placed';
  const parts = useMemo(() => area.parts.map((each) => readPart(each, paces, '')), [area.parts, paces]);
  const { outlines, offsets } = useMemo(
    () => drawnOutlines(parts, area.hold, held),
    [parts, area.hold, held],
  );
  const view = useView(outlines.flat(), Math.max(width, 100), height, held !== null);
  const unit = lengthUnitFor(area.shownIn);
  /** Where a part was when its drag began. */
  const start = useRef<{ x: number; y: number } | null>(null);

  const onMove = useStable((id: string, by: Point, isEnd: boolean) => {
    const at = area.parts.findIndex((part) => part.id === id);
    const part = area.parts[at];
    if (!part) return;
    start.current ??= { x: part.at.x, y: part.at.y };
    setHeld(isEnd ? null : offsets);
    const to = { x: start.current.x + by.x, y: start.current.y + by.y };
    const edge = (parts[at]?.outlines[0] ?? []).map(({ x, y }) => ({
      x: x - part.at.x + to.x,
      y: y - part.at.y + to.y,
    }));
    const others = parts.flatMap((other, index) => (index === at ? [] : other.outlines.slice(0, 1)));
    const snap = snaps ? snapMove(to, edge, others, 10 / view.scale, snapStepM(part.unit)) : { x: 0, y: 0 };
    const moved = withPart(area, { ...part, at: { ...part.at, x: to.x + snap.x, y: to.y + snap.y } });
    if (isEnd) {
      start.current = null;
      onDrop(moved, '');
    } else onDrag(moved);
  });

  const index = area.parts.findIndex((part) => part.id === chosen);
  const part = area.parts[index];
  const dimensions = parts[index]?.dimensions ?? null;
  const handles =
    part && part.kind !== 'boundary' && dimensions
      ? handlesOf(part.kind, dimensions).slice(0, MOST_HANDLES)
      : [];
  const shift = offsets[index] ?? { x: 0, y: 0 };
  const placeOf = (at: Point): Point => {
    if (!part) return at;
    const turned = rotate(at, part.at.turn);
    return toCanvas(view, { x: turned.x + part.at.x + shift.x, y: turned.y + part.at.y + shift.y });
  };
  function onHandle(nth: number, canvas: Point, isEnd: boolean) {
    const handle = handles[nth];
    if (!part || part.kind === 'boundary' || !handle) return;
    setHeld(isEnd ? null : offsets);
    setSizing(!isEnd);
    const ground = toGround(view, canvas);
    const local = rotate(
      { x: ground.x - shift.x - part.at.x, y: ground.y - shift.y - part.at.y },
      -part.at.turn,
    );
    const after = handle.move(local);
    const before = handle.adds ? null : dimensions;
    const lengths = draggedLengths(part, before, after, paces, snaps);
    const next = withPart(area, { ...part, lengths });
    if (isEnd) onDrop(next, '');
    else onDrag(next);
  }

  function onKey(event: KeyboardEvent) {
    const by = NUDGES[event.key];
    if (!by || !part || !isPlaced || event.ctrlKey || event.altKey || event.metaKey) return;
    event.preventDefault();
    const times = event.shiftKey && event.key.startsWith('Arrow') ? 10 : 1;
    onNudge(part.id, { x: by.x * times, y: by.y * times, turn: by.turn });
  }

  function saveSvg() {
    const plan = planSvg(area, reading, 277, 190, 'sans-serif');
    if (plan) saveFile(`${area.name.trim() || 'area'} 1-${plan.scale}.svg`, 'image/svg+xml', plan.svg);
  }

  const described = area.parts.map((each) => `${each.cut ? 'cut out ' : ''}${partText(each)}`).join('; ');
  const numbered =
    part && area.edges.some((edge) => edge.along === 'side') && (outlines[index]?.[0]?.length ?? 0) <= 60;
  const shownDimensions = area.parts
    .flatMap((each, at) =>
      // The yellow point of a chosen curve stands where its width would be written.
      (at === index && isRound(each)) || (at !== index && area.parts.length > MOST_WITH_DIMENSIONS)
        ? []
        : dimensionsOf(each, outlines[at]?.[0] ?? [], unit),
    )
    .filter(({ text, lengthM }) => lengthM * view.scale > text.length * 5.2);
  return (
    <Box marginTop="14px">
      <Box
        ref={box}
        role="group"
        tabIndex={0}
        aria-label={`Drawing to scale. ${described || 'Nothing is drawn yet.'}`}
        aria-describedby={helpId}
        bg="paper"
        borderWidth="1px"
        borderColor="line"
        borderRadius="10px"
        overflow="hidden"
        height={`${height}px`}
        onKeyDown={onKey}
        css={{ touchAction: 'pan-y' }}
      >
        {width > 0 && (
          <Stage
            width={width}
            height={height}
            onMouseDown={(event) => event.target === event.target.getStage() && onChoose(null)}
          >
            <Layer listening={false}>
              <Grid view={view} width={width} height={height} unit={unit} ink={ink} hasNorth={isPlaced} />
            </Layer>
            <Layer listening={!isSizing}>
              {isPlaced && (
                <Shape
                  sceneFunc={tracePath(reading.measured.ground, view)}
                  fillRule="evenodd"
                  fill={ink.act}
                  opacity={0.18}
                  listening={false}
                  perfectDrawEnabled={false}
                />
              )}
              {area.parts.map((each, at) => (
                <PartShape
                  key={each.id}
                  part={each}
                  outlines={outlines[at] ?? []}
                  view={view}
                  ink={ink}
                  isChosen={each.id === chosen}
                  isWrong={(parts[at]?.errors.length ?? 0) > 0}
                  isFilled={!isPlaced}
                  canMove={isPlaced}
                  onChoose={onChoose}
                  onMove={onMove}
                />
              ))}
            </Layer>
            <Layer listening={false}>
              <Shape
                sceneFunc={tracePath(reading.buffers.ground, view)}
                fillRule="evenodd"
                fill={ink.water}
                opacity={0.45}
              />
              {reading.edges.flatMap(({ id, lines }) =>
                lines.map(({ points, closed }, at) => (
                  <Line
                    // oxlint-disable-next-line react/no-array-index-key -- lines of an edge have no other name
                    key={`${id}-${at}`}
                    points={points.flatMap((point) => {
                      const { x, y } = toCanvas(view, {
                        x: point.x + (offsets[0]?.x ?? 0),
                        y: point.y + (offsets[0]?.y ?? 0),
                      });
                      return [x, y];
                    })}
                    closed={closed}
                    stroke={ink.water}
                    strokeWidth={5}
                  />
                )),
              )}
              {shownDimensions.map(({ at, text }) => {
                const { x, y } = toCanvas(view, at);
                return (
                  <Label key={`${x},${y}`} x={x} y={y - 10} offsetX={text.length * 3.9}>
                    <Tag fill={ink.paper} cornerRadius={3} opacity={0.86} />
                    <Text text={text} fontSize={15} fontFamily={FIGURES} fill={ink.ink} padding={2} />
                  </Label>
                );
              })}
              {numbered &&
                outlines[index]?.[0]?.map((corner, at) => {
                  const { x, y } = toCanvas(view, corner);
                  return (
                    <Text
                      // oxlint-disable-next-line react/no-array-index-key -- corners are known by their number
                      key={at}
                      x={x + 10}
                      y={y - 22}
                      text={String(at + 1)}
                      fontSize={15}
                      fontStyle="bold"
                      fontFamily={FIGURES}
                      fill={ink.water}
                    />
                  );
                })}
            </Layer>
            <Layer>
              {handles.map((handle, nth) => {
                const { x, y } = placeOf(handle.at);
                return handle.adds ? (
                  <Circle
                    // oxlint-disable-next-line react/no-array-index-key -- handles are known by their number
                    key={nth}
                    x={x}
                    y={y}
                    radius={5}
                    fill={ink.paper}
                    stroke={ink.act}
                    strokeWidth={1.5}
                    hitStrokeWidth={20}
                    onClick={() => onHandle(nth, { x, y }, true)}
                    onTap={() => onHandle(nth, { x, y }, true)}
                  />
                ) : (
                  <Circle
                    // oxlint-disable-next-line react/no-array-index-key -- as above
                    key={nth}
                    x={x}
                    y={y}
                    radius={9}
                    fill={ink.tape}
                    stroke={ink['tape-ink']}
                    strokeWidth={2}
                    hitStrokeWidth={24}
                    draggable
                    onDragMove={(event) => onHandle(nth, event.target.position(), false)}
                    onDragEnd={(event) => onHandle(nth, event.target.position(), true)}
                  />
                );
              })}
            </Layer>
          </Stage>
        )}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="8px" alignItems="center" marginTop="8px" data-noprint>
        <ActButton icon={Undo2} label="Undo" disabled={!history.can.undo} onClick={history.undo} />
        <ActButton icon={Redo2} label="Redo" disabled={!history.can.redo} onClick={history.redo} />
        <ActButton icon={Download} label="Drawing as SVG" onClick={saveSvg} />
        <Button aria-pressed={snaps} variant={snaps ? 'solid' : 'outline'} onClick={() => setSnaps(!snaps)}>
          Snap
        </Button>
        <Box id={helpId} fontSize="14px" color="ink.soft" flex="1 1 240px">
          {isPlaced
            ? 'Drag a part to move it, its yellow points to size it. With a part chosen, arrow keys move it and R turns it.'
            : 'Drawn to scale beside each other; parts of a sum sheet have no place. Drag the yellow points to size the chosen one.'}
        </Box>
      </Box>
    </Box>
  );
}
