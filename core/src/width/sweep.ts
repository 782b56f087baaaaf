import { InputError } from '../errors/InputError.ts';
import { requirePositive } from '../errors/preconditions.ts';
import { evennessOf } from './evenness.ts';
import type { PassPattern } from './overlap.ts';
import { throwOf, type Pattern } from './pattern.ts';

/** How uneven passes are, from close to the full throw apart. */
export interface Sweep {
  readonly passPattern: PassPattern;
  readonly spacingM: readonly number[];
  readonly cv: readonly number[];
  /** The widest spacing up to which the limit is kept in one stretch with the one that is recommended, m; null: it is nowhere. */
  readonly reachesM: number | null;
  /** The widest spacing that keeps the limit over the whole of +-5 % around it, m; null: none does. */
  readonly widestM: number | null;
}

/** Spacings that are looked at in one sweep. */
const MAX_STEPS = 20_000;

/** People do not pass more exactly than this: the limit has to hold as far around a spacing. */
export const PASSING = 0.05;

/** A step is at most a centimetre, and at most a five-hundredth of the throw. */
const stepFor = (spanM: number): number => Math.min(0.01, spanM / 500);

/** Where the limit is met between a spacing that keeps it and one that does not. */
function crossing(cv: (spacingM: number) => number, limit: number, keepsM: number, breaksM: number): number {
  let [good, bad] = [keepsM, breaksM];
  // A thousandth of a step is well below what anybody passes by.
  const enough = Math.abs(breaksM - keepsM) / 1000;
  while (Math.abs(bad - good) > enough) {
    const middle = (good + bad) / 2;
    if (cv(middle) <= limit) good = middle;
    else bad = middle;
  }
  return good;
}

/** Stretches of spacings that keep the limit, in order, m. */
function stretches(spacingM: readonly number[], cv: readonly number[], limit: number, at: (spacingM: number) => number): [number, number][] {
  const found: [number, number][] = [];
  let from: number | null = null;
  spacingM.forEach((spacing, index) => {
    const keeps = cv[index]! <= limit;
    if (keeps && from === null) from = index === 0 ? spacing : crossing(at, limit, spacing, spacingM[index - 1]!);
    if (!keeps && from !== null) {
      found.push([from, crossing(at, limit, spacingM[index - 1]!, spacing)]);
      from = null;
    }
  });
  if (from !== null) found.push([from, spacingM.at(-1)!]);
  return found;
} // prettier-ignore

/**
 * Sweeps the spacing from two tray spacings to the full throw, and finds the widest that is even enough.
 *
 * @param traySpacingM distance of the trays, m
 * @param limit the most CV that is borne: 0.15, or 0.2 for what forgives
 * @param uneven how uneven passes are at a spacing; exact unless another is given
 * @param stepM distance of the spacings that are looked at; between two of them a crossing is found by halving
 * @example sweep(pattern, 0.5, 'one-way', 0.15).widestM // 5.205
 */
export function sweep(
  pattern: Pattern,
  traySpacingM: number,
  passPattern: PassPattern,
  limit: number,
  uneven: (spacingM: number) => number = evennessOf(pattern, passPattern),
  stepM = stepFor(throwOf(pattern)),
): Sweep {
  requirePositive({ traySpacingM, limit, stepM });
  const full = throwOf(pattern);
  if (full / stepM > MAX_STEPS)
    throw new InputError('number.unusable', { field: 'stepM', input: String(stepM) });
  const from = Math.min(2 * traySpacingM, full / 2);
  const steps = Math.ceil((full - from) / stepM);
  const spacingM = Array.from({ length: steps + 1 }, (_, index) => from + ((full - from) * index) / steps);
  const cv = spacingM.map(uneven);
  // Beyond the sweep nothing is known, so a stretch that reaches its end is taken to end there.
  const found = stretches(spacingM, cv, limit, uneven)
    .map(([low, high]) => ({ widest: high / (1 + PASSING), low, high }))
    .filter(({ widest, low }) => widest * (1 - PASSING) >= low - 1e-9)
    .toSorted((a, b) => b.widest - a.widest)[0];
  return { passPattern, spacingM, cv, reachesM: found?.high ?? null, widestM: found?.widest ?? null };
}
