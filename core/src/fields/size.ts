import { message } from '../messages/message.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { FRACTION_SIGNS, isBareNumber, readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { fromSi } from '../quantities/convert.ts';
import { changedSi, retype, showExact, type UnitChange } from '../quantities/show.ts';
import { systemOf, UNITS, type AreaUnit, type LengthUnit, type UnitId } from '../quantities/units.ts';

/** How a size was given. */
export type SizeShape =
  | { readonly kind: 'size' }
  | {
      readonly kind: 'rectangle';
      readonly lengthM: number;
      readonly widthM: number;
      readonly lengthUnit: LengthUnit;
    };

/** A ground size as typed. */
export interface SizeResult {
  readonly areaM2: number;
  /** About 95 %: what was typed after ±, m2; 0 without. */
  readonly bandM2: number;
  /** What the last digits of it say, m2. */
  readonly resolutionM2: number;
  readonly unit: AreaUnit;
  readonly input: string;
  readonly shape: SizeShape;
}

const MAX_M2 = 1e8;
const MIN_M2 = 0.01;
const EXAMPLE = '62 x 38 ft or 2 400 ft2';

const LENGTH_OF: Readonly<Record<AreaUnit, LengthUnit>> = {
  m2: 'm',
  ha: 'm',
  ft2: 'ft',
  yd2: 'yd',
  acre: 'ft',
};

const AREA_OF: Readonly<Partial<Record<UnitId, AreaUnit>>> = {
  ft: 'ft2',
  in: 'ft2',
  yd: 'yd2',
  mi: 'acre',
  km: 'ha',
};

/**
 * The unit of length that goes with a unit of area: ft for ft2 and acres, m for m2 and hectares.
 *
 * @example lengthUnitFor('acre') // 'ft'
 */
export const lengthUnitFor = (unit: AreaUnit): LengthUnit => LENGTH_OF[unit];

/**
 * The unit of area that goes with a unit of length: ft2 for feet, m2 for metres.
 *
 * @example areaUnitFor('ft') // 'ft2'
 */
export const areaUnitFor = (unit: LengthUnit): AreaUnit => AREA_OF[unit] ?? 'm2';

/**
 * The unit of what is caught that goes with a unit of length: fl oz for feet, mL for metres.
 *
 * @example volumeUnitFor('ft') // 'fl oz'
 */
export const volumeUnitFor = (unit: LengthUnit): 'mL' | 'fl oz' => (systemOf(unit) === 'us' ? 'fl oz' : 'mL');

/**
 * The unit of pressure that goes with a unit of length: psi for feet, bar for metres.
 *
 * @example pressureUnitFor('m') // 'bar'
 */
export const pressureUnitFor = (unit: LengthUnit): 'bar' | 'psi' => (systemOf(unit) === 'us' ? 'psi' : 'bar');

const BAND = /\s*(?:±|\+\s*\/?\s*[-−])\s*(.*)$/;

/** "7 400 ft2 ±3 %" -> 0.03, "690 m2 ± 20 m2" -> 0.029: the band over the size. */
function readBand(input: string, areaM2: number, bareUnit: AreaUnit, field: string): number {
  const percent = /^(.*?)\s*%$/.exec(input)?.[1];
  const { value } = toResult(() =>
    percent === undefined
      ? readPositive(input, { kind: 'area', bareUnit, field }, message('errors.what.band')).si / areaM2
      : readNumber(percent, field) / 100,
  );
  if (value !== null && value >= 0 && value <= 1) return value;
  throw new InputError('size.band', { field, hint: '7 400 ft2 ±3 %' });
}

const LAST_UNIT = new RegExp(`[^\\d\\s.,/${FRACTION_SIGNS}-]+\\s*$`);

/** "62 x 38 ft" -> ["62 ft", "38 ft"]: a side without a unit takes that of the side after it. */
function splitSides(input: string): string[] {
  const sides = input.split(/\s*[x×*✕]\s*|\s+by\s+/i).map((side) => side.trim());
  const lastUnit = LAST_UNIT.exec(sides.at(-1) ?? '')?.[0] ?? '';
  return sides.map((side) => (isBareNumber(side) ? `${side} ${lastUnit}` : side));
}

/** "58 x 36 - 210 - 6 x 4" -> ["58 x 36", "210", "6 x 4"]: what is taken off follows a minus. */
const splitCutOuts = (input: string): string[] => input.split(/(?<=\S)\s*[-−–]\s*(?=[\d.½-⅞])/);

/** A piece of a size as read. */
type Piece = Pick<SizeResult, 'areaM2' | 'resolutionM2' | 'unit' | 'shape'>;

function readRectangle(input: string, sides: string[], bareUnit: AreaUnit, field: string): Piece {
  if (sides.length !== 2)
    throw new InputError('size.sides', { field, input, count: sides.length, hint: '62 x 38 ft' });
  const wanted = { kind: 'length', bareUnit: lengthUnitFor(bareUnit), field } as const;
  const [length, width] = sides.map((side) => readPositive(side, wanted, message('errors.what.side')));
  const lengthUnit = length!.unit as LengthUnit;
  return {
    areaM2: length!.si * width!.si,
    resolutionM2: Math.hypot(length!.resolutionSi * width!.si, width!.resolutionSi * length!.si),
    unit: areaUnitFor(lengthUnit),
    shape: { kind: 'rectangle', lengthM: length!.si, widthM: width!.si, lengthUnit },
  };
}

