import type { Mode } from './overlap.ts';
import { depositAt, requirePattern, requireSpacing, throwOf, underPattern, type Pattern } from './pattern.ts';

/** Where the slope of what all passes lay changes within one period, and by how much; filled anew for each spacing. */
interface Kinks {
  readonly count: number;
  readonly at: Float64Array;
  readonly change: Float64Array;
}

/** Puts the kinks in the order of their places: few, and nearly in order already. */
function sortKinks({ count, at, change }: Kinks): void {
  for (let i = 1; i < count; i += 1) {
    const [place, by] = [at[i]!, change[i]!];
    let j = i - 1;
    while (j >= 0 && at[j]! > place) {
      at[j + 1] = at[j]!;
      change[j + 1] = change[j]!;
      j -= 1;
    }
    at[j + 1] = place;
    change[j + 1] = by;
  }
}

/** The slope of a pattern after each of its positions, less that before it. */
function slopeChanges({ xM, y }: Pattern): Float64Array {
  const slopes = xM.map((x, i) => (i + 1 < xM.length ? (y[i + 1]! - y[i]!) / (xM[i + 1]! - x) : 0));
  return Float64Array.from(slopes, (slope, i) => slope - (i > 0 ? slopes[i - 1]! : 0));
}

/** Square of the deviation from the mean over a period: straight pieces between the kinks. */
function squaredOff({ count, at, change }: Kinks, periodM: number, first: number, mean: number): number {
  // What is gained over a period is lost in it: that gives the slope it begins with.
  let gained = 0;
  for (let i = 0; i < count; i += 1) gained += change[i]! * (periodM - at[i]!);
  let slope = -gained / periodM;
  let [x, off, square] = [0, first - mean, 0];
  for (let i = 0; i <= count; i += 1) {
    const to = i < count ? at[i]! : periodM;
    const width = to - x;
    const end = off + slope * width;
    square += (width * (off * off + off * end + end * end)) / 3;
    if (i < count) slope += change[i]!;
    [x, off] = [to, end];
  }
  return square;
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
export function evennessOf(pattern: Pattern, mode: Mode): (spacingM: number) => number {
  requirePattern(pattern);
  const xM = Float64Array.from(pattern.xM);
  const change = slopeChanges(pattern);
  const n = xM.length;
  const lanes = mode === 'one-way' ? 1 : 2;
  const kinks: Kinks = { count: lanes * n, at: new Float64Array(lanes * n), change: new Float64Array(lanes * n) }; // prettier-ignore
  const total = underPattern(pattern) * lanes;
  const span = throwOf(pattern);
  // The middle of a pass gets what its own lane and, every second pass, the turned one lay there.
  const middle = (spacingM: number, periodM: number): number => {
    let sum = 0;
    const reach = Math.ceil((span + Math.abs(xM[0]!) + spacingM) / periodM) + 1;
    for (let k = -reach; k <= reach; k += 1) {
      sum += depositAt(pattern, k * periodM);
      if (lanes === 2) sum += depositAt(pattern, spacingM + k * periodM);
    }
    return sum;
  };
  return (spacingM) => {
    requireSpacing(pattern, spacingM);
    if (!(total > 0)) return 0;
    const periodM = spacingM * lanes;
    for (let i = 0; i < n; i += 1) {
      const x = xM[i]!;
      kinks.at[i] = x - Math.floor(x / periodM) * periodM;
      kinks.change[i] = change[i]!;
      if (lanes === 1) continue;
      // Turned round, and one spacing on.
      const turned = spacingM - x;
      kinks.at[n + i] = turned - Math.floor(turned / periodM) * periodM;
      kinks.change[n + i] = change[i]!;
    }
    sortKinks(kinks);
    const mean = total / periodM;
    return (
      Math.sqrt(Math.max(0, squaredOff(kinks, periodM, middle(spacingM, periodM), mean)) / periodM) / mean
    );
  };
}
