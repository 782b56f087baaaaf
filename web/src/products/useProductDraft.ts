import { readProduct, type ProductTyped } from '@steady-scatter/core';
import { useEffect } from 'react';
import { tabAndBrowser } from '../ui/browserStores.ts';

const keyOf = (id: string | null): string => `steady-scatter.product-draft.${id ?? 'new'}`;

/** What is typed of a product and not kept yet; null when there is nothing that can be used. */
export function heldProduct(id: string | null): ProductTyped | null {
  try {
    const typed = JSON.parse(tabAndBrowser.getItem(keyOf(id)) ?? 'null') as ProductTyped | null;
    // Throws on a shape that this version does not know.
    if (typed) readProduct(typed);
    return typed;
  } catch {
    return null;
  }
}

export const dropHeldProduct = (id: string | null): void => tabAndBrowser.removeItem(keyOf(id));

/** Holds a product in the browser while it differs from what is kept. */
export function useHoldProduct(id: string | null, typed: ProductTyped, differs: boolean): void {
  useEffect(() => {
    try {
      if (differs) tabAndBrowser.setItem(keyOf(id), JSON.stringify(typed));
    } catch {
      // A browser that holds nothing loses this at a reload; keeping still works.
    }
  }, [id, typed, differs]);
}
