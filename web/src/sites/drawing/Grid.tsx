import { UNITS, type LengthUnit } from '@steady-scatter/core/quantities';
import { Fragment, memo } from 'react';
import { Arrow, Line, Rect, Text } from 'react-konva';
import { FIGURES, type Ink } from '../../charts/useInk.ts';
import { niceStep, type View } from './view.ts';

interface Props {
  view: View;
  width: number;
  height: number;
  unit: LengthUnit;
  ink: Ink;
  /** The parts lie where they are drawn: then there is a north. */
  hasNorth: boolean;
}

/** Lines a round step apart, from the zero of the drawing. */
function stepsIn(from: number, length: number, step: number): number[] {
  const first = Math.ceil(-from / step);
  return Array.from(
    { length: Math.max(0, Math.floor((length - from) / step) - first + 1) },
    (_, index) => from + (first + index) * step,
  );
}

/** A plain scaled grid with a scale bar, and north where there is one. */
export const Grid = memo(function Grid({ view, width, height, unit, ink, hasNorth }: Props) {
  const unitPx = view.scale * UNITS[unit].toSi;
  const step = niceStep(26 / unitPx);
  const bar = niceStep(70 / unitPx);
  const line = (points: number[], key: string) => (
    <Line key={key} points={points} stroke={ink.line} strokeWidth={1} opacity={0.8} />
  );
  return (
    <>
      {stepsIn(view.left, width, step * unitPx).map((x) => line([x, 0, x, height], `x${x}`))}
      {stepsIn(view.top, height, step * unitPx).map((y) => line([0, y, width, y], `y${y}`))}
      <Rect x={12} y={height - 34} width={bar * unitPx} height={8} fill={ink.ink} />
      <Rect
        x={13 + (bar * unitPx) / 2}
        y={height - 33}
        width={(bar * unitPx) / 2 - 2}
        height={6}
        fill={ink.paper}
      />
      <Text
        x={12}
        y={height - 22}
        text={`${bar} ${UNITS[unit].symbol}`}
        fontSize={14}
        fontFamily={FIGURES}
        fill={ink.ink}
      />
      {hasNorth && (
        <Fragment>
          <Arrow
            points={[width - 22, 46, width - 22, 14]}
            stroke={ink.ink}
            fill={ink.ink}
            strokeWidth={2}
            pointerLength={9}
            pointerWidth={9}
          />
          <Text
            x={width - 27}
            y={48}
            text="N"
            fontSize={15}
            fontStyle="bold"
            fontFamily={FIGURES}
            fill={ink.ink}
          />
        </Fragment>
      )}
    </>
  );
});
