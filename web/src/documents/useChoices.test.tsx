import { products } from '@steady-scatter/contract';
import { blankProduct } from '@steady-scatter/core/products';
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { ApiProblem, Unreachable } from '../api/errors.ts';
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { lineOf } from '../testing/inApp.tsx';
import { fetchDoc } from './docs.ts';
import { useChoices } from './useChoices.ts';

const asked = vi.mocked(callDocuments);

const line = (name: string, grade: string) =>
  lineOf(products, { id: name, input: { ...blankProduct('dry-fertilizer', 'us'), name, grade } });
const LINES = [line('Lake feed', '24-0-8'), line('Autumn feed', '12-4-20'), line('Meal', '8-3-1')];

beforeEach(() => {
  queries.clear();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
});

const choices = () => renderHook(() => useChoices(PRODUCTS, ({ name, grade }) => `${name} ${grade}`)).result;
const names = (of: ReturnType<typeof choices>) => of.current.found.map(({ name }) => name);

it('a short list is looked through here, as it is typed, without asking again', async () => {
  asked.mockResolvedValue({ items: LINES, next: null, total: 3 });
  const shown = choices();
  await waitFor(() => expect(shown.current.hasCome).toBe(true));
  expect(names(shown)).toEqual(['Lake feed', 'Autumn feed', 'Meal']);
  act(() => shown.current.onChange('feed 12'));
  expect(names(shown)).toEqual(['Autumn feed']);
  expect(shown.current.total).toBeNull();
  expect(asked).toHaveBeenCalledTimes(1);
});

it('of a long one what is typed is looked for on the server', async () => {
  asked.mockImplementation(async (_kind, _verb, { query = {} }) =>
    query['q'] === 'meal'
      ? { items: [line('Meal of bones', '4-12-0')], next: null, total: 1 }
      : { items: LINES, next: 'more', total: 500 },
  );
  const shown = choices();
  await waitFor(() => expect(shown.current.total).toBe(500));
  act(() => shown.current.onChange('meal'));
  // Until somebody pauses, what has come is looked through.
  expect(names(shown)).toEqual(['Meal']);
  await waitFor(() => expect(names(shown)).toEqual(['Meal of bones']));
  expect(shown.current.total).toBe(1);
});

it('says why nothing comes', async () => {
  asked.mockRejectedValue(new Unreachable('The server does not answer.'));
  const shown = choices();
  await waitFor(() => expect(shown.current.error).toBeInstanceOf(Unreachable));
  expect(shown.current.hasCome).toBe(false);
});

it('one that is put somewhere is asked for; where nothing answers it is the one that was seen last', async () => {
  queries.setDefaultOptions({ queries: { staleTime: 0, retry: false } });
  const doc = { id: 'a', version: 1, schemaVersion: 2, isSample: false, input: { name: 'Lake feed' }, changedAt: '' }; // prettier-ignore
  asked.mockResolvedValueOnce(doc);
  expect(await fetchDoc(PRODUCTS, 'a')).toEqual(doc);
  asked.mockRejectedValue(new Unreachable(''));
  expect(await fetchDoc(PRODUCTS, 'a')).toEqual(doc);
  await expect(fetchDoc(PRODUCTS, 'b')).rejects.toThrow();
  asked.mockRejectedValue(new ApiProblem({ type: '/problems/not-found', status: 404, title: '', detail: 'Gone.' } as never)); // prettier-ignore
  await expect(fetchDoc(PRODUCTS, 'a')).rejects.toThrow('Gone.');
});
