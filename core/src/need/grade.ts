import { message } from '../messages/message.ts';
import { readPercent } from '../fields/counts.ts';
import { InputError } from '../errors/InputError.ts';
import { showExact } from '../quantities/show.ts';
import { inForm, otherForm, type Nutrient } from './nutrients.ts';

/** A product's analysis: mass fractions (0 to 1) in the forms that the label states, and the text as typed. */
export interface Grade {
  readonly input: string;
  readonly stated: Readonly<Partial<Record<Nutrient, number>>>;
}

const LONGEST = 120;
const SECONDARY = ['S', 'Ca', 'Mg', 'Fe'] as const satisfies readonly Nutrient[];
const EXAMPLE = '15-5-10 + 2 S + 1 Fe';

/** Largest share that any compound has: pure potassium chloride for K, phosphorus pentoxide for P. */
const ELEMENTAL_LIMIT = {
  P: { most: 0.436427, limit: message('errors.limit.phosphorus') },
  K: { most: 0.53, limit: message('errors.limit.potassium') },
} as const;

type Fractions = Partial<Record<Nutrient, number>>;

const percentText = (fraction: number): string => showExact(fraction * 100);

/** "240-8" -> "24-0-8": the first split, from the right, that makes a possible grade of two run-together numbers. */
function splitRunTogether(first: string, second: string): string | null {
  const cuts = (digits: string): [string, string][] =>
    Array.from({ length: digits.length - 1 }, (_, i): [string, string] => [
      digits.slice(0, -1 - i),
      digits.slice(-1 - i),
    ]);
  const ways = [
    ...cuts(first).map(([a, b]) => [a, b, second]),
    ...cuts(second).map(([b, c]) => [first, b, c]),
  ];
  const possible = ways.find(
    (way) => way.every((n) => String(Number(n)) === n) && way.reduce((sum, n) => sum + Number(n), 0) <= 100,
  );
  return possible ? possible.join('-') : null;
}

function readMainNumbers(head: string, input: string, field: string): [string, string, string] {
  const numbers = head
    .split(/\s*[-–—/]\s*|(?<=[\d%])\s+(?=[\d.])/)
    .map((part) => part.replace(/\s*%$/, '').trim());
  const allNumbers = numbers.every((n) => /^(\d+\.?\d*|\.\d+)$/.test(n));
  if (allNumbers && numbers.length === 3) return numbers as [string, string, string];
  if (allNumbers && numbers.length === 1) {
    const percent = numbers[0]!;
    throw new InputError('grade.which-nutrient', { field, percent, hint: `${percent} N, ${percent} P2O5 or ${percent} K2O` }); // prettier-ignore
  }
  if (allNumbers && numbers.length === 2) {
    const hint = splitRunTogether(numbers[0]!, numbers[1]!) ?? '24-0-8';
    throw new InputError('grade.run-together', { field, input, hint });
  }
  throw new InputError('grade.unreadable', { field, input, hint: '24-0-8' });
}

/** A straight product by its one nutrient: "46 N" -> 46-0-0, "K2O 60 %" -> 0-0-60; null: it is none. */
function asStraight(head: string): string | null {
  const [, before, after] = /^(?:(.*?)\s*%?\s*(?:N|P2O5|K2O)|(?:N|P2O5|K2O)\s+(.*?)\s*%?)$/i.exec(head) ?? [];
  const percent = (before ?? after ?? '').trim();
  if (!/^(\d+\.?\d*|\.\d+)$/.test(percent)) return null;
  const at = /N\b/i.test(head) ? 0 : /P2O5/i.test(head) ? 1 : 2;
  return ['0', '0', '0'].with(at, percent).join('-');
}

/** "2 S", "2% S" or "S 2" -> ["S", 0.02] */
function readSecondary(part: string, input: string, field: string): [Nutrient, number] {
  const found = /^(?:(\d+\.?\d*|\.\d+)\s*%?\s*([a-z]+\d*[a-z]*\d*)|([a-z]+)\s+(\d+\.?\d*|\.\d+)\s*%?)$/i.exec(
    part,
  );
  const name = found?.[2] ?? found?.[3];
  if (!found || !name) throw new InputError('grade.unreadable', { field, input, hint: EXAMPLE });
  const nutrient = SECONDARY.find((known) => known.toLowerCase() === name.toLowerCase());
  if (!nutrient) throw new InputError('grade.unknown-nutrient', { field, nutrient: name, hint: EXAMPLE });
  return [nutrient, Number(found[1] ?? found[4]) / 100];
}

function checkPossible(stated: Fractions, input: string, field: string): void {
  const sum = Object.values(stated).reduce((total, fraction) => total + fraction, 0);
  if (sum > 1 + 1e-12) throw new InputError('grade.over-100', { field, input, sum: percentText(sum) });
  for (const nutrient of ['P', 'K'] as const) {
    const fraction = stated[nutrient] ?? 0;
    const { most, limit } = ELEMENTAL_LIMIT[nutrient];
    if (fraction > most) {
      const hint = input.replace(/\(?elemental\)?/i, '').trim();
      throw new InputError('grade.too-much-elemental', {
        field,
        hint,
        nutrient,
        percent: percentText(fraction),
        limit,
      });
    }
  }
}

