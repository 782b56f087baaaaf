import { onlineManager, QueryClient } from '@tanstack/react-query';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { heldTable, type Table } from '../device/index.ts';
import { createOutbox, type Word } from './createOutbox.ts';
import type { DocumentEntry, Entry, RowEntry, Waiting } from './entries.ts';

class Silence extends Error {}
class Taken extends Error {}

/** A device: its rows outlive the page. */
function device() {
  const rows = new Map<string, Waiting>();
  const table: Table<Waiting> = {
    entries: async () => [...rows],
    get: async (key) => rows.get(key),
    has: async (key) => rows.has(key),
    getMany: async (keys) => keys.map((key) => rows.get(key)),
    async setMany(all) {
      for (const [key, row] of all) rows.set(key, structuredClone(row));
      return true;
    },
    removeMany: async (keys) => keys.forEach((key) => rows.delete(key)),
    clear: async () => rows.clear(),
  };
  return { rows, table };
}

const server = { sent: [] as string[], isSilent: false, refuses: new Set<string>(), installation: 'one' as string | null }; // prettier-ignore

/** A page on a device, with the tabs it has word with. */
function page({ table }: ReturnType<typeof device>, listeners = new Set<(word: Word) => void>()) {
  const client = new QueryClient();
  client.mount();
  const own = new Set<(word: Word) => void>();
  const outbox = createOutbox({
    client,
    rows: heldTable(table),
    tabs: {
      tell: (word) => listeners.forEach((hear) => !own.has(hear) && hear(word)),
      hear(listener) {
        own.add(listener);
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
    },
    alone: (_, act) => act(),
    isPassing: (error) => error instanceof Silence,
    refusalOf: (error) => ({ code: 'invalid', words: (error as Error).message }),
    installation: () => server.installation,
    async send(entry: Entry) {
      await Promise.resolve();
      if (server.isSilent) {
        onlineManager.setOnline(false);
        throw new Silence();
      }
      if (server.refuses.has(entry.id)) throw new Taken(`${entry.name} is not taken.`);
      server.sent.push(entry.what === 'document' ? `${entry.id} on ${entry.base.version}` : entry.id);
    },
  });
  return outbox;
}
type Page = ReturnType<typeof page>;

const head = (id: string) => ({
  id,
  name: id,
  at: '2026-04-10T09:00:00.000Z',
  installation: 'one',
  needs: [],
});
const row = (id: string, more: Partial<RowEntry> = {}): RowEntry => ({ ...head(id), what: 'row', about: `testRuns:${id}`, event: 'testRuns', row: {} as never, ...more }); // prettier-ignore
const write = (id: string, about: string, version = 1): DocumentEntry => ({ ...head(id), what: 'document', about, kind: 'rigs', documentId: about, schemaVersion: 1, base: { version, input: {} }, input: {} }); // prettier-ignore
const became = async (outbox: Page, entry: Entry) => (await outbox.add(entry).outcome).state;
const ids = (outbox: Page) => outbox.get().map(([id]) => id);
const codes = (outbox: Page) => outbox.get().map(([, { refusal }]) => refusal?.code ?? null);
const comeBack = () => {
  server.isSilent = false;
  onlineManager.setOnline(true);
};

beforeEach(() => {
  Object.assign(server, { sent: [], isSilent: false, refuses: new Set(), installation: 'one' });
  onlineManager.setOnline(true);
});

describe('what waits', () => {
  it('is sent in its order when something answers, each once', async () => {
    const outbox = page(device());
    server.isSilent = true;
    const all = ['a', 'b', 'c'].map((id) => became(outbox, row(id)));
    expect(await Promise.all(all)).toEqual(['waiting', 'waiting', 'waiting']);
    comeBack();
    await vi.waitFor(() => expect(ids(outbox)).toEqual([]));
    expect(server.sent).toEqual(['a', 'b', 'c']);
  });

  it('of a week ago, five hundred of it, is sent by whoever opens the page next', async () => {
    const phone = device();
    server.isSilent = true;
    const before = page(phone);
    const names = Array.from({ length: 500 }, (_, index) => `r${String(index).padStart(3, '0')}`);
    await Promise.all(names.map((id) => before.add(row(id)).held));
    expect(phone.rows.size).toBe(500);
    comeBack();
    const after = page(phone);
    await after.open();
    await vi.waitFor(() => expect(phone.rows.size).toBe(0), { timeout: 10_000 });
    expect(new Set(server.sent).size).toBe(500);
    expect(server.sent.filter((id, index) => server.sent.indexOf(id) === index)).toEqual(names);
  });

  it('of a network that comes and goes is sent all the same, and no more than once', async () => {
    const outbox = page(device());
    for (let index = 0; index < 12; index += 1) {
      server.isSilent = index % 2 === 0;
      onlineManager.setOnline(!server.isSilent);
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      await outbox.add(row(`r${index}`)).held;
    }
    comeBack();
    await vi.waitFor(() => expect(ids(outbox)).toEqual([]), { timeout: 8000 });
    expect(server.sent.toSorted()).toEqual(Array.from({ length: 12 }, (_, index) => `r${index}`).toSorted());
  });
});

describe('of a document', () => {
  it('what is saved anew takes the place of what waits, and starts from what that started from', async () => {
    const outbox = page(device());
    server.isSilent = true;
    await became(outbox, write('a', 'rigs:r', 3));
    await became(outbox, write('b', 'rigs:r', 9));
    await became(outbox, write('c', 'rigs:other', 1));
    expect(ids(outbox)).toEqual(['b', 'c']);
    comeBack();
    await vi.waitFor(() => expect(server.sent).toEqual(['b on 3', 'c on 1']));
  });

  it('what is saved anew knows what of it was sent and not answered, and only that', async () => {
    const phone = device();
    const outbox = page(phone);
    const of = (id: string, name: string) => ({ ...write(id, 'rigs:r'), input: { name } });
    const unanswered = () => [...phone.rows.values()].map(({ entry }) => (entry as DocumentEntry).unanswered);
    server.isSilent = true;
    await became(outbox, of('a', 'sent'));
    await became(outbox, of('b', 'never sent: nothing answers by now'));
    expect(unanswered()).toEqual([[{ name: 'sent' }]]);
    await became(outbox, of('c', 'nor was this'));
    expect(unanswered()).toEqual([[{ name: 'sent' }]]);
    const next = page(phone);
    await next.open();
    await became(next, of('d', 'of the next page, which cannot know what the one before sent'));
    expect(unanswered()).toEqual([[{ name: 'sent' }, { name: 'nor was this' }]]);
    comeBack();
    await vi.waitFor(() => expect(phone.rows.size).toBe(0), { timeout: 4000 });
  });

  it('what is saved anew while the one before is being looked up takes its place for good', async () => {
    const phone = device();
    const outbox = page(phone);
    const looked: (() => void)[] = [];
    const has = phone.table.has;
    // What is read of the table is as it was when it was asked for, and comes late.
    phone.table.has = async (key) => {
      const found = await has(key);
      await new Promise<void>((resolve) => looked.push(resolve));
      return found;
    };
    const first = outbox.add(write('a', 'rigs:r', 3));
    await first.held;
    await vi.waitFor(() => expect(looked).toHaveLength(1));
    const second = outbox.add(write('b', 'rigs:r', 3));
    looked.shift()!();
    await vi.waitFor(() => (looked.shift()?.(), expect(server.sent).toEqual(['b on 3'])));
    await second.outcome;
    expect(outbox.of('rigs:r')).toBeUndefined();
    expect(ids(outbox)).toEqual([]);
  });

  it('what waits goes on from what stands there by now', async () => {
    const outbox = page(device());
    onlineManager.setOnline(false);
    await became(outbox, write('a', 'rigs:r', 1));
    await outbox.rebase('rigs:r', { version: 7, input: {} }, 1);
    comeBack();
    await vi.waitFor(() => expect(server.sent).toEqual(['a on 7']));
  });
});

it('what is saved before the page was shown what the last save came to goes on from that', async () => {
  const outbox = page(device());
  await outbox.rebase('rigs:r', { version: 2, input: {} }, 1);
  expect(await became(outbox, write('b', 'rigs:r', 1))).toBe('sent');
  expect(await became(outbox, write('c', 'rigs:r', 5))).toBe('sent');
  expect(server.sent).toEqual(['b on 2', 'c on 5']);
});

describe('what is refused', () => {
  it('stays with its reason and holds nothing back but what needs it; that goes on when it is decided', async () => {
    const outbox = page(device());
    server.refuses.add('a');
    await became(outbox, write('a', 'rigs:r'));
    await became(outbox, row('run', { needs: ['rigs:r'] }));
    await became(outbox, row('other'));
    expect(codes(outbox)).toEqual(['invalid', 'held-back']);
    expect(server.sent).toEqual(['other']);
    server.refuses.clear();
    expect(await outbox.again('a')).toEqual({ state: 'sent' });
    await vi.waitFor(() => expect(server.sent).toEqual(['other', 'a on 1', 'run']));
    expect(ids(outbox)).toEqual([]);
  });

  it('outlives the page, and is not sent by itself', async () => {
    const phone = device();
    server.refuses.add('a');
    await became(page(phone), row('a'));
    const after = page(phone);
    await after.open();
    expect(codes(after)).toEqual(['invalid']);
    await after.drop('a');
    expect(phone.rows.size).toBe(0);
  });
});

describe('what is meant for another installation', () => {
  it('is put aside and not sent, until somebody says that it is for this one', async () => {
    const outbox = page(device());
    onlineManager.setOnline(false);
    await became(outbox, row('a'));
    server.installation = 'restored';
    comeBack();
    await vi.waitFor(() => expect(codes(outbox)).toEqual(['other-installation']));
    expect(server.sent).toEqual([]);
    expect(await outbox.adopt('a')).toEqual({ state: 'sent' });
    expect(server.sent).toEqual(['a']);
  });

  it('of a device that knew none yet is for whichever answers first', async () => {
    server.installation = null;
    expect(await became(page(device()), row('a', { installation: null }))).toBe('sent');
  });
});

describe('two tabs', () => {
  it('show what the other holds, and what one sent is gone in both', async () => {
    const phone = device();
    const word = new Set<(each: Word) => void>();
    const [first, second] = [page(phone, word), page(phone, word)];
    onlineManager.setOnline(false);
    await first.add(row('a')).held;
    await vi.waitFor(() => expect(ids(second)).toEqual(['a']));
    comeBack();
    await vi.waitFor(() => expect([ids(first), ids(second)]).toEqual([[], []]));
    expect(new Set(server.sent)).toEqual(new Set(['a']));
  });
});
