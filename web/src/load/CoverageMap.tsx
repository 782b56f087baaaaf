import { Box, chakra } from '@chakra-ui/react';
import type { Coverage } from '@steady-scatter/core/coverage';
import { useEffect, useRef } from 'react';
import { say } from '@steady-scatter/words/load';
import { useInk } from '../charts/useInk.ts';

/**
 * Bands of the rate. Each is darker than the one before and has a pattern of its own, so that none is told by its color alone: too little
 * is striped one way, too much the other.
 */
export const BANDS = [
  { to: 0.5, ink: [236, 226, 190], stripe: 4 },
  { to: 0.75, ink: [214, 206, 160], stripe: 8 },
  { to: 0.9, ink: [150, 190, 150], stripe: 0 },
  { to: 1.1, ink: [88, 158, 128], stripe: 0 },
  { to: 1.25, ink: [50, 122, 120], stripe: 0 },
  { to: 1.5, ink: [42, 82, 122], stripe: -8 },
  { to: Infinity, ink: [58, 36, 92], stripe: -4 },
] as const;

const STRIPE = [20, 32, 28] as const;

const bandOf = (share: number) => BANDS.findIndex(({ to }) => share < to);

/** The color of a cell; beside the ground only what really lands there, faintly. */
function paint(
  pixels: Uint8ClampedArray,
  at: number,
  share: number,
  inside: boolean,
  column: number,
  row: number,
): void {
  const { ink, stripe } = BANDS[bandOf(share)] ?? BANDS[6];
  const isStriped =
    stripe !== 0 &&
    (((stripe > 0 ? column + row : column - row) % Math.abs(stripe)) + Math.abs(stripe)) %
      Math.abs(stripe) ===
      0;
  const [red, green, blue] = isStriped ? STRIPE : ink;
  pixels.set([red, green, blue, inside ? 255 : share > 0.02 ? 90 : 0], at * 4);
}

/** So many pixels to a cell at least, so that stripes are seen. */
function draw(canvas: HTMLCanvasElement, { grid, map, inside }: Coverage, targetPerM2: number): void {
  const { columns, rows } = grid;
  canvas.width = columns;
  canvas.height = rows;
  const context = canvas.getContext('2d');
  if (!context) return;
  const image = context.createImageData(columns, rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const from = row * columns + column;
      // The map runs upward, a picture downward.
      paint(
        image.data,
        (rows - 1 - row) * columns + column,
        map[from]! / targetPerM2,
        inside[from] === 1,
        column,
        row,
      );
    }
  context.putImageData(image, 0, 0);
}

const Canvas = chakra('canvas', {
  base: { display: 'block', width: '100%', maxHeight: '460px', objectFit: 'contain' },
});

/** What would lie where, as a map. */
export function CoverageMap({
  coverage,
  targetPerM2,
  name,
}: {
  coverage: Coverage;
  targetPerM2: number;
  name: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) draw(canvas.current, coverage, targetPerM2);
  }, [coverage, targetPerM2]);
  const label = say('load.cover.label', {
    name,
    mean: Math.round((coverage.mean / targetPerM2) * 100),
    cv: (coverage.cv * 100).toFixed(1),
  });
  return <Canvas ref={canvas} role="img" aria-label={label} />;
}

const css = ([red, green, blue]: readonly [number, number, number]) => `rgb(${red} ${green} ${blue})`;

/** What a band looks like in the legend: its color, with its stripes. */
const swatch = ({ ink, stripe }: (typeof BANDS)[number]): string =>
  stripe === 0
    ? css(ink)
    : `repeating-linear-gradient(${stripe > 0 ? 45 : -45}deg, ${css(STRIPE)} 0 1.5px, ${css(ink)} 1.5px ${Math.abs(stripe)}px)`;

const percentTo = (band: number): number => Math.round(BANDS[band]!.to * 100);

/** What the colors and stripes of the map say. */
export function MapLegend() {
  const text = (at: number) =>
    at === 0
      ? `< ${percentTo(0)}`
      : at === BANDS.length - 1
        ? `> ${percentTo(at - 1)}`
        : say('load.cover.band', { from: percentTo(at - 1), to: percentTo(at) });
  return (
    <Box display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center" fontSize="15px" marginTop="8px">
      {BANDS.map((band, index) => (
        <Box key={band.to} display="flex" gap="6px" alignItems="center">
          <Box
            width="26px"
            height="18px"
            borderWidth="1px"
            borderColor="ink.soft"
            style={{ background: swatch(band) }}
          />
          {text(index)}
        </Box>
      ))}
      <Box color="ink.soft">{say('load.cover.legend')}</Box>
    </Box>
  );
}

/** How much of the ground gets how much, as bars. */
export function GroundHistogram({ histogram }: Pick<Coverage, 'histogram'>) {
  const ink = useInk();
  const most = Math.max(...histogram, 0.01);
  const [wide, high] = [420, 110];
  const each = wide / histogram.length;
  return (
    <Box marginTop="10px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('load.cover.histogram')}
      </Box>
      <svg
        viewBox={`0 0 ${wide} ${high + 20}`}
        width="100%"
        style={{ maxWidth: wide }}
        role="img"
        aria-label={say('load.cover.histogram')}
      >
        {histogram.map((share, index) => (
          <rect
            key={`from ${index * 10} %`}
            x={index * each + 1}
            y={high - (share / most) * high}
            width={each - 2}
            height={(share / most) * high}
            fill={css(BANDS[bandOf(index / 10 + 0.05)]!.ink)}
            stroke={ink.ink}
            strokeWidth="0.6"
          />
        ))}
        <line x1="0" x2={wide} y1={high} y2={high} stroke={ink.ink} />
        {[0, 5, 10, 15, 20].map((at) => (
          <text
            key={at}
            x={at * each}
            y={high + 15}
            fontSize="13"
            textAnchor={at === 0 ? 'start' : at === 20 ? 'end' : 'middle'}
            fill={ink.ink}
          >
            {at * 10}
          </text>
        ))}
      </svg>
    </Box>
  );
}
