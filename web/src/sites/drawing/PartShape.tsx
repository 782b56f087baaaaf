import type { Outline, PartInput, Point } from '@steady-scatter/core/ground';
import type { Context } from 'konva/lib/Context';
import type { KonvaEventObject } from 'konva/lib/Node';
import type { Shape as KonvaShape } from 'konva/lib/Shape';
import { memo } from 'react';
import { Shape } from 'react-konva';
import type { Ink } from '../../charts/useInk.ts';
import { toCanvas, type View } from './view.ts';

/** Draws outlines as one path, so that holes stay open. */
export const tracePath =
  (outlines: readonly Outline[], view: View) =>
  (context: Context, shape: KonvaShape): void => {
    context.beginPath();
    for (const outline of outlines) {
      outline.forEach((point, index) => {
        const { x, y } = toCanvas(view, point);
        if (index === 0) context.moveTo(x, y);
        else context.lineTo(x, y);
      });
      context.closePath();
    }
    context.fillStrokeShape(shape);
  };

interface Props {
  part: PartInput;
  outlines: readonly Outline[];
  view: View;
  ink: Ink;
  isChosen: boolean;
  isWrong: boolean;
  /** The ground itself is filled apart from its parts. */
  isFilled: boolean;
  canMove: boolean;
  onChoose(id: string): void;
  onMove(id: string, by: Point, isEnd: boolean): void;
}

const sameOutlines = (a: readonly Outline[], b: readonly Outline[]): boolean =>
  a.length === b.length &&
  a.every((outline, index) => {
    const [p, q] = [outline, b[index]!];
    return p.length === q.length && p.every((point, i) => point.x === q[i]!.x && point.y === q[i]!.y);
  });

/** Clear, so that it can be taken anywhere, or lightly tinted; colours of the theme are #rrggbb. */
function fillOf({
  part,
  ink,
  isChosen,
  isWrong,
  isFilled,
}: Pick<Props, 'part' | 'ink' | 'isChosen' | 'isWrong' | 'isFilled'>): string {
  if (isWrong) return '#00000000';
  if (part.cut) return isFilled ? ink.paper : `${ink.warn}${isChosen ? '2a' : '00'}`;
  return `${ink.act}${isFilled ? '2e' : isChosen ? '22' : '00'}`;
}

/** One part to scale: added ground solid, a cut-out dashed, what cannot be in outline alone. */
export const PartShape = memo(
  function PartShape({
    part,
    outlines,
    view,
    ink,
    isChosen,
    isWrong,
    isFilled,
    canMove,
    onChoose,
    onMove,
  }: Props) {
    const moved = (event: KonvaEventObject<DragEvent>, isEnd: boolean) => {
      const { x, y } = event.target.position();
      // The part is drawn where it was moved to; the node itself stays.
      event.target.position({ x: 0, y: 0 });
      onMove(part.id, { x: x / view.scale, y: -y / view.scale }, isEnd);
    };
    return (
      <Shape
        sceneFunc={tracePath(outlines, view)}
        fillRule="evenodd"
        fill={fillOf({ part, ink, isChosen, isWrong, isFilled })}
        stroke={isWrong ? ink.warn : part.cut ? ink.warn : ink.act}
        strokeWidth={isChosen ? 3.5 : 2}
        dash={isWrong ? [3, 5] : part.cut ? [8, 5] : []}
        hitStrokeWidth={14}
        perfectDrawEnabled={false}
        draggable={canMove}
        onClick={() => onChoose(part.id)}
        onTap={() => onChoose(part.id)}
        onDragStart={() => onChoose(part.id)}
        onDragMove={(event) => moved(event, false)}
        onDragEnd={(event) => moved(event, true)}
      />
    );
  },
  (a, b) =>
    a.part === b.part &&
    a.view === b.view &&
    a.ink === b.ink &&
    a.isChosen === b.isChosen &&
    a.isWrong === b.isWrong &&
    a.isFilled === b.isFilled &&
    a.canMove === b.canMove &&
    sameOutlines(a.outlines, b.outlines),
);