/**
 * Reads a label's analysis in one field: "24-0-8", "24 0 8", "15-5-10 + 2 S + 1 Fe", "15-2.2-8.3 elemental",
 * "46 N" for a straight product.
 *
 * @param typed N-P2O5-K2O in percent by mass, then secondary nutrients; "elemental" when the label gives P and K
 * @param field path of the field, for the error
 * @returns mass fractions in the forms stated
 * @throws InputError grade.* : fractions instead of percent ("0.24-0-0.08" asks), two numbers run together, over
 *   100 %, an unknown nutrient, an impossible elemental share
 * @example readGrade('24-0-8', 'grade').stated // { N: 0.24, P2O5: 0, K2O: 0.08 }
 */
export function readGrade(input: string, field: string): Grade {
  if (input.length > LONGEST)
    throw new InputError('text.too-long', { field, length: input.length, most: LONGEST });
  const text = input.replace(/^\s*npk\b/i, '').trim();
  if (text === '') throw new InputError('grade.empty', { field, hint: '24-0-8' });
  const elemental = /\(?\belemental\b\)?/i.test(text);
  const [head = '', ...rest] = text
    .replace(/\(?\belemental\b\)?/i, '')
    .split(/\s*(?:\+|,(?=\s*[\da-z])|\bwith\b|\band\b)\s*/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');

  const main = readMainNumbers(asStraight(head) ?? head, input, field);
  const percents = main.map(Number);
  const asFractions =
    percents.some((n) => n > 0 && n < 1) && percents.every((n) => n <= 1) && !text.includes('%');
  if (asFractions) {
    const hint = percents.map((n) => percentText(n)).join('-');
    throw new InputError('grade.fractions', { field, input, hint });
  }
  const [nitrogen = 0, phosphorus = 0, potassium = 0] = percents.map((n) => n / 100);
  const stated: Fractions = elemental
    ? { N: nitrogen, P: phosphorus, K: potassium }
    : { N: nitrogen, P2O5: phosphorus, K2O: potassium };
  for (const part of rest) {
    const [nutrient, fraction] = readSecondary(part, input, field);
    if (stated[nutrient] !== undefined)
      throw new InputError('grade.twice', { field, input, nutrient, hint: EXAMPLE });
    stated[nutrient] = fraction;
  }
  checkPossible(stated, input, field);
  return { input, stated };
}

/**
 * The share of a product that is this nutrient, in the form asked for.
 *
 * @returns mass fraction, 0 to 1; 0 when the label does not state it
 * @example fractionOf(readGrade('0-0-60', 'grade'), 'K') // 0.4980906
 */
export function fractionOf(grade: Grade, nutrient: Nutrient): number {
  const direct = grade.stated[nutrient];
  if (direct !== undefined) return direct;
  const other = otherForm(nutrient);
  return other ? inForm(grade.stated[other] ?? 0, other, nutrient) : 0;
}

/**
 * How a grade is written: the three main numbers, then the secondary nutrients.
 *
 * @example gradeText({ N: 0.24, P2O5: 0, K2O: 0.08, S: 0.02 }) // '24-0-8 + 2 S'
 */
export function gradeText(stated: Grade['stated']): string {
  const elemental = stated.P !== undefined || stated.K !== undefined;
  const main = [stated.N, elemental ? stated.P : stated.P2O5, elemental ? stated.K : stated.K2O];
  const secondary = SECONDARY.filter((nutrient) => stated[nutrient] !== undefined);
  return [
    main.map((fraction) => percentText(fraction ?? 0)).join('-') + (elemental ? ' elemental' : ''),
    ...secondary.map((nutrient) => `${percentText(stated[nutrient]!)} ${nutrient}`),
  ].join(' + ');
}

/**
 * The grade with one share changed: what a person means who corrects "24 %" in the line of working.
 *
 * @param grade the grade as read
 * @param nutrient the nutrient, in either form
 * @param typed the new percentage: "26", "26 %"
 * @returns the text of the changed grade
 * @throws InputError percent.unreadable, and those of readGrade when the whole becomes impossible
 * @example withShare(readGrade('24-0-8', 'grade'), 'N', '26 %') // '26-0-8'
 */
export function withShare(grade: Grade, nutrient: Nutrient, input: string): string {
  const share = readPercent(input, { field: 'grade', hint: '24 %' });
  const other = otherForm(nutrient);
  const form = other && grade.stated[nutrient] === undefined ? other : nutrient;
  const text = gradeText({ ...grade.stated, [form]: inForm(share, nutrient, form) });
  readGrade(text, 'grade');
  return text;
}
