import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';

/** A point of a setting curve: setting, mean rate, and how many runs stand behind it. */
export interface CurvePoint {
  readonly x: number;
  readonly y: number;
  readonly weight: number;
}

/**
 * Means made non-decreasing: neighbours in the wrong order share their weighted mean (pool adjacent violators; Ayer, Brunk and
 * others 1955).
 *
 * @param points in the order of x, weights above 0
 * @example pooled([1.1, 2.6, 2.4, 6.4].map((y, index) => ({ x: 4 + 2 * index, y, weight: 1 }))).map(({ y }) => y) // [1.1, 2.5, 2.5, 6.4]
 */
export function pooled(points: readonly CurvePoint[]): CurvePoint[] {
  for (const { x, y, weight } of points) {
    requireFinite({ x, y });
    requirePositive({ weight });
  }
  const blocks: { y: number; weight: number; xs: number[]; weights: number[] }[] = [];
  for (const { x, y, weight } of points) {
    blocks.push({ y, weight, xs: [x], weights: [weight] });
    for (
      let last = blocks.at(-1)!, before = blocks.at(-2);
      before && before.y > last.y;
      before = blocks.at(-2)
    ) {
      const total = before.weight + last.weight;
      const merged = {
        y: finite((before.y * before.weight + last.y * last.weight) / total),
        weight: total,
        xs: [...before.xs, ...last.xs],
        weights: [...before.weights, ...last.weights],
      };
      blocks.splice(-2, 2, merged);
      last = merged;
    }
  }
  return blocks.flatMap(({ y, xs, weights }) => xs.map((x, index) => ({ x, y, weight: weights[index]! })));
}

/** Slope at an end: three-point, limited so that the curve stays monotone (Fritsch and Carlson 1980, in the form of Moler 2004, 3.4). */
function endSlope(h0: number, h1: number, d0: number, d1: number): number {
  const slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
  if (Math.sign(slope) !== Math.sign(d0)) return 0;
  return Math.sign(d0) !== Math.sign(d1) && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
}

/** A monotone curve through means: its value, where it reaches a rate, and the span it was tested over. */
export interface SettingCurve {
  readonly points: readonly CurvePoint[];
  /** The rate at a setting, within the span. */
  at(x: number): number;
  /** The lowest setting that gives a rate, within the span; null when none does. */
  solve(y: number): number | null;
  readonly from: number;
  readonly to: number;
}

/** Slopes at the points: weighted harmonic means of the secants (Fritsch and Butland 1984), limited at the ends. */
function slopesOf(x: readonly number[], y: readonly number[]): number[] {
  const h = x.slice(1).map((value, index) => value - x[index]!);
  const d = y.slice(1).map((value, index) => (value - y[index]!) / h[index]!);
  if (d.length === 1) return [d[0]!, d[0]!];
  return x.map((_, index) => {
    if (index === 0) return endSlope(h[0]!, h[1]!, d[0]!, d[1]!);
    if (index === x.length - 1) return endSlope(h.at(-1)!, h.at(-2)!, d.at(-1)!, d.at(-2)!);
    const [d0, d1] = [d[index - 1]!, d[index]!];
    if (d0 * d1 <= 0) return 0;
    const w0 = 2 * h[index]! + h[index - 1]!;
    const w1 = h[index]! + 2 * h[index - 1]!;
    return (w0 + w1) / (w0 / d0 + w1 / d1);
  });
}

/**
 * The monotone cubic curve through means that were pooled (PCHIP: Fritsch and Carlson 1980; slopes of Fritsch and Butland 1984).
 * Two points give a line.
 *
 * @param points at least two, in the order of x, each x once, weights above 0
 * @throws InputError curve.points; number.unusable where the points lie too far apart for numbers
 * @example settingCurve([1.1, 2.6, 4.9, 6.4].map((y, index) => ({ x: 4 + 2 * index, y, weight: 1 }))).solve(3.6) // 6.881830
 */
export function settingCurve(points: readonly CurvePoint[]): SettingCurve {
  if (points.length < 2 || points.some(({ x, y, weight }, index) => !Number.isFinite(x * y) || !(weight > 0) || (index > 0 && x <= points[index - 1]!.x))) throw new InputError('curve.points', { field: 'points' }); // prettier-ignore
  const pool = pooled(points);
  const x = pool.map((point) => point.x);
  const y = pool.map((point) => point.y);
  const slopes = slopesOf(x, y).map((slope) => finite(slope, 'slope'));
  const piece = (value: number): number => {
    const after = x.findIndex((edge) => edge > value);
    return after <= 0 ? (after === 0 ? 0 : x.length - 2) : after - 1;
  };
  const at = (value: number): number => {
    const i = piece(value);
    const h = x[i + 1]! - x[i]!;
    const t = (value - x[i]!) / h;
    return (
      y[i]! * (1 + 2 * t) * (1 - t) ** 2 +
      slopes[i]! * h * t * (1 - t) ** 2 +
      y[i + 1]! * t * t * (3 - 2 * t) +
      slopes[i + 1]! * h * t * t * (t - 1)
    );
  };
  const solve = (target: number): number | null => {
    if (target < y[0]! || target > y.at(-1)!) return null;
    const exact = y.indexOf(target);
    if (exact >= 0) return x[exact]!;
    const i = y.findIndex((value) => value > target) - 1;
    let [low, high] = [x[i]!, x[i + 1]!];
    // Monotone between the two: halving cannot miss.
    for (let step = 0; step < 80; step += 1) {
      const middle = (low + high) / 2;
      if (at(middle) < target) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return { points: pool, at, solve, from: x[0]!, to: x.at(-1)! };
}
