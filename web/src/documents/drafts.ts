import { isJson, upgraded, type Json } from '@steady-scatter/core/fields';
import { useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import { heldTable, tableOf, tabsOf } from '../device/index.ts';
import type { Base } from '../outbox/entries.ts';
import type { DocumentKind } from './documentKind.ts';

/** What is typed and not saved yet: as it was typed, by which schema, and what it started from. */
interface DraftRow {
  readonly schemaVersion: number;
  readonly input: unknown;
  /** Null: of an earlier version of the app, which did not note it. */
  readonly base: Base | null;
  readonly at: number;
}

export interface Draft<Input> {
  readonly input: Input;
  readonly base: { readonly version: number; readonly input: Input } | null;
}

/** What a draft is called by its kind: as much of it as drafts need. */
interface DraftKind<Input> {
  readonly kind: Pick<DocumentKind<Input>['kind'], 'name' | 'schemaVersion' | 'upgrades'> & {
    readonly schema: { parse(value: unknown): Input };
  };
}

/** All that is typed on this device and not saved. */
export const drafts = heldTable(tableOf<DraftRow>('drafts'));
const tabs = tabsOf<{ readonly key: string }>('drafts');

const TAB_KEY = 'steady-scatter.tab';

/** What tells this tab from others of the browser, also after a reload: two on one job do not take each other's text. */
function tabId(): string {
  try {
    const known = sessionStorage.getItem(TAB_KEY);
    if (known) return known;
    const made = newId();
    sessionStorage.setItem(TAB_KEY, made);
    return made;
  } catch {
    return 'tab';
  }
}

const prefixOf = (name: string, heldAs: string): string => `${name}:${heldAs}:`;
const keyOf = (name: string, heldAs: string): string => `${prefixOf(name, heldAs)}${tabId()}`;

/** The rows of a draft, of whichever tab: this tab's, then the latest. */
function rowsOf(name: string, heldAs: string): readonly (readonly [key: string, row: DraftRow])[] {
  const mine = keyOf(name, heldAs);
  return drafts
    .entries()
    .filter(([key]) => key.startsWith(prefixOf(name, heldAs)))
    .toSorted(
      ([a, { at: first }], [b, { at: second }]) => Number(b === mine) - Number(a === mine) || second - first,
    );
}

/** Drafts that this page holds, or went on with: of another tab's, or of one that it cannot read, it lets go of nothing. */
const own = new Set<string>();

/** What a row holds; null: nothing that this version can use. */
function readRow<Input>(
  { kind }: DraftKind<Input>,
  { schemaVersion, input, base }: DraftRow,
): Draft<Input> | null {
  try {
    if (schemaVersion > kind.schemaVersion) return null;
    const read = (value: unknown) => kind.schema.parse(upgraded(kind.upgrades, schemaVersion, value as Json));
    return { input: read(input), base: base && { version: base.version, input: read(base.input) } };
  } catch {
    return null;
  }
}

/** What is typed of a thing and not saved yet; null when there is nothing that this version can use. */
export function openDraft<Input>(kind: DraftKind<Input>, heldAs: string): Draft<Input> | null {
  const [found] = rowsOf(kind.kind.name, heldAs);
  const draft = found ? readRow(kind, found[1]) : null;
  if (found && draft) own.add(found[0]);
  return draft;
}

/** Holds what is typed; false: this device does not, it is there as long as the page is. */
export function holdDraft<Input>(
  { kind }: DraftKind<Input>,
  heldAs: string,
  { input, base }: Draft<Input>,
): Promise<boolean> {
  const key = keyOf(kind.name, heldAs);
  own.add(key);
  const held = drafts.set(key, { schemaVersion: kind.schemaVersion, input, base, at: Date.now() });
  void held.then(() => tabs.tell({ key }));
  return held;
}

/** Lets go what was typed of a thing here; what another tab is at stays, unless this one began with it. */
export function dropDraft<Input>({ kind }: DraftKind<Input>, heldAs: string): void {
  for (const [key] of rowsOf(kind.name, heldAs))
    if (own.delete(key)) void drafts.remove(key).then(() => tabs.tell({ key }));
}

/** Begins what a new one is held as, of which there can be several. */
const NEW = 'new';

/** A new one that is held apart from others that were begun. */
export const newHeldAs = (mark: string): string => `${NEW}-${mark}`;

/** A new thing that was begun and not saved: what it is held as, and what is typed of it. */
export interface Unfinished<Input> {
  readonly heldAs: string;
  readonly input: Input;
  /** When it was typed last, ms. */
  readonly at: number;
}

/** New ones of a kind that were begun and not saved, but for one; the latest first. */
export function unfinishedOf<Input>(kind: DraftKind<Input>, except: string): Unfinished<Input>[] {
  const { name } = kind.kind;
  const begun = drafts.entries().flatMap(([key]) => {
    const [of, heldAs = ''] = key.split(':');
    return of === name && (heldAs === NEW || heldAs.startsWith(`${NEW}-`)) ? [heldAs] : [];
  });
  return [...new Set(begun)]
    .filter((heldAs) => heldAs !== except)
    .flatMap((heldAs) => {
      const row = rowsOf(name, heldAs)[0]?.[1];
      const read = row ? readRow(kind, row) : null;
      return row && read ? [{ heldAs, input: read.input, at: row.at }] : [];
    })
    .toSorted((a, b) => b.at - a.at);
}

/** Deletes what was begun of a new one; gives a way back. */
export function deleteUnfinished<Input>({ kind }: DraftKind<Input>, heldAs: string): () => Promise<void> {
  const rows = rowsOf(kind.name, heldAs);
  for (const [key] of rows) void drafts.remove(key).then(() => tabs.tell({ key }));
  return async () => {
    await Promise.all(rows.map(([key, row]) => drafts.set(key, row)));
  };
}

/** True once another tab of this browser types on the same thing. */
export function useOtherTab(name: string, heldAs: string): boolean {
  const [other, setOther] = useState(false);
  useEffect(
    () =>
      tabs.hear(({ key }) => {
        if (key.startsWith(prefixOf(name, heldAs)) && key !== keyOf(name, heldAs))
          void drafts.follow(key).then(() => setOther(drafts.get(key) !== undefined));
      }),
    [name, heldAs],
  );
  return other;
}

/** Names that drafts of earlier versions of the app were held under. */
const EARLIER = [
  {
    pattern: /^steady-scatter\.draft\.(.+)$/,
    name: () => 'jobs',
    heldAs: (found: RegExpExecArray) => found[1],
  },
  { pattern: /^steady-scatter\.mix$/, name: () => 'mix', heldAs: () => 'new' },
  {
    pattern: /^steady-scatter\.([\w-]+)-draft\.(.+)$/,
    name: (found: string) => found.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase()),
    heldAs: (found: RegExpExecArray) => found[2],
  },
];
/** The first schema of jobs had a number of its own. */
const FIRST_FORMAT = 3;

