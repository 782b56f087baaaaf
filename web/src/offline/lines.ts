import { splitFilter, type Kind, type ListAsk } from '@steady-scatter/contract';
import { speak } from '@steady-scatter/words/common';
import type { Kept, Line } from './keep.ts';

/** The line of a document: as the server made it, or made here of what was saved here. */
export function lineOf(kind: Kind, { doc, line }: Kept): Line {
  if (line) return line;
  const { id, version, isSample, changedAt, input } = doc;
  return {
    ...kind.summarise(input, kind.evaluate(input)),
    id,
    version,
    isSample,
    changedAt,
    isReadable: true,
    name: kind.nameOf(input),
  };
}

/** Whether a filter of a list lets a document through, as the server would. */
function passes(kind: Kind, { doc }: Kept, line: Line, filter: string): boolean {
  const { column, operator, text } = splitFilter(filter);
  if (column === 'uses') return kind.linksOf(doc.input).some((id) => text.split(',').includes(id));
  const value = line[column];
  if (operator === ':') return String(value) === text;
  const [a, b] = typeof value === 'number' ? [value, Number(text)] : [String(value), text];
  return value !== null && (operator === '>=' ? a >= b : a <= b);
}

/** Whether each of the words stands in its name or one of its texts. */
function isFound(kind: Kind, { doc }: Kept, line: Line, q: string): boolean {
  const texts = [line.name, ...kind.textsOf(doc.input, speak)].join('\n').toLowerCase();
  return q
    .toLowerCase()
    .split(/\s+/)
    .every((word) => texts.includes(word));
}

/** Nothing is less than anything; ids tell equal ones apart. */
function compare(a: Line, b: Line, column: string): number {
  const [x, y] = [a[column] ?? null, b[column] ?? null];
  if (x !== y) {
    if (x === null) return -1;
    if (y === null) return 1;
    return typeof x === 'string' && typeof y === 'string' ? x.localeCompare(y) : Number(x) - Number(y);
  }
  return a.id < b.id ? -1 : 1;
}

/** A list as the server would give it, of what is at hand. */
export function listed(
  kind: Kind,
  all: readonly Kept[],
  { q = '', sort = kind.sort, filter = [] }: ListAsk,
): Line[] {
  const column = sort.replace(/^-/, '');
  const direction = sort.startsWith('-') ? -1 : 1;
  return all
    .map((kept) => ({ kept, line: lineOf(kind, kept) }))
    .filter(
      ({ kept, line }) =>
        (q === '' || isFound(kind, kept, line, q)) && filter.every((each) => passes(kind, kept, line, each)),
    )
    .map(({ line }) => line)
    .toSorted((a, b) => direction * compare(a, b, column));
}
