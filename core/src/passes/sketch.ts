import { finite, requirePositive } from '../errors/preconditions.ts';
import type { Ground } from '../ground/index.ts';

/**
 * Ground of a known size whose shape nobody drew: a rectangle of a length, else a square.
 *
 * @param areaM2 above 0
 * @param lengthM of its longer side, m; null: not known
 * @example sketchOf(200, 20)[0]?.length // 4: its corners
 */
export function sketchOf(areaM2: number, lengthM: number | null): Ground {
  requirePositive({ areaM2 });
  const long = lengthM ?? Math.sqrt(areaM2);
  requirePositive({ long });
  const wide = finite(areaM2 / long);
  return [[{ x: 0, y: 0 }, { x: wide, y: 0 }, { x: wide, y: long }, { x: 0, y: long }]]; // prettier-ignore
}
