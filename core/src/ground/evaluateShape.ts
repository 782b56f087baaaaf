import { message } from '../messages/message.ts';
import { readPercent } from '../fields/counts.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { isBareNumber, lastPlace, readNumber } from '../quantities/numbers.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { placed } from './outline.ts';
import type { PacesResult } from './paces.ts';
import { areaUnitFor } from '../fields/size.ts';
import type { PartResult, ShapeInput } from './parts.ts';
import { shapeOf, type ShapeKind } from './shapes.ts';

const DEFAULT_ESTIMATE = 0.2;

interface Length {
  readonly m: number;
  readonly uM: number;
  readonly inPaces: boolean;
}

const PACES = /\s*(?:paces?|steps?|p)\s*$/i;
const isAngle = (kind: ShapeKind, at: number): boolean => kind === 'walk' && at % 2 === 1;
const mayBeZeroOrLess = (kind: ShapeKind, at: number): boolean =>
  kind === 'polygon' || isAngle(kind, at) || (kind === 'offsets' && at > 0);

function readLength(input: string, at: number, part: ShapeInput, paces: PacesResult, field: string): Length {
  const { kind, unit, by } = part;
  if (isAngle(kind, at)) {
    const angle = input.replace(/°|deg(rees?)?/i, '');
    const degrees = readNumber(angle, field);
    const resolution = lastPlace(angle) * (Math.PI / 180);
    return { m: (degrees * Math.PI) / 180, uM: resolution / Math.sqrt(12), inPaces: false };
  }
  if (kind === 'known') {
    const { si, resolutionSi } = readPositive(input, { kind: 'area', bareUnit: areaUnitFor(unit), field }, message('errors.what.size')); // prettier-ignore
    return { m: si, uM: resolutionSi / Math.sqrt(12), inPaces: false };
  }
  const inPaces = PACES.test(input) || (by === 'paces' && isBareNumber(input.replace(/^[-+]/, '')));
  if (inPaces) {
    const counted = input.replace(PACES, '');
    const count = readNumber(counted, field);
    if (!paces.pace) throw new InputError('pace.unknown', { field });
    checkLength(count, kind, at, field);
    return {
      m: count * paces.pace.paceM,
      uM: (lastPlace(counted) * paces.pace.paceM) / Math.sqrt(12),
      inPaces,
    };
  }
  const { si, resolutionSi } = readQuantity(input, { kind: 'length', bareUnit: unit, field });
  checkLength(si, kind, at, field);
  const factor = by === 'wheel' ? paces.wheelFactor : 1;
  return {
    m: si * factor,
    uM: resolutionSi / Math.sqrt(12),
    inPaces,
  };
}

function checkLength(value: number, kind: ShapeKind, at: number, field: string): void {
  if (kind === 'polygon') return;
  if (value < 0 || (value === 0 && !mayBeZeroOrLess(kind, at)))
    throw new InputError('quantity.not-positive', {
      field,
      what: message('errors.what.length'),
      hint: '62 ft',
    });
  if (value > 100_000) throw new InputError('size.too-large', { field, input: `${value} m` });
}

/** The derivative of an area by each dimension: central differences, their step a millionth of the shape. */
function gradient(area: (d: readonly number[]) => number, d: readonly number[]): number[] {
  const step = Math.max(...d.map(Math.abs), 1e-3) * 1e-6;
  return d.map(
    (value, index) => (area(d.with(index, value + step)) - area(d.with(index, value - step))) / (2 * step),
  );
}

/**
 * Reads one shape of an area: its dimensions, its area by itself, its uncertainty, and where it lies.
 *
 * Each length carries the resolution r of its last digit, u = r / sqrt(12), and enters with the derivative of the area
 * (JCGM 100:2008, 5.1.2). Lengths in paces share the pace: `perPaceM2` says how much the area follows it.
 *
 * @param field path of the part, for errors
 * @returns the reading; errors say which field, why, and what would be right
 * @example evaluateShape({ ...blankPart('rectangle', 'ft', 'a'), lengths: ['62', '38'] }, paces, 'parts.0').areaM2 // 218.88
 */
export function evaluateShape(part: ShapeInput, paces: PacesResult, field: string): PartResult {
  const { id, cut, kind, by, at } = part;
  const shape = shapeOf(kind);
  const errors: InputError[] = [];
  const lengths: (Length | null)[] = part.lengths.map((input, index) => {
    if (input.trim() === '') return null;
    const { value, error } = toResult(() =>
      readLength(input.trim(), index, part, paces, `${field}.lengths.${index}`),
    );
    if (error) errors.push(error);
    return value;
  });
  const given = shape.repeats ? dropEmptyEnd(lengths, part.lengths) : lengths;
  const known = given.filter((length) => length !== null);
  const enough = shape.repeats ? known.length >= shape.repeats.from + shape.repeats.least : true;
  const nothing = { id, cut, areaM2: null, uM2: 0, perPaceM2: 0, outlines: [], dimensions: null };
  if (shape.repeats && known.length > shape.repeats.from && !enough && errors.length === 0)
    errors.push(new InputError('shape.too-few', { field, shape: message(`kinds.shape.${kind}`), least: String(shape.repeats.least / (kind === 'offsets' ? 1 : 2)) })); // prettier-ignore
  if (known.length !== given.length || known.length === 0 || !enough) return { ...nothing, errors };

  const d = known.map(({ m }) => m);
  const turnRad = (at.turn * Math.PI) / 180;
  const outlines = shape.outlines(d).map((outline) => placed(outline, at, turnRad));
  const { error } = toResult(() => shape.check(d, field));
  if (error) return { ...nothing, outlines, dimensions: d, errors: [...errors, error] };
  const areaM2 = shape.area(d);
  if (!(areaM2 > 0) || areaM2 > 1e8)
    return { ...nothing, outlines, dimensions: d, errors: [...errors, new InputError(areaM2 > 0 ? 'size.too-large' : 'shape.flat', { field, input: `${areaM2} m2` })] }; // prettier-ignore

  const slopes = gradient(shape.area, d);
  const fromReadings = Math.hypot(...slopes.map((slope, index) => slope * known[index]!.uM));
  const perPaceM2 = slopes.reduce(
    (sum, slope, index) => sum + (known[index]!.inPaces ? slope * d[index]! : 0),
    0,
  );
  const share = by === 'estimate' ? readWithin(part.within, field, errors) : null;
  return {
    id,
    cut,
    areaM2,
    // An estimate within 20 % is about 95 %: two standard uncertainties.
    uM2: share === null ? fromReadings : (share * areaM2) / 2,
    perPaceM2: share === null ? perPaceM2 : 0,
    outlines,
    dimensions: d,
    errors,
  };
}

function readWithin(input: string, field: string, errors: InputError[]): number {
  if (input.trim() === '') return DEFAULT_ESTIMATE;
  const { value, error } = toResult(() =>
    readPercent(input, { field: `${field}.within`, hint: '20 %', isPositive: true }),
  );
  if (error) errors.push(error);
  return value ?? DEFAULT_ESTIMATE;
}

/** A list may end in empty fields: they are where the next one will be typed. */
function dropEmptyEnd<T>(values: readonly (T | null)[], input: readonly string[]): (T | null)[] {
  const last = input.findLastIndex((text) => text.trim() !== '');
  return values.slice(0, last + 1);
}
