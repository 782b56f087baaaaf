import type { Table } from './table.ts';

/** Rows that are at hand at once, and on the device a moment later. */
export interface HeldTable<Row> {
  /** Reads what the device has. Before it nothing is there. */
  open(): Promise<void>;
  get(key: string): Row | undefined;
  entries(): readonly (readonly [key: string, row: Row])[];
  /** Resolves when the device has it; false: it has not, and it is there as long as the page is. */
  set(key: string, row: Row): Promise<boolean>;
  remove(key: string): Promise<void>;
  clear(): Promise<void>;
  /** Whether the device still has a row: another tab may have taken it away. */
  isHeld(key: string): Promise<boolean>;
  /** Takes a row over that another tab changed; what is changed here meanwhile stands. */
  follow(key: string): Promise<void>;
  /** Writes at once what waits behind another write: the page is being left. */
  flush(): void;
  subscribe(listener: () => void): () => void;
}

/** Holds a table in memory. One write of a row is on its way at a time; the latest of those that come meanwhile follows. */
export function heldTable<Row>(table: Table<Row>): HeldTable<Row> {
  const rows = new Map<string, Row>();
  const writing = new Map<string, Promise<boolean>>();
  /** What of each row is on its way. */
  const onItsWay = new Map<string, Row | undefined>();
  /** What the device did not take: there is nothing to take over in its place. */
  const unheld = new Set<string>();
  /** How often each row was changed here. */
  const changes = new Map<string, number>();
  const noteChange = (key: string) => changes.set(key, (changes.get(key) ?? 0) + 1);
  const listeners = new Set<() => void>();
  let shown: readonly (readonly [string, Row])[] = [];
  const show = () => {
    shown = [...rows];
    for (const listener of listeners) listener();
  };
  /** One write of a row, or of its absence. */
  const writeOnce = async (key: string, row: Row | undefined): Promise<boolean> => {
    if (row !== undefined) return table.setMany([[key, row]]);
    await table.removeMany([key]);
    return true;
  };
  const writeNow = async (key: string): Promise<boolean> => {
    const row = rows.get(key);
    onItsWay.set(key, row);
    const isHeld = await writeOnce(key, row);
    // What came meanwhile follows.
    if (rows.get(key) !== row) return writeNow(key);
    if (isHeld) unheld.delete(key);
    else unheld.add(key);
    return isHeld;
  };
  const write = (key: string): Promise<boolean> => {
    const known = writing.get(key);
    if (known) return known;
    const begun = writeNow(key).finally(() => {
      writing.delete(key);
      onItsWay.delete(key);
    });
    writing.set(key, begun);
    return begun;
  };
  return {
    async open() {
      for (const [key, row] of await table.entries()) if (!rows.has(key)) rows.set(key, row);
      show();
    },
    get: (key) => rows.get(key),
    entries: () => shown,
    set(key, row) {
      noteChange(key);
      rows.set(key, row);
      show();
      return write(key);
    },
    async remove(key) {
      if (!rows.delete(key)) return;
      noteChange(key);
      show();
      await write(key);
    },
    async clear() {
      rows.clear();
      show();
      await table.clear();
    },
    async isHeld(key) {
      await writing.get(key);
      return unheld.has(key) ? rows.has(key) : table.has(key);
    },
    async follow(key) {
      await writing.get(key);
      if (unheld.has(key)) return;
      const before = changes.get(key);
      const row = await table.get(key);
      const isGone = row === undefined && !(await table.has(key));
      if (changes.get(key) !== before) return;
      if (row !== undefined) rows.set(key, row);
      else if (isGone) rows.delete(key);
      show();
    },
    flush() {
      for (const key of writing.keys()) {
        const row = rows.get(key);
        if (row !== onItsWay.get(key)) void writeOnce(key, row);
      }
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
