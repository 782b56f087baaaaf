import type { PassPattern } from './overlap.ts';
import {
  leastSpacing,
  MAX_SPACING_M,
  requirePattern,
  requireSpacing,
  underPattern,
  type Pattern,
} from './pattern.ts';

/** A pattern for the inner loops: places and what lies there. */
interface Flat {
  readonly xM: Float64Array;
  readonly y: Float64Array;
}

/** Where a slope changes, and by how much. */
interface Kinks {
  readonly at: Float64Array;
  readonly by: Float64Array;
}

/** The kinks of a pattern: the slope after each of its places, less that before it. */
function kinksOf({ xM, y }: Flat): Kinks {
  const slopes = xM.map((x, i) => (i + 1 < xM.length ? (y[i + 1]! - y[i]!) / (xM[i + 1]! - x) : 0));
  return { at: xM, by: slopes.map((slope, i) => slope - (i > 0 ? slopes[i - 1]! : 0)) };
}

/** The kinks of the pass that comes back: seen from the other side. */
const turned = ({ at, by }: Kinks): Kinks => ({ at: at.map((x) => -x).toReversed(), by: by.toReversed() });

/** The remainder of a division, 0 or more. */
const modulo = (value: number, by: number): number => value - Math.floor(value / by) * by;

/** Puts the kinks of a lane, folded into one period, in order among the first `filled`: few, and in runs that are in order already. */
function fold(into: Kinks, filled: number, lane: Kinks, laneM: number, periodM: number): void {
  const { at, by } = into;
  for (let i = 0; i < lane.at.length; i += 1) {
    const place = modulo(laneM + lane.at[i]!, periodM);
    let to = filled + i;
    while (to > 0 && at[to - 1]! > place) {
      at[to] = at[to - 1]!;
      by[to] = by[to - 1]!;
      to -= 1;
    }
    at[to] = place;
    by[to] = lane.by[i]!;
  }
}

/** What all passes a period apart lay at a place. */
function laidAt({ xM, y }: Flat, place: number, periodM: number): number {
  const last = xM.length - 1;
  let sum = 0;
  let high = 1;
  for (let x = xM[0]! + modulo(place - xM[0]!, periodM); x < xM[last]!; x += periodM) {
    while (xM[high]! <= x) high += 1;
    const low = high - 1;
    sum += y[low]! + ((y[high]! - y[low]!) * (x - xM[low]!)) / (xM[high]! - xM[low]!);
  }
  return sum;
}

/** Square of the deviation over a period: straight pieces between the kinks. */
function squaredOff({ at, by }: Kinks, periodM: number, firstOff: number): number {
  // What is gained over a period is lost in it: that gives the slope it begins with.
  let gained = 0;
  for (let i = 0; i < at.length; i += 1) gained += by[i]! * (periodM - at[i]!);
  let slope = -gained / periodM;
  let off = firstOff;
  let x = 0;
  let square = 0;
  for (let i = 0; i <= at.length; i += 1) {
    const to = i < at.length ? at[i]! : periodM;
    const width = to - x;
    const end = off + slope * width;
    square += width * (off * off + off * end + end * end);
    if (i < at.length) slope += by[i]!;
    x = to;
    off = end;
  }
  return square / 3;
}

/**
 * How uneven passes are at any spacing: standard deviation over mean over one period, as `cvAt`, for being asked thousands of times.
 * Nothing is allocated by an answer: the slope of what all passes lay changes only at the trays, whose places are folded into one
 * period, and between them the square is integrated exactly.
 *
 * @param pattern with something in it
 * @returns a function of the spacing, m, above 0
 * @throws InputError number.unusable for a spacing of nothing
 * @example evennessOf(pattern, 'one-way')(5) // 0.0603693
 */
export function evennessOf(pattern: Pattern, passPattern: PassPattern): (spacingM: number) => number {
  requirePattern(pattern);
  const flat: Flat = { xM: Float64Array.from(pattern.xM), y: Float64Array.from(pattern.y) };
  const own = kinksOf(flat);
  const back = passPattern === 'one-way' ? null : turned(own);
  const lanes = back ? 2 : 1;
  const count = lanes * flat.xM.length;
  const kinks: Kinks = { at: new Float64Array(count), by: new Float64Array(count) };
  const total = underPattern(pattern) * lanes;
  const least = leastSpacing(pattern);
  return (spacingM) => {
    // Asked in the inner loop: the whole check only where it will refuse.
    if (!(spacingM >= least && spacingM <= MAX_SPACING_M)) requireSpacing(pattern, spacingM);
    if (!(total > 0)) return 0;
    const periodM = spacingM * lanes;
    fold(kinks, 0, own, 0, periodM);
    if (back) fold(kinks, own.at.length, back, spacingM, periodM);
    const mean = total / periodM;
    // In the middle of a pass: what its own lane lays there and, every second pass, the turned one.
    const first = laidAt(flat, 0, periodM) + (back ? laidAt(flat, spacingM, periodM) : 0);
    return Math.sqrt(Math.max(0, squaredOff(kinks, periodM, first - mean)) / periodM) / mean;
  };
}
