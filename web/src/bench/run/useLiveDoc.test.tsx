import { KINDS } from '@steady-scatter/contract';
import {
  openRunOf,
  aimOf,
  blankCalibration,
  blankRun,
  type OpenRunInput,
} from '@steady-scatter/core/testing';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { noteAnswer, noteSilence } from '../../api/connection.ts';
import { callDocuments } from '../../api/lazyCall.ts';
import { queries } from '../../api/queries.ts';
import { heldDoc, holdDoc } from '../../documents/docDrafts.ts';
import type { Doc } from '../../documents/docs.ts';
import { sameInput } from '../../documents/sameInput.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { OPEN_RUNS } from '../useCalibrations.ts';
import { useLiveDoc } from './useLiveDoc.ts';

vi.mock('../../api/lazyCall.ts', async (load) => ({ ...(await load<object>()), callDocuments: vi.fn() }));

const CALIBRATION = '0197b1c0-0000-7000-8000-000000000001';
const INPUT = openRunOf({ ...blankRun('r', '2026-04-10', 'weigh-back'), step: 'before' }, CALIBRATION, aimOf(blankCalibration('us'))); // prettier-ignore
const doc = (version: number, input: OpenRunInput = INPUT): Doc<OpenRunInput> => ({ id: 'r', version, schemaVersion: 1, isSample: false, input, changedAt: '' }); // prettier-ignore

let server: ReturnType<typeof fakeServer>;
beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  queries.clear();
  noteAnswer(null, 0);
  server = fakeServer();
  vi.mocked(callDocuments).mockReset().mockImplementation(server.documents);
});

const live = (start: Doc<OpenRunInput>) =>
  renderHook(({ now }: { now: Doc<OpenRunInput> }) => useLiveDoc(OPEN_RUNS, now), {
    initialProps: { now: start },
  });
const stored = () => server.of('openRuns')[0];
const weighed = (left: string): OpenRunInput => ({ ...INPUT, readings: { left } });

describe('a document that is worked on in the field', () => {
  it('that is new is stored at once', async () => {
    const { result } = live(doc(0));
    await waitFor(() => expect(stored()).toMatchObject({ version: 1, input: { step: 'before' } }));
    await waitFor(() => expect(result.current.state).toBe('kept'));
  });

  it('is stored at each step, what is typed meanwhile with the next; a reading taken anew keeps the old one', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result } = live(doc(1));
    act(() => {
      result.current.commit(weighed('45.05'));
      result.current.type({ ...weighed('45.05'), note: 'dry' });
    });
    await waitFor(() => expect(stored()).toMatchObject({ version: 3, input: { note: 'dry' } }));
    await act(async () => result.current.commit({ ...result.current.input, readings: { left: '45.10' } }));
    await waitFor(() => expect(stored()!.input).toMatchObject({ readings: { left: '45.10' }, earlier: [{ text: '45.05' }] })); // prettier-ignore
    expect(result.current.input.earlier).toHaveLength(1);
  });

  it('writes nothing where nothing was changed', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result } = live(doc(1));
    await act(async () => result.current.commit({ ...INPUT }));
    expect(result.current.state).toBe('kept');
    expect(server.asked).toEqual([]);
  });

  it('is held while nothing answers, and stored when something does', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result, unmount } = live(doc(1));
    server.isSilent = true;
    act(noteSilence);
    await act(async () => result.current.commit(weighed('45.05')));
    expect(result.current.state).toBe('held');
    server.isSilent = false;
    await act(async () => noteAnswer(null, 0));
    await waitFor(() => expect(stored()!.input).toMatchObject({ readings: { left: '45.05' } }));
    unmount();
    expect(heldDoc(OPEN_RUNS, 'r')).toBeNull();
  });

  it('shows what another device stored, unless something is typed here', () => {
    const { result, rerender } = live(doc(1));
    rerender({ now: doc(2, weighed('45.05')) });
    expect(result.current.input.readings).toEqual({ left: '45.05' });
    act(() => result.current.type({ ...weighed('45.05'), note: 'mine' }));
    rerender({ now: doc(3, weighed('44')) });
    expect(result.current.input).toMatchObject({ readings: { left: '45.05' }, note: 'mine' });
  });

  it('that another device went on with asks whose it is to be', async () => {
    server.put(KINDS.openRuns, 'r', weighed('44'), 5);
    const { result } = live(doc(1));
    await act(async () => result.current.commit({ ...INPUT, note: 'mine' }));
    expect(result.current.state).toBe('elsewhere');
    await act(() => result.current.takeTheirs());
    expect(result.current.input.readings).toEqual({ left: '44' });
    server.put(KINDS.openRuns, 'r', weighed('43'), 9);
    await act(async () => result.current.commit({ ...result.current.input, note: 'mine' }));
    expect(result.current.state).toBe('elsewhere');
    await act(() => result.current.keepMine());
    // The reading of the other one stays beside it.
    await waitFor(() => expect(stored()!.input).toMatchObject({ note: 'mine', readings: { left: '44' }, earlier: [{ text: '43' }] })); // prettier-ignore
  });

  it('goes on with what was held of it', () => {
    holdDoc(OPEN_RUNS, 'r', weighed('45.05'));
    const { result } = live(doc(1));
    expect(result.current.input.readings).toEqual({ left: '45.05' });
  });
});

it('two inputs say the same in whatever order their fields stand', () => {
  expect(sameInput({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true);
  expect(sameInput({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
  expect(sameInput({ a: '' }, {})).toBe(false);
});
