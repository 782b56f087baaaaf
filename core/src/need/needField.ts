import { message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { readPositive, type Quantity } from '../quantities/quantity.ts';
import { changedSi, showExact, type UnitChange } from '../quantities/show.ts';
import { fromSi } from '../quantities/convert.ts';
import {
  UNITS,
  type MassPerAreaUnit,
  type MassUnit,
  type RateAreaUnit,
  type VolumePerAreaUnit,
  type VolumeUnit,
} from '../quantities/units.ts';
import { NUTRIENT_IDS, type Nutrient } from './nutrients.ts';

const MAX_PER_M2 = 10;
type AnyRateUnit = MassPerAreaUnit | VolumePerAreaUnit;

/** A need as typed: SI value, unit, and the nutrient when it was typed along ("0.8 lb N"). */
export interface NeedResult extends Quantity {
  readonly unit: AnyRateUnit;
  readonly nutrient: Nutrient | null;
}

const NUTRIENT_WORD = new RegExp(String.raw`\s+(${NUTRIENT_IDS.join('|')})(?=\s*(/|per\b|on\b|$))`, 'i');

/**
 * Reads the amount wanted per area: "0.8", "0.8 lb", "40 kg/ha", "0.8 lb N per 1000 sq ft"; of a liquid product itself a
 * volume, "70 L/ha".
 *
 * @param typed what was typed
 * @param bareUnit unit of a bare number; its kind is the kind read; completes a weight typed without its area
 * @returns kg/m2, or L/m2, above 0 and at most 10, with the unit it counts in
 * @throws InputError as readPositive, and need.too-large
 * @example readNeed('40 kg/ha', 'lb/1000 ft2', 'need.amount').si // 0.004
 */
export function readNeed(input: string, bareUnit: AnyRateUnit, field: string): NeedResult {
  const word = NUTRIENT_WORD.exec(input);
  const text = word ? input.replace(word[0], '') : input;
  const reading = readPositive(
    text,
    { kind: UNITS[bareUnit].kind, bareUnit, field },
    message('errors.what.need'),
  );
  if (reading.si > MAX_PER_M2) throw new InputError('need.too-large', { field, input });
  const nutrient = word ? NUTRIENT_IDS.find((id) => id.toLowerCase() === word[1]!.toLowerCase())! : null;
  return { ...reading, input, unit: reading.unit as AnyRateUnit, nutrient };
}

/**
 * The weight or volume, and the area, of a rate's unit: 'lb/1000 ft2' -> ['lb', '1000 ft2'].
 *
 * @example splitUnit('lb/1000 ft2') // ['lb', '1000 ft2']
 */
export function splitUnit(unit: MassPerAreaUnit): [MassUnit, RateAreaUnit];
export function splitUnit(unit: AnyRateUnit): [MassUnit | VolumeUnit, RateAreaUnit];
export function splitUnit(unit: AnyRateUnit): [MassUnit | VolumeUnit, RateAreaUnit] {
  const { over: amount, under: area } = UNITS[unit].parts!;
  return [amount as MassUnit | VolumeUnit, area as RateAreaUnit];
}

/**
 * A typed need without its area and nutrient, which the sheet shows as terms of their own.
 *
 * @example weightPart('40 kg N/ha') // '40 kg'
 */
export const weightPart = (input: string): string =>
  input
    .replace(NUTRIENT_WORD, '')
    .replace(/(\D)\s*(?:\/|\bper\b|\bon each\b).*$/i, '$1')
    .trim();

/**
 * The text to type for a need after a change of unit; the area is a term of its own and stays out of the text.
 *
 * @example retypeNeed(readNeed('40', 'kg/ha', ''), 'g/m2', 'convert') // '4 g'
 */
export function retypeNeed({ si, unit: from }: NeedResult, unit: AnyRateUnit, change: UnitChange): string {
  return `${showExact(fromSi(changedSi(si, from, unit, change), unit))} ${splitUnit(unit)[0]}`;
}
