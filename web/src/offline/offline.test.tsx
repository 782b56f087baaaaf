import { EVENTS, KINDS, type Kind, type StoredDocument, type StoredEvent } from '@steady-scatter/contract';
import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { noteInstallation, noteSilence } from '../api/connection.ts';
import {
  call as callPlain,
  callDocuments as callServer,
  callEvents as callServerEvents,
} from '../api/call.ts';
import { Unreachable } from '../api/errors.ts';
import { call, callDocuments, callEvents } from '../api/lazyCall.ts';
import { useRows } from '../events/appended.ts';
import { saveDoc } from '../documents/saving.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { answers, freshDevice } from '../testing/device.ts';
import { catchUp, firstDay } from './catchUp.ts';
import { clearAtHand, documentsOf, rowsOf } from './keep.ts';

vi.mock('../api/call.ts', () => ({
  call: vi.fn(async () => undefined),
  callDocuments: vi.fn(),
  callEvents: vi.fn(),
}));

const rigs = KINDS.rigs as unknown as Kind;
const jobs = KINDS.jobs as unknown as Kind;
const runs = EVENTS.testRuns;
const rig = (name: string, more: Partial<RigInput> = {}): RigInput => ({ ...blankRig('us'), name, ...more });

/** What a server has: documents of every kind, and rows in the order in which they came. */
const stored = { documents: new Map<string, StoredDocument<unknown> & { kind: string }>(), rows: [] as StoredEvent<unknown>[] }; // prettier-ignore
const put = (id: string, input: RigInput, version = 1) =>
  stored.documents.set(id, { id, kind: 'rigs', version, schemaVersion: 2, isSample: false, input, changedAt: `2026-04-0${version}T08:00:00.000Z` }); // prettier-ignore
const row = (id: string, subject: string): StoredEvent<unknown> => ({ id, subject, first: null, occurredAt: '2026-04-10T09:00:00.000Z', recordedAt: '', schemaVersion: 1, isSample: false, userId: null, deviceId: null, input: {} }); // prettier-ignore

const asked: string[] = [];
beforeEach(async () => {
  await freshDevice();
  await clearAtHand();
  stored.documents.clear();
  stored.rows = [];
  asked.length = 0;
  vi.mocked(callServer).mockImplementation(async (kind, verb, { params = {}, query = {} }) => {
    asked.push(`${kind.name} ${verb}`);
    const own = [...stored.documents.values()].filter((each) => each.kind === kind.name);
    if (verb === 'several') return { documents: (query['ids'] as string).split(',').flatMap((id) => stored.documents.get(id) ?? []), unreadable: [] };
    if (verb === 'read') return stored.documents.get(String(params['id']));
    const items = own.map((doc) => Object.assign({}, kind.summarise(doc.input, kind.evaluate(doc.input)), { id: doc.id, version: doc.version, isReadable: true, isSample: false, name: kind.nameOf(doc.input), changedAt: doc.changedAt, of: 'server' }));
    const from = Number(query['cursor'] ?? 0);
    return { items: items.slice(from, from + 2), next: from + 2 < items.length ? String(from + 2) : null, total: items.length };
  });
  vi.mocked(callServerEvents).mockImplementation(async (event, _verb, { query = {} }) => {
    if (event.name !== 'testRuns') return { events: [], unreadable: [], next: null };
    const from = Number(query['after'] ?? 0);
    asked.push(`rows after ${from}`);
    return { events: stored.rows.slice(from, from + 2), unreadable: [], next: from + 2 < stored.rows.length ? String(from + 2) : null };
  });
}); // prettier-ignore

const catchUpNow = () => catchUp(new AbortController().signal);
const names = (answer: unknown) => (answer as { items: { name: string }[] }).items.map(({ name }) => name);
const list = (query: object = {}) => callDocuments(rigs, 'list', { query: query as never });

