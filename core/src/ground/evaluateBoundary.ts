import { message } from '../messages/message.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readPositive } from '../quantities/quantity.ts';
import { groundArea, groundOf } from './clip.ts';
import { crossesItself, lineLength, outlineArea, placed, type Outline } from './outline.ts';
import type { BoundaryInput, PartResult } from './parts.ts';

/** Points nearer to each other than this along the edge are off together, m. */
const ALIKE = 20;
const MAX_CROSSINGS_CHECKED = 400;

/**
 * Reads a piece of ground from a boundary file.
 *
 * Points are off by `off` (about 95 %), alike along 20 m of the edge and each stretch by itself: for an edge of length P the
 * area's standard uncertainty is `off / 2 x sqrt(20 m x P)`, and `off / 2 x P` for an edge shorter than that.
 *
 * @param field path of the part, for errors
 * @example evaluateBoundary({ id: 'b', kind: 'boundary', cut: false, outlines: [[[0, 0], [20, 0], [20, 10], [0, 10]]], from: 'walk.gpx', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } }, 'parts.0').areaM2 // 200
 */
export function evaluateBoundary(part: BoundaryInput, field: string): PartResult {
  const { errors, readIfPresent } = collect();
  const outlines = part.outlines.map((outline): Outline => outline.map(([x, y]) => ({ x, y })));
  const offM =
    readIfPresent(part.off, () => {
      const wanted = { kind: 'length', bareUnit: part.unit, field: `${field}.off` } as const;
      return readPositive(part.off, wanted, message('errors.what.pointOff')).si;
    }) ?? 0;
  const areaM2 = groundArea(groundOf(outlines));
  const [edge = []] = outlines;
  if (edge.length <= MAX_CROSSINGS_CHECKED && crossesItself(edge))
    errors.push(new InputError('shape.crosses', { field }));
  else if (!(areaM2 > 0) || edge.length < 3 || outlineArea(edge) > 1e8)
    errors.push(
      new InputError(areaM2 > 1e8 ? 'size.too-large' : 'shape.flat', { field, input: `${areaM2} m2` }),
    );
  const length = outlines.reduce((sum, outline) => sum + lineLength(outline, true), 0);
  return {
    id: part.id,
    cut: part.cut,
    areaM2: errors.length === 0 ? areaM2 : null,
    uM2: (offM / 2) * Math.sqrt(Math.min(ALIKE, length) * length),
    perPaceM2: 0,
    outlines: outlines.map((outline) => placed(outline, part.at, (part.at.turn * Math.PI) / 180)),
    dimensions: null,
    errors,
  };
}
