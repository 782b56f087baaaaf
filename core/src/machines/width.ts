import { message } from '../messages/message.ts';
import * as z from 'zod';
import { InputError } from '../errors/InputError.ts';
import { readQuantity } from '../quantities/quantity.ts';
import { lengthText, type InputOf } from '../fields/schema.ts';

/** Hopper width, pass spacing or row spacing; or a row machine's own length of row on an area, "6600 m/ha". */
export const widthInput = lengthText.extend({
  /** What it rests on: measured by tape (a hopper, taped ground), or chosen as the spacing to pass at. */
  by: z.enum(['measured', 'chosen']),
});
export type WidthInput = InputOf<typeof widthInput>;
export type WidthBy = WidthInput['by'];

const ROW_PER_AREA = /^(.+?)\s*(?:\/|\bper\b|\bon each\b)\s*(ha|hectare|acre|ac|m2|m²)$/i;

/** True for a length of row on an area, which is one over a width. */
export const isRowPerArea = (text: string): boolean => ROW_PER_AREA.test(text.trim());

/**
 * A width as typed: a length, or a row machine's own length of row on an area, whose inverse it is.
 *
 * @throws InputError
 * @example readWidth({ text: '6600 m/ha', unit: 'm', by: 'measured' }, 'width.text').si // 1.5152
 */
export function readWidth(
  { text, unit, by }: WidthInput,
  field: string,
): { readonly si: number; readonly resolutionSi: number } {
  const [, row, area] = ROW_PER_AREA.exec(text.trim()) ?? [];
  const positive = (si: number) => {
    if (!(si > 0))
      throw new InputError('quantity.not-positive', {
        field,
        what: message('errors.what.width'),
        hint: '9 ft',
      });
    return si;
  };
  if (row !== undefined && area !== undefined) {
    const rowM = positive(readQuantity(row, { kind: 'length', bareUnit: unit, field }).si);
    const { si: areaM2 } = readQuantity(`1 ${area}`, { kind: 'area', bareUnit: null, field });
    return { si: areaM2 / rowM, resolutionSi: 0 };
  }
  const read = readQuantity(text, { kind: 'length', bareUnit: unit, field });
  return { si: positive(read.si), resolutionSi: by === 'chosen' ? 0 : read.resolutionSi };
}
