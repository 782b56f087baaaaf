import { KINDS } from '@steady-scatter/contract';
import { blankProduct } from '@steady-scatter/core/products';
import { blankWorksheet } from '@steady-scatter/core/worksheet';
import { expect, it } from 'vitest';
import { dropDraft, loadDraft, saveDraft, type Draft, type DraftStore } from './drafts.ts';

function memory(): DraftStore & { held: Map<string, string> } {
  const held = new Map<string, string>();
  return {
    held,
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => void held.set(key, value),
    removeItem: (key) => void held.delete(key),
  };
}

const draft: Draft = {
  baseVersion: 3,
  form: {
    name: 'Half',
    onDay: '',
    worksheet: {
      ...blankWorksheet('us', '0197b1c0-0000-7000-8000-000000000001'),
      product: { ...blankProduct('dry-fertilizer', 'us'), grade: '240-8' },
    },
  },
};

it('holds one draft for each job and one for the new sheet, unreadable texts and all', () => {
  const store = memory();
  expect(saveDraft(store, null, draft)).toBe(true);
  expect(saveDraft(store, 'job', { ...draft, baseVersion: 7 })).toBe(true);
  expect(loadDraft(store, null)).toEqual(draft);
  expect(loadDraft(store, 'job')?.baseVersion).toBe(7);
  dropDraft(store, null);
  expect(loadDraft(store, null)).toBeNull();
  expect(loadDraft(store, 'job')).not.toBeNull();
});

it.each([
  ['torn', '{"format": 1'],
  ['of an older form', JSON.stringify({ format: 0, ...draft })],
  [
    'with a unit that no longer exists',
    JSON.stringify({ schemaVersion: KINDS.jobs.schemaVersion, ...draft }).replace(
      'lb/1000 ft2',
      'stone/rood',
    ),
  ],
  ['of another kind', '[]'],
])('passes over a draft that is %s', (_, text) => {
  const store = memory();
  store.held.set('steady-scatter.draft.new', text);
  expect(loadDraft(store, null)).toBeNull();
});

it('says so when the storage is full or forbidden', () => {
  const forbidden: DraftStore = {
    getItem: () => {
      throw new DOMException('denied', 'SecurityError');
    },
    setItem: () => {
      throw new DOMException('full', 'QuotaExceededError');
    },
    removeItem: () => {
      throw new DOMException('denied', 'SecurityError');
    },
  };
  expect(saveDraft(forbidden, null, draft)).toBe(false);
  expect(loadDraft(forbidden, null)).toBeNull();
  expect(() => dropDraft(forbidden, null)).not.toThrow();
});

it('takes a draft that an earlier version of the app left: what that did not know is blank', () => {
  const store = memory();
  const { split: _, ...worksheet } = draft.form.worksheet;
  const before = { format: 3, baseVersion: 3, form: { ...draft.form, worksheet } };
  store.held.set('steady-scatter.draft.new', JSON.stringify(before));
  expect(loadDraft(store, null)).toEqual(draft);
});

it('leaves one of a later version alone', () => {
  const store = memory();
  store.held.set('steady-scatter.draft.new', JSON.stringify({ schemaVersion: 99, ...draft }));
  expect(loadDraft(store, null)).toBeNull();
});
