import { Box, Button } from '@chakra-ui/react';
import { lengthUnitFor } from '@steady-scatter/core/fields';
import {
  partName,
  evaluatePart,
  type PacesResult,
  type Point,
  type SiteAreaResult,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import { Download, Redo2, Undo2 } from 'lucide-react';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { Layer, Shape, Stage } from 'react-konva';
import { say, speak } from '@steady-scatter/words/sites';
import { CommandButton } from '../../ui/CommandButton.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { drawnOutlines } from '../drawnOutlines.ts';
import { planSvg } from '../plan/planSvg.ts';
import { Edges } from './Edges.tsx';
import { Grid } from './Grid.tsx';
import { Handles } from './Handles.tsx';
import { Labels } from './Labels.tsx';
import { PartShape, tracePath } from './PartShape.tsx';
import { useDrag } from './useDrag.ts';
import { useInk } from '../../charts/useInk.ts';
import { useSize, useView } from './useView.ts';

interface Props {
  area: SiteAreaInput;
  /** What the area comes to; may be a step behind while something is dragged. */
  reading: SiteAreaResult;
  paces: PacesResult;
  chosen: string | null;
  history: { readonly can: { undo: boolean; redo: boolean }; undo(): void; redo(): void };
  onChoose(id: string | null): void;
  /** The area while something is dragged. */
  onDrag(area: SiteAreaInput): void;
  /** The area when it is let go. */
  onDrop(area: SiteAreaInput, about: string): void;
  onNudge(id: string, by: { x: number; y: number; turn: number }): void;
}

const NUDGES: Readonly<Record<string, { x: number; y: number; turn: number }>> = {
  ArrowLeft: { x: -1, y: 0, turn: 0 },
  ArrowRight: { x: 1, y: 0, turn: 0 },
  ArrowUp: { x: 0, y: 1, turn: 0 },
  ArrowDown: { x: 0, y: -1, turn: 0 },
  r: { x: 0, y: 0, turn: 15 },
  R: { x: 0, y: 0, turn: -15 },
};

/** An area drawn to scale: parts with their dimensions, buffers, points to drag; on a placed drawing parts move and turn. */
export default function AreaDrawing(props: Props) {
  const { area, reading, paces, chosen, history, onChoose, onDrag, onDrop, onNudge } = props;
  const { box, width, height } = useSize();
  const ink = useInk();
  const helpId = useId();
  /** Where parts of a sum sheet are drawn while one is dragged: none may move away under a finger. */
  const [held, setHeld] = useState<readonly Point[] | null>(null);
  /** A point is dragged: what can be pressed of the parts need not be worked out meanwhile. */
  const [isSizing, setSizing] = useState(false);
  const [snaps, setSnaps] = useState(true);
  const isPlaced = area.layoutMode === 'placed';
  const parts = useMemo(() => area.parts.map((part) => evaluatePart(part, paces, '')), [area.parts, paces]);
  const { outlines, offsets } = useMemo(
    () => drawnOutlines(parts, area.layoutMode, held),
    [parts, area.layoutMode, held],
  );
  const view = useView(outlines.flat(), Math.max(width, 100), height, held !== null);
  const index = area.parts.findIndex((part) => part.id === chosen);
  const { onMove, onHandle, handles } = useDrag({
    area,
    parts,
    paces,
    chosen: index,
    offsets,
    view,
    snaps,
    onDrag(next) {
      setHeld(offsets);
      onDrag(next);
    },
    onDrop(next, about) {
      setHeld(null);
      onDrop(next, about);
    },
  });

  function onKey(event: KeyboardEvent) {
    const by = NUDGES[event.key];
    if (!by || !chosen || !isPlaced || event.ctrlKey || event.altKey || event.metaKey) return;
    event.preventDefault();
    const times = event.shiftKey && event.key.startsWith('Arrow') ? 10 : 1;
    onNudge(chosen, { x: by.x * times, y: by.y * times, turn: by.turn });
  }

  function saveSvg() {
    const plan = planSvg(area, reading, 277, 190, 'sans-serif');
    if (plan)
      saveFile(
        say('sites.draw.file', { area: area.name.trim() || say('sites.draw.area'), scale: plan.scale }),
        'image/svg+xml',
        plan.svg,
      );
  }

  const described = area.parts
    .map((part) => `${part.cut ? say('sites.draw.cut') : ''}${speak(partName(part))}`)
    .join('; ');
  return (
    <Box marginTop="14px">
      <Box
        ref={box}
        role="group"
        tabIndex={0}
        aria-label={say('sites.draw.label', { parts: described || say('sites.draw.nothing') })}
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
              <Grid
                view={view}
                width={width}
                height={height}
                unit={lengthUnitFor(area.shownIn)}
                ink={ink}
                hasNorth={isPlaced}
              />
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
              {area.parts.map((each, index) => (
                <PartShape
                  key={each.id}
                  part={each}
                  outlines={outlines[index] ?? []}
                  view={view}
                  ink={ink}
                  isChosen={each.id === chosen}
                  isWrong={(parts[index]?.errors.length ?? 0) > 0}
                  isFilled={!isPlaced}
                  canMove={isPlaced}
                  onChoose={onChoose}
                  onMove={onMove}
                />
              ))}
            </Layer>
            <Layer listening={false}>
              <Edges area={area} reading={reading} offsets={offsets} view={view} ink={ink} />
              <Labels area={area} outlines={outlines} chosen={index} view={view} ink={ink} />
            </Layer>
            <Layer>
              <Handles
                handles={handles}
                ink={ink}
                onHandle={(nth, at, isEnd) => {
                  setSizing(!isEnd);
                  onHandle(nth, at, isEnd);
                }}
              />
            </Layer>
          </Stage>
        )}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="8px" alignItems="center" marginTop="8px" data-noprint>
        <CommandButton
          icon={Undo2}
          label={say('common.undo')}
          disabled={!history.can.undo}
          onClick={history.undo}
        />
        <CommandButton
          icon={Redo2}
          label={say('sites.redo')}
          disabled={!history.can.redo}
          onClick={history.redo}
        />
        <CommandButton icon={Download} label={say('sites.draw.svg')} onClick={saveSvg} />
        <Button aria-pressed={snaps} variant={snaps ? 'solid' : 'outline'} onClick={() => setSnaps(!snaps)}>
          {say('sites.draw.snap')}
        </Button>
        <Box id={helpId} fontSize="14px" color="ink.soft" flex="1 1 240px">
          {isPlaced ? say('sites.draw.placedHelp') : say('sites.draw.sumHelp')}
        </Box>
      </Box>
    </Box>
  );
}
