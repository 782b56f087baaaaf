import { message, type Message } from '../messages/message.ts';
import { readCount } from '../fields/counts.ts';
import * as z from 'zod';
import { finite, requirePositive } from '../errors/preconditions.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { areaUnit, lengthUnit, text, type InputOf } from '../fields/schema.ts';
import { readPositive } from '../quantities/quantity.ts';
import { UNITS, type AreaUnit, type LengthUnit } from '../quantities/units.ts';

/**
 * Length of row on an area: `area / row spacing`.
 *
 * @param areaM2 m2, 0 or more
 * @param spacingM distance between rows, m, above 0
 * @returns m
 * @example rowLength(10_000, 1.5) // 6666.67 m on a hectare
 */
export function rowLength(areaM2: number, spacingM: number): number {
  requirePositive({ spacingM });
  return finite(areaM2 / spacingM);
}

/** Rows on an area as typed: their spacing, one's own figure, or their number and length. */
export const rowsInput = z.object({
  spacing: text,
  /** Own figure: row length on each `per` or on the area typed with it, for beds and alleys that make it differ. */
  own: text,
  per: areaUnit,
  count: text,
  length: text,
  /** Unit of bare lengths. */
  unit: lengthUnit,
});
export type RowsInput = InputOf<typeof rowsInput>;

/**
 * Rows of which nothing is known yet.
 *
 * @example blankRows('m', 'ha').per // 'ha'
 */
export const blankRows = (unit: LengthUnit, per: AreaUnit): RowsInput => ({
  spacing: '',
  own: '',
  per,
  count: '',
  length: '',
  unit,
});

/** Between a row length and the area that it is of: "7200 ft per acre", "6600 m/ha". */
const PER_AREA = /\s*(?:\/|\bper\b)\s*(?=\p{L})/u;

/** Row length found in each way that was typed, m; null where a way was not. */
export interface RowsResult {
  readonly spacingM: number | null;
  readonly bySpacingM: number | null;
  readonly byOwnM: number | null;
  readonly byCountM: number | null;
  /** The one to go by: counted, else one's own figure, else spacing. */
  readonly lengthM: number | null;
  readonly errors: readonly InputError[];
}

/**
 * Row length on an area, in every way that is known.
 *
 * @param areaM2 null while the area is not known; then only counted rows are
 * @param field path of the rows, for errors
 * @example evaluateRows({ ...blankRows('m', 'ha'), spacing: '1.5' }, 10_000, 'rows').bySpacingM // 6666.67
 */
export function evaluateRows(
  { spacing, own, per, count, length, unit }: RowsInput,
  areaM2: number | null,
  field: string,
): RowsResult {
  const { errors, readIfPresent } = collect();
  const metres = (input: string, name: string, what: Message) =>
    readIfPresent(
      input,
      () => readPositive(input, { kind: 'length', bareUnit: unit, field: `${field}.${name}` }, what).si,
    );
  const spacingM = metres(spacing, 'spacing', message('errors.what.rowSpacing'));
  const [figure, typedPer] = own.split(PER_AREA);
  const ownM = metres(figure!, 'own', message('errors.what.ownFigure'));
  const ownPerM2 = typedPer === undefined ? UNITS[per].toSi : readIfPresent(typedPer, () => readPositive(`1 ${typedPer}`, { kind: 'area', bareUnit: null, field: `${field}.own` }, message('errors.what.area')).si); // prettier-ignore
  const eachM = metres(length, 'length', message('errors.what.rowLength'));
  const rows = readIfPresent(count, () =>
    readCount(count, { field: `${field}.count`, hint: '24', most: 100_000, isPositive: true }),
  );
  const bySpacingM = areaM2 !== null && spacingM !== null ? rowLength(areaM2, spacingM) : null;
  const byOwnM = areaM2 !== null && ownM !== null && ownPerM2 !== null ? (areaM2 / ownPerM2) * ownM : null;
  const byCountM = rows !== null && eachM !== null ? rows * eachM : null;
  return { spacingM, bySpacingM, byOwnM, byCountM, lengthM: byCountM ?? byOwnM ?? bySpacingM, errors };
}
