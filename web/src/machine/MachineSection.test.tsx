import { screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import MachineSection from './MachineSection.tsx';

beforeEach(() => keepDemo());
const open = (name: string, change: (sheet: ReturnType<typeof sampleSheet>) => object = () => ({}), address?: string) => {
  const start = sampleSheet(name);
  return onSheet(<MachineSection onEnter={() => undefined} />, { ...start, worksheet: { ...start.worksheet, ...change(start) } }, address); // prettier-ignore
}; // prettier-ignore
const machine = () => screen.getByRole('region', { name: 'The machine' }).textContent ?? '';
const TWO_PORTIONS = 'Bandstand lawn, summer in two portions';

it('the setting is that of one time over the ground', () => {
  open(TWO_PORTIONS);
  expect(machine()).toContain('Set gate to 8.5: 1.52 lb / 1000 ft²');
  expect(machine()).toContain('This time, each way: 1.50 lb / 1000 ft²');
});

it('at once and one way it is that of the whole', () => {
  open(TWO_PORTIONS, () => ({ split: { portions: '2', everyDays: '35', directions: 'one' } }));
  expect(machine()).toContain('Set gate to 10.5');
});

it('a chart of another product gives none, until both are said to be one', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, name: 'Pond feed' } })); // prettier-ignore
  expect(machine()).toContain('This chart was made with Lake feed 24-0-8');
  expect(machine()).not.toContain('Set gate');
  await person.click(screen.getByRole('button', { name: 'Same product, other name' }));
  expect(machine()).toContain('one product under two names, as you said');
  expect(machine()).toContain('Set gate to 8.5');
  expect(worksheet().spread.sameProduct).toContain('Pond feed');
  await person.click(screen.getByRole('button', { name: 'They are not' }));
  expect(machine()).not.toContain('Set gate');
});

it('another product leads to its own test, with what is known of it', () => {
  open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, name: 'Pond feed' } })); // prettier-ignore
  const plainTest = new URL(screen.getByRole('link', { name: /^Test Pond feed/ }).getAttribute('href')!, 'http://x');
  expect(plainTest.searchParams.get('rate')).toBe('1.50 lb / 1000 ft²');
  expect(plainTest.searchParams.has('shape')).toBe(false);
  const withShape = screen.getByRole('link', { name: 'Test it, with this chart’s shape as first guess' });
  expect(withShape.getAttribute('href')).toContain('shape=0197a200-5a1e-7301-9c3e-3a5b0003e001');
}); // prettier-ignore

it.each([
  ['grain', { grainSize: '150' }, 'made with another grain size: test it again'],
  ['lot', { lot: 'TH-2700' }, 'made with another lot'],
])('another %s is said, and the setting stands', (_, more, words) => {
  open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, ...more } }));
  expect(machine()).toContain(words);
  expect(machine()).toContain('Set gate to 8.5');
});

it('choosing a machine brings its pass spacing; nothing is printed without one', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, () => ({ spread: { calibration: '', width: { text: '', unit: 'ft' }, recomputed: false, sameProduct: '' } })); // prettier-ignore
  expect(machine()).not.toContain('Set');
  await person.selectOptions(screen.getByLabelText('Chart of a machine'), 'Red spreader, lake feed, at 11');
  expect(worksheet().spread).toMatchObject({ width: { text: '9', unit: 'ft' } });
  expect(machine()).toContain('Set gate to 8.5');
});

it('a spacing that is not the chart’s is one act from either way out', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, ({ worksheet: { spread } }) => ({ spread: { ...spread, width: { text: '4.5', unit: 'ft' } } })); // prettier-ignore
  expect(machine()).toContain('Two spacings');
  await person.click(screen.getByRole('button', { name: 'Work the chart out for 4.5 ft' }));
  expect(worksheet().spread.recomputed).toBe(true);
  await person.click(screen.getByRole('button', { name: 'Undo' }));
  await person.click(screen.getByRole('button', { name: 'Pass 9 ft apart' }));
  expect(worksheet().spread).toMatchObject({ width: { text: '9 ft' }, recomputed: false });
});

it('a kept job has its card; a new sheet has none yet', () => {
  open(TWO_PORTIONS);
  expect(screen.queryByRole('link', { name: 'Card for this job' })).toBeNull();
  open(TWO_PORTIONS, undefined, '/jobs/one');
  expect(screen.getByRole('link', { name: 'Card for this job' }).getAttribute('href')).toContain('job=one');
});
