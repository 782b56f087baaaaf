import * as z from 'zod';
import type { InputError } from '../errors/InputError.ts';
import type { LengthUnit } from '../quantities/units.ts';
import { lengthUnit, partId, text, type InputOf } from '../fields/schema.ts';
import type { Outline } from './outline.ts';
import { SHAPE_KINDS, shapeOf, type ShapeKind } from './shapes.ts';

/** How the lengths of a part were found. */
export const MEASURED_BY = ['tape', 'wheel', 'paces', 'estimate'] as const;
export type MeasuredBy = (typeof MEASURED_BY)[number];

/** A drawing reaches no farther than the largest area does, m. */
const metres = z.number().min(-1e6).max(1e6);

/** Where a part lies on a placed drawing, m, and how far it is turned, degrees anticlockwise. */
const placing = z.object({ x: metres, y: metres, turn: z.number().min(-1e4).max(1e4) });
export type Placing = InputOf<typeof placing>;

/** One shape of an area, as typed: it adds to the ground or is cut out of it. */
const shapeInput = z.object({
  id: partId,
  kind: z.enum(SHAPE_KINDS),
  cut: z.boolean(),
  /** In the order of the shape's dimensions; turning angles in degrees. */
  lengths: z.array(text).max(200),
  unit: lengthUnit,
  by: z.enum(MEASURED_BY),
  /** How far an estimate may be off, percent of its area. */
  within: text,
  at: placing,
});
export type ShapeInput = InputOf<typeof shapeInput>;

/** A piece of ground from a boundary file: its edge, then holes, m east and north of the site's place. */
const boundaryInput = z.object({
  id: partId,
  kind: z.literal('boundary'),
  cut: z.boolean(),
  outlines: z
    .array(
      z
        .array(z.tuple([metres, metres]))
        .min(3)
        .max(4000),
    )
    .min(1)
    .max(200),
  /** What it came from, in words: "north-loop.gpx, walked edge". */
  from: z.string().max(300),
  /** How far a point of the edge may be off. */
  off: text,
  unit: lengthUnit,
  at: placing,
});
export type BoundaryInput = InputOf<typeof boundaryInput>;

/** A part of an area: a shape that was measured, or ground from a boundary file. */
export const partInput = z.discriminatedUnion('kind', [boundaryInput, shapeInput]);
export type PartInput = InputOf<typeof partInput>;

/**
 * A shape with nothing measured yet.
 *
 * @example blankPart('rectangle', 'ft', 'p').lengths // ['', '']
 */
export const blankPart = (kind: ShapeKind, unit: LengthUnit, id: string): ShapeInput => {
  const { dimensions, repeats } = shapeOf(kind);
  const count = repeats ? Math.max(repeats.from + repeats.least, dimensions.length) : dimensions.length;
  return {
    id,
    kind,
    cut: false,
    lengths: Array.from({ length: count }, () => ''),
    unit,
    by: 'tape',
    within: '',
    at: { x: 0, y: 0, turn: 0 },
  };
};

/** A part as read. */
export interface PartResult {
  readonly id: string;
  readonly cut: boolean;
  /** Area of the shape by itself, m2; null while a dimension is missing or wrong. */
  readonly areaM2: number | null;
  /** Standard uncertainty from the readings of its lengths alone, m2. */
  readonly uM2: number;
  /** How much the area changes with the pace length: derivative times pace, m2; 0 unless walked. */
  readonly perPaceM2: number;
  /** Outlines where the part lies: the edge, then holes. Drawn even when the shape cannot be, if it can be drawn. */
  readonly outlines: readonly Outline[];
  readonly dimensions: readonly number[] | null;
  readonly errors: readonly InputError[];
}
