import { chakra } from '@chakra-ui/react';
import type { RigKind } from '@steady-scatter/core/machines';

const Picture = chakra('svg', {
  base: {
    display: 'block',
    width: '72px',
    height: '45px',
    fill: 'none',
    stroke: 'currentColor',
    strokeWidth: '2',
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
  },
});

/** Lines, and grains or drops, on a ground of 72 by 45: what a kind is known by from the side. */
interface Lines {
  readonly path: string;
  readonly wheels?: readonly (readonly [x: number, y: number, radius: number])[];
  readonly dots?: readonly (readonly [x: number, y: number])[];
}

const DRAWINGS: Readonly<Record<RigKind, Lines>> = {
  'push-drop': {
    path: 'M4 8L22 26M4 8h-3M20 16H56L50 30H26Z M30 33v6M36 33v6M42 33v6M48 33v6',
    wheels: [
      [20, 36, 6],
      [57, 36, 6],
    ],
  },
  'push-rotary': {
    path: 'M4 6L26 28M4 6h-3M22 12H54L42 28H34Z M34 31H42',
    wheels: [[34, 38, 5]],
    dots: [
      [48, 32],
      [55, 34],
      [62, 33],
      [52, 38],
      [60, 40],
      [68, 38],
    ],
  },
  'stand-on': {
    path: 'M10 36V14M10 14H18M6 36H22M26 10H56L46 26H36Z M28 36H48M41 26v4',
    wheels: [
      [30, 38, 5],
      [50, 38, 5],
    ],
    dots: [
      [58, 30],
      [64, 32],
      [69, 36],
    ],
  },
  'hand-rotary': {
    path: 'M24 6H44V22L38 28H30L24 22Z M34 28v4M28 33H42M44 18h8v-6M20 10L24 12',
    dots: [
      [22, 36],
      [16, 40],
      [30, 40],
      [40, 40],
      [48, 36],
      [54, 40],
    ],
  },
  'row-distributor': {
    path: 'M20 8H52L44 20H28Z M30 20L24 38M42 20L48 38M14 40H34M38 40H58M24 26H48',
    wheels: [
      [12, 34, 5],
      [60, 34, 5],
    ],
  },
  'gravity-knapsack': {
    path: 'M26 6H44V28H26Z M26 10Q18 16 26 24M35 28V32L52 42M46 42H60M31 32H39',
    dots: [[56, 38]],
  },
  vehicle: {
    path: 'M4 34V22H14L20 12H30V34Z M30 30H50M36 12H60L54 24H42Z M48 24v4M44 29H54',
    wheels: [
      [14, 36, 5],
      [40, 36, 5],
    ],
    dots: [
      [60, 32],
      [66, 34],
      [62, 39],
      [69, 40],
    ],
  },
  'spread-and-spray': {
    path: 'M10 36V14M6 36H22M24 8H44L38 20H30Z M46 12H62V24H46Z M26 36H50M54 24V28H68M60 28l-3 8M60 28l3 8M67 28l-3 8M67 28l3 8',
    wheels: [
      [30, 38, 5],
      [46, 38, 5],
    ],
  },
  boom: {
    path: 'M26 8H46V20H26Z M36 20V24M4 24H68M12 24l-5 14M12 24l5 14M28 24l-5 14M28 24l5 14M44 24l-5 14M44 24l5 14M60 24l-5 14M60 24l5 14',
  },
  'hand-gun': {
    path: 'M4 40C14 40 10 22 22 22H38M26 22v10h6M38 19V25M38 22L66 8M38 22L66 36M38 22H64',
  },
  'hose-end': {
    path: 'M4 14H20M20 10H34V18H20Z M23 18V38H33V18M24 28H32M34 14L66 6M34 14L66 24M34 14H62',
  },
  'knapsack-sprayer': {
    path: 'M10 6H28V32H10Z M10 12Q2 18 10 26M28 26H34L46 18M46 18H56M56 18L66 32M56 18L56 34M56 18L61 33',
  },
};

/** A kind of machine in a few lines, by its own shape and of no make. */
export function RigDrawing({ kind }: { kind: RigKind }) {
  const { path, wheels = [], dots = [] } = DRAWINGS[kind];
  return (
    <Picture viewBox="0 0 72 45" aria-hidden>
      <path d={path} />
      {wheels.map(([x, y, radius]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={radius} />
      ))}
      {dots.map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="1.4" fill="currentColor" stroke="none" />
      ))}
    </Picture>
  );
}
