import { useEffect } from 'react';
import { tabAndBrowser } from '../ui/browserStores.ts';
import type { DocKind } from './docs.ts';

const keyOf = (root: string, id: string | null): string => `steady-scatter.${root}-draft.${id ?? 'new'}`;

/** What is typed of a thing and not kept yet; null when there is nothing that can be used. */
export function heldDoc<Typed extends { readonly name: string }>(
  { root, complete, errorsOf }: DocKind<Typed>,
  id: string | null,
): Typed | null {
  try {
    const held = JSON.parse(tabAndBrowser.getItem(keyOf(root, id)) ?? 'null') as Typed | null;
    if (!held) return null;
    const typed = complete(held);
    // Throws on a shape that this version does not know.
    errorsOf(typed);
    return typed;
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

export function dropHeldDoc(root: string, id: string | null): void {
  waiting.delete(keyOf(root, id));
  tabAndBrowser.removeItem(keyOf(root, id));
}

/** Holds a thing in the browser while it differs from what is kept. */
export function useHoldDoc(root: string, id: string | null, typed: unknown, differs: boolean): void {
  const key = keyOf(root, id);
  useEffect(() => {
    if (!differs) {
      waiting.delete(key);
      return undefined;
    }
    waiting.set(key, () => tabAndBrowser.setItem(key, JSON.stringify(typed)));
    const timer = setTimeout(() => holdNow(key), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [key, typed, differs]);
  useEffect(() => () => holdNow(key), [key]);
}
