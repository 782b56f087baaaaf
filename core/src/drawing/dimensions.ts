import { acrossCurve, boundsOf, type Outline, type Point } from '../ground/outline.ts';
import { showLength } from '../ground/areaLines.ts';
import type { PartInput } from '../ground/parts.ts';
import type { LengthUnit } from '../quantities/units.ts';

/** A length written on a drawing. */
export interface Dimension {
  readonly at: Point;
  readonly text: string;
  /** Length of what it is written on, m: what does not fit is left out. */
  readonly lengthM: number;
  /** Written on a side that goes up rather than across. */
  readonly isSteep: boolean;
}

/** Outlines with more corners are surveyed edges: their sides are not written. */
const MAX_SIDES = 16;

/** Sides that were measured, where not all were; `across` says what is written in the middle. */
const MEASURED: Readonly<
  Partial<Record<PartInput['kind'], { sides: readonly number[]; across?: 'wide' | 'high' }>>
> = {
  rectangle: { sides: [0, 1] },
  triangle: { sides: [0], across: 'high' },
  trapezoid: { sides: [0, 2], across: 'high' },
  circle: { sides: [], across: 'wide' },
  'half-circle': { sides: [], across: 'wide' },
  ellipse: { sides: [], across: 'wide' },
  ring: { sides: [], across: 'wide' },
  offsets: { sides: [-1] },
};

function acrossText(outline: Outline, unit: LengthUnit, way: 'wide' | 'high'): Dimension {
  const { minX: left, maxX: right, minY: low, maxY: high } = boundsOf(outline)!;
  const { number, unit: symbol } = showLength(way === 'wide' ? acrossCurve(right - left) : high - low, unit);
  return {
    at: { x: (left + right) / 2, y: (low + high) / 2 },
    text: `${number} ${symbol} ${way}`,
    lengthM: right - left,
    isSteep: false,
  };
}

/**
 * The dimensions of a part as they are written on a drawing: sides that were measured at their middle, curves across.
 *
 * @param outline the part's edge as drawn, m
 * @example dimensionsOf(rectangle('p', '62', '38'), [{ x: 0, y: 0 }, { x: 18.8976, y: 0 }, { x: 18.8976, y: 11.5824 }, { x: 0, y: 11.5824 }], 'ft').map(({ text }) => text) // ['62 ft', '38 ft']
 */
export function dimensionsOf(part: PartInput, outline: Outline, unit: LengthUnit): Dimension[] {
  if (outline.length === 0) return [];
  const measured = MEASURED[part.kind];
  const isTurned = part.at.turn % 180 !== 0;
  const across = measured?.across && !(isTurned && measured.across === 'high') ? [acrossText(outline, unit, measured.across)] : []; // prettier-ignore
  if (!measured && outline.length > MAX_SIDES) return [];
  const sides = measured
    ? measured.sides.map((at) => (at + outline.length) % outline.length)
    : outline.keys();
  return [...sides]
    .map((at): Dimension => {
      const [a, b] = [outline[at]!, outline[(at + 1) % outline.length]!];
      const lengthM = Math.hypot(b.x - a.x, b.y - a.y);
      const { number, unit: symbol } = showLength(lengthM, unit);
      return {
        at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 },
        text: `${number} ${symbol}`,
        lengthM,
        isSteep: Math.abs(b.y - a.y) > Math.abs(b.x - a.x),
      };
    })
    .concat(across);
}
