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
