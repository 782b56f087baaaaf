import { products, type Kind } from '@steady-scatter/contract';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { callDocuments } from '../api/lazyCall.ts';
import { fetched, inApp, keepDemo, keepList, lineOf } from '../testing/inApp.tsx';
import ShelfPage from './ShelfPage.tsx';

vi.mock('../api/lazyCall.ts', async (load) => ({ ...(await load<object>()), callDocuments: vi.fn() }));
const asked = vi.mocked(callDocuments);
const KIND: Kind = products;
const LINES = demo.products.map((product) => lineOf(KIND, product));
const usual = { limit: 200, sort: 'name' };

beforeEach(() => {
  keepDemo();
  keepList(KIND, usual, LINES);
  asked.mockReset().mockResolvedValue({ items: [LINES[0]], next: null, total: 1 });
});
const lastAsked = () => asked.mock.calls.findLast(([, verb]) => verb === 'list')?.[2].query;

it('tells of each product what its label says', () => {
  inApp(<ShelfPage />);
  const row = screen.getByRole('link', { name: 'Lake feed 24-0-8' }).closest('tr')!;
  for (const text of ['dry fertilizer', '24-0-8', '40 lb', '31.80', '6.5', 'TH-2603'])
    expect(row.textContent).toContain(text);
  expect(screen.getByRole('link', { name: 'Sample carrier 0.43' }).closest('tr')!.textContent).toContain('0.43 % load'); // prettier-ignore
});

it('is sorted, filtered and sought through by the server, which has all of them', async () => {
  const person = inApp(<ShelfPage />);
  await person.click(screen.getByRole('button', { name: 'Price each', hidden: true }));
  await waitFor(() => expect(lastAsked()).toEqual({ limit: 200, sort: '-priceCents' }));
  expect(screen.getByText('Price each').closest('th')!.getAttribute('aria-sort')).toBe('descending');
  await person.click(screen.getByRole('button', { name: 'Price each', hidden: true }));
  await waitFor(() => expect(lastAsked()).toEqual({ limit: 200, sort: 'priceCents' }));
  await person.selectOptions(screen.getByLabelText('Kind of product'), 'liquid-fertilizer');
  await waitFor(() => expect(lastAsked()).toEqual({ limit: 200, sort: 'priceCents', filter: ['kind:liquid-fertilizer'] })); // prettier-ignore
  await person.type(screen.getByLabelText('Look for a product'), 'urea');
  await waitFor(() => expect(lastAsked()).toMatchObject({ q: 'urea' }));
});

it('is exported whole, not only what is shown', async () => {
  const saved = vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:x');
  asked.mockImplementation(
    async (_kind, verb, { query }) =>
    verb === 'list'
      ? { items: LINES, next: null, total: LINES.length }
      : { documents: demo.products.filter(({ id }) => String(query?.['ids']).includes(id)).map(({ id, input }) => fetched(id, input)), unreadable: [] }, // prettier-ignore
  );
  const person = inApp(<ShelfPage />);
  await person.click(screen.getByRole('button', { name: 'Export' }));
  await waitFor(() => expect(saved).toHaveBeenCalled());
  const text = await (saved.mock.lastCall![0] as Blob).text();
  expect(text.trim().split('\r\n')).toHaveLength(demo.products.length + 1);
  expect(text).toContain('Lake feed 24-0-8');
});

it('says what was not found, and what to do with an empty shelf', async () => {
  keepList(KIND, usual, []);
  const person = inApp(<ShelfPage />);
  expect(screen.getByText(/Nothing stands on the shelf yet/)).toBeTruthy();
  asked.mockResolvedValue({ items: [], next: null, total: 0 });
  await person.type(screen.getByLabelText('Look for a product'), 'zzz');
  expect(await screen.findByText(/No product is called that/)).toBeTruthy();
});
