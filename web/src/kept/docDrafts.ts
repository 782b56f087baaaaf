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

export const dropHeldDoc = (root: string, id: string | null): void =>
  tabAndBrowser.removeItem(keyOf(root, id));

/** Holds a thing in the browser while it differs from what is kept. */
export function useHoldDoc(root: string, id: string | null, typed: unknown, differs: boolean): void {
  useEffect(() => {
    try {
      if (differs) tabAndBrowser.setItem(keyOf(root, id), JSON.stringify(typed));
    } catch {
      // A browser that holds nothing loses this at a reload; keeping still works.
    }
  }, [root, id, typed, differs]);
}
