import { finite } from '../errors/preconditions.ts';

/**
 * A step that a person would say: 1, 2 or 5 times a power of ten.
 *
 * @param most what is to be covered, above 0
 * @param steps about how many of them there should be at most
 * @example niceStep(37, 60) // 1
 */
export function niceStep(most: number, steps: number): number {
  const rough = most / steps;
  const decade = 10 ** Math.floor(Math.log10(rough));
  return finite(decade * ([1, 2, 5, 10].find((nice) => nice * decade >= rough) ?? 10));
}

/** A value with half the width of its band. */
interface Banded {
  readonly y: number;
  readonly band: number;
}

/** A span on a line, in shares of its length. */
export interface Span {
  readonly from: number;
  readonly at: number;
  readonly to: number;
}

/**
 * A value against the one that is wanted, on a line from nothing to twice of that, or a little beyond the value.
 *
 * @param value with half of its band, 0 or more
 * @param wanted with its tolerance, the same unit, above 0
 * @example againstWanted({ y: 3, band: 0.5 }, { y: 4, band: 0.2 }).value // { from: 0.3125, at: 0.375, to: 0.4375 }
 */
export function againstWanted(
  value: Banded,
  wanted: Banded,
): { readonly value: Span; readonly wanted: Span } {
  const most = Math.max(2 * wanted.y, 1.1 * (value.y + value.band));
  const on = (place: number) => (most > 0 ? Math.min(Math.max(place, 0), most) / most : 0);
  const span = ({ y, band }: Banded): Span => ({ from: on(y - band), at: on(y), to: on(y + band) });
  return { value: span(value), wanted: span(wanted) };
}

/** A bar of a picture, from its foot upwards. */
export interface Bar {
  readonly x: number;
  readonly width: number;
  readonly height: number;
}

/**
 * Values as bars beside each other, the highest as high as the picture.
 *
 * @param values 0 or more
 * @param gap between two bars
 * @example barsOf([1, 2], { wide: 100, high: 50, gap: 4 }) // [{ x: 2, width: 46, height: 25 }, { x: 52, width: 46, height: 50 }]
 */
export function barsOf(
  values: readonly number[],
  { wide, high, gap }: { readonly wide: number; readonly high: number; readonly gap: number },
): Bar[] {
  const most = Math.max(...values, 1e-9);
  const step = wide / values.length;
  return values.map((value, index) => ({
    x: finite(index * step + gap / 2),
    width: step - gap,
    height: finite((high * Math.max(0, value)) / most),
  }));
}

/** A point of a picture, y downwards. */
export interface PicturePoint {
  readonly x: number;
  readonly y: number;
}

/**
 * A curve over a picture, from left to right: few enough points to be drawn, what is higher than the picture at its top.
 *
 * @param values one after the other, evenly apart
 * @param most the value at the top of the picture, above 0
 * @param every one of so many is drawn
 * @example curveOf([0, 1, 2], { wide: 100, high: 50, most: 2, every: 1 })[1] // { x: 50, y: 25 }
 */
export function curveOf(
  values: readonly number[],
  {
    wide,
    high,
    most,
    every,
  }: { readonly wide: number; readonly high: number; readonly most: number; readonly every: number },
): PicturePoint[] {
  const last = Math.max(1, values.length - 1);
  return values.flatMap((value, index) =>
    index % every === 0 ? [{ x: (wide * index) / last, y: heightOf(value, most, high) }] : [],
  );
}

/**
 * Where a value lies in a picture, from its top.
 *
 * @param most the value at the top, above 0
 * @example heightOf(0.15, 0.4, 100) // 62.5
 */
export const heightOf = (value: number, most: number, high: number): number =>
  finite(high - (high * Math.min(value, most)) / most);
