import { KINDS } from '@steady-scatter/contract';
import {
  openRunOf,
  aimOf,
  blankCalibration,
  blankRun,
  type CalibrationInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callDocuments, callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { useDoc } from '../documents/docs.ts';
import { outbox, type Outcome } from '../outbox/index.ts';
import { saveDoc } from '../documents/saving.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { allCalibrations, appendRun, CALIBRATIONS, useCalibrationsOf } from './useCalibrations.ts';

const ID = '0197b1c0-0000-7000-8000-000000000001';
const strip = (id: string, more: Partial<RunInput> = {}): RunInput => ({
  ...blankRun(id, '2026-04-10', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100' },
  ...more,
});
const INPUT: CalibrationInput = { ...blankCalibration('us'), name: 'Red, lake feed' };

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
});

/** The calibration as a page has it. */
async function opened() {
  server.put(KINDS.calibrations, ID, aimOf(INPUT));
  const { result } = renderHook(() => useDoc(CALIBRATIONS, ID));
  await waitFor(() => expect(result.current.data).toBeDefined());
  return result;
}
/** Saves it over what is shown; what became of it, and how it is shown then. */
async function keep(page: Awaited<ReturnType<typeof opened>>, input: CalibrationInput) {
  const { version, input: before } = page.current.data!;
  let outcome: Outcome | null = null;
  await act(async () => {
    outcome = await saveDoc(CALIBRATIONS, ID, { base: { version, input: before }, input }).outcome;
  });
  return { outcome: outcome as Outcome | null, shown: page.current.data! };
}

describe('storing a calibration', () => {
  it('stores what is wanted, and appends the runs that are new', async () => {
    const page = await opened();
    const { shown } = await keep(page, { ...INPUT, notes: 'dry', runs: [strip('a'), strip('b')] });
    expect(shown.input.runs.map(({ id, row }) => [id, row])).toEqual([['a', 'a'], ['b', 'b']]); // prettier-ignore
    expect(server.of('calibrations')[0]).toMatchObject({ version: 2, input: { notes: 'dry' } });
    expect(server.of('calibrations')[0]!.input).not.toHaveProperty('runs');
    const rows = [...server.rows.values()];
    expect(rows.map(({ id, first, subject }) => [id, first, subject])).toEqual([['a', null, ID], ['b', null, ID]]); // prettier-ignore
    expect(rows[0]).toMatchObject({ occurredAt: '2026-04-10T12:00:00.000Z', input: { units: { mass: 'lb', length: 'ft' } } }); // prettier-ignore
    expect(page.current.data?.input.runs).toHaveLength(2);
  });

  it('appends a run that says something anew after the one that it names, with the old reading beside it', async () => {
    const page = await opened();
    const { shown: first } = await keep(page, { ...INPUT, runs: [strip('a')] });
    const anew = { ...first.input, runs: [{ ...first.input.runs[0]!, readings: { in: '48.00', left: '45.00', length: '100' } }] }; // prettier-ignore
    const { shown: again } = await keep(page, CALIBRATIONS.beforeKeep!(first.input, anew));
    const [, row] = [...server.rows.values()];
    expect(row).toMatchObject({ first: 'a', input: { readings: { left: '45.00' }, earlier: [{ field: 'left', text: '45.05', why: 'taken anew' }] } }); // prettier-ignore
    expect(row!.occurredAt > '2026-04-10T12:00:00.000Z').toBe(true);
    expect(again.input.runs).toMatchObject([{ id: 'a', row: row!.id, readings: { left: '45.00' } }]);
    await keep(page, again.input);
    expect(server.rows.size).toBe(2);
  });

  it('what somebody else stored meanwhile is met with its runs, and what was measured is there', async () => {
    const page = await opened();
    await keep(page, { ...INPUT, runs: [strip('a')] });
    server.put(KINDS.calibrations, ID, { ...aimOf(INPUT), notes: 'theirs' }, 9);
    const { outcome } = await keep(page, { ...page.current.data!.input, notes: 'mine' });
    expect(outcome).toMatchObject({ state: 'refused', refusal: { code: 'changed-elsewhere' } });
    const { theirs } = waitingHere()[0]!.refusal!;
    expect(CALIBRATIONS.parts!.whole(theirs as never)).toMatchObject({ version: 9, input: { notes: 'theirs', runs: [{ id: 'a' }] } }); // prettier-ignore
  });

  it('a run waits for its calibration where that was refused, and goes when that is decided', async () => {
    const page = await opened();
    server.put(KINDS.calibrations, ID, { ...aimOf(INPUT), notes: 'theirs' }, 9);
    await keep(page, { ...INPUT, notes: 'mine', runs: [strip('a')] });
    expect(waitingHere().map(({ refusal }) => refusal?.code)).toEqual(['changed-elsewhere', 'held-back']);
    expect(server.rows.size).toBe(0);
    await act(() => outbox.drop(waitingHere()[0]!.entry.id));
    await waitFor(() => expect([...server.rows.keys()]).toEqual(['a']));
    expect(waitingHere()).toEqual([]);
  });

  it('without a connection all of it waits; saving it again appends none of the runs twice', async () => {
    const page = await opened();
    server.isSilent = true;
    const input = { ...INPUT, notes: 'dry', runs: [strip('a')] };
    expect((await keep(page, input)).outcome).toEqual({ state: 'waiting' });
    expect(page.current.data!.input).toMatchObject({ notes: 'dry', runs: [{ id: 'a', row: 'a' }] });
    await keep(page, page.current.data!.input);
    expect(waitingHere().map(({ entry }) => entry.what)).toEqual(['row', 'document']);
    act(() => server.comeBack());
    await waitFor(() => expect(waitingHere()).toEqual([]));
    expect([...server.rows.keys()]).toEqual(['a']);
    expect(server.of('calibrations')[0]).toMatchObject({ version: 2, input: { notes: 'dry' } });
  });
});

