import type { Ground, Point } from '../ground/index.ts';

/** The ground as passes have it: `s` along them, `v` across, to the right of whoever walks them. */
export interface Frame {
  along(point: Point): number;
  across(point: Point): number;
  at(s: number, v: number): Point;
}

const RAD = Math.PI / 180;

/** The frame of passes of a heading, degrees clockwise from up (north on a placed drawing). */
export function frameOf(headingDeg: number): Frame {
  const [sin, cos] = [Math.sin(headingDeg * RAD), Math.cos(headingDeg * RAD)];
  return {
    along: ({ x, y }) => x * sin + y * cos,
    across: ({ x, y }) => x * cos - y * sin,
    at: (s, v) => ({ x: s * sin + v * cos, y: s * cos - v * sin }),
  };
}

/** Where ground begins and ends along passes, and across them. */
export function extentOf(ground: Ground, { along, across }: Frame) {
  const points = ground.flat();
  const [s, v] = [points.map(along), points.map(across)];
  const least = (all: number[]) => all.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (all: number[]) => all.reduce((a, b) => Math.max(a, b), -Infinity);
  return { minS: least(s), maxS: most(s), minV: least(v), maxV: most(v) };
}

/** A piece of a line along the passes. */
export interface Chord {
  readonly from: number;
  readonly to: number;
}

/**
 * Where a line along the passes lies on the ground: it goes in and out where it crosses an outline. Corners count to the side that
 * lies beyond them, so that none is counted twice.
 */
export function chordsAt(ground: Ground, frame: Frame, v: number): Chord[] {
  const crossings: number[] = [];
  for (const outline of ground) {
    let a = outline.at(-1)!;
    let va = frame.across(a);
    for (const b of outline) {
      const vb = frame.across(b);
      if (va > v !== vb > v) {
        const [sa, sb] = [frame.along(a), frame.along(b)];
        crossings.push(sa + ((v - va) / (vb - va)) * (sb - sa));
      }
      [a, va] = [b, vb];
    }
  }
  crossings.sort((one, other) => one - other);
  return crossings.flatMap((from, index) => (index % 2 === 0 && crossings[index + 1]! - from > 1e-9 ? [{ from, to: crossings[index + 1]! }] : [])); // prettier-ignore
}

/** How much of some chords lies in none of others. */
export function beyond(chords: readonly Chord[], others: readonly Chord[]): number {
  const shared = (a: Chord) => others.reduce((sum, b) => sum + Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from)), 0); // prettier-ignore
  return chords.reduce((sum, chord) => sum + (chord.to - chord.from) - shared(chord), 0);
}
