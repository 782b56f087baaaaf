import { blankProduct } from '@steady-scatter/core/shelf';
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
      ...blankWorksheet('us', 'a'),
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
    JSON.stringify({ format: 3, ...draft }).replace('lb/1000 ft2', 'stone/rood'),
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

it.each([1, 2])('takes a draft that an earlier version of the app left, format %i', (format) => {
  const store = memory();
  const { areas, shownIn, product } = draft.form.worksheet;
  const { grade, package: pack, coverage } = product;
  const before = {
    need: { nutrient: 'N', amount: '', unit: 'lb/1000 ft2' },
    grade,
    areas,
    package: pack,
    ...(format === 2 ? { coverage } : {}),
    shownIn,
  };
  const old = { format, baseVersion: 3, form: { ...draft.form, worksheet: before } };
  store.held.set('steady-scatter.draft.new', JSON.stringify(old));
  expect(loadDraft(store, null)).toEqual(draft);
});
