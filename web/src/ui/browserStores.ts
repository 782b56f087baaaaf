import type { DraftStore } from '../jobs/drafts.ts';

/** A store that may be forbidden: reads nothing and throws on writing, as a full one does. */
function reach(which: 'localStorage' | 'sessionStorage'): Storage | null {
  try {
    return window[which];
  } catch {
    return null;
  }
}

let holds = true;
const listeners = new Set<() => void>();

function noteHolding(next: boolean): void {
  if (holds === next) return;
  holds = next;
  for (const listener of listeners) listener();
}

/** Whether this browser could hold what was typed last. */
export const holdingStore = {
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  get: () => holds,
};

/**
 * Drafts are held twice: for this tab, so that two tabs on one job do not take each other's text at a reload, and for
 * the browser, so that they outlive the tab. Holding counts when either store took it.
 */
export const tabAndBrowser: DraftStore = {
  getItem: (key) => reach('sessionStorage')?.getItem(key) ?? reach('localStorage')?.getItem(key) ?? null,
  setItem(key, value) {
    const taken = [reach('sessionStorage'), reach('localStorage')].map((store) => {
      try {
        store?.setItem(key, value);
        return store !== null;
      } catch {
        return false;
      }
    });
    const isHeld = taken.some(Boolean);
    noteHolding(isHeld);
    if (!isHeld) throw new Error('No store of this browser takes the draft.');
  },
  removeItem(key) {
    reach('sessionStorage')?.removeItem(key);
    reach('localStorage')?.removeItem(key);
  },
};

/** The browser's store alone; reads nothing where it is forbidden. */
export const browser: DraftStore = {
  getItem: (key) => reach('localStorage')?.getItem(key) ?? null,
  setItem: (key, value) => reach('localStorage')?.setItem(key, value),
  removeItem: (key) => reach('localStorage')?.removeItem(key),
};
