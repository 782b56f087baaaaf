import { finite } from '../errors/preconditions.ts';
import { depositAt, mirrored, requirePattern, requireSpacing, type Pattern } from './pattern.ts';

/** Passes all in one heading, or every second one the other way. */
export const PASS_PATTERNS = ['one-way', 'back-and-forth'] as const;
export type PassPattern = (typeof PASS_PATTERNS)[number];

/** What lies on the ground over one period of passes. */
export interface Overlay {
  /** Places across the passes, m, from one pass's middle on, with the deposit at each: straight in between. */
  readonly xM: readonly number[];
  readonly y: readonly number[];
  readonly mean: number;
  /** Standard deviation over mean, over one whole period. */
  readonly cv: number;
}

/** A place brought into the first period, from 0 to less than one. */
const folded = (x: number, periodM: number): number => ((x % periodM) + periodM) % periodM;

/** How passes repeat: after each, or after every second one, which is turned round. */
const lanesOf = (
  pattern: Pattern,
  spacingM: number,
  passPattern: PassPattern,
): { pattern: Pattern; atM: number }[] =>
  passPattern === 'one-way'
    ? [{ pattern, atM: 0 }]
    : [
        { pattern, atM: 0 },
        { pattern: mirrored(pattern), atM: spacingM },
      ];

/** Deposit at a place from all passes of one lane. */
function fromLane(pattern: Pattern, atM: number, periodM: number, x: number): number {
  const [low, high] = [pattern.xM[0]!, pattern.xM.at(-1)!];
  let sum = 0;
  // x - at - k period has to lie within the pattern.
  const last = Math.floor((x - atM - low) / periodM);
  for (let k = Math.ceil((x - atM - high) / periodM); k <= last; k += 1)
    sum += depositAt(pattern, x - atM - k * periodM);
  return sum;
}

/**
 * Passes laid beside each other: what the ground gets over one period, its mean and how uneven it is.
 *
 * The deposit is straight between the places where some pass has a position, so mean and square are integrated exactly.
 *
 * @param spacingM distance between passes, m, above 0
 * @example overlay(pattern, 5, 'one-way').cv // 0.0603693
 */
export function overlay(pattern: Pattern, spacingM: number, passPattern: PassPattern): Overlay {
  requirePattern(pattern);
  requireSpacing(pattern, spacingM);
  const lanes = lanesOf(pattern, spacingM, passPattern);
  const periodM = spacingM * lanes.length;
  const places = lanes.flatMap((lane) => lane.pattern.xM.map((x) => folded(x + lane.atM, periodM)));
  const xM = [0, ...places.toSorted((a, b) => a - b), periodM].filter((x, index, all) => index === 0 || x - all[index - 1]! > 1e-12); // prettier-ignore
  const y = xM.map((x) => lanes.reduce((sum, lane) => sum + fromLane(lane.pattern, lane.atM, periodM, x), 0));
  let [area, square] = [0, 0];
  for (let index = 1; index < xM.length; index += 1) {
    const width = xM[index]! - xM[index - 1]!;
    const [a, b] = [y[index - 1]!, y[index]!];
    area += (width * (a + b)) / 2;
    square += (width * (a * a + a * b + b * b)) / 3;
  }
  const mean = area / periodM;
  const variance = Math.max(0, square / periodM - mean * mean);
  return { xM, y, mean, cv: mean > 0 ? Math.sqrt(variance) / mean : 0 };
}

/**
 * The deposit of all passes at any place across them, m from one pass's middle: the period repeats to both sides.
 *
 * @example depositOfPasses({ xM: [0, 1, 2], y: [2, 1, 2] }, 0.5) // 1.5
 */
export function depositOfPasses({ xM, y }: Overlay, x: number): number {
  const within = folded(x, xM.at(-1)!);
  return within === 0 ? y[0]! : depositAt({ xM, y }, within);
}

/**
 * Whether a pass, counted from 0 to both sides, goes the other way.
 *
 * @example isTurned(1, 'back-and-forth') // true
 */
export const isTurned = (pass: number, passPattern: PassPattern): boolean =>
  passPattern === 'back-and-forth' && pass % 2 !== 0;

/**
 * The deposit of one pass, counted from 0, at a place across all of them.
 *
 * @example depositOfPass({ xM: [-1, 0, 1], y: [0, 2, 0] }, 2, 'one-way', 1, 2) // 2
 */
export function depositOfPass(
  pattern: Pattern,
  spacingM: number,
  passPattern: PassPattern,
  pass: number,
  x: number,
): number {
  const own = finite(x - pass * spacingM);
  return depositAt(pattern, isTurned(pass, passPattern) ? -own : own);
}

/**
 * How uneven passes at a spacing are: standard deviation over mean.
 *
 * @example cvAt(pattern, 5, 'back-and-forth') // 0.0783174
 */
export const cvAt = (pattern: Pattern, spacingM: number, passPattern: PassPattern): number =>
  overlay(pattern, spacingM, passPattern).cv;

/**
 * How uneven it is after two directions at right angles, half the rate each, with the same pattern: the variances of two
 * independent halves add, so CV falls by the square root of two.
 *
 * @example twoDirections(0.2) // 0.141421
 */
export const twoDirections = (cv: number): number => finite(cv / Math.SQRT2);