describe('catching up', () => {
  it('brings everything here page after page, then only what is new or changed, and lets go of what is gone', async () => {
    for (const name of ['Red', 'Blue', 'Green', 'Grey', 'White']) put(name, rig(name));
    stored.rows = ['a', 'b', 'c'].map((id) => row(id, 'Red'));
    await catchUpNow();
    expect((await documentsOf(rigs).entries()).map(([id]) => id)).toEqual(['Blue', 'Green', 'Grey', 'Red', 'White']); // prettier-ignore
    expect((await rowsOf('testRuns').entries()).map(([id]) => id)).toEqual(['a', 'b', 'c']);
    put('Blue', rig('Navy'), 2);
    stored.documents.delete('Grey');
    stored.rows.push(row('d', 'Red'));
    asked.length = 0;
    await catchUpNow();
    expect(asked.filter((each) => each === 'rigs several')).toHaveLength(1);
    expect(asked.filter((each) => each.startsWith('rows'))).toEqual(['rows after 2']);
    const at = new Map(await documentsOf(rigs).entries());
    expect([...at.keys()]).toEqual(['Blue', 'Green', 'Red', 'White']);
    expect(at.get('Blue')).toMatchObject({ doc: { version: 2 }, line: { name: 'Navy', of: 'server' } });
  });

  it('asks for the jobs of two seasons alone', async () => {
    await catchUpNow();
    const query = vi.mocked(callServer).mock.calls.find(([kind, verb]) => kind === jobs && verb === 'list')![2].query; // prettier-ignore
    expect(query).toMatchObject({ filter: [`onDay>=${firstDay(new Date())}`] });
    expect(firstDay(new Date('2026-11-26T00:00:00Z'))).toBe('2025-01-01');
  });

  it('asks first whose rows they are: an answer tells which installation it is of', async () => {
    noteInstallation('one');
    put('Red', rig('Red'));
    await catchUpNow();
    // Restored while nothing was asked: the next answer tells.
    stored.documents.clear();
    put('Red', rig('Restored'));
    vi.mocked(callPlain).mockImplementationOnce(async () => {
      noteInstallation('restored');
    });
    await catchUpNow();
    expect(await documentsOf(rigs).get('Red')).toMatchObject({ doc: { input: { name: 'Restored' } } });
  });

  it('forgets what was of another installation', async () => {
    noteInstallation('one');
    put('Red', rig('Red'));
    await catchUpNow();
    stored.documents.clear();
    put('Blue', rig('Blue'));
    stored.rows = [row('z', 'Blue')];
    noteInstallation('restored');
    await catchUpNow();
    expect((await documentsOf(rigs).entries()).map(([id]) => id)).toEqual(['Blue']);
    expect(asked).toContain('rows after 0');
  });
});

