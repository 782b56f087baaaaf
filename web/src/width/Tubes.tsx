import { Box } from '@chakra-ui/react';
import { niceStep } from '@steady-scatter/core/drawing';
import { showExact } from '@steady-scatter/core/quantities';
import type { TraysResult } from '@steady-scatter/core/width';
import { useRef, type PointerEvent } from 'react';
import { say } from '@steady-scatter/words/width';

const [WIDE, HIGH] = [1000, 214];
const FLOOR = 168;
const TALL = 130;
const SIDE = 30;

interface Props {
  /** Places of the trays, m, left to right. */
  positionsM: readonly number[];
  /** What is typed of each tray in the row that is open: a number, or null. */
  levels: readonly (number | null)[];
  trays: TraysResult['trays'];
  /** Words for the places, at the ends and in the middle. */
  labelOf(xM: number): string;
  onLevel(at: number, text: string): void;
}

/** The machine over its row of trays, to scale across; the levels in them can be dragged. */
export function Tubes({ positionsM, levels, trays, labelOf, onLevel }: Props) {
  const drawing = useRef<SVGSVGElement>(null);
  if (positionsM.length < 2) return null;
  const [first, last] = [positionsM[0]!, positionsM.at(-1)!];
  const at = (xM: number) => SIDE + ((WIDE - 2 * SIDE) * (xM - first)) / (last - first);
  const gaps = positionsM.slice(1).map((x, index) => at(x) - at(positionsM[index]!));
  const width = Math.max(4, Math.min(46, 0.62 * Math.min(...gaps)));
  const most = Math.max(1e-9, ...levels.map((level) => level ?? 0)) * 1.15;
  const step = niceStep(most, 60);
  const drag = (event: PointerEvent<SVGRectElement>, index: number) => {
    const matrix = drawing.current?.getScreenCTM();
    if (!matrix || event.buttons === 0) return;
    const y = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y;
    const level = Math.max(0, Math.round(((FLOOR - y) / TALL) * (most / step)) * step);
    onLevel(index, showExact(level, 3).replace(/\s/g, ''));
  };
  const middle = at(0);
  return (
    <Box color="ink" overflow="hidden">
      <svg
        ref={drawing}
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        role="img"
        aria-label={say('width.tubes.label')}
      >
        <Box asChild stroke="ink" strokeWidth="3" fill="soft">
          <g>
            <path d={`M${middle - 34} 6h68l-20 22h-28z`} />
            <path d={`M${middle} 28v8`} />
          </g>
        </Box>
        {positionsM.map((xM, index) => {
          const level = levels[index] ?? null;
          const filled = trays[index]?.isFilled ?? false;
          const height = level === null ? 0 : (TALL * level) / most;
          return (
            <g key={xM}>
              <Box asChild fill="paper" stroke="line.strong" strokeWidth="1.5">
                <rect x={at(xM) - width / 2} y={FLOOR - TALL} width={width} height={TALL} />
              </Box>
              <Box asChild fill={filled ? 'none' : 'act'} stroke="act" strokeDasharray={filled ? '4 3' : undefined}>
                <rect x={at(xM) - width / 2} y={FLOOR - height} width={width} height={height} />
              </Box>
              <rect
                x={at(xM) - width / 2 - 3}
                y={FLOOR - TALL - 8}
                width={width + 6}
                height={TALL + 8}
                fill="transparent"
                style={{ cursor: 'ns-resize', touchAction: 'none' }}
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId);
                  drag(event, index);
                }}
                onPointerMove={(event) => drag(event, index)}
              />
            </g>
          );
        })}
        <Box asChild stroke="ink" strokeWidth="2">
          <path d={`M${SIDE - 22} ${FLOOR}H${WIDE - SIDE + 22}`} />
        </Box>
        {[first, 0, last].map((xM, index) => (
          <Box asChild key={xM} fill="ink" fontSize={{ base: '38px', md: '26px' }}>
            <text x={at(xM)} y={FLOOR + 36} textAnchor={index === 0 ? 'start' : index === 2 ? 'end' : 'middle'}>
              {labelOf(xM)}
            </text>
          </Box>
        ))}
      </svg>
    </Box>
  ); // prettier-ignore
}
