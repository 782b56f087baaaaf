import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { beforeEach, expect, it } from 'vitest';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { savedFiles } from '../../testing/out.ts';
import WinterPage from './WinterPage.tsx';
import WintersPage from './WintersPage.tsx';

beforeEach(() => {
  keepDemo();
});

const plain = (text: string | null) => (text ?? '').replaceAll(/[\u00a0\u202f]/g, ' ');
const answer = () => plain(screen.getByRole('region', { name: 'Answer' }).textContent);
const open = (name: string) =>
  inApp(
    <Routes>
      <Route path="/winter/seasons/:id" element={<WinterPage />} />
      <Route path="/winter/seasons/new" element={<WinterPage />} />
    </Routes>,
    `/winter/seasons/${demo.winters.find(({ input }) => input.name === name)!.id}`,
  );

it('winters stand with their goals', () => {
  inApp(<WintersPage />, '/winter/seasons');
  expect(plain(screen.getByRole('row', { name: /Winter 2026/ }).textContent)).toContain('300 lb');
});

it('a winter is the salt of its storms, against goal and habit', () => {
  open('Winter 2025–26');
  expect(answer()).toMatch(/^Salt on the ground3\d\dlb/);
  expect(answer()).toMatch(/under the goal of 400 lb/);
  expect(answer()).toContain('Nothing is recorded of the same days a year before.');
  expect(answer()).toMatch(/Estimate: \d+ lb of product saved against 8 lb \/ 1000 ft² before/);
  const storms = within(screen.getByRole('region', { name: 'Storms' }));
  expect(storms.getAllByRole('link').map(({ textContent }) => textContent)).toEqual(['Early frost', 'New Year ice', 'January snow']); // prettier-ignore
});

it('parts add up to the whole, whichever way they are cut', () => {
  open('Winter 2025–26');
  const salt = (heading: string) =>
    within(screen.getByRole('region', { name: heading })).getAllByRole('row').slice(1).reduce((sum, row) => sum + Number(within(row).getAllByRole('cell')[1]!.textContent), 0); // prettier-ignore
  const [storms, sites, areas] = ['Storms', 'Sites', 'Areas'].map(salt);
  // Shown to three figures each.
  expect(Math.abs(storms! - sites!)).toBeLessThan(2);
  expect(Math.abs(storms! - areas!)).toBeLessThan(2);
});

it('is held against the same days of the year before', () => {
  open('Winter 2026–27');
  expect(answer()).toMatch(
    /A year before, to the same day: [\d.]+ lb in 3 treatments, so \d+ % (less|more) now/,
  );
});

it('goes out as CSV: each area of each round', async () => {
  const person = open('Winter 2026–27');
  await person.click(screen.getByRole('button', { name: /Export CSV/ }));
  const [{ name, text } = { name: '', text: '' }] = savedFiles();
  expect(name).toBe('salt, Winter 2026–27.csv');
  const lines = text.trim().split('\r\n');
  expect(lines).toHaveLength(6);
  expect(lines[0]).toMatch(/^Storm,Round,Day,Start,End,Site,Area/);
  expect(lines.some((line) => line.includes('Scoops were counted twice'))).toBe(true);
});
