import { KINDS, type Hit } from '@steady-scatter/contract';
import { HOMES } from '../documents/homes.ts';
import { dayText } from '../ui/dayText.ts';
import type { Command } from '../commands/commands.ts';
import { oneOf } from '@steady-scatter/words/things';

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
    .map(({ id, label, keys = '', run }) => ({ id: `act.${id}`, kind: 'do', label, detail: keys, run }));
}

const NO_BREAK = '\u00a0';

/** Documents that were found, each with the text of it that has the words where its name has not. */
export const hitEntries = (hits: readonly Hit[], open: (path: string) => void): Entry[] =>
  hits.map(({ kind, id, name, found, onDay }) => ({
    id: `${kind}.${id}`,
    kind: oneOf(KINDS[kind].name),
    label: name,
    detail: [found ?? '', onDay ? dayText(onDay).replaceAll(' ', NO_BREAK) : '']
      .filter((part) => part !== '')
      .join(', '),
    run: () => open(`${HOMES[kind].path}/${id}`),
  }));
