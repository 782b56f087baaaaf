import { difference as without, FillRule, intersect, union as together, type Paths64 } from 'clipper2-ts';
import type { Point } from './outline.ts';

/** Pieces of ground as outlines: edges run anticlockwise, holes clockwise. */
export type Ground = readonly (readonly Point[])[];

const signedArea = (outline: readonly Point[]): number => {
  const origin = outline[0];
  if (!origin) return 0;
  return (
    outline.reduce((sum, a, at) => {
      const b = outline[(at + 1) % outline.length]!;
      return sum + (a.x - origin.x) * (b.y - origin.y) - (b.x - origin.x) * (a.y - origin.y);
    }, 0) / 2
  );
};

const turned = (outline: readonly Point[], anticlockwise: boolean): readonly Point[] =>
  signedArea(outline) > 0 === anticlockwise ? outline : outline.toReversed();

/** One shape, its edge first and then its holes, as ground. */
export const groundOf = (outlines: readonly (readonly Point[])[]): Ground =>
  outlines.map((outline, at) => turned(outline, at === 0));

/** Area of pieces of ground, their holes taken off, m2. */
export const groundArea = (ground: Ground): number =>
  ground.reduce((sum, outline) => sum + signedArea(outline), 0);

/** Whole numbers up to here multiply without losing a digit. */
const MOST_WHOLE = 2 ** 26;

type Clip = (a: Paths64, b: Paths64, rule: FillRule) => Paths64;

/** The library clips whole numbers: the ground is measured about its middle, as finely as they allow (1 um up to 60 m). */
function clipping(a: Ground, b: Ground, clip: Clip): Ground {
  const all = [...a, ...b].flat();
  const first = all[0];
  if (!first) return [];
  const reach = all.reduce(
    (most, { x, y }) => Math.max(most, Math.abs(x - first.x), Math.abs(y - first.y)),
    1e-3,
  );
  // A power of ten, so that what was typed in millimetres stays exact.
  const scale = 10 ** Math.floor(Math.log10(MOST_WHOLE / reach));
  const toWhole = (ground: Ground): Paths64 =>
    ground.map((outline) =>
      outline.map(({ x, y }) => ({
        x: Math.round((x - first.x) * scale),
        y: Math.round((y - first.y) * scale),
      })),
    );
  return clip(toWhole(a), toWhole(b), FillRule.NonZero).map((path) =>
    path.map(({ x, y }) => ({ x: x / scale + first.x, y: y / scale + first.y })),
  );
}

/** All of these together, overlaps counted once. */
export const union = (ground: Ground): Ground => clipping(ground, [], together);

/** The first without the second. */
export const difference = (from: Ground, cut: Ground): Ground => clipping(from, cut, without);

/** What both cover. */
export const intersection = (a: Ground, b: Ground): Ground => clipping(a, b, intersect);
