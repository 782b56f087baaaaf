import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { notes, text, type InputOf } from '../fields/schema.ts';
import { readNumber } from '../quantities/numbers.ts';

/** A control of a machine as its scale is marked. */
export const scaleInput = z.object({
  /** What it moves: "gate". */
  name: text,
  style: z.enum(['numbers', 'letters', 'own']),
  /** First and last mark, and the smallest step between two; for letters the step is one letter. */
  from: text,
  to: text,
  step: text,
  /** One's own marks in their order, apart by commas: pencil lines, washers, holes. */
  own: notes,
  /** The mark at which nothing flows. */
  closed: text,
  /** Where product was first seen to flow; empty: not known. */
  firstFlow: text,
  /** Which side or point of the pointer it is read at. */
  readAt: text,
});
export type ScaleInput = InputOf<typeof scaleInput>;

/**
 * The scale of a machine as it begins: a gate with numbers.
 *
 * @example blankScale().step // '1'
 */
export const blankScale = (): ScaleInput => ({
  name: 'gate',
  style: 'numbers',
  from: '',
  to: '',
  step: '1',
  own: '',
  closed: '',
  firstFlow: '',
  readAt: '',
});

/** A mark by its name, and how far it opens: 0 at the closed mark, growing from there whichever way the numbers run. */
export interface Mark {
  readonly label: string;
  readonly opening: number;
}

export interface ScaleResult {
  /** Widest last; empty while the scale is not known. */
  readonly marks: readonly Mark[];
  readonly firstFlow: number | null;
  readonly errors: readonly InputError[];
}

/** Of a machine that is not known: readings can be worked out, nothing can be advised. */
export const NO_SCALE: ScaleResult = { marks: [], firstFlow: null, errors: [] };

const MAX_MARKS = 400;
const letter = (input: string): number => (/^[a-z]$/i.test(input.trim()) ? input.trim().toUpperCase().charCodeAt(0) - 65 : NaN); // prettier-ignore

/** The marks in their order with a number for each: its value, or its place. */
function listMarks(scale: ScaleInput, field: string): { label: string; at: number }[] {
  const { style, from, to, step, own } = scale;
  if (style === 'own') {
    const labels = own
      .split(',')
      .map((label) => label.trim())
      .filter((label) => label !== '');
    // A control that can be shut and opened has two marks at least.
    if (labels.length === 1) throw new InputError('scale.line', { field: `${field}.own`, input: own.trim() });
    if (new Set(labels).size !== labels.length)
      throw new InputError('scale.twice', { field: `${field}.own` });
    return labels.map((label, index) => ({ label, at: index }));
  }
  if (style === 'letters') {
    const [first, last] = [letter(from), letter(to)];
    if (!(first < last)) throw new InputError('scale.letters', { field: `${field}.to` });
    return Array.from({ length: last - first + 1 }, (_, index) => ({
      label: String.fromCharCode(65 + first + index),
      at: index,
    }));
  }
  const [first, last, by] = [from, to, step].map((text, index) =>
    readNumber(text, `${field}.${['from', 'to', 'step'][index]}`),
  ) as [number, number, number];
  const count = Math.round((last - first) / by);
  if (!(by > 0) || !(count >= 1) || count > MAX_MARKS)
    throw new InputError('scale.numbers', { field: `${field}.to`, most: MAX_MARKS });
  return Array.from({ length: count + 1 }, (_, index) => {
    const value = Math.round((first + index * by) * 1e6) / 1e6;
    return { label: String(value), at: value };
  });
}

/**
 * Reads the scale of a control: its marks by how far they open from the closed one.
 *
 * @param field path of the scale, for errors
 * @example evaluateScale({ ...blankScale(), from: '0', to: '30', closed: '0' }, 'control').marks.length // 31
 */
export function evaluateScale(scale: ScaleInput, field: string): ScaleResult {
  const { errors, tryRead, readIfPresent } = collect();
  const isTyped = scale.style === 'own' ? scale.own.trim() !== '' : scale.from.trim() !== '' && scale.to.trim() !== ''; // prettier-ignore
  const listed = isTyped ? tryRead(() => listMarks(scale, field)) : null;
  if (!listed || listed.length === 0) return { ...NO_SCALE, errors };
  const placeOf = (input: string, name: 'closed' | 'firstFlow') =>
    readIfPresent(input, () => {
      const same = listed.find(({ label }) => label.toLowerCase() === input.trim().toLowerCase());
      if (same) return same.at;
      const [low, high] = [listed[0]!.at, listed.at(-1)!.at];
      const value = scale.style === 'numbers' ? readNumber(input, `${field}.${name}`) : NaN;
      if (value >= Math.min(low, high) && value <= Math.max(low, high)) return value;
      throw new InputError('scale.mark', { field: `${field}.${name}`, input, first: listed[0]!.label, last: listed.at(-1)!.label }); // prettier-ignore
    });
  const closed = placeOf(scale.closed, 'closed') ?? listed[0]!.at;
  const flow = placeOf(scale.firstFlow, 'firstFlow');
  // Numbers may run against the opening: then the closed mark is the highest.
  const middle = (listed[0]!.at + listed.at(-1)!.at) / 2;
  const way = closed > middle ? -1 : 1;
  // Plus 0, since the closed mark turned round is -0.
  const opening = (at: number) => Math.round((at - closed) * way * 1e6) / 1e6 + 0;
  return {
    marks: listed
      .map(({ label, at }) => ({ label, opening: opening(at) }))
      .filter((mark) => mark.opening >= 0)
      .toSorted((a, b) => a.opening - b.opening),
    firstFlow: flow === null ? null : opening(flow),
    errors,
  };
}

/**
 * The mark that somebody typed as a setting.
 *
 * @throws InputError scale.mark when the scale does not have it
 * @example readMark('11', bench.scale, 'setting').opening // 9
 */
export function readMark(input: string, { marks }: ScaleResult, field: string): Mark {
  const text = input.trim();
  const value =
    text === '' ? null : toResult(() => readNumber(text.replace(/^(\d+),(\d+)$/, '$1.$2'), field)).value;
  const near = marks.find(({ label }) => label.toLowerCase() === text.toLowerCase()) ?? marks.find(({ label }) => value !== null && label === String(value)); // prettier-ignore
  if (near) return near;
  throw new InputError('scale.mark', { field, input, first: marks[0]?.label ?? '', last: marks.at(-1)?.label ?? '' }); // prettier-ignore
}
