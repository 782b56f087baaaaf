import { blankRig } from '@steady-scatter/core/machines';
import { act, renderHook } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { RIGS } from '../rigs/useRigs.ts';
import { tabAndBrowser } from '../ui/browserStores.ts';
import { dropHeldDoc, heldDoc, useHoldDoc } from './docDrafts.ts';

const KEY = 'steady-scatter.rigs-draft.new';
const rig = { ...blankRig('us'), name: 'Red spreader' };
const hold = (value: unknown) => tabAndBrowser.setItem(KEY, JSON.stringify(value));
beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});

it('comes back as it was typed, wrong texts and all', () => {
  const odd = { ...rig, hopper: { size: 'about 50', unit: 'lb' as const } };
  hold({ schemaVersion: RIGS.kind.schemaVersion, input: odd });
  expect(heldDoc(RIGS, null)).toEqual(odd);
  expect(heldDoc(RIGS, 'another')).toBeNull();
});

it('of an earlier version is brought up to date: what that did not know is blank', () => {
  const { outlets: _, ...earlier } = rig;
  hold(earlier);
  expect(heldDoc(RIGS, null)).toEqual(rig);
});

it.each([
  ['of a later version', { schemaVersion: 99, input: rig }],
  ['with a unit that is none', { schemaVersion: 2, input: { ...rig, hopper: { size: '', unit: 'stone' } } }],
  ['a list', []],
  ['nothing', null],
])('one %s is left alone', (_, value) => {
  hold(value);
  expect(heldDoc(RIGS, null)).toBeNull();
});

it('is held when typing pauses, and let go once it does not differ', () => {
  vi.useFakeTimers();
  const { rerender, unmount } = renderHook(({ input, differs }) => useHoldDoc(RIGS, null, input, differs), { initialProps: { input: rig, differs: true } }); // prettier-ignore
  expect(heldDoc(RIGS, null)).toBeNull();
  act(() => void vi.advanceTimersByTime(300));
  expect(heldDoc(RIGS, null)).toEqual(rig);
  const renamed = { ...rig, name: 'Blue' };
  rerender({ input: renamed, differs: true });
  // Whoever leaves the page has not paused: it is held all the same.
  unmount();
  expect(heldDoc(RIGS, null)).toEqual(renamed);
  dropHeldDoc(RIGS, null);
  expect(heldDoc(RIGS, null)).toBeNull();
  vi.useRealTimers();
});
