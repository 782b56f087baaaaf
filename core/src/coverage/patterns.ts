import { finite, requirePositive } from '../errors/preconditions.ts';
import { depositAt, requirePattern, underPattern, type Pattern } from '../width/pattern.ts';

/** What no tray test says is assumed: all the width of a hopper alike, or a throw that falls evenly off to both sides. */
export type AssumedPattern = 'even' | 'triangle';

/** How steep the sides of an even pattern are, as a share of its width. */
const SIDE = 1e-3;

/**
 * A pattern where none was measured: even over the spacing, as below a hopper or a boom, or a triangle whose throw is twice the spacing,
 * as of passes half a throw apart.
 *
 * @param spacingM above 0
 * @example assumedPattern('triangle', 3).xM // [-3, 0, 3]
 */
export function assumedPattern(assumed: AssumedPattern, spacingM: number): Pattern {
  requirePositive({ spacingM });
  if (assumed === 'triangle') return { xM: [-spacingM, 0, spacingM], y: [0, 1, 0] };
  const [half, side] = [finite(spacingM / 2), spacingM * SIDE];
  return { xM: [-half - side / 2, -half + side / 2, half - side / 2, half + side / 2], y: [0, 1, 1, 0] };
}

/**
 * A pattern with the deflector down on one side: what would have gone beyond its reach there falls as far out on the other side, so that
 * no product is lost or made.
 *
 * @param reachM how far product still gets on the side of the deflector, m, 0 or more
 * @example deflected({ xM: [-2, 0, 2], y: [0, 1, 0] }, 'right', 0.5).xM.at(-1) // 0.5005
 */
export function deflected(pattern: Pattern, side: 'left' | 'right', reachM: number): Pattern {
  requirePattern(pattern);
  const sign = side === 'right' ? 1 : -1;
  const edge = Math.max(0, finite(reachM));
  const ramp = Math.max(1e-6, SIDE * Math.max(1, edge) * 0.5);
  // Seen so that the deflector is on the right; turned back at the end.
  const own = (x: number) => depositAt(pattern, x * sign);
  const places = [...pattern.xM, ...pattern.xM.map((x) => -x), -edge, -edge - ramp, edge, edge + ramp];
  const xM = [...new Set(places)].filter((x) => x <= edge + ramp).toSorted((a, b) => a - b);
  const y = xM.map((x) => (x > edge ? 0 : x < -edge ? own(x) + own(-x) : own(x)));
  const turned = sign === 1 ? { xM, y } : { xM: xM.map((x) => -x + 0).toReversed(), y: y.toReversed() };
  return trimmedEnds(turned);
}

/** Without places beyond the first and the last that carry nothing. */
function trimmedEnds({ xM, y }: Pattern): Pattern {
  const first = Math.max(0, y.findIndex((deposit) => deposit > 0) - 1);
  const last = Math.min(y.length, y.findLastIndex((deposit) => deposit > 0) + 2);
  return { xM: xM.slice(first, last), y: y.slice(first, last) };
}

/** A pattern looked up by place: the share of what goes out on a metre that falls on each metre across, 1/m. */
export interface PatternTable {
  readonly fromM: number;
  readonly stepM: number;
  /** One more than there are steps, and one that stays 0. */
  readonly share: Float64Array;
}

/** A pattern as a table, fine against the cells of the map. */
export function tableOf(pattern: Pattern, cellM: number): PatternTable {
  const under = underPattern(pattern);
  requirePositive({ under });
  const [fromM, toM] = [pattern.xM[0]!, pattern.xM.at(-1)!];
  const steps = Math.min(8192, Math.max(64, Math.ceil(((toM - fromM) / cellM) * 16)));
  const stepM = (toM - fromM) / steps;
  const share = new Float64Array(steps + 2);
  for (let index = 0; index <= steps; index += 1)
    share[index] = depositAt(pattern, fromM + index * stepM) / under;
  return { fromM, stepM, share };
}
