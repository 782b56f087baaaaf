import type { Point, SiteAreaResult, SiteAreaInput } from '@steady-scatter/core/ground';
import { Line, Shape } from 'react-konva';
import { drawnBuffers, moved } from '../drawnOutlines.ts';
import { tracePath } from './PartShape.tsx';
import type { Ink } from '../../charts/useInk.ts';
import { toCanvas, type View } from './view.ts';

interface Props {
  area: SiteAreaInput;
  reading: SiteAreaResult;
  /** How far each part was moved to be drawn. */
  offsets: readonly Point[];
  view: View;
  ink: Ink;
}

/** Edges that matter as heavy lines, and what their buffers hold back. */
export function Edges({ area, reading, offsets, view, ink }: Props) {
  const first = area.parts.findIndex(({ cut }) => !cut);
  const offsetOf = (edgeId: string): Point | undefined => {
    const edge = area.edges.find(({ id }) => id === edgeId);
    const part = edge?.along === 'side' ? area.parts.findIndex(({ id }) => id === (edge.part || area.parts[0]?.id)) : first; // prettier-ignore
    return offsets[part];
  };
  const buffers = drawnBuffers(area, reading.buffers, offsets);
  return (
    <>
      <Shape sceneFunc={tracePath(buffers, view)} fillRule="evenodd" fill={ink.water} opacity={0.45} />
      {reading.edges.flatMap(({ id, lines }) =>
        lines.map(({ points, closed }, index) => (
          <Line
            // oxlint-disable-next-line react/no-array-index-key -- lines of an edge have no other name
            key={`${id}-${index}`}
            points={moved(points, offsetOf(id)).flatMap((point) => {
              const { x, y } = toCanvas(view, point);
              return [x, y];
            })}
            closed={closed}
            stroke={ink.water}
            strokeWidth={5}
          />
        )),
      )}
    </>
  );
}
