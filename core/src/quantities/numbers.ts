import { InputError } from '../errors/InputError.ts';

const LONGEST = 200;
const LARGEST = 1e15;
const SMALLEST = 1e-12;
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2', '⅓': '1/3', '⅔': '2/3', '¼': '1/4', '¾': '3/4', '⅕': '1/5', '⅖': '2/5', '⅗': '3/5', '⅘': '4/5', '⅐': '1/7', '⅑': '1/9', '⅒': '1/10',
  '⅙': '1/6', '⅚': '5/6', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}; // prettier-ignore
/** Every sign of a fraction, for the inside of a character class. */
export const FRACTION_SIGNS = Object.keys(VULGAR).join('');

/** Any space that people or programs put inside numbers: plain, no-break, thin, narrow no-break. */
const SPACES = /[\s\u00a0\u2009\u202f]+/g;

/** A number as people write it: grouped, decimal, with an exponent, as a fraction, or whole and fraction. */
export const NUMBER_PATTERN = String.raw`[-−]?(?:\d+ \d+\/\d+|(?:\d*\.)?\d+\/(?:\d*\.)?\d+|(?:\d{1,3}(?: \d{3})+(?!\d)|[\d,]*\d)(?:\.\d*)?(?:e[+-]?\d+)?|\.\d+)`;

/**
 * True for a number without a unit: the unit that the field shows then counts.
 *
 * @example isBareNumber('3 lb') // false
 */
export const isBareNumber = (text: string): boolean =>
  new RegExp(`^[\\d\\s.,/${FRACTION_SIGNS}]+$`).test(text.trim());

/** Even spacing, ASCII minus, fractions such as ½ spelled out, and no more than 200 characters. */
export function tidy(text: string, field: string): string {
  if (text.length > LONGEST)
    throw new InputError('text.too-long', { field, length: text.length, most: LONGEST });
  return text
    .replace(
      new RegExp(`(\\d?)([${FRACTION_SIGNS}])`, 'g'),
      (_, whole: string, sign: string) => `${whole ? `${whole} ` : ''}${VULGAR[sign]}`,
    )
    .replace(/−/g, '-')
    .replace(SPACES, ' ')
    .trim();
}

function readPlain(text: string, input: string, field: string): number {
  if (text.includes(',')) {
    const grouped = /^-?[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/.test(text);
    if (!grouped) {
      const hint = /^-?\d*,\d+$/.test(text) ? text.replace(',', '.') : '7,400 or 0.5';
      throw new InputError('number.decimal-comma', { field, hint, input });
    }
  }
  return Number(text.replace(/[, ]/g, ''));
}

/**
 * Reads one number as a person writes it: "7,400", "7 400", "0.5", ".5", "1/2", "3 1/2", "6½".
 *
 * @param typed what was typed, at most 200 characters
 * @param field path of the field, for the error
 * @returns a finite number, magnitude at most 1e15
 * @throws InputError number.empty, number.unreadable, number.decimal-comma ("0,5" asks), number.too-small, number.too-large
 * @example readNumber('3 1/2', 'amount') // 3.5
 */
export function readNumber(input: string, field: string): number {
  const text = tidy(input, field);
  if (text === '') throw new InputError('number.empty', { field, hint: '0.8' });
  if (!new RegExp(`^${NUMBER_PATTERN}$`, 'i').test(text)) {
    throw new InputError('number.unreadable', { field, hint: '0.8', input });
  }
  const fraction = /^(-?)(?:(\d+) )?([\d.]+)\/([\d.]+)$/.exec(text);
  const number = fraction
    ? (fraction[1] ? -1 : 1) * (Number(fraction[2] ?? 0) + Number(fraction[3]) / Number(fraction[4]))
    : readPlain(text, input, field);
  if (Number.isNaN(number)) throw new InputError('number.unreadable', { field, hint: '0.8', input });
  if (number !== 0 && Math.abs(number) < SMALLEST)
    throw new InputError('number.too-small', { field, hint: '0.8', input });
  if (Math.abs(number) > LARGEST) throw new InputError('number.too-large', { field, hint: '0.8', input });
  // Plus 0: a minus before nothing is nothing.
  return number + 0;
}

/**
 * The place of the last digit of a number as typed: 1 for "62", 0.1 for "840.0", 0.5 for "7½", 0.25 for "3 1/4".
 *
 * @param typed a number without a unit
 * @example lastPlace('14.35') // 0.01
 */
export function lastPlace(input: string): number {
  const text = tidy(input, '');
  const [, parts] = /\/([\d.]+)$/.exec(text) ?? [];
  if (parts !== undefined) return 1 / Number(parts);
  const [, decimals = '', power = '0'] = /(?:\.(\d*))?(?:e([+-]?\d+))?$/i.exec(text) ?? [];
  return 10 ** (Number(power) - decimals.length);
}
