import { chakra } from '@chakra-ui/react';
import { boundsOf, type Outline } from '@steady-scatter/core/ground';

const SIZE = 84;

/** Pieces of ground as a small picture. */
export function OutlinePicture({ pieces }: { pieces: readonly (readonly Outline[])[] }) {
  const box = boundsOf(pieces.flat(2));
  if (!box) return null;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const line = (outline: Outline) =>
    `M${outline.map(({ x, y }) => `${x - box.minX} ${box.maxY - y}`).join('L')}Z`;
  const stroke = Math.max(width, height) / 45;
  return (
    <chakra.svg
      aria-hidden
      viewBox={`${-stroke} ${-stroke} ${width + 2 * stroke} ${height + 2 * stroke}`}
      width={`${SIZE}px`}
      height={`${SIZE}px`}
      flexShrink={0}
    >
      <chakra.path
        d={pieces.flat().map(line).join('')}
        fill="soft"
        stroke="act"
        fillRule="evenodd"
        strokeWidth={stroke}
      />
    </chakra.svg>
  );
}
