import { toResult } from '../errors/InputError.ts';
import { readSize } from '../fields/size.ts';
import { lastPlace, readNumber } from '../quantities/numbers.ts';
import { readQuantity } from '../quantities/quantity.ts';
import { KINDS, type Kind } from '../quantities/kinds.ts';
import type { Join, Reads, Term, Working } from './working.ts';

// Reads a line of working as arithmetic, term by term as it is written, and tells where it does not hold. For tests: a line that reads
// like a person's own page has to be right like one.

/** Powers of the base units: kg, m, s, L. */
type Dimension = readonly [number, number, number, number];

const DIMENSIONS: Readonly<Partial<Record<Kind, Dimension>>> = {
  mass: [1, 0, 0, 0],
  length: [0, 1, 0, 0],
  area: [0, 2, 0, 0],
  time: [0, 0, 1, 0],
  volume: [0, 0, 0, 1],
  massPerArea: [1, -2, 0, 0],
  volumePerArea: [0, -2, 0, 1],
  massPerRowLength: [1, -1, 0, 0],
  massPerLaneLength: [1, -1, 0, 0],
  speed: [0, 1, -1, 0],
  density: [1, 0, 0, -1],
};
const NONE: Dimension = [0, 0, 0, 0];

/** A value that is known to its last written digit. */
interface Value {
  readonly low: number;
  readonly high: number;
  readonly of: Dimension;
}

const exact = (si: number, of: Dimension): Value => ({ low: si, high: si, of });

/** Names of nutrients that stand within a unit. */
const NAMES = /\b(?:N|P₂O₅|K₂O|P|K|S|Ca|Mg|Fe|a\.i\.)(?=\s*(?:\/|$))/g;

const plain = (text: string): string => text.replace(/\s*±.*$/, '').replace(/[\u202f\u2009]/g, '').replace(/−/g, '-').replace(NAMES, '').replace(/\s+/g, ' ').trim(); // prettier-ignore

/** Half of the last digit, for what was rounded for show. */
function withRounding(text: string, value: Value, isRounded: boolean): Value {
  if (!isRounded) return value;
  const number = /^-?[\d.]+/.exec(text)?.[0];
  if (number === undefined) return value;
  // Noughts at the end of a whole number stand for digits that were rounded away.
  const place = number.includes('.') ? lastPlace(number) : 10 ** (/0*$/.exec(number)?.[0].length ?? 0);
  const shown = Number(number);
  const band = shown === 0 ? 0 : (Math.abs(value.high / shown) * place) / 2;
  return { ...value, low: value.low - Math.abs(band), high: value.high + Math.abs(band) };
}

/** A term as a value; null where it is no quantity: a grade, a name. */
function valueOf({ shown, origin }: Term): Value | null {
  if (!shown) return null;
  const text = plain(`${shown.number} ${shown.unit}`);
  // What somebody typed stands as one text; everything else was rounded for show.
  const isRounded = origin === 'computed' || shown.unit !== '';
  const percent = /^([\d.]+) ?%( \(w\/v\))?$/.exec(text);
  if (percent) return withRounding(text, exact(Number(percent[1]) / 100, percent[2] ? [1, 0, 0, -1] : NONE), isRounded); // prettier-ignore
  const rowLength = /^([\d.]+) ?m\/ha$/.exec(text);
  if (rowLength) return exact(Number(rowLength[1]) / 1e4, [0, -1, 0, 0]);
  const count = toResult(() => readNumber(text, '')).value;
  if (count !== null) return withRounding(text, exact(count, NONE), isRounded);
  for (const kind of Object.keys(KINDS) as Kind[]) {
    const of = DIMENSIONS[kind];
    const read = of && toResult(() => readQuantity(/\d/.test(text) ? text : `1 ${text}`, { kind, bareUnit: null, field: '' })).value; // prettier-ignore
    if (read) return withRounding(text, exact(read.si, of), isRounded);
  }
  const size = /[x×]|\d\s*-\s*\d/.test(text) && !/^\d+-\d+-\d+/.test(text) ? toResult(() => readSize(text, 'm2', '')).value : null; // prettier-ignore
  return size && exact(size.areaM2, [0, 2, 0, 0]);
}

