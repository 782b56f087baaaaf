import { message, type Message } from '../messages/message.ts';
import type { Unit } from './units.ts';
import { InputError } from '../errors/InputError.ts';
import { toSi } from './convert.ts';
import { KINDS, type Kind } from './kinds.ts';
import { lastPlace, NUMBER_PATTERN, readNumber, tidy } from './numbers.ts';
import { unitSpelled, unitsSpelled } from './spelling.ts';
import { UNITS, type UnitId } from './units.ts';

/** A quantity that somebody typed: SI value, the unit it counts in, and the text itself. */
export interface Quantity {
  readonly kind: Kind;
  readonly si: number;
  readonly unit: UnitId;
  readonly input: string;
  /** The step of the last digit, SI: what an instrument that shows it reads to. */
  readonly resolutionSi: number;
}

/** What a field measures and which unit a bare number in it has; null when the unit has to be typed. */
export interface QuantityField {
  readonly kind: Kind;
  readonly bareUnit: UnitId | null;
  readonly field: string;
}

/** Nothing that is spread or walked is larger in SI; products and quotients of such numbers stay finite. */
const LARGEST_SI = 1e18;

const PART = new RegExp(`(${NUMBER_PATTERN})\\s*([^\\d\\s,.-][^\\d,-]*)?`, 'gi');

/** Marks the 2 of "ft2" as part of the unit and drops the comma of "3 lb, 4 oz". */
const joinUnits = (text: string): string =>
  text.replace(/([a-z])\^?2(?![\d.a-z'"])/gi, '$1²').replace(/([a-z'"²])\s*,\s*(?=\d)/gi, '$1 ');

/** "3 lb 4 oz/acre" -> ["3 lb 4 oz", "acre"]; a slash between digits is a fraction and stays. */
function splitRate(text: string): { over: string; under: string | null } {
  const found = /^(.*?[^\d\s/])\s*(?:\/|\bper\b|\bon each\b|\beach\b)\s*(.+)$/i.exec(text);
  return found ? { over: found[1]!, under: found[2]! } : { over: text, under: null };
}

function fail(
  input: string,
  { kind, field }: QuantityField,
  code: 'quantity.unreadable' | 'quantity.parts',
): never {
  throw new InputError(code, {
    field,
    kind: message(`kinds.quantity.${kind}`),
    hint: KINDS[kind].example,
    input,
  });
}

/** The unit meant by a spelling with an optional denominator, in the kind the field wants. */
function resolveUnit(over: string, under: string | null, wanted: QuantityField, input: string): UnitId {
  const { kind, bareUnit, field } = wanted;
  const hint = KINDS[kind].example;
  const spelled = under === null ? over : `${over}/${under}`;
  const direct = unitSpelled(spelled, kind);
  if (direct) return direct;
  const bareUnder = under === null && bareUnit ? (UNITS[bareUnit] as Unit).parts?.under : undefined;
  const completed = bareUnder === undefined ? null : unitSpelled(`${over}/${bareUnder}`, kind);
  if (completed) return completed;
  if (unitsSpelled(over).includes('oz') && KINDS[kind].si.startsWith('L')) {
    throw new InputError('unit.which-ounce', { field, hint: input.replace(/oz|ounces?/i, 'fl oz') });
  }
  if (unitsSpelled(spelled).length > 0) {
    throw new InputError('unit.other-kind', {
      field,
      unit: spelled.trim(),
      kind: message(`kinds.quantity.${kind}`),
      hint,
    });
  }
  throw new InputError('unit.unknown', { field, unit: spelled.trim(), hint });
}

/**
 * Reads a quantity as a person writes it: "3 lb 4 oz", "3lb4oz", "62' 6\"", "1/2 lb", "0.8 lb/1000 sq ft",
 * or a bare number in the unit that the field shows.
 *
 * @param typed what was typed, at most 200 characters
 * @param wanted the kind, the unit of a bare number (null: a unit must be typed), the field's path
 * @returns the SI value, with the unit of the first part and the text as typed
 * @throws InputError number.*, quantity.unreadable, quantity.parts (parts that do not descend, as in "3 oz 4 lb"),
 *   unit.missing, unit.unknown, unit.other-kind, unit.which-ounce ("oz" on a liquid)
 * @example readQuantity('3 lb 4 oz', { kind: 'mass', bareUnit: null, field: 'package' }).si // 1.4741752...
 */
export function readQuantity(input: string, wanted: QuantityField): Quantity {
  const { kind, bareUnit, field } = wanted;
  const text = joinUnits(tidy(input, field));
  if (text === '') throw new InputError('number.empty', { field, hint: KINDS[kind].example });
  const { over, under } = splitRate(text);
  const parts = [...over.matchAll(PART)];
  if (parts.length === 0 || parts.map(([whole]) => whole).join('') !== over)
    fail(input, wanted, 'quantity.unreadable');

  let si = 0;
  let resolutionSi = 0;
  let first: UnitId | null = null;
  let lastSize = Infinity;
  // A minus stands before the whole: "-3 lb 4 oz" is 3 lb 4 oz less.
  const sign = /^[-−]/.test(over) ? -1 : 1;
  for (const [at, [, numberText, unitText]] of parts.entries()) {
    const number = readNumber(numberText!, field);
    if (at > 0 && number < 0) fail(input, wanted, 'quantity.parts');
    let unit = bareUnit;
    if (unitText !== undefined) unit = resolveUnit(unitText, under, wanted, input);
    else if (under !== null || parts.length > 1) fail(input, wanted, 'quantity.parts');
    if (unit === null) {
      throw new InputError('unit.missing', { field, input, hint: KINDS[kind].example });
    }
    if (UNITS[unit].toSi >= lastSize) fail(input, wanted, 'quantity.parts');
    lastSize = UNITS[unit].toSi;
    first ??= unit;
    resolutionSi = lastPlace(numberText!) * UNITS[unit].toSi;
    si += at === 0 ? toSi(number, unit) : sign * toSi(number, unit);
  }
  if (!(Math.abs(si) <= LARGEST_SI))
    throw new InputError('number.too-large', { field, input, hint: KINDS[kind].example });
  return { kind, si, unit: first!, input, resolutionSi };
}

/**
 * As readQuantity, and refuses 0 and less.
 *
 * @param what how the quantity is called at the start of a sentence, for example message('errors.what.size')
 * @throws InputError as readQuantity, and quantity.not-positive
 * @example readPositive('5 lb', { kind: 'mass', bareUnit: null, field: 'package' }, message('errors.what.package')).si // 2.26796185
 */
export function readPositive(input: string, wanted: QuantityField, what: Message): Quantity {
  const quantity = readQuantity(input, wanted);
  if (quantity.si <= 0) {
    throw new InputError('quantity.not-positive', {
      field: wanted.field,
      what,
      hint: KINDS[wanted.kind].example,
    });
  }
  return quantity;
}