describe('where nothing answers', () => {
  beforeEach(async () => {
    put('r1', rig('Red push spreader'));
    put('r2', rig('Blue drop spreader'), 2);
    stored.rows = [row('a', 'c1'), row('b', 'c2')];
    await catchUpNow();
    noteSilence();
    asked.length = 0;
  });

  it('documents and lists come from this device, and the server is not asked', async () => {
    expect(names(await list())).toEqual(['Blue drop spreader', 'Red push spreader']);
    expect(names(await list({ sort: '-name' }))).toEqual(['Red push spreader', 'Blue drop spreader']);
    expect(names(await list({ sort: '-changedAt' }))).toEqual(['Blue drop spreader', 'Red push spreader']);
    expect(names(await list({ q: 'push RED' }))).toEqual(['Red push spreader']);
    expect(names(await list({ filter: ['name:Red push spreader'] }))).toEqual(['Red push spreader']);
    expect(await callDocuments(rigs, 'read', { params: { id: 'r2' } })).toMatchObject({ version: 2 });
    expect(await callDocuments(rigs, 'several', { query: { ids: 'r1,nowhere' } })).toMatchObject({ documents: [{ id: 'r1' }] }); // prettier-ignore
    expect(asked).toEqual([]);
  });

  it('so do rows, and what is searched for', async () => {
    expect(await callEvents(runs, 'list', { query: { subject: 'c2' } })).toMatchObject({ events: [{ id: 'b' }], next: null }); // prettier-ignore
    expect(await call('search', { query: { q: 'blue', limit: 5 } })).toEqual({ hits: [{ kind: 'rigs', id: 'r2', name: 'Blue drop spreader', found: null, onDay: null, isSample: false }] }); // prettier-ignore
  });

  it('what was saved here is among it, new and changed', async () => {
    const input = rig('Red, new gate');
    await saveDoc(RIGS, 'r1', { base: { version: 1, input: rig('Red push spreader') }, input }).held;
    await saveDoc(RIGS, 'r3', { base: { version: 0, input: rig('Green') }, input: rig('Green') }).held;
    expect(names(await list())).toEqual(['Blue drop spreader', 'Green', 'Red, new gate']);
    expect(await callDocuments(rigs, 'read', { params: { id: 'r3' } })).toMatchObject({ version: 0, input: { name: 'Green' } }); // prettier-ignore
  });

  it('what this device has not is said to be out of reach', async () => {
    await expect(callDocuments(rigs, 'read', { params: { id: 'nowhere' } })).rejects.toThrow(Unreachable);
  });

  it('an answer that fails on the way is given from here too', async () => {
    answers();
    vi.mocked(callServer).mockRejectedValueOnce(new Unreachable('lost'));
    expect(names(await list())).toEqual(['Blue drop spreader', 'Red push spreader']);
  });
});

it('what was looked at is at hand, without its line until the next time', async () => {
  put('r1', rig('Red'));
  await callDocuments(rigs, 'read', { params: { id: 'r1' } });
  await vi.waitFor(async () => expect(await documentsOf(rigs).get('r1')).toMatchObject({ doc: { version: 1 }, line: null })); // prettier-ignore
  await callDocuments(rigs, 'remove', { params: { id: 'r1' } });
  await vi.waitFor(async () => expect(await documentsOf(rigs).get('r1')).toBeUndefined());
});

it('what was appended here, or looked at, is at hand as soon as it is on the server', async () => {
  vi.mocked(callServerEvents).mockResolvedValueOnce(row('own', 'c1'));
  await callEvents(runs, 'append', { body: row('own', 'c1') });
  stored.rows = [row('other', 'c1')];
  await callEvents(runs, 'list', { query: { subject: 'c1' } });
  await vi.waitFor(async () => expect(await rowsOf('testRuns').get('other')).toBeDefined());
  noteSilence();
  const { events } = (await callEvents(runs, 'list', { query: { subject: 'c1' } })) as {
    events: { id: string }[];
  };
  expect(events.map(({ id }) => id).toSorted()).toEqual(['other', 'own']);
});

it('what this device answered in a moment of silence is asked for again when the server answers', async () => {
  stored.rows = [row('a', 'c1')];
  noteSilence();
  const { result } = renderHook(() => useRows('testRuns', 'c1'));
  await waitFor(() => expect(result.current.data).toEqual([]));
  act(answers);
  await waitFor(() => expect(result.current.data?.map(({ id }) => id)).toEqual(['a']));
});

it('what was looked at before the device caught up for the first time stays at hand meanwhile', async () => {
  noteInstallation('one');
  put('r1', rig('Red'));
  await callDocuments(rigs, 'read', { params: { id: 'r1' } });
  await vi.waitFor(async () => expect(await documentsOf(rigs).get('r1')).toBeDefined());
  let answerAll = () => {};
  const asking = new Promise<void>((resolve) => (answerAll = resolve));
  vi.mocked(callServerEvents).mockImplementation(async () => {
    await asking;
    return { events: [], unreadable: [], next: null };
  });
  const done = catchUpNow();
  await vi.waitFor(() => expect(vi.mocked(callServerEvents)).toHaveBeenCalled());
  expect(await documentsOf(rigs).get('r1')).toBeDefined();
  answerAll();
  await done;
});