/**
 * Reads how big a piece of ground is, as a size or as length x width: "690 m2", "0.17 ac", "62 x 38 ft",
 * "62' x 38'", "20 m by 12 ft", less what is cut out: "58 x 36 - 210". What follows ± is how far it may be off: "7 400 ft2 ±3 %".
 *
 * @param typed what was typed
 * @param bareUnit unit of a bare size; its unit of length counts for bare sides
 * @param field path of the field, for the error
 * @returns m2, from 0.01 to 1e8 (10 000 ha)
 * @throws InputError size.empty, size.sides, size.all-cut, size.too-small, size.too-large, size.band, and those of readPositive
 * @example readSize('62 x 38 ft', 'ft2', 'areas.0.size').areaM2 // 218.8796
 */
export function readSize(input: string, bareUnit: AreaUnit, field: string): SizeResult {
  if (input.trim() === '') throw new InputError('size.empty', { field, hint: EXAMPLE });
  const band = BAND.exec(input)?.[1];
  const [whole = '', ...cutOuts] = splitCutOuts(input.replace(BAND, ''));
  const base = readPiece(whole, bareUnit, field);
  const cutM2 = cutOuts.reduce((sum, cut) => sum + readPiece(cut, base.unit, field).areaM2, 0);
  if (cutM2 >= base.areaM2 && cutM2 > 0) throw new InputError('size.all-cut', { field, input });
  const areaM2 = base.areaM2 - cutM2;
  const shape: SizeShape = cutM2 > 0 ? { kind: 'size' } : base.shape;
  if (areaM2 > MAX_M2) throw new InputError('size.too-large', { field, input });
  if (areaM2 < MIN_M2) throw new InputError('size.too-small', { field, input });
  const share = band === undefined ? 0 : readBand(band, areaM2, base.unit, field);
  return { areaM2, resolutionM2: base.resolutionM2, unit: base.unit, shape, input, bandM2: share * areaM2 };
}

/** One piece of a size: an area, or length x width. */
function readPiece(input: string, bareUnit: AreaUnit, field: string): Piece {
  const sides = splitSides(input);
  if (sides.length > 1) return readRectangle(input, sides, bareUnit, field);
  const { si, unit, resolutionSi } = readPositive(input, { kind: 'area', bareUnit, field }, message('errors.what.size')); // prettier-ignore
  return { areaM2: si, resolutionM2: resolutionSi, unit: unit as AreaUnit, shape: { kind: 'size' } };
}

/** A band as typed behind a size; none where nobody could type one so narrow. */
const bandText = (areaM2: number, bandM2: number, figures: number): string =>
  bandM2 / areaM2 > 1e-9 ? ` ±${showExact((bandM2 / areaM2) * 100, figures)} %` : '';

/**
 * The text to type for a size after a change of unit, sides kept as sides.
 *
 * @param reading a size as read
 * @param unit unit of area; sides take the unit of length that goes with it
 * @param change the same ground in other words, or the same numbers of the other unit
 * @example retypeSize(readSize('10 x 10 m', 'm2', ''), 'ft2', 'convert') // '32.8084 × 32.8084 ft'
 */
export function retypeSize(
  { areaM2, bandM2, unit: from, shape }: SizeResult,
  unit: AreaUnit,
  change: UnitChange,
): string {
  const band = bandText(areaM2, bandM2, 3);
  if (shape.kind === 'size') return `${retype(changedSi(areaM2, from, unit, change), unit)}${band}`;
  const to = lengthUnitFor(unit);
  const [length, width] = [shape.lengthM, shape.widthM].map((si) =>
    changedSi(si, shape.lengthUnit, to, change),
  );
  return `${showExact(fromSi(length!, to))} × ${retype(width!, to)}${band}`;
}

/** Writing a measured size down may round off this share of its band, or of the size where it has none. */
const OF_BAND = 1 / 100;
const OF_SIZE = 1e-6;

const mayBeOff = (areaM2: number, bandM2: number): number => Math.max(bandM2 * OF_BAND, areaM2 * OF_SIZE);

/**
 * True when a size as typed is still what was measured: within what writing it down rounds off.
 *
 * @example isMeasuredSize('218.88', 'm2', 218.88, 0.5) // true
 */
export function isMeasuredSize(input: string, unit: AreaUnit, areaM2: number, bandM2: number): boolean {
  const { value } = toResult(() => readSize(input, unit, ''));
  // What the two roundings of a conversion leave is no change.
  return value !== null && Math.abs(value.areaM2 - areaM2) <= mayBeOff(areaM2, bandM2) * (1 + 1e-6);
}

/**
 * A measured size as text for the field of an area, its band with it. Digits that the band makes meaningless are left out:
 * what is rounded off is at most a hundredth of the band.
 *
 * @param areaM2 above 0
 * @param bandM2 about 95 %, 0 or more
 * @example measuredSize(687.77, 20.6, 'ft2') // '7 403 ft² ±3 %'
 */
export function measuredSize(areaM2: number, bandM2: number, unit: AreaUnit): string {
  const size = fromSi(areaM2, unit);
  const most = fromSi(mayBeOff(areaM2, bandM2), unit);
  const figures = [3, 4, 5, 6].find((count) => Math.abs(Number(size.toPrecision(count)) - size) <= most) ?? 7;
  return `${showExact(size, figures)} ${UNITS[unit].symbol}${bandText(areaM2, bandM2, 2)}`;
}
