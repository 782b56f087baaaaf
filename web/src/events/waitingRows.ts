import type { EventAppend, EventName } from '@steady-scatter/contract';
import { browser } from '../ui/browserStores.ts';

/** A row that has not reached the server yet. */
export interface WaitingRow {
  readonly event: EventName;
  readonly row: EventAppend;
  /** Why the server did not take it; null: it was not asked yet, or did not answer. */
  readonly refused: string | null;
}

const KEY = 'steady-scatter.rows-waiting';

const isWaiting = (each: unknown): each is WaitingRow =>
  typeof each === 'object' && each !== null && 'event' in each && 'row' in each;

function held(): readonly WaitingRow[] {
  try {
    const all: unknown = JSON.parse(browser.getItem(KEY) ?? '[]');
    return Array.isArray(all) ? all.filter(isWaiting) : [];
  } catch {
    return [];
  }
}

let current = held();
const listeners = new Set<() => void>();

function show(next: readonly WaitingRow[]): void {
  current = next;
  for (const listener of listeners) listener();
}

function set(next: readonly WaitingRow[]): void {
  try {
    if (next.length === 0) browser.removeItem(KEY);
    else browser.setItem(KEY, JSON.stringify(next));
  } catch {
    // A browser that holds nothing keeps them as long as the page is open.
  }
  show(next);
}

const told = (id: string, refused: string | null): void =>
  set(current.map((each) => (each.row.id === id ? { event: each.event, row: each.row, refused } : each)));

/** What another tab appended, or sent, is shown here too. */
const followTabs = ({ key }: StorageEvent): void => {
  if (key === KEY) show(held());
};

/** What was measured or done here and has not reached the server, in the order in which it came about. */
export const waitingRows = {
  subscribe(listener: () => void) {
    if (listeners.size === 0) window.addEventListener('storage', followTabs);
    listeners.add(listener);
    return () => {
      listeners.delete(listener);
      if (listeners.size === 0) window.removeEventListener('storage', followTabs);
    };
  },
  get: (): readonly WaitingRow[] => current,
  add: (event: EventName, row: EventAppend): void => set([...current, { event, row, refused: null }]),
  remove: (id: string): void => set(current.filter(({ row }) => row.id !== id)),
  refuse: (id: string, why: string): void => told(id, why),
  /** Those that were refused are asked for once more. */
  again: (id: string): void => told(id, null),
};
