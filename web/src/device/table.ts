import { createStore, promisifyRequest, type UseStore } from 'idb-keyval';
import { noteHolding } from './holding.ts';

/** Rows on this device, each under a key of its own. */
export interface Table<Row> {
  /** All of them, in the order of their keys; none where storage is not allowed. */
  entries(): Promise<[key: string, row: Row][]>;
  get(key: string): Promise<Row | undefined>;
  /** Whether a row is there; true where that cannot be told, so that nothing is given up for it. */
  has(key: string): Promise<boolean>;
  getMany(keys: readonly string[]): Promise<(Row | undefined)[]>;
  /** False: storage is full or not allowed. */
  setMany(rows: readonly (readonly [key: string, row: Row])[]): Promise<boolean>;
  removeMany(keys: readonly string[]): Promise<void>;
  clear(): Promise<void>;
}

/** Longest that opening is waited for: another tab with an older version may stand in the way. */
const OPEN_MS = 3000;

const inTime = <Value>(asked: Promise<Value>): Promise<Value> =>
  Promise.race([
    asked,
    new Promise<never>((_, reject) => setTimeout(() => reject(new Error('No answer in time.')), OPEN_MS)),
  ]);

const storeNamed = (name: string): UseStore => createStore(`steady-scatter-${name}`, 'rows');

/** A table in IndexedDB. What cannot be read is as if it were not there, what cannot be written is told. */
export function tableOf<Row>(name: string): Table<Row> {
  let made: UseStore | null = null;
  const store: UseStore = (mode, callback) => {
    made ??= storeNamed(name);
    return made(mode, callback);
  };
  const reading = async <Value>(asked: () => Promise<Value>, otherwise: Value): Promise<Value> => {
    try {
      return await inTime(asked());
    } catch {
      return otherwise;
    }
  };
  const writing = async (change: (rows: IDBObjectStore) => void): Promise<boolean> => {
    try {
      await inTime(
        store('readwrite', (rows) => {
          change(rows);
          const done = promisifyRequest(rows.transaction);
          // At once: a page that is left a moment later loses nothing.
          rows.transaction.commit();
          return done;
        }),
      );
      noteHolding(true);
      return true;
    } catch {
      noteHolding(false);
      return false;
    }
  };
  return {
    entries: () =>
      reading(
        () =>
          store('readonly', async (rows) => {
            const [keys, values] = await Promise.all([
              promisifyRequest(rows.getAllKeys()),
              promisifyRequest(rows.getAll()),
            ]);
            return keys.map((key, index): [string, Row] => [key as string, values[index] as Row]);
          }),
        [],
      ),
    get: (key) =>
      reading(
        () => store('readonly', (rows) => promisifyRequest(rows.get(key) as IDBRequest<Row | undefined>)),
        undefined,
      ),
    has: (key) =>
      reading(async () => (await store('readonly', (rows) => promisifyRequest(rows.count(key)))) > 0, true),
    getMany: (keys) =>
      reading(
        () =>
          store('readonly', (rows) =>
            Promise.all(keys.map((key) => promisifyRequest(rows.get(key) as IDBRequest<Row | undefined>))),
          ),
        keys.map(() => undefined),
      ),
    setMany: (all) =>
      writing((rows) => {
        for (const [key, row] of all) rows.put(row, key);
      }),
    async removeMany(keys) {
      await writing((rows) => {
        for (const key of keys) rows.delete(key);
      });
    },
    async clear() {
      await writing((rows) => rows.clear());
    },
  };
}
