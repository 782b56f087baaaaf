// What is stored of a document: worked out from what was typed by core, without a database.
import { KINDS, readInput, type Kind, type KindName } from '@steady-scatter/contract';
import { isJson, type Json } from '@steady-scatter/core/fields';
import { speak } from '@steady-scatter/words/everything';
import { MAX_TEXT } from '../models/summaries.ts';

/** A line of a list, as it is kept. */
export interface Line {
  readonly name: string;
  readonly texts: string;
  readonly isReadable: boolean;
  readonly columns: Readonly<Record<string, unknown>>;
  /** Ids of what the document leans on. */
  readonly links: readonly string[];
}

/** What a write stores of one document. */
export interface Stored {
  readonly schemaVersion: number;
  /** As typed, JSON. */
  readonly input: string;
  readonly line: Line;
  /** What came, where it was written by an earlier version: what that did not know is kept from what stands. */
  readonly earlier: { readonly schemaVersion: number; readonly input: Json } | null;
}

export const kindNamed = (name: KindName): Kind => KINDS[name];

const cut = (value: unknown): unknown =>
  typeof value === 'string' && value.length > MAX_TEXT ? value.slice(0, MAX_TEXT) : value;

/** The line of a document in the list of its kind. */
export function lineOf(kind: Kind, input: unknown): Line {
  const columns = kind.summarise(input, kind.evaluate(input));
  const kept = Object.entries(columns).map(([name, value]): [string, unknown] => [
    name,
    kind.columns[name]?.type === 'list' ? JSON.stringify(value) : cut(value),
  ]);
  return {
    name: String(cut(kind.nameOf(input))),
    texts: kind.textsOf(input, speak).join('\n'),
    isReadable: true,
    columns: Object.fromEntries(kept),
    links: [...new Set(kind.linksOf(input))],
  };
}

/** The line of a document that cannot be read: its name, as far as there is one. */
export function unreadableLine(kind: Kind, stored: unknown): Line {
  const name = isJson(stored) && typeof stored['name'] === 'string' ? stored['name'] : '';
  return {
    name: String(cut(name)),
    texts: '',
    isReadable: false,
    columns: Object.fromEntries(Object.keys(kind.columns).map((column) => [column, null])),
    links: [],
  };
}

/**
 * What is stored of a document that somebody wrote.
 *
 * @param standing what is stored so far, at the current version; null for a new one, or where that is not known
 * @throws ZodError with each wrong field
 */
export function storedOf(
  kind: Kind,
  written: { readonly schemaVersion: number; readonly input: Json },
  standing: Json | null = null,
): Stored {
  const input = readInput(kind, written, standing);
  const isEarlier = written.schemaVersion < kind.schemaVersion;
  return {
    schemaVersion: kind.schemaVersion,
    input: JSON.stringify(input),
    line: lineOf(kind, input),
    earlier: isEarlier && standing === null ? written : null,
  };
}
