import { KINDS, type Kind } from '@steady-scatter/contract';
import { blankRig } from '@steady-scatter/core/machines';
import { act, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { noteForgotten, notePaired, noteSilence } from './api/connection.ts';
import { queries } from './api/queries.ts';
import { drafts, holdDraft } from './documents/drafts.ts';
import { saveDoc } from './documents/saving.ts';
import { RIGS } from './kinds/useRigs.ts';
import { clearAtHand, documentsOf } from './offline/keep.ts';
import { PairScreen } from './shell/PairScreen.tsx';
import { openDevice, startBackground } from './start.ts';
import { answers, freshDevice, waitingHere } from './testing/device.ts';
import { inApp } from './testing/inApp.tsx';

const catchUp = vi.hoisted(() => vi.fn(async () => undefined));
vi.mock('./offline/catchUp.ts', () => ({ catchUp }));
const bringPanels = vi.hoisted(() => vi.fn(async () => undefined));
vi.mock('./shell/CommandPanels.tsx', () => ({ bringPanels }));

const rigs = KINDS.rigs as unknown as Kind;
const rig = { ...blankRig('us'), name: 'Red' };
await openDevice();
beforeEach(async () => {
  await freshDevice();
  await clearAtHand();
  catchUp.mockClear();
});

/** A device with a draft, something that waits, and a document at hand. */
async function holding(): Promise<void> {
  await holdDraft(RIGS, 'r', { input: rig, base: null });
  noteSilence();
  await saveDoc(RIGS, 'r', { base: { version: 1, input: rig }, input: rig }).held;
  await documentsOf(rigs).setMany([['r', { doc: { id: 'r', version: 1, schemaVersion: 2, isSample: false, input: rig, changedAt: '' }, line: null }]]); // prettier-ignore
  localStorage.setItem('steady-scatter.preferences', '{}');
}
const atHand = async () => (await documentsOf(rigs).entries()).length;

describe('a device that the lead forgot', () => {
  it('deletes all it holds of the crew when it is told', async () => {
    await holding();
    expect([drafts.entries().length, waitingHere().length, await atHand(), localStorage.length > 0]).toEqual([1, 1, 1, true]); // prettier-ignore
    noteForgotten();
    await waitFor(() => expect(localStorage.length).toBe(0));
    expect([drafts.entries().length, waitingHere().length, await atHand()]).toEqual([0, 0, 0]);
    expect(queries.getQueryCache().getAll()).toEqual([]);
  });

  it('says so where it asks to be paired', async () => {
    inApp(<PairScreen />);
    expect(screen.queryByText(/was forgotten/)).toBeNull();
    act(() => noteForgotten());
    expect(await screen.findByText(/was forgotten, and what it held of the crew is deleted/)).toBeTruthy();
  });
});

it('panels come soon after the screen, before one is asked for; documents come later', async () => {
  vi.useFakeTimers();
  try {
    startBackground();
    expect(bringPanels).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1000);
    expect(bringPanels).toHaveBeenCalledTimes(1);
    expect(catchUp).not.toHaveBeenCalled();
  } finally {
    vi.clearAllTimers();
    vi.useRealTimers();
  }
});

it('a device that is merely not paired keeps all it holds', async () => {
  await holding();
  answers();
  notePaired(false);
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect([drafts.entries().length, waitingHere().length, await atHand()]).toEqual([1, 1, 1]);
});

it('catches up when the server answers again', async () => {
  // What the tests before set off is done.
  await new Promise((resolve) => setTimeout(resolve, 500));
  catchUp.mockClear();
  noteSilence();
  answers();
  await waitFor(() => expect(catchUp).toHaveBeenCalledTimes(1), { timeout: 2000 });
});
