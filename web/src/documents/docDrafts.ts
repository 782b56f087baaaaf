import { useEffect } from 'react';
import { tabAndBrowser } from '../ui/browserStores.ts';
import { isJson, upgraded, type Json } from '@steady-scatter/core/fields';
import type { DocumentKind } from './documentKind.ts';

/** Names that drafts of earlier versions of the app are held under. */
const ROOTS: Readonly<Record<string, string>> = {
  ruleSets: 'rule-sets',
  soilTests: 'soil-tests',
  widthTests: 'width-tests',
};
const keyOf = (name: string, id: string | null): string =>
  `steady-scatter.${ROOTS[name] ?? name}-draft.${id ?? 'new'}`;

/** What is held of a draft; what an earlier version of the app held is the input alone, of the first schema. */
function readHeld(text: string | null): { schemaVersion: number; input: Json } | null {
  const held: unknown = JSON.parse(text ?? 'null');
  if (!isJson(held)) return null;
  const { schemaVersion, input } = held;
  if (typeof schemaVersion === 'number' && isJson(input)) return { schemaVersion, input };
  return { schemaVersion: 1, input: held };
}

/** What is typed of a thing and not kept yet; null when there is nothing that can be used. */
export function heldDoc<Input>({ kind }: DocumentKind<Input>, id: string | null): Input | null {
  try {
    const held = readHeld(tabAndBrowser.getItem(keyOf(kind.name, id)));
    if (!held || held.schemaVersion > kind.schemaVersion) return null;
    return kind.schema.parse(upgraded(kind.upgrades, held.schemaVersion, held.input));
  } catch {
    return null;
  }
}

/** A drawing that is dragged changes many times a second: what is typed is held when it pauses. */
const PAUSE_MS = 250;

/** What waits for a pause, by its key. */
const waiting = new Map<string, () => void>();

function holdNow(key: string): void {
  const hold = waiting.get(key);
  waiting.delete(key);
  try {
    hold?.();
  } catch {
    // A browser that holds nothing loses this at a reload; keeping still works.
  }
}

window.addEventListener('pagehide', () => {
  for (const key of waiting.keys()) holdNow(key);
});

export function dropHeldDoc<Input>({ kind }: DocumentKind<Input>, id: string | null): void {
  waiting.delete(keyOf(kind.name, id));
  tabAndBrowser.removeItem(keyOf(kind.name, id));
}

/** Holds a thing in the browser at once. */
export function holdDoc<Input>(
  { kind: { name, schemaVersion } }: DocumentKind<Input>,
  id: string,
  input: Input,
): void {
  try {
    tabAndBrowser.setItem(keyOf(name, id), JSON.stringify({ schemaVersion, input }));
  } catch {
    // As above.
  }
}

/** Holds a thing in the browser while it differs from what is kept. */
export function useHoldDoc<Input>(
  { kind: { name, schemaVersion } }: DocumentKind<Input>,
  id: string | null,
  input: Input,
  differs: boolean,
): void {
  const key = keyOf(name, id);
  useEffect(() => {
    if (!differs) {
      waiting.delete(key);
      return undefined;
    }
    waiting.set(key, () => tabAndBrowser.setItem(key, JSON.stringify({ schemaVersion, input })));
    const timer = setTimeout(() => holdNow(key), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [key, input, differs, schemaVersion]);
  useEffect(() => () => holdNow(key), [key]);
}
