import { message, type Message } from '../../messages/message.ts';
import { InputError } from '../../errors/InputError.ts';
import type { Place } from '../geodetic.ts';
import type { Point } from '../outline.ts';

/** An edge found in a file: an area with its holes, or the line that somebody walked round it. */
export interface BoundaryLine {
  /** As the file calls it; empty when it does not. */
  readonly name: string;
  readonly kind: 'area' | 'walk';
  /** The edge, then holes: places on the earth, or points in metres of a plane of the file's own. */
  readonly rings: readonly (readonly Place[])[] | readonly (readonly Point[])[];
}

/** True for points in metres, which know no place on the earth. */
export const isPlane = (rings: BoundaryLine['rings']): rings is readonly (readonly Point[])[] =>
  rings[0]?.[0] !== undefined && 'x' in rings[0][0];

/** What a reader of a file needs besides its text. */
export interface ReadContext {
  /** The file has latitude and longitude the wrong way round. */
  readonly swapped: boolean;
  /** How much is read, from 0 to 1. */
  onShare(share: number): void;
  /** A place of the file, checked and counted. `where` is asked only when it is wrong. */
  place(lat: number, lon: number, where: () => Message): Place;
  /** Counts a point that is no place on the earth. */
  count(): void;
}

/** Most points that are read of one file. */
export const MAX_POINTS = 500_000;

export function readContext(swapped: boolean, onShare: (share: number) => void): ReadContext {
  let points = 0;
  const count = () => {
    points += 1;
    if (points > MAX_POINTS)
      throw new InputError('file.too-many-points', { field: 'file', most: MAX_POINTS });
  };
  return {
    swapped,
    onShare,
    count,
    place(first, second, where) {
      count();
      const [latDeg, lonDeg] = swapped ? [second, first] : [first, second];
      if (Math.abs(latDeg) <= 90 && Math.abs(lonDeg) <= 180) return { latDeg, lonDeg };
      const turned = Math.abs(lonDeg) <= 90 && Math.abs(latDeg) <= 180;
      const advice = turned ? message('errors.swapped') : message('errors.metres');
      throw new InputError('file.range', { field: 'file', place: where(), lat: String(latDeg), lon: String(lonDeg), advice }); // prettier-ignore
    },
  };
}
