import { InputError } from '../errors/InputError.ts';
import { boundsOf, type Ground, type Point } from '../ground/index.ts';
import { extentOf, frameOf } from './frame.ts';
import { WINDS, type Wind } from './choices.ts';

/**
 * Where the edge of an area lies towards a wind: the place for the product, or for whoever starts there.
 *
 * @example placeTowards([[{ x: 0, y: 0 }, { x: 4, y: 0 }, { x: 4, y: 4 }, { x: 0, y: 4 }]], 'ne') // { x: 4, y: 4 }
 */
export function placeTowards(ground: Ground, wind: Wind): Point {
  const box = boundsOf(ground.flat());
  if (!box) throw new InputError('passes.no-ground', { field: 'ground' });
  const frame = frameOf(WINDS.indexOf(wind) * 45);
  const { maxS } = extentOf(ground, frame);
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const far = frame.at(maxS, frame.across(middle));
  const nearest = ground.flat().reduce((best, point) => (Math.hypot(point.x - far.x, point.y - far.y) < Math.hypot(best.x - far.x, best.y - far.y) ? point : best)); // prettier-ignore
  const isCorner = wind.length === 2;
  return isCorner ? nearest : far;
}

/**
 * The wind that an end of a line looks to: which end of a pass is meant.
 *
 * @example windTowards({ x: 0, y: 0 }, { x: 0, y: 5 }) // 'n'
 */
export function windTowards(from: Point, to: Point): Wind {
  const deg = (Math.atan2(to.x - from.x, to.y - from.y) * 180) / Math.PI;
  return WINDS[Math.round(((deg + 360) % 360) / 45) % 8]!;
}
