import { MAX_READ, products } from '@steady-scatter/contract';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { allDocs, docActs, keysOf, readable, type Doc } from './docs.ts';

vi.mock('../api/lazyCall.ts', () => ({ callDocuments: vi.fn() }));
const asked = vi.mocked(callDocuments);
type Named = { readonly name: string };
const doc = (id: string, version = 1): Doc<Named> => ({ id, version, schemaVersion: 2, isSample: false, input: { name: id }, changedAt: '' }); // prettier-ignore
const KIND = { kind: products } as never as Parameters<typeof allDocs<Named>>[0];

beforeEach(() => {
  queries.clear();
  asked.mockReset();
});

describe('all of a kind', () => {
  const ids = Array.from({ length: 450 }, (_, index) => `id${index}`);

  it('page after page, then as many at a time as the server hands over, in the order of the list', async () => {
    asked.mockImplementation(async (_kind, verb, { query = {} }) => {
      if (verb === 'several') {
        const batch = String(query['ids']).split(',');
        // In another order, and one of them was deleted meanwhile.
        return { documents: batch.toReversed().filter((id) => id !== 'id7').map((id) => doc(id)), unreadable: [] }; // prettier-ignore
      }
      const from = Number(query['cursor'] ?? 0);
      const items = ids.slice(from, from + 200).map((id) => ({ id, isReadable: id !== 'id3' }));
      return { items, next: from + 200 < ids.length ? String(from + 200) : null, total: ids.length };
    });
    const all = await allDocs(KIND);
    expect(all.map(({ id }) => id)).toEqual(ids.filter((id) => id !== 'id3' && id !== 'id7'));
    const batches = asked.mock.calls.filter(([, verb]) => verb === 'several');
    expect(batches.map(([, , { query }]) => String(query?.['ids']).split(',').length)).toEqual([100, 100, 100, 100, 49]); // prettier-ignore
    expect(MAX_READ).toBe(100);
  });

  it('none at all asks for none', async () => {
    asked.mockResolvedValue({ items: [], next: null, total: 0 });
    expect(await allDocs(KIND)).toEqual([]);
    expect(asked).toHaveBeenCalledTimes(1);
  });
});

it('lines that can be read', () => {
  const lines = [{ id: 'a', isReadable: true }, { id: 'b', isReadable: false }] as never; // prettier-ignore
  expect(readable(lines).map(({ id }) => id)).toEqual(['a']);
});

describe('storing', () => {
  const keys = keysOf(products);
  const acts = docActs(KIND as never as { kind: typeof products });
  const isStale = (key: readonly unknown[]) => queries.getQueryState(key)?.isInvalidated;
  beforeEach(() => {
    for (const key of [keys.list({}), keys.list({ q: 'a' }), keys.all, keys.one('a')])
      queries.setQueryData(key, []);
  });

  it('forgets what was deleted, and shows what was restored', async () => {
    asked.mockResolvedValue(undefined);
    await acts.remove('a');
    expect(queries.getQueryData(keys.one('a'))).toBeUndefined();
    expect(isStale(keys.all)).toBe(true);
    asked.mockResolvedValue(doc('a'));
    await acts.restore('a');
    expect(queries.getQueryData(keys.one('a'))).toMatchObject({ id: 'a' });
  });

  it('changes nothing where the server refuses', async () => {
    asked.mockRejectedValue(new Error('refused'));
    await expect(acts.restore('a')).rejects.toThrow('refused');
    expect(isStale(keys.all)).toBe(false);
  });

  it('an answer that was on its way when something was stored is not shown over it', async () => {
    let answer: (older: Doc<Named>) => void = () => undefined;
    const reading = queries.fetchQuery({ queryKey: keys.one('a'), staleTime: 0, queryFn: () => new Promise<Doc<Named>>((done) => (answer = done)) }); // prettier-ignore
    const settled = reading.catch(() => undefined);
    await acts.adopt(doc('a', 3) as never);
    answer(doc('a', 2));
    await settled;
    expect(queries.getQueryData(keys.one('a'))).toEqual(doc('a', 3));
    for (const key of [keys.list({}), keys.list({ q: 'a' }), keys.all]) expect(isStale(key)).toBe(true);
  });
});
