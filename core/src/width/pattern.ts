import { InputError } from '../errors/InputError.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';

/** What falls across the path of one pass: deposits at positions, straight in between, nothing one spacing beyond the ends. */
export interface Pattern {
  /** Positions across the path, m, rising; left is below 0. The first and last carry nothing. */
  readonly xM: readonly number[];
  /** Deposit at each, in any one unit (kg/m2, or shares). */
  readonly y: readonly number[];
}

/**
 * The pattern of a row of catches.
 *
 * @param positionsM of the trays, m, rising, at least two
 * @param deposits at each, 0 or more
 * @throws InputError trays.order, trays.few
 * @example patternOf([-1, 0, 1], [1, 2, 1]) // { xM: [-2, -1, 0, 1, 2], y: [0, 1, 2, 1, 0] }
 */
export function patternOf(positionsM: readonly number[], deposits: readonly number[]): Pattern {
  requirePattern({ xM: positionsM, y: deposits });
  const first = positionsM[0]!;
  const last = positionsM.at(-1)!;
  const [gapLeft, gapRight] = [positionsM[1]! - first, last - positionsM.at(-2)!];
  return { xM: [first - gapLeft, ...positionsM, last + gapRight], y: [0, ...deposits, 0] };
}

/** Refuses what is no pattern: places that do not rise, deposits below 0. */
export function requirePattern({ xM, y }: Pattern): void {
  if (xM.length < 2 || y.length !== xM.length) throw new InputError('trays.few', { field: 'trays' });
  if (xM.some((x, index) => !Number.isFinite(x) || (index > 0 && x <= xM[index - 1]!))) throw new InputError('trays.order', { field: 'positions' }); // prettier-ignore
  if (!y.every((deposit) => deposit >= 0 && deposit < 1e15)) throw new InputError('count.unreadable', { field: 'trays', hint: '3.4' }); // prettier-ignore
}

/** A throw of more passes than this over one spot is a slip of the spacing. */
const MAX_OVER_EACH_OTHER = 10_000;
/** So is a spacing beyond any ground. */
export const MAX_SPACING_M = 1e9;

/** The least spacing that passes of a pattern can have, m. */
export const leastSpacing = (pattern: Pattern): number => throwOf(pattern) / MAX_OVER_EACH_OTHER;

/** Refuses a spacing that is none, or so small against the throw that passes without end would lie over each other. */
export function requireSpacing(pattern: Pattern, spacingM: number): void {
  requirePositive({ spacingM });
  if (spacingM < leastSpacing(pattern) || spacingM > MAX_SPACING_M) throw new InputError('number.unusable', { field: 'spacingM', input: String(spacingM) }); // prettier-ignore
}

/**
 * The deposit at a place: straight between the positions, 0 beyond them.
 *
 * @example depositAt({ xM: [-1, 0, 1], y: [0, 2, 0] }, 0.5) // 1
 */
export function depositAt({ xM, y }: Pattern, x: number): number {
  if (xM.length < 2) return 0;
  requireFinite({ x });
  let [low, high] = [0, xM.length - 1];
  if (x <= xM[0]! || x >= xM[high]!) return 0;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (xM[middle]! <= x) low = middle;
    else high = middle;
  }
  const share = (x - xM[low]!) / (xM[high]! - xM[low]!);
  return finite(y[low]! + share * (y[high]! - y[low]!), 'trays');
}

/**
 * The pattern seen from the other side: that of a pass in the opposite direction.
 *
 * @example mirrored({ xM: [-1, 0, 2], y: [0, 2, 0] }).xM // [-2, 0, 1]
 */
export function mirrored(pattern: Pattern): Pattern {
  requirePattern(pattern);
  const { xM, y } = pattern;
  // Plus 0, since the middle turned round is -0.
  return { xM: xM.map((x) => -x + 0).toReversed(), y: y.toReversed() };
}

/**
 * All that falls on a metre of path: the area under the pattern.
 *
 * @example underPattern({ xM: [-1, 0, 1], y: [0, 2, 0] }) // 2
 */
export function underPattern(pattern: Pattern): number {
  requirePattern(pattern);
  const { xM, y } = pattern;
  return xM.slice(1).reduce((sum, x, index) => sum + ((x - xM[index]!) * (y[index]! + y[index + 1]!)) / 2, 0);
}

/**
 * All the width that is hit, m.
 *
 * @example throwOf({ xM: [-1, 0, 2], y: [0, 2, 0] }) // 3
 */
export const throwOf = ({ xM }: Pattern): number => finite((xM.at(-1) ?? NaN) - (xM[0] ?? NaN), 'positions');

/**
 * The share that falls left of the middle; half the deposit at the middle counts to each side.
 *
 * @example leftShare(pattern) // 0.522792
 */
export function leftShare(pattern: Pattern): number {
  requirePattern(pattern);
  const { xM, y } = pattern;
  const left = { xM: [...xM.filter((x) => x < 0), 0], y: [...y.filter((_, index) => xM[index]! < 0), depositAt(pattern, 0)] }; // prettier-ignore
  const all = underPattern(pattern);
  return left.xM.length < 2 || all === 0 ? 0 : underPattern(left) / all;
}

/**
 * The pattern with each deposit times a factor: a shape brought to a level.
 *
 * @example scaled({ xM: [-1, 0, 1], y: [0, 2, 0] }, 3).y // [0, 6, 0]
 */
export function scaled(pattern: Pattern, factor: number): Pattern {
  requirePattern(pattern);
  return { xM: pattern.xM, y: pattern.y.map((value) => finite(value * factor)) };
}