const sumOf = (a: Value, b: Value, sign: 1 | -1): Value => ({
  low: a.low + (sign > 0 ? b.low : -b.high),
  high: a.high + (sign > 0 ? b.high : -b.low),
  of: a.of,
});

function productOf(a: Value, b: Value, power: 1 | -1): Value {
  const [low, high] = power > 0 ? [b.low, b.high] : [1 / b.high, 1 / b.low];
  const all = [a.low * low, a.low * high, a.high * low, a.high * high];
  return { low: Math.min(...all), high: Math.max(...all), of: a.of.map((p, index) => p + power * b.of[index]!) as unknown as Dimension }; // prettier-ignore
}

type Token = Value | Exclude<Reads, 'stop' | '=' | null>;

/** A value out of tokens: brackets, then × and ÷ from left to right, then + and −. */
function evaluate(tokens: Token[]): Value | null {
  let at = 0;
  const atom = (): Value | null => {
    const token = tokens[at++];
    if (token === undefined) return null;
    if (typeof token === 'object') return token;
    if (token !== '(') return null;
    const inner = sum();
    return tokens[at++] === ')' ? inner : null;
  };
  const chain = (next: () => Value | null, signs: readonly [string, string], join: (a: Value, b: Value, sign: 1 | -1) => Value): Value | null => {
    let value = next();
    while (value && (tokens[at] === signs[0] || tokens[at] === signs[1])) {
      const sign = tokens[at++] === signs[0] ? 1 : -1;
      const other = next();
      value = other && join(value, other, sign);
    }
    return value;
  }; // prettier-ignore
  const product = () => chain(atom, ['×', '÷'], productOf);
  const sum = (): Value | null => chain(product, ['+', '−'], sumOf);
  const value = sum();
  return at === tokens.length ? value : null;
}

const SLACK = 1e-6;

/** Two values agree: of one dimension (a liter is a measure of its own), and no farther apart than their last digits. */
function agree(a: Value, b: Value): boolean {
  const slack = SLACK * Math.max(Math.abs(a.high), Math.abs(b.high));
  return (
    a.of.every((power, index) => power === b.of[index]) && a.low <= b.high + slack && b.low <= a.high + slack
  );
}

/** Parts between two equals signs, as tokens. Words that stand for nothing are passed over; a term that is no quantity too. */
function tokensOf(parts: readonly (Term | Join)[]): Token[] {
  return parts.flatMap((part): Token[] => {
    if (part.type === 'term') {
      const value = valueOf(part);
      return value ? [value] : [];
    }
    return part.reads === null || part.reads === 'stop' || part.reads === '=' ? [] : [part.reads];
  });
}

/** A line cut at some of its joins, which go. */
function split(parts: readonly (Term | Join)[], at: (part: Join) => boolean): (Term | Join)[][] {
  const pieces: (Term | Join)[][] = [[]];
  for (const part of parts)
    if (part.type !== 'term' && at(part)) pieces.push([]);
    else pieces.at(-1)!.push(part);
  return pieces;
}

/**
 * Where a line does not hold: each equals sign whose left side, worked out as it stands, is not what follows it. A line may run on: the
 * result of one step is the first term of the next, as on paper.
 *
 * @returns nothing for a true line, and for one with a term that is still missing
 * @example untrue(answer.lines.need) // []
 */
export function untrue({ parts }: Working): string[] {
  if (parts.some((part) => part.type === 'term' && part.shown === null)) return [];
  const text = (some: readonly (Term | Join)[]) => some.map((part) => (part.type === 'term' ? `${part.shown!.number} ${part.shown!.unit}` : (part.reads ?? '…'))).join(' '); // prettier-ignore
  return split(parts, ({ reads }) => reads === 'stop').flatMap((statement) => {
    const sides = split(statement, ({ reads }) => reads === '=');
    return sides.slice(1).flatMap((right, index) => {
      const left = sides[index]!;
      const first = right.find((part): part is Term => part.type === 'term' && valueOf(part) !== null);
      const [value, result] = [evaluate(tokensOf(left)), first ? valueOf(first) : null];
      return value && result && agree(value, result) ? [] : [`${text(left)} = ${text(right)}`];
    });
  });
}
