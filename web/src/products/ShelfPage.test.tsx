import { products, type Kind } from '@steady-scatter/contract';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { callDocuments } from '../api/lazyCall.ts';
import { fetched, inApp, keepDemo, keepList, lineOf } from '../testing/inApp.tsx';
import { savedFiles } from '../testing/out.ts';
import ShelfPage from './ShelfPage.tsx';

const asked = vi.mocked(callDocuments);
const KIND: Kind = products;
const LINES = demo.products.map((product) => lineOf(KIND, product));

beforeEach(() => {
  keepDemo();
  keepList(KIND, {}, LINES);
  asked.mockResolvedValue({ items: [LINES[0]], next: null, total: 1 });
});
const lastAsked = () => asked.mock.calls.findLast(([, verb]) => verb === 'list')?.[2].query;

it('tells of each product what its label says', () => {
  inApp(<ShelfPage />);
  const row = screen.getByRole('link', { name: 'Lake feed 24-0-8' }).closest('tr')!;
  for (const text of ['dry fertilizer', '24-0-8', '40 lb', '31.80', '10.5', 'TH-2603'])
    expect(row.textContent).toContain(text);
  expect(screen.getByRole('link', { name: 'Sample carrier 0.43' }).closest('tr')!.textContent).toContain(
    '0.43 % load',
  );
});

it('is sorted, filtered and sought through by the server, which has all of them', async () => {
  const person = inApp(<ShelfPage />);
  await person.click(screen.getByRole('button', { name: 'Price each', hidden: true }));
  await waitFor(() => expect(lastAsked()).toEqual({ sort: '-priceCents' }));
  expect(screen.getByText('Price each').closest('th')!.getAttribute('aria-sort')).toBe('descending');
  await person.click(screen.getByRole('button', { name: 'Price each', hidden: true }));
  await waitFor(() => expect(lastAsked()).toEqual({ sort: 'priceCents' }));
  await person.selectOptions(screen.getByLabelText('Kind of product'), 'liquid-fertilizer');
  await waitFor(() =>
    expect(lastAsked()).toEqual({ sort: 'priceCents', filter: ['kind:liquid-fertilizer'] }),
  );
  await person.type(screen.getByLabelText('Search products'), 'urea');
  await waitFor(() => expect(lastAsked()).toMatchObject({ q: 'urea' }));
});

it('is exported whole, not only what is shown', async () => {
  asked.mockImplementation(async (_kind, verb, { query }) =>
    verb === 'list'
      ? { items: LINES, next: null, total: LINES.length }
      : {
          documents: demo.products
            .filter(({ id }) => String(query?.['ids']).includes(id))
            .map(({ id, input }) => fetched(id, input)),
          unreadable: [],
        },
  );
  const person = inApp(<ShelfPage />);
  await person.click(screen.getByRole('button', { name: 'Export' }));
  await waitFor(() => expect(savedFiles()).toHaveLength(1));
  const [{ text } = { text: '' }] = savedFiles();
  expect(text.trim().split('\r\n')).toHaveLength(demo.products.length + 1);
  expect(text).toContain('Lake feed 24-0-8');
});

it('says what was not found', async () => {
  const person = inApp(<ShelfPage />);
  asked.mockResolvedValue({ items: [], next: null, total: 0 });
  await person.type(screen.getByLabelText('Search products'), 'zzz');
  expect(await screen.findByText(/^No match/)).toBeTruthy();
});

it('an empty shelf says what stands on one, and asks for no search', () => {
  keepList(KIND, {}, []);
  inApp(<ShelfPage />);
  expect(screen.getByText(/The shelf is empty/)).toBeTruthy();
  expect(screen.queryByLabelText('Search products')).toBeNull();
});

it('what is ticked is compared', async () => {
  const person = inApp(<ShelfPage />);
  expect(screen.getByRole('button', { name: 'Compare all' })).toBeTruthy();
  await person.click(screen.getByRole('checkbox', { name: 'Select Lake feed 24-0-8' }));
  expect(screen.getByRole('button', { name: 'Compare 1' })).toBeTruthy();
});
