import { KINDS, type Hit } from '@steady-scatter/contract';
import { nameKey } from '@steady-scatter/core/fields';
import { areaKeyOf, dayOfRow, type DoneRow } from '@steady-scatter/core/season';
import { HOMES } from '../documents/homes.ts';
import { dayText } from '../ui/dayText.ts';
import type { Command } from '../commands/commands.ts';
import { say } from '@steady-scatter/words/shell';
import { manyOf } from '@steady-scatter/words/things';
import { sentence } from '../ui/sentence.ts';

/** Something the go-to box can find. */
export interface Entry {
  readonly id: string;
  /** What it is, in a word. */
  readonly kind: string;
  readonly label: string;
  readonly detail: string;
  run(): void;
}

/** Most that are shown at once. */
export const MAX_FOUND = 12;

/** Commands that hold every word typed, those that begin with it first; all of them while nothing is typed. */
export function commandEntries(commands: readonly Command[], input: string): Entry[] {
  const words = input.toLowerCase().split(/\s+/).filter(Boolean);
  const begins = ({ label }: Command) => (label.toLowerCase().startsWith(words[0] ?? '') ? 0 : 1);
  return commands
    .filter(({ label, keys = '' }) => words.every((word) => `${label} ${keys}`.toLowerCase().includes(word)))
    .toSorted((a, b) => begins(a) - begins(b))
    .map(({ id, label, keys = '', run }) => ({
      id: `act.${id}`,
      kind: say('shell.toDo'),
      label,
      detail: keys,
      run,
    }));
}

/** Entries by what they are, each kind where its first stands. */
export function groupsOf(entries: readonly Entry[]): (readonly [kind: string, entries: readonly Entry[]])[] {
  const kinds = [...new Set(entries.map(({ kind }) => kind))];
  return kinds.map((kind) => [kind, entries.filter((entry) => entry.kind === kind)] as const);
}

/** The way to the records that hold the words: of an area, a lot, a product or a person, of all years. */
export const logEntry = (q: string, open: (path: string) => void): Entry => ({
  id: 'log',
  kind: sentence(manyOf('applications')),
  label: say('shell.inLog', { q }),
  detail: '',
  run: () => open(`/log?${new URLSearchParams({ from: '2000-01-01', q }).toString()}`),
});

const MAX_LOTS = 3;
const MAX_RECORDS = 3;
const wordsOf = (q: string): string[] => q.toLowerCase().split(/\s+/).filter(Boolean);
const isIn = (words: readonly string[], ...texts: readonly string[]): boolean => words.every((word) => texts.join(' ').toLowerCase().includes(word)); // prettier-ignore

/** A delivery that names its lot. */
export interface LotMove {
  readonly subject: string;
  readonly input: { readonly lot: string; readonly void: string };
}

/** Lots that have the words in their name, each with its product and the way to its whole path. */
export function lotEntries(q: string, moves: readonly LotMove[], nameOf: (product: string) => string, open: (path: string) => void): Entry[] {
  const words = wordsOf(q);
  if (words.length === 0) return [];
  const found = moves.filter(({ input }) => input.lot.trim() !== '' && input.void.trim() === '' && isIn(words, input.lot));
  const lots = new Map(found.map(({ subject, input }) => [`${subject} ${nameKey(input.lot)}`, { subject, lot: input.lot.trim() }]));
  return [...lots].slice(0, MAX_LOTS).map(([key, { subject, lot }]) => ({
    id: `lot.${key}`,
    kind: say('shell.lots'),
    label: lot,
    detail: nameOf(subject),
    run: () => open(`/shelf/${subject}/lots/${encodeURIComponent(lot)}`),
  }));
} // prettier-ignore

/** Records that have the words in their area, product, lot or name, the latest first. */
export function recordEntries(q: string, rows: readonly DoneRow[], open: (path: string) => void): Entry[] {
  const words = wordsOf(q);
  if (words.length === 0) return [];
  return rows
    .filter(({ input: { siteName, areaName, product, by } }) => isIn(words, siteName, areaName, product.name, product.lot, by))
    .slice(-MAX_RECORDS)
    .toReversed()
    .map((row) => {
      const day = dayOfRow(row);
      const { areaName, siteName, product, area } = row.input;
      return {
        id: `record.${row.root}`,
        kind: sentence(manyOf('applications')),
        label: [areaName, siteName].filter(Boolean).join(', '),
        detail: [product.name, dayText(day).replaceAll(' ', NO_BREAK)].join(', '),
        run: () => open(`/log?${new URLSearchParams({ area: areaKeyOf(area, areaName), from: day, to: day }).toString()}`),
      };
    });
} // prettier-ignore

const NO_BREAK = '\u00a0';

/** Documents that were found, each with the text of it that has the words where its name has not. */
export const hitEntries = (hits: readonly Hit[], open: (path: string) => void): Entry[] =>
  hits.map(({ kind, id, name, found, onDay }) => ({
    id: `${kind}.${id}`,
    kind: sentence(manyOf(KINDS[kind].name)),
    label: name,
    detail: [found ?? '', onDay ? dayText(onDay).replaceAll(' ', NO_BREAK) : '']
      .filter((part) => part !== '')
      .join(', '),
    run: () => open(`${HOMES[kind].path}/${id}`),
  }));
