import { chakra } from '@chakra-ui/react';
import type { PackageCount } from '@steady-scatter/core/loads';

const MAX_DRAWN = 4;
const WIDTH = 64;
const HEIGHT = 88;
const GAP = 10;

const Bag = ({ x, share }: { x: number; share: number }) => (
  <g transform={`translate(${x} 2)`}>
    <chakra.rect
      x="1.5"
      y={HEIGHT - (HEIGHT - 4) * share}
      width={WIDTH - 3}
      height={(HEIGHT - 4) * share}
      rx="4"
      fill="tape"
    />
    <chakra.rect
      x="1"
      y="1"
      width={WIDTH - 2}
      height={HEIGHT - 2}
      rx="7"
      fill="none"
      stroke="ink"
      strokeWidth="2"
    />
    <chakra.line x1="8" x2={WIDTH - 8} y1="8" y2="8" stroke="ink" strokeWidth="1.5" strokeDasharray="3 3" />
  </g>
);

/** The packages to take, the last one filled as far as it is used. */
export function Bags({ packages, label }: { packages: PackageCount; label: string }) {
  const drawn = Math.min(packages.whole, MAX_DRAWN);
  return (
    <chakra.svg
      viewBox={`0 0 ${drawn * (WIDTH + GAP)} ${HEIGHT + 4}`}
      width={`${drawn * (WIDTH + GAP)}px`}
      maxWidth="100%"
      role="img"
      aria-label={label}
    >
      {Array.from({ length: drawn }, (_, index) => (
        // oxlint-disable-next-line react/no-array-index-key -- bags have no identity
        <Bag key={index} x={index * (WIDTH + GAP)} share={index === drawn - 1 ? packages.lastShare : 1} />
      ))}
    </chakra.svg>
  );
}
