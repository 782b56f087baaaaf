import type { InputError } from '../errors/InputError.ts';
import type { LengthUnit } from '../quantities/units.ts';
import type { Outline } from './outline.ts';
import { shapeOf, type ShapeKind } from './shapes.ts';

/** How the lengths of a part were found. */
export const MEASURED_BY = {
  tape: 'by tape',
  wheel: 'with a wheel',
  paces: 'in paces',
  estimate: 'estimated by eye',
} as const;
export type MeasuredBy = keyof typeof MEASURED_BY;

/** Where a part lies on a placed drawing, m, and how far it is turned, degrees anticlockwise. */
export interface Placing {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** One shape of an area, as typed: it adds to the ground or is cut out of it. */
export interface ShapeInput {
  readonly id: string;
  readonly kind: ShapeKind;
  readonly cut: boolean;
  /** In the order of the shape's dimensions; turning angles in degrees. */
  readonly lengths: readonly string[];
  readonly unit: LengthUnit;
  readonly by: MeasuredBy;
  /** How far an estimate may be off, percent of its area. */
  readonly within: string;
  readonly at: Placing;
}

/** A piece of ground from a boundary file: its edge, then holes, m east and north of the site's place. */
export interface BoundaryInput {
  readonly id: string;
  readonly kind: 'boundary';
  readonly cut: boolean;
  readonly outlines: readonly (readonly (readonly [number, number])[])[];
  /** What it came from, in words: "north-loop.gpx, walked edge". */
  readonly from: string;
  /** How far a point of the edge may be off. */
  readonly off: string;
  readonly unit: LengthUnit;
  readonly at: Placing;
}

/** A part of an area: a shape that was measured, or ground from a boundary file. */
export type PartInput = ShapeInput | BoundaryInput;

/** A shape with nothing measured yet. */
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
