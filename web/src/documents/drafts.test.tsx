import { blankRig } from '@steady-scatter/core/machines';
import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { tabsOf } from '../device/index.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { freshDevice } from '../testing/device.ts';
import { drafts, dropDraft, holdDraft, openDraft, openDrafts, useOtherTab } from './drafts.ts';

const rig = { ...blankRig('us'), name: 'Red spreader' };
const row = (more: object) => ({ schemaVersion: RIGS.kind.schemaVersion, input: rig, base: null, at: 1, ...more }); // prettier-ignore
const hold = (input: typeof rig, heldAs = 'new') => holdDraft(RIGS, heldAs, { input, base: null });
beforeEach(freshDevice);

it('comes back as it was typed, wrong texts and all, with what it started from', async () => {
  const odd = { ...rig, hopper: { size: 'about 50', unit: 'lb' as const } };
  await holdDraft(RIGS, 'r', { input: odd, base: { version: 3, input: rig } });
  expect(openDraft(RIGS, 'r')).toEqual({ input: odd, base: { version: 3, input: rig } });
  expect(openDraft(RIGS, 'another')).toBeNull();
});

it('of an earlier version is brought up to date: what that did not know is blank', async () => {
  const { outlets: _, ...earlier } = rig;
  await drafts.set('rigs:new:tab', row({ schemaVersion: 1, input: earlier }));
  expect(openDraft(RIGS, 'new')?.input).toEqual(rig);
});

it.each([
  ['of a later version', { schemaVersion: 99 }],
  ['with a unit that is none', { input: { ...rig, hopper: { size: '', unit: 'stone' } } }],
  ['a list', { input: [] }],
])('one %s is left alone', async (_, more) => {
  await drafts.set('rigs:new:odd', row(more));
  expect(openDraft(RIGS, 'new')).toBeNull();
  // Nor is it let go of by a page that found nothing to go on with.
  dropDraft(RIGS, 'new');
  expect(drafts.get('rigs:new:odd')).toBeDefined();
});

describe('of several tabs', () => {
  it('each has its own, and goes on with the latest of another where it has none', async () => {
    await drafts.set('rigs:new:a', row({ input: { ...rig, name: 'A' }, at: 1 }));
    await drafts.set('rigs:new:b', row({ input: { ...rig, name: 'B' }, at: 2 }));
    expect(openDraft(RIGS, 'new')?.input.name).toBe('B');
    await hold({ ...rig, name: 'Mine' });
    expect(openDraft(RIGS, 'new')?.input.name).toBe('Mine');
  });

  it('letting go of one leaves what another tab is at, unless it was gone on with', async () => {
    await drafts.set('rigs:new:a', row({ input: { ...rig, name: 'A' } }));
    dropDraft(RIGS, 'new');
    expect(drafts.get('rigs:new:a')).toBeDefined();
    openDraft(RIGS, 'new');
    dropDraft(RIGS, 'new');
    expect(drafts.get('rigs:new:a')).toBeUndefined();
  });

  it('that another types on the same thing is told', async () => {
    const { result } = renderHook(() => useOtherTab('rigs', 'r'));
    expect(result.current).toBe(false);
    await drafts.set('rigs:r:other', row({}));
    await act(async () => {
      tabsOf<{ key: string }>('drafts').tell({ key: 'rigs:r:other' });
      await new Promise((resolve) => setTimeout(resolve, 50));
    });
    expect(result.current).toBe(true);
  });
});

describe('of earlier versions of the app', () => {
  it.each([
    ['a kind', 'steady-scatter.rigs-draft.new', { schemaVersion: 2, input: rig }, 'rigs:new:earlier', rig],
    ['the input alone', 'steady-scatter.rigs-draft.r', rig, 'rigs:r:earlier', rig],
    ['a kind of two words', 'steady-scatter.rule-sets-draft.x', { schemaVersion: 1, input: { name: 'S' } }, 'ruleSets:x:earlier', { name: 'S' }],
    ['a job', 'steady-scatter.draft.j', { format: 3, baseVersion: 4, form: { name: 'J' } }, 'jobs:j:earlier', { name: 'J' }],
    ['a mix', 'steady-scatter.mix', { name: 'M' }, 'mix:new:earlier', { name: 'M' }],
  ])('%s is taken over once', async (_, key, held, place, input) => {
    localStorage.setItem(key, JSON.stringify(held));
    await openDrafts();
    expect(drafts.get(place)?.input).toEqual(input);
    expect(localStorage.getItem(key)).toBeNull();
  }); // prettier-ignore
});
