import { screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { LotList } from './LotList.tsx';
import LotPage from './LotPage.tsx';

const feed = demo.products.find(({ input }) => input.name === 'Lake feed 24-0-8')!.id;
beforeEach(() => keepDemo());

it('each lot stands in a line with what came, what is left and how often it was spread', async () => {
  inApp(<LotList product={feed} />);
  const lots = await screen.findAllByRole('listitem');
  expect(lots.map((each) => each.textContent)).toEqual([
    'LF-2604 4 packages came, 3.53 left, spread 2 times',
    'TH-2603 never received, spread 5 times',
  ]);
  expect(screen.getByRole('link', { name: 'LF-2604' }).getAttribute('href')).toBe(`/shelf/${feed}/lots/LF-2604`); // prettier-ignore
});

it('its whole path: when it came, where it was spread and by whom, and what was left after each', async () => {
  inApp(<LotPage />, `/shelf/${feed}/lots/lf-2604`);
  expect(await screen.findByRole('heading', { name: 'Lot LF-2604' })).toBeTruthy();
  const rows = screen.getAllByRole('row').slice(1).map((row) => row.textContent); // prettier-ignore
  expect(rows[0]).toMatch(/^2 Apr 2026Came\+44/);
  expect(rows[1]).toMatch(/15 Jun 2026Spread on Bandstand lawn, Lake front9\.40 lb.*−0\.243\.77/);
  expect(rows).toHaveLength(3);
  expect(screen.getByText('packages left of 4')).toBeTruthy();
});

it('a lot that was spread and never came says so; one that nobody knows too', async () => {
  inApp(<LotPage />, `/shelf/${feed}/lots/TH-2603`);
  expect(await screen.findByText(/More was spread than came under this name/)).toBeTruthy();
  inApp(<LotPage />, `/shelf/${feed}/lots/XX`);
  expect(await screen.findByText('No lot of this name is known of this product.')).toBeTruthy();
});