describe('a calibration as it is shown', () => {
  it('has what is being made on another device after what is done, until that is appended', async () => {
    const open = openRunOf(strip('o', { step: 'after' }), ID, INPUT);
    server.put(KINDS.openRuns, 'o', open);
    server.put(KINDS.openRuns, 'p', { ...open, calibration: 'another' });
    const page = await opened();
    expect(page.current.data?.input.runs.map(({ id, step }) => [id, step])).toEqual([['o', 'after']]);
    await act(async () => expect(await appendRun(ID, strip('o'), INPUT).outcome).toEqual({ state: 'sent' }));
    await waitFor(() => expect(page.current.data?.input.runs.map(({ id, step }) => [id, step])).toEqual([['o', '']])); // prettier-ignore
  });

  it('is the same as among all of them', async () => {
    const page = await opened();
    await keep(page, { ...INPUT, runs: [strip('a')] });
    server.put(KINDS.openRuns, 'o', openRunOf(strip('o', { step: 'set' }), ID, INPUT));
    const [whole] = await allCalibrations();
    expect(whole!.input.runs.map(({ id }) => id)).toEqual(['a', 'o']);
    expect(page.current.error).toBeNull();
  });

  it('those of one machine come with their runs alone', async () => {
    const rig = '0197b1c0-0000-7000-8000-00000000000a';
    const other = '0197b1c0-0000-7000-8000-000000000002';
    server.put(KINDS.calibrations, ID, { ...aimOf(INPUT), rig });
    server.put(KINDS.calibrations, other, aimOf(INPUT));
    server.put(KINDS.openRuns, 'o', openRunOf(strip('o', { step: 'set' }), ID, INPUT));
    await appendRun(ID, strip('a'), INPUT).outcome;
    await appendRun(other, strip('b'), INPUT).outcome;
    const { result } = renderHook(() => useCalibrationsOf(rig));
    await waitFor(() => expect(result.current.data?.map(({ id }) => id)).toEqual([ID]));
    expect(result.current.data![0]!.input.runs.map(({ id }) => id)).toEqual(['a', 'o']);
    expect(vi.mocked(callEvents).mock.calls.at(-1)![2].query).toMatchObject({ subject: ID });
    // Of no machine nothing is asked.
    const before = server.asked.length;
    renderHook(() => useCalibrationsOf(''));
    expect(server.asked.length).toBe(before);
    // A row that is appended is among them.
    await act(async () => void (await appendRun(ID, strip('c'), INPUT).outcome));
    await waitFor(() => expect(result.current.data![0]!.input.runs.map(({ id }) => id)).toEqual(['a', 'c', 'o'])); // prettier-ignore
  });

  it('does not come while one of its parts does not', async () => {
    vi.mocked(callEvents).mockRejectedValue(new Error('no rows'));
    server.put(KINDS.calibrations, ID, aimOf(INPUT));
    const { result } = renderHook(() => useDoc(CALIBRATIONS, ID));
    await waitFor(() => expect(result.current.error?.message).toBe('no rows'));
    expect(result.current.data).toBeUndefined();
    vi.mocked(callEvents).mockImplementation(server.events);
    act(() => void result.current.refetch());
    await waitFor(() => expect(result.current.data?.id).toBe(ID));
  });
});
