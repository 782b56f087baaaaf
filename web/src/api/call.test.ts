import { products } from '@steady-scatter/contract';
import { blankProduct } from '@steady-scatter/core/products';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { call, callDocuments } from './call.ts';
import { connectionStore, noteAnswer, notePaired } from './connection.ts';
import { ApiProblem, Unreachable } from './errors.ts';

const fetching = vi.fn<typeof fetch>();
beforeEach(() => {
  vi.stubGlobal('fetch', fetching);
  fetching.mockReset();
  noteAnswer(null, Date.now());
  notePaired(true);
});
afterEach(() => vi.unstubAllGlobals());

const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } }); // prettier-ignore
const input = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed' };
const document = { id: 'p', version: 2, schemaVersion: 2, isSample: false, input, changedAt: '' };
const asked = () => [fetching.mock.lastCall![0], fetching.mock.lastCall![1]?.method] as [string, string];
const failure = async (asking: Promise<unknown>): Promise<unknown> => asking.catch((error: unknown) => error);

describe('asking', () => {
  it('puts ids into the path and what is asked for behind it', async () => {
    fetching.mockResolvedValueOnce(json({ items: [], next: null, total: 0 }));
    await callDocuments(products, 'list', { query: { q: 'lake & hill', filter: ['kind:a', 'lot:b'], cursor: undefined } }); // prettier-ignore
    expect(asked()).toEqual(['/api/products?q=lake+%26+hill&filter=kind%3Aa&filter=lot%3Ab', 'GET']);
    fetching.mockResolvedValueOnce(json(document));
    expect(await callDocuments(products, 'read', { params: { id: 'a/b' } })).toEqual(document);
    expect(asked()).toEqual(['/api/products/a%2Fb', 'GET']);
  });

  it('sends what is to be stored as JSON, and gives nothing back where nothing comes', async () => {
    fetching.mockResolvedValueOnce(new Response(null, { status: 204 }));
    expect(await callDocuments(products, 'addMany', { body: { documents: [] } })).toBeUndefined();
    expect(fetching.mock.lastCall![1]).toMatchObject({ method: 'POST', body: '{"documents":[]}' });
  });

  it('passes over what a later server adds, and refuses an answer that is none', async () => {
    fetching.mockResolvedValueOnce(json({ ...document, signedBy: 'x', input: { ...input, wings: 2 } }));
    expect(await callDocuments(products, 'read', { params: { id: 'p' } })).toEqual(document);
    fetching.mockResolvedValueOnce(json({ ...document, input: { name: 7 } }));
    await expect(callDocuments(products, 'read', { params: { id: 'p' } })).rejects.toThrow();
  });
});

describe('what goes wrong', () => {
  it('a silence is noted, and a server without its database counts as one', async () => {
    fetching.mockRejectedValueOnce(new TypeError('network'));
    expect(await failure(call('health'))).toBeInstanceOf(Unreachable);
    expect(connectionStore.get().reachable).toBe(false);
    fetching.mockResolvedValueOnce(json({ status: 'ok', database: 'ok', disk: 'ok' }));
    await call('health');
    expect(connectionStore.get().reachable).toBe(true);
    fetching.mockResolvedValueOnce(json({ type: '/problems/database-down', title: '', status: 503, detail: '' }, 503)); // prettier-ignore
    expect((await failure(call('health'))) as ApiProblem).toMatchObject({ problem: { type: '/problems/database-down' } }); // prettier-ignore
    expect(connectionStore.get().reachable).toBe(false);
  });

  it('an answer that breaks off on its way is a silence, whether it was good or a refusal', async () => {
    for (const status of [200, 409]) {
      const cut = new ReadableStream({ start: (to) => to.error(new DOMException('gone', 'AbortError')) });
      fetching.mockResolvedValueOnce(new Response(cut, { status }));
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      expect(await failure(call('health'))).toBeInstanceOf(Unreachable);
    }
  });

  it('what is given up by hand is no silence', async () => {
    fetching.mockRejectedValueOnce(new DOMException('given up', 'AbortError'));
    expect(await failure(call('health', { signal: AbortSignal.abort() }))).toBeInstanceOf(DOMException);
    expect(connectionStore.get().reachable).toBe(true);
  });

  it('a device that is not paired any more is noted', async () => {
    fetching.mockResolvedValueOnce(json({ type: '/problems/not-paired', title: '', status: 401, detail: 'Not paired.' }, 401)); // prettier-ignore
    expect(await failure(callDocuments(products, 'list', {}))).toBeInstanceOf(ApiProblem);
    expect(connectionStore.get().paired).toBe(false);
  });

  it('a change that met another one carries what stands there, read as one of its kind', async () => {
    const met = { type: '/problems/changed-elsewhere', title: '', status: 409, detail: '', theirs: document };
    const write = () => failure(callDocuments(products, 'write', { params: { id: 'p' }, body: {} }));
    fetching.mockResolvedValueOnce(json(met, 409));
    expect(await write()).toMatchObject({ changedElsewhere: { theirs: document } });
    for (const theirs of [null, { id: 'p', input: {} }]) {
      fetching.mockResolvedValueOnce(json({ ...met, theirs }, 409));
      expect(await write()).toMatchObject({ changedElsewhere: { theirs: null } });
    }
  });

  it.each([
    [json({ type: '/problems/from-tomorrow', title: 'New', status: 418, detail: 'Not known here.' }, 418), 'Not known here.'], // prettier-ignore
    [new Response('<html>', { status: 502 }), 'The server answered 502 without saying why.'],
  ])('what it does not know is said all the same', async (response, sentence) => {
    fetching.mockResolvedValueOnce(response);
    expect((await failure(call('health'))) as Error).toMatchObject({ message: sentence });
  });
});