/** What an earlier version held of a draft: its schema beside it, or the input alone, of the first. */
function readEarlier(text: string): DraftRow | null {
  const held: unknown = JSON.parse(text);
  if (!isJson(held)) return null;
  const { schemaVersion, format, baseVersion, form, input = form } = held;
  if (!isJson(input)) return { schemaVersion: 1, input: held, base: null, at: 0 };
  const version = typeof schemaVersion === 'number' ? schemaVersion : format === FIRST_FORMAT ? 1 : null;
  if (version === null) return null;
  return {
    schemaVersion: version,
    input,
    base: typeof baseVersion === 'number' ? { version: baseVersion, input } : null,
    at: 0,
  };
}

/** Takes over what earlier versions of the app held in the browser's other store. */
async function takeEarlier(store: Storage): Promise<void> {
  for (const key of Object.keys(store)) {
    const match = EARLIER.flatMap(({ pattern, name, heldAs }) => {
      const found = pattern.exec(key);
      return found ? [{ name: name(found[1] ?? ''), heldAs: heldAs(found) ?? '' }] : [];
    })[0];
    if (!match) continue;
    const row = readEarlier(store.getItem(key) ?? 'null');
    // oxlint-disable-next-line no-await-in-loop -- gone from there only once it is here
    if (!row || (await drafts.set(`${prefixOf(match.name, match.heldAs)}earlier`, row)))
      store.removeItem(key);
  }
}

/** Reads what is held. Before it nothing is. */
export async function openDrafts(): Promise<void> {
  await drafts.open();
  try {
    await takeEarlier(localStorage);
  } catch {
    // A browser that forbids its store holds none.
  }
}
