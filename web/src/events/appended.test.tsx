import type { EventAppend } from '@steady-scatter/contract';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { noteSilence } from '../api/connection.ts';
import { Unreachable } from '../api/errors.ts';
import { callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { outbox } from '../outbox/index.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { allRows, append, knownRows, useRows } from './appended.ts';

const row = (id: string, subject = 'calibration'): EventAppend => ({
  id,
  subject,
  first: null,
  occurredAt: '2026-04-10T09:00:00.000Z',
  schemaVersion: 1,
  input: { setting: id },
});
const waiting = () => waitingHere().flatMap(({ entry }) => (entry.what === 'row' ? [entry.row.id] : []));
const add = (each: EventAppend) => append('testRuns', each, { name: `run ${each.id}`, needs: [] });
const became = async (each: EventAppend) => (await add(each).outcome).state;

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  server = fakeServer();
  vi.mocked(callEvents).mockImplementation(server.events);
});

describe('appending', () => {
  it('is sent at once, and shown beside what stands there', async () => {
    const { result } = renderHook(() => useRows('testRuns', 'calibration'));
    await waitFor(() => expect(result.current.data).toEqual([]));
    await act(async () => expect(await became(row('a'))).toBe('sent'));
    expect([...server.rows.keys()]).toEqual(['a']);
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a']);
    expect(waiting()).toEqual([]);
  });

  it('what is asked for the first time meanwhile comes all the same', async () => {
    // The answer that is on its way is of the time before, and is let go.
    vi.mocked(callEvents).mockImplementationOnce(() => new Promise(() => undefined));
    const { result } = renderHook(() => useRows('testRuns', 'calibration'));
    expect(result.current.data).toBeUndefined();
    await act(async () => expect(await became(row('a'))).toBe('sent'));
    await waitFor(() => expect(result.current.data?.map(({ id }) => id)).toEqual(['a']));
  });

  it('waits on this device while nothing answers, is shown meanwhile, and is sent in its order when something does', async () => {
    const { result } = renderHook(() => useRows('testRuns', 'calibration'));
    await waitFor(() => expect(result.current.data).toEqual([]));
    server.isSilent = true;
    await act(async () => {
      const three = [row('a'), row('b', 'another'), row('c')].map(became);
      expect(await Promise.all(three)).toEqual(['waiting', 'waiting', 'waiting']);
    });
    expect(waiting()).toEqual(['a', 'b', 'c']);
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(knownRows('testRuns', 'another').map(({ id }) => id)).toEqual(['b']);
    act(() => server.comeBack());
    await waitFor(() => expect(waiting()).toEqual([]));
    expect([...server.rows.keys()]).toEqual(['a', 'b', 'c']);
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a', 'c']);
  });

  it('what the server does not take stays with the reason, and holds nothing else back', async () => {
    server.refuses = 'The day is none.';
    expect(await add(row('a')).outcome).toMatchObject({ state: 'refused', refusal: { code: 'invalid', words: 'The day is none.' } }); // prettier-ignore
    expect(waitingHere()).toMatchObject([{ refusal: { words: 'The day is none.' } }]);
    server.refuses = null;
    expect(await became(row('b'))).toBe('sent');
    expect([...server.rows.keys()]).toEqual(['b']);
    expect(await outbox.again(waitingHere()[0]!.entry.id)).toEqual({ state: 'sent' });
    expect([...server.rows.keys()]).toEqual(['b', 'a']);
    expect(waiting()).toEqual([]);
  });

  it('one that got there without an answer is sent again and counts once', async () => {
    vi.mocked(callEvents).mockImplementationOnce(async (...asked) => {
      await server.events(...asked);
      noteSilence();
      throw new Unreachable('The answer was lost.');
    });
    expect(await became(row('a'))).toBe('waiting');
    expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a']);
    await waitFor(() => expect(waiting()).toEqual([]), { timeout: 4000 });
    expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a']);
  });
});

it('rows come page after page', async () => {
  vi.mocked(callEvents).mockImplementation(async (_event, _verb, { query = {} }) =>
    query['after'] === undefined
      ? { events: [row('a')], unreadable: [], next: '7' }
      : { events: [row(`after ${String(query['after'])}`)], unreadable: [], next: null },
  );
  expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a', 'after 7']);
});
