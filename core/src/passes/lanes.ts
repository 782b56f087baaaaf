import type { Ground, Point } from '../ground/index.ts';
import { beyond, chordsAt, extentOf, frameOf } from './frame.ts';
import type { LastPass } from './choices.ts';

/** One stretch of a pass over the ground. */
export interface Stretch {
  /** Number of the pass, counted from 1 along the edge; stretches of one pass are told apart by their part, from 0. */
  readonly pass: number;
  readonly part: number;
  readonly parts: number;
  readonly from: Point;
  readonly to: Point;
  readonly lengthM: number;
}

/** Passes of one direction over a piece of ground. */
export interface Lanes {
  readonly headingDeg: number;
  /** Between neighbouring passes, evened out where that was asked for, m. */
  readonly spacingM: number;
  /** How much the last two overlap more than others, m; 0 where they are evened out. */
  readonly overlapM: number;
  readonly passes: number;
  readonly stretches: readonly Stretch[];
  /** Marks along the edge of the ground that passes start from: from its first corner, m, and where each lies. */
  readonly flags: readonly { readonly atM: number; readonly point: Point }[];
}

/** More than this is no plan that anybody walks. */
export const MAX_PASSES = 4000;

/** Where passes lie across, evened out or with the last one drawn in. */
function middles(minV: number, maxV: number, spacingM: number, last: LastPass) {
  const wide = maxV - minV;
  const count = Math.max(1, Math.ceil(wide / spacingM - 1e-6));
  const even = last === 'even' || count === 1;
  const step = even ? wide / count : spacingM;
  const at = Array.from({ length: count }, (_, pass) => even || pass < count - 1 ? minV + (pass + 0.5) * step : maxV - step / 2); // prettier-ignore
  return { at, step: count === 1 ? spacingM : step, overlapM: even ? 0 : count * step - wide };
}

/**
 * Passes of a heading over the field of one piece of ground: `passes = width across / spacing`, rounded up, each as far as its middle
 * lies on the field.
 *
 * @param field not empty; @param ground all of the piece, whose edge is marked
 */
export function lanesOver(
  field: Ground,
  headingDeg: number,
  spacingM: number,
  last: LastPass,
  ground = field,
): Lanes {
  const frame = frameOf(headingDeg);
  const { minV, maxV } = extentOf(field, frame);
  const edge = extentOf(ground, frame);
  const { at, step, overlapM } = middles(minV, maxV, spacingM, last);
  const stretches = at.flatMap((v, index) => {
    const chords = chordsAt(field, frame, v);
    return chords.map(({ from, to }, part): Stretch => ({ pass: index + 1, part, parts: chords.length, from: frame.at(from, v), to: frame.at(to, v), lengthM: to - from })); // prettier-ignore
  });
  const flags = at.map((v) => ({ atM: v - edge.minV, point: frame.at(edge.minS, v) }));
  return { headingDeg, spacingM: step, overlapM, passes: at.length, stretches, flags };
}

/** Lines across each pass that its edges are looked at along. */
const LINES = 4;

/** What passes of a heading would lay beside the ground, m2: their ends are square, edges are not. */
export function offGround(ground: Ground, headingDeg: number, spacingM: number, last: LastPass): number {
  const frame = frameOf(headingDeg);
  const { minV, maxV } = extentOf(ground, frame);
  const { at, step } = middles(minV, maxV, spacingM, last);
  return at.reduce((sum, v) => {
    const own = chordsAt(ground, frame, v);
    for (let line = 0; line < LINES; line += 1)
      sum += (beyond(own, chordsAt(ground, frame, v + ((line + 0.5) / LINES - 0.5) * step)) * step) / LINES;
    return sum;
  }, 0);
}
