import { InputError } from '../errors/InputError.ts';
import type { Ground } from './clip.ts';
import type { PacesResult } from './paces.ts';
import type { PartResult, PartInput } from './parts.ts';
import { coverOf, isTangled, MAX_TANGLED, type WholePart } from './placedGround.ts';
import { evaluateBoundary } from './evaluateBoundary.ts';
import { evaluateShape } from './evaluateShape.ts';
import type { LayoutMode } from './siteInput.ts';

/** An area as measured. */
export interface AreaMeasured {
  readonly parts: readonly PartResult[];
  /** m2; null while a part is missing or wrong, or nothing is left. */
  readonly areaM2: number | null;
  /** About 95 %: twice the standard uncertainty, m2. */
  readonly bandM2: number;
  /** Placed parts lay over each other or a cut-out reached beyond the edge, and were clipped. */
  readonly clipped: boolean;
  /** What is drawn: all the ground with its holes for a placed drawing. */
  readonly ground: Ground;
  /** Of the area as a whole; those of a part are its own. */
  readonly errors: readonly InputError[];
}

/**
 * Reads one part of an area, whatever it came from.
 *
 * @param field path of the part, for errors
 * @example evaluatePart(rectangle('p', '62', '38'), paces, 'parts.0').areaM2 // 218.88
 */
export const evaluatePart = (part: PartInput, paces: PacesResult, field: string): PartResult =>
  part.kind === 'boundary' ? evaluateBoundary(part, field) : evaluateShape(part, paces, field);

const hasArea = (part: PartResult): part is WholePart => part.areaM2 !== null;

/**
 * Measures an area from its parts.
 *
 * A sum sheet adds and subtracts them analytically. A placed drawing counts overlaps once and cuts only what is there; where
 * nothing overlaps it is the same sum. Uncertainties of separate readings combine in quadrature; the pace that several
 * lengths share enters once, with all that follows it (JCGM 100:2008, 5.2.2, correlation 1).
 *
 * @param parts as typed, in their order
 * @param layoutMode sum sheet or placed drawing
 * @example measureArea([rectangle('a', '62', '38'), { ...rectangle('b', '12', '8'), cut: true }], 'sum', paces).areaM2 // 209.96 m2: 62 x 38 ft less 12 x 8 ft
 */
export function measureArea(
  parts: readonly PartInput[],
  layoutMode: LayoutMode,
  paces: PacesResult,
  field = 'parts',
): AreaMeasured {
  const read = parts.map((part, index) => evaluatePart(part, paces, `${field}.${index}`));
  const whole = read.filter(hasArea);
  const sign = ({ cut }: PartResult) => (cut ? -1 : 1);
  const sum = whole.reduce((total, part) => total + sign(part) * part.areaM2, 0);
  const tangled = layoutMode === 'placed' && isTangled(whole);
  const placed =
    layoutMode === 'placed' && !tangled ? coverOf(whole, sum) : { ground: [], clipped: false, areaM2: sum };
  const separate = Math.hypot(...whole.map(({ uM2 }) => uM2));
  const shared =
    whole.reduce((total, part) => total + sign(part) * part.perPaceM2, 0) * (paces.pace?.uRelative ?? 0);
  const complete =
    !tangled && read.length > 0 && read.every((part) => part.areaM2 !== null && part.errors.length === 0);
  return {
    parts: read,
    areaM2: complete && placed.areaM2 > 0 ? placed.areaM2 : null,
    bandM2: 2 * Math.hypot(separate, shared),
    clipped: placed.clipped,
    ground: placed.ground,
    errors: tangled ? [new InputError('area.tangled', { field, most: MAX_TANGLED })] : [],
  };
}
