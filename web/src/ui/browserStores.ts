import type { ZodType } from 'zod';

/** The browser's store of a name; null where it is forbidden. */
function reach(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** The browser's own small store, for what a person likes; reads nothing where it is forbidden. */
export const browser: Pick<Storage, 'getItem' | 'setItem'> = {
  getItem: (key) => reach()?.getItem(key) ?? null,
  setItem: (key, value) => reach()?.setItem(key, value),
};

/** What this browser holds under a key; undefined where that is nothing, or nothing that can be read. */
export function heldHere<T>(key: string, schema: ZodType<T>): T | undefined {
  try {
    return schema.safeParse(JSON.parse(browser.getItem(key) ?? 'null')).data;
  } catch {
    return undefined;
  }
}

/**
 * Has this browser hold it, where it lets one; else it stands as long as the page is open.
 *
 * @returns false: the browser is full, or holds nothing
 */
export function holdHere(key: string, value: unknown): boolean {
  try {
    browser.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** Lets go of what this browser holds under a key. */
export function letGo(key: string): void {
  try {
    window.localStorage.removeItem(key);
  } catch {
    // It holds nothing.
  }
}
