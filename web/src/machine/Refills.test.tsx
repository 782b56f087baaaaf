import { screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import Refills from './Refills.tsx';

beforeEach(() => keepDemo());
const open = (job = 'Market garden, meal down the rows') => onSheet(<Refills />, sampleSheet(job));

it('of a machine that feeds rows: how far a filling goes, the load for each block, where to refill', () => {
  open();
  const text = screen.getByRole('region', { name: 'Refills down the rows' }).textContent;
  expect(text).toMatch(/One filling serves \d+ m of row\. Load \d+(\.\d)? kg for each block of \d+ rows: \d+ blocks, the last of \d+ rows\./); // prettier-ignore
  expect(text).toMatch(/Refill at (the end where you start|both ends by turns)\.$/);
});

it('asks for the row length alone, and says what is wrong with it', async () => {
  const { person, worksheet } = open();
  const row = screen.getByLabelText('Row length');
  await person.clear(row);
  expect(screen.getByText(/With the rate, the ground and the row length known/)).toBeTruthy();
  await person.type(row, '20 kg');
  expect(screen.getByRole('alert')).toBeTruthy();
  expect(worksheet().spread.rowLength.text).toBe('20 kg');
});

it('a row that is longer than a filling goes is refilled along it', async () => {
  const { person } = open();
  await person.clear(screen.getByLabelText('Row length'));
  await person.type(screen.getByLabelText('Row length'), '5 km');
  expect(screen.getByText(/less than one row: put a refill at each place/)).toBeTruthy();
});

it('a rotary has none', () => {
  open('Spring feed, lake front');
  expect(screen.queryByRole('region', { name: 'Refills down the rows' })).toBeNull();
});
