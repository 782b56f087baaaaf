import type { Point } from '@steady-scatter/core/ground';
import { Circle } from 'react-konva';
import type { PlacedHandle } from './useDrag.ts';
import type { Ink } from '../../charts/useInk.ts';

interface Props {
  handles: readonly PlacedHandle[];
  ink: Ink;
  onHandle(nth: number, canvas: Point, isEnd: boolean): void;
}

/** The yellow points by which the chosen part is sized; small ones make a new corner. */
export const Handles = ({ handles, ink, onHandle }: Props) =>
  handles.map(({ at: { x, y }, adds }, nth) =>
    adds ? (
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
    ),
  );
