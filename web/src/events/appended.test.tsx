import type { EventAppend } from '@steady-scatter/contract';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Unreachable } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { keepWaiting } from '../api/whenBack.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { allRows, append, knownRows, sendWaiting, useRows } from './appended.ts';
import { waitingRows } from './waitingRows.ts';

vi.mock('../api/lazyCall.ts', async (load) => ({ ...(await load<object>()), callEvents: vi.fn() }));

const row = (id: string, subject = 'calibration'): EventAppend => ({
  id,
  subject,
  first: null,
  occurredAt: '2026-04-10T09:00:00.000Z',
  schemaVersion: 1,
  input: { setting: id },
});
const waiting = () => waitingRows.get().map(({ row: { id } }) => id);

let server: ReturnType<typeof fakeServer>;
beforeEach(() => {
  localStorage.clear();
  for (const id of waiting()) waitingRows.remove(id);
  queries.clear();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  server = fakeServer();
  vi.mocked(callEvents).mockReset().mockImplementation(server.events);
});

describe('appending', () => {
  it('is sent at once, and shown beside what stands there', async () => {
    const { result } = renderHook(() => useRows('testRuns', 'calibration'));
    await waitFor(() => expect(result.current.data).toEqual([]));
    await act(async () => expect(await append('testRuns', row('a'))).toBe(true));
    expect([...server.rows.keys()]).toEqual(['a']);
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a']);
    expect(waiting()).toEqual([]);
  });

  it('waits in this browser while nothing answers, is shown meanwhile, and is sent in its order when something does', async () => {
    const { result } = renderHook(() => useRows('testRuns', 'calibration'));
    await waitFor(() => expect(result.current.data).toEqual([]));
    server.isSilent = true;
    await act(async () => {
      expect(await append('testRuns', row('a'))).toBe(false);
      expect(await append('testRuns', row('b', 'another'))).toBe(false);
      expect(await append('testRuns', row('c'))).toBe(false);
    });
    expect(JSON.parse(localStorage.getItem('steady-scatter.rows-waiting') ?? '')).toHaveLength(3);
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(knownRows('testRuns', 'another').map(({ id }) => id)).toEqual(['b']);
    server.isSilent = false;
    await act(keepWaiting);
    expect([...server.rows.keys()]).toEqual(['a', 'b', 'c']);
    expect(waiting()).toEqual([]);
    expect(localStorage.getItem('steady-scatter.rows-waiting')).toBeNull();
    expect(result.current.data?.map(({ id }) => id)).toEqual(['a', 'c']);
  });

  it('what the server does not take is said, and holds nothing else back', async () => {
    server.refuses = 'The day is none.';
    await expect(append('testRuns', row('a'))).rejects.toThrow('The day is none.');
    expect(waiting()).toEqual([]);
    const told = append('testRuns', row('b'), true).catch(explain);
    expect(await told).toBe('The day is none.');
    expect(waitingRows.get()).toMatchObject([{ row: { id: 'b' }, refused: 'The day is none.' }]);
    server.refuses = null;
    expect(await append('testRuns', row('c'))).toBe(true);
    expect([...server.rows.keys()]).toEqual(['c']);
    waitingRows.again('b');
    await sendWaiting();
    expect([...server.rows.keys()]).toEqual(['c', 'b']);
    expect(waiting()).toEqual([]);
  });

  it('two at once are sent one after the other, each once', async () => {
    expect(await Promise.all(['a', 'b', 'c'].map((id) => append('testRuns', row(id))))).toEqual([true, true, true]); // prettier-ignore
    expect(server.asked).toEqual(['testRuns append', 'testRuns append', 'testRuns append']);
    expect([...server.rows.keys()]).toEqual(['a', 'b', 'c']);
  });

  it('one that got there without an answer is sent again and counts once', async () => {
    vi.mocked(callEvents).mockImplementationOnce(async (...asked) => {
      await server.events(...asked);
      throw new Unreachable('The answer was lost.');
    });
    expect(await append('testRuns', row('a'))).toBe(false);
    expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a']);
    await keepWaiting();
    expect(waiting()).toEqual([]);
    expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a']);
  });
});

it('what another tab appended is shown here', () => {
  const { result } = renderHook(() => useRows('testRuns', 'calibration', { isOff: true }));
  expect(result.current.data).toBeUndefined();
  localStorage.setItem('steady-scatter.rows-waiting', JSON.stringify([{ event: 'testRuns', row: row('a'), refused: null }, 'no row'])); // prettier-ignore
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: 'steady-scatter.rows-waiting' })));
  expect(waiting()).toEqual(['a']);
});

it('what an earlier session left is sent when rows are first looked at', async () => {
  waitingRows.add('testRuns', row('a'));
  renderHook(() => useRows('testRuns', 'calibration'));
  await waitFor(() => expect([...server.rows.keys()]).toEqual(['a']));
});

it('rows come page after page', async () => {
  vi.mocked(callEvents).mockImplementation(async (_event, _verb, { query = {} }) =>
    query['after'] === undefined
      ? { events: [row('a')], unreadable: [], next: '7' }
      : { events: [row(`after ${String(query['after'])}`)], unreadable: [], next: null },
  );
  expect((await allRows('testRuns')).map(({ id }) => id)).toEqual(['a', 'after 7']);
});
