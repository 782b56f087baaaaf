import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { heldTable } from './heldTable.ts';
import { holdingStore } from './holding.ts';
import { tableOf, type Table } from './table.ts';

const table = tableOf<{ n: number }>('test');
beforeEach(() => table.clear());

describe('a table', () => {
  it('gives back what it was given, in the order of its keys', async () => {
    expect(await table.setMany([['b', { n: 2 }], ['a', { n: 1 }]])).toBe(true); // prettier-ignore
    expect(await table.entries()).toEqual([['a', { n: 1 }], ['b', { n: 2 }]]); // prettier-ignore
    expect(await table.getMany(['b', 'x'])).toEqual([{ n: 2 }, undefined]);
    await table.removeMany(['a']);
    expect(await table.get('a')).toBeUndefined();
  });

  it('where storage is not allowed has nothing, says that it holds nothing, and holds again when it may', async () => {
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('no', 'SecurityError');
    });
    const refused = tableOf<number>('refused');
    expect(await refused.setMany([['a', 1]])).toBe(false);
    expect(holdingStore.get()).toBe(false);
    expect([await refused.entries(), await refused.get('a'), await refused.getMany(['a'])]).toEqual([[], undefined, [undefined]]); // prettier-ignore
    open.mockRestore();
    expect(await refused.setMany([['a', 1]])).toBe(true);
    expect(holdingStore.get()).toBe(true);
  });

  it('says that a value cannot be held', async () => {
    expect(await tableOf<() => void>('odd').setMany([['a', () => undefined]])).toBe(false);
  });
});

/** A table whose writes are let through one by one. */
function slowTable(): { table: Table<string>; written: string[]; let(): void } {
  const written: string[] = [];
  const waiting: (() => void)[] = [];
  const rows = new Map<string, string>();
  const once = (what: string, act: () => void) =>
    new Promise<void>((resolve) => waiting.push(() => (written.push(what), act(), resolve())));
  const slow: Table<string> = {
    entries: async () => [...rows],
    get: async (key) => rows.get(key),
    has: async (key) => rows.has(key),
    getMany: async (keys) => keys.map((key) => rows.get(key)),
    async setMany([row]) {
      await once(`${row![0]}=${row![1]}`, () => rows.set(...(row as [string, string])));
      return true;
    },
    async removeMany([key]) {
      await once(`-${key}`, () => rows.delete(key!));
    },
    clear: async () => rows.clear(),
  };
  return { table: slow, written, let: () => waiting.shift()?.() };
}

describe('a table that is held', () => {
  it('has what was set at once; of what comes while one is written, the latest is written next', async () => {
    const { table: slow, written, let: go } = slowTable();
    const held = heldTable(slow);
    const first = held.set('a', '1');
    void held.set('a', '2');
    void held.set('a', '3');
    expect(held.get('a')).toBe('3');
    go();
    await vi.waitFor(() => expect(written).toEqual(['a=1']));
    await vi.waitFor(() => (go(), expect(written).toEqual(['a=1', 'a=3'])));
    expect(await first).toBe(true);
  });

  it('of a page that is left, what waits behind a write is written without waiting for that', () => {
    const { table: slow, written, let: go } = slowTable();
    const held = heldTable(slow);
    for (const row of ['1', '2', '3']) void held.set('a', row);
    held.flush();
    go();
    go();
    expect(written).toEqual(['a=1', 'a=3']);
  });

  it('of a page that is left, nothing is written twice', () => {
    const { table: slow, written, let: go } = slowTable();
    const held = heldTable(slow);
    void held.set('a', '1');
    held.flush();
    go();
    go();
    expect(written).toEqual(['a=1']);
  });

  it('what was removed while it was written is gone on the device too', async () => {
    const { table: slow, written, let: go } = slowTable();
    const held = heldTable(slow);
    void held.set('a', '1');
    const removed = held.remove('a');
    go();
    await vi.waitFor(() => (go(), expect(written).toEqual(['a=1', '-a'])));
    await removed;
    expect(await slow.get('a')).toBeUndefined();
  });

  it('reads what the device has, and tells whoever listens', async () => {
    await table.setMany([['a', { n: 1 }]]);
    const held = heldTable(table);
    const told = vi.fn();
    held.subscribe(told);
    await held.open();
    expect(held.entries()).toEqual([['a', { n: 1 }]]);
    expect(told).toHaveBeenCalled();
    await table.setMany([['a', { n: 2 }]]);
    await held.follow('a');
    expect(held.get('a')).toEqual({ n: 2 });
    await table.removeMany(['a']);
    await held.follow('a');
    expect(held.entries()).toEqual([]);
  });

  it('what was removed here while another tab’s change was read stays removed', async () => {
    await table.setMany([['a', { n: 1 }]]);
    const held = heldTable(table);
    await held.open();
    const following = held.follow('a');
    void held.remove('a');
    await following;
    expect(held.get('a')).toBeUndefined();
    expect(await held.isHeld('a')).toBe(false);
  });

  it('what cannot be read of the device is not taken as gone', async () => {
    const held = heldTable(table);
    await held.set('a', { n: 1 });
    const broken = vi.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
      throw new DOMException('no', 'UnknownError');
    });
    const uncounted = vi.spyOn(IDBObjectStore.prototype, 'count').mockImplementation(() => {
      throw new DOMException('no', 'UnknownError');
    });
    await held.follow('a');
    expect(held.get('a')).toEqual({ n: 1 });
    expect(await held.isHeld('a')).toBe(true);
    broken.mockRestore();
    uncounted.mockRestore();
    expect(await held.isHeld('a')).toBe(true);
    expect(await held.isHeld('b')).toBe(false);
  });

  it('what the device does not take stays as long as the page, also where another tab tells of it', async () => {
    const refusing: Table<string> = { ...slowTable().table, setMany: async () => false };
    const held = heldTable(refusing);
    expect(await held.set('a', '1')).toBe(false);
    await held.follow('a');
    expect(held.get('a')).toBe('1');
  });
});
