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
import { callDocuments } from '../../api/lazyCall.ts';
import { holdDraft, openDraft } from '../../documents/drafts.ts';
import { useDoc, type Doc } from '../../documents/docs.ts';
import { sameInput } from '../../documents/sameInput.ts';
import { freshDevice, isReachable, waitingHere } from '../../testing/device.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { OPEN_RUNS } from '../../kinds/useCalibrations.ts';
import { beginOpenRun } from './useOpenRun.ts';
import { useLiveDocument } from './useLiveDocument.ts';

const CALIBRATION = '0197b1c0-0000-7000-8000-000000000001';
const INPUT = openRunOf({ ...blankRun('r', '2026-04-10', 'weigh-back'), step: 'before' }, CALIBRATION, aimOf(blankCalibration('us'))); // prettier-ignore
const doc = (version: number, input: OpenRunInput = INPUT): Doc<OpenRunInput> => ({ id: 'r', version, schemaVersion: 1, isSample: false, input, changedAt: '' }); // prettier-ignore

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
});

const live = (start: Doc<OpenRunInput>) =>
  renderHook(({ now }: { now: Doc<OpenRunInput> }) => useLiveDocument(OPEN_RUNS, now), {
    initialProps: { now: start },
  });
/** The same as its page has it: asked for, and followed. */
async function followed() {
  const asked = renderHook(() => useDoc(OPEN_RUNS, 'r'));
  await waitFor(() => expect(asked.result.current.data).toBeDefined());
  const { result, rerender } = live(asked.result.current.data!);
  const draw = () => rerender({ now: asked.result.current.data! });
  return { result, draw };
}
const stored = () => server.of('openRuns')[0];
const weighed = (left: string): OpenRunInput => ({ ...INPUT, readings: { left } });

describe('a document that is worked on in the field', () => {
  it('that is begun is held on this device and sent at once', async () => {
    await beginOpenRun('r', INPUT);
    await waitFor(() => expect(stored()).toMatchObject({ version: 1, input: { step: 'before' } }));
    await waitFor(() => expect(waitingHere()).toEqual([]));
  });

  it('is saved at each step, what is typed meanwhile with the next; a reading taken anew keeps the old one', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result, draw } = await followed();
    act(() => result.current.commit(weighed('45.05')));
    act(() => result.current.type({ ...weighed('45.05'), note: 'dry' }));
    await waitFor(() => expect(stored()).toMatchObject({ version: 2, input: { note: '' } }));
    act(draw);
    act(() => result.current.commit({ ...result.current.input, readings: { left: '45.10' } }));
    await waitFor(() => expect(stored()).toMatchObject({ version: 3, input: { note: 'dry', readings: { left: '45.10' }, earlier: [{ text: '45.05' }] } })); // prettier-ignore
    act(draw);
    expect(result.current.input.earlier).toHaveLength(1);
    expect(result.current.status).toBe('saved');
  });

  it('writes nothing where nothing was changed', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result } = live(doc(1));
    await act(async () => result.current.commit({ ...INPUT }));
    expect(result.current.status).toBe('saved');
    expect(server.asked).toEqual([]);
  });

  it('is saved on this device while nothing answers, and sent when something does', async () => {
    server.put(KINDS.openRuns, 'r', INPUT);
    const { result, draw } = await followed();
    server.isSilent = true;
    act(() => result.current.commit(weighed('45.05')));
    act(draw);
    await waitFor(() => expect(result.current.status).toBe('on-device'));
    act(() => result.current.commit({ ...weighed('45.05'), note: 'windy' }));
    await waitFor(() => expect(waitingHere()).toHaveLength(1));
    await waitFor(() => expect(isReachable()).toBe(false));
    act(() => server.comeBack());
    await waitFor(() => expect(stored()).toMatchObject({ version: 2, input: { readings: { left: '45.05' }, note: 'windy' } })); // prettier-ignore
    await waitFor(() => expect(waitingHere().map(({ refusal }) => refusal)).toEqual([]));
    act(draw);
    expect(openDraft(OPEN_RUNS, 'r')).toBeNull();
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
    await waitFor(() => expect(result.current.status).toBe('refused'));
    await act(async () => void (await result.current.takeTheirs!()));
    expect(result.current.input.readings).toEqual({ left: '44' });
    server.put(KINDS.openRuns, 'r', weighed('43'), 9);
    await act(async () => result.current.commit({ ...result.current.input, note: 'mine' }));
    await waitFor(() => expect(result.current.status).toBe('refused'));
    await act(async () => void (await result.current.saveMine!()));
    await waitFor(() => expect(stored()!.input).toMatchObject({ note: 'mine', readings: { left: '44' } }));
    // The reading of the other one stays beside it.
    expect(stored()!.input).toMatchObject({ earlier: [{ text: '43' }] });
  });

  it('goes on with what was held of it', () => {
    void holdDraft(OPEN_RUNS, 'r', { input: weighed('45.05'), base: null });
    const { result } = live(doc(1));
    expect(result.current.input.readings).toEqual({ left: '45.05' });
  });
});

it('two inputs say the same in whatever order their fields stand', () => {
  expect(sameInput({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true);
  expect(sameInput({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
  expect(sameInput({ a: '' }, {})).toBe(false);
});
