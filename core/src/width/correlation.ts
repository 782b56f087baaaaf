import { depositAt, underPattern, type Pattern } from './pattern.ts';
import type { PassPattern } from './overlap.ts';

/** The cubic B-spline on whole knots: what two hats of width 1 at a distance share. */
function spline(t: number): number {
  const x = Math.abs(t);
  if (x >= 2) return 0;
  const far = 2 - x;
  return x >= 1 ? (far * far * far) / 6 : 2 / 3 - x * x * (1 - x / 2);
}

const MAX_KNOTS = 160;

/** A pattern on even knots: as it is where its trays stand evenly, else taken on a fine raster. */
function evenly(pattern: Pattern): { from: number; h: number; y: Float64Array } {
  const { xM } = pattern;
  const gaps = xM.slice(1).map((x, index) => x - xM[index]!);
  const [least, most] = [Math.min(...gaps), Math.max(...gaps)];
  const span = xM.at(-1)! - xM[0]!;
  const isEven = most / least < 1 + 1e-9;
  const count = isEven ? xM.length - 1 : Math.min(MAX_KNOTS, Math.ceil((4 * span) / least));
  const h = span / count;
  return { from: xM[0]!, h, y: Float64Array.from({ length: count + 1 }, (_, index) => depositAt(pattern, xM[0]! + index * h)) }; // prettier-ignore
}

/**
 * How uneven passes are, by correlation: `integral of f^2 over a period = sum of R(m W)`, where R is the pattern's correlation with
 * itself (with its mirror image for every second pass of back and forth). Between even knots R is a sum of cubic B-splines, so it
 * costs a few products for each spacing. Exact for evenly standing trays, and independent of `overlay`.
 *
 * @example unevenness(pattern)(5, 'back-and-forth') // 0.0783174
 */
export function unevenness(pattern: Pattern): (spacingM: number, passPattern: PassPattern) => number {
  const { from, h, y } = evenly(pattern);
  const n = y.length;
  // c[d + n]: sum of y[i] y[i + d]; e[i + j]: sum of y[i] y[j], the mirror image.
  const c = new Float64Array(2 * n + 1);
  const e = new Float64Array(2 * n);
  for (let i = 0; i < n; i += 1) {
    const left = y[i]!;
    if (left === 0) continue;
    for (let j = 0; j < n; j += 1) {
      const product = left * y[j]!;
      c[j - i + n]! += product;
      e[i + j]! += product;
    }
  }
  const total = underPattern(pattern);
  const sumAt = (coefficients: Float64Array, place: number): number => {
    const low = Math.max(0, Math.ceil(place - 2));
    const high = Math.min(coefficients.length - 1, Math.floor(place + 2));
    let sum = 0;
    for (let index = low; index <= high; index += 1) sum += coefficients[index]! * spline(place - index);
    return sum * h;
  };
  // Mirror image: positions x and -x meet where x_i + x_j = t, and x_i = from + i h.
  const own = (t: number) => sumAt(c, t / h + n);
  const mirror = (t: number) => sumAt(e, (t - 2 * from) / h);
  const span = (n - 1) * h;
  // A pattern's correlation with itself is the same to both sides, and ends with its span.
  const ownSum = (step: number): number => {
    let sum = own(0);
    for (let t = step; t <= span; t += step) sum += 2 * own(t);
    return sum;
  };
  // That with the mirror image lies about twice the pattern's middle.
  const [least, most] = [2 * from - h, 2 * (from + span) + h];
  const mirrorSum = (spacing: number): number => {
    let sum = 0;
    const first = Math.ceil((least / spacing - 1) / 2);
    for (let k = first; (2 * k + 1) * spacing <= most; k += 1) sum += mirror((2 * k + 1) * spacing);
    return sum;
  };
  return (spacingM, passPattern) => {
    const mean = total / spacingM;
    if (mean <= 0) return 0;
    const square =
      passPattern === 'one-way'
        ? ownSum(spacingM) / spacingM
        : (ownSum(2 * spacingM) + mirrorSum(spacingM)) / spacingM;
    return Math.sqrt(Math.max(0, square - mean * mean)) / mean;
  };
}
