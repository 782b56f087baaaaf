import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import DEMO from '../../../demo/tarn-hollow.json' with { type: 'json' };
import MachinePrinted from './MachinePrinted.tsx';
import MachineStop from './MachineStop.tsx';
import TestStop from './TestStop.tsx';
import WidthStop from './WidthStop.tsx';

beforeEach(() => keepDemo());

/** The pages of the three stops, one below the other. */
const Stops = () => (
  <>
    <MachineStop />
    <TestStop />
    <WidthStop />
  </>
);
const open = (name: string, change: (sheet: ReturnType<typeof sampleSheet>) => object = () => ({}), address?: string) => {
  const start = sampleSheet(name);
  return onSheet(<Stops />, { ...start, worksheet: { ...start.worksheet, ...change(start) } }, address); // prettier-ignore
}; // prettier-ignore
const regionText = (name: string) => screen.getByRole('region', { name }).textContent ?? '';
const machine = () => regionText('The machine');
const setting = () => regionText('Setting');
const onSetting = () => within(screen.getByRole('region', { name: 'Setting' }));
const RED = DEMO.calibrations.find(({ input }) => input.name === 'Red spreader, lake feed')!.input.rig;
const TWO_PORTIONS = 'Bandstand lawn, summer in two portions';

it('the setting is that of one time over the ground', () => {
  open(TWO_PORTIONS);
  expect(setting()).toContain('Set gate to 8.5: 1.52 lb / 1000 ft²');
  expect(setting()).toContain('This time, each way: 1.50 lb / 1000 ft²');
});

it('at once and one way it is that of the whole', () => {
  open(TWO_PORTIONS, () => ({ split: { portions: '2', everyDays: '35', directions: 'one' } }));
  expect(setting()).toContain('Set gate to 10.5');
});

it('a chart of another product gives none, until both are said to be one', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, name: 'Pond feed' } })); // prettier-ignore
  expect(machine()).toContain('This chart was made with Lake feed 24-0-8');
  expect(setting()).not.toContain('Set gate');
  await person.click(onSetting().getByRole('button', { name: 'Same product, other name' }));
  expect(machine()).toContain('one product under two names, as you said');
  expect(setting()).toContain('Set gate to 8.5');
  expect(worksheet().spread.sameProduct).toContain('Pond feed');
  await person.click(screen.getByRole('button', { name: 'They are not' }));
  expect(setting()).not.toContain('Set gate');
});

it('another product leads to its own test, with what is known of it', () => {
  open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, name: 'Pond feed' } })); // prettier-ignore
  const plainTest = new URL(onSetting().getByRole('link', { name: /^Test Pond feed/ }).getAttribute('href')!, 'http://x');
  expect(plainTest.searchParams.get('rate')).toBe('1.50 lb / 1000 ft²');
  expect(plainTest.searchParams.has('shape')).toBe(false);
  const withShape = onSetting().getByRole('link', { name: 'Test it, with this chart’s shape as first guess' });
  expect(withShape.getAttribute('href')).toContain('shape=0197a200-5a1e-7301-9c3e-3a5b0003e001');
}); // prettier-ignore

it.each([
  ['grain', { grainSize: '150' }, 'made with another grain size: test it again'],
  ['lot', { lot: 'TH-2700' }, 'made with another lot'],
])('another %s is said, and the setting stands', (_, more, words) => {
  open(TWO_PORTIONS, ({ worksheet: { product } }) => ({ product: { ...product, ...more } }));
  expect(machine()).toContain(words);
  expect(setting()).toContain('Set gate to 8.5');
});

it('choosing a machine brings its pass spacing, and what is looked at before it goes out', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, () => ({ spread: { calibration: '', width: { text: '', unit: 'ft' }, recomputed: false, sameProduct: '' } })); // prettier-ignore
  expect(setting()).toContain('No chart for this job yet');
  await person.selectOptions(screen.getByLabelText('Chart of a machine'), 'Red spreader, lake feed, at 11');
  expect(worksheet().spread).toMatchObject({ width: { text: '9', unit: 'ft' } });
  expect(regionText('Before Red push spreader goes out')).toContain('gate shut before filling');
  expect(setting()).toContain('Set gate to 8.5');
});

it('a spacing that is not the chart’s is one act from either way out', async () => {
  const { person, worksheet } = open(TWO_PORTIONS, ({ worksheet: { spread } }) => ({ spread: { ...spread, width: { text: '4.5', unit: 'ft' } } })); // prettier-ignore
  expect(setting()).toContain('Two spacings');
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

it('the width stop tells what the last tray test says, and takes it', async () => {
  const accepted = { text: '8.5', unit: 'ft', onDay: '2026-04-12', by: 'M. Orr' } as const;
  const test = DEMO.widthTests.find(({ input }) => input.rig === RED);
  keepDemo({ widthTests: [{ id: 'w', input: { ...test!.input, accepted, deflector: false } }] });
  const { person, worksheet } = open(TWO_PORTIONS);
  expect(regionText('Pass spacing')).toContain('Accepted: 8.5 apart, 12 Apr 2026');
  await person.click(within(screen.getByRole('region', { name: 'Pass spacing' })).getByRole('button', { name: 'Pass 8.5 apart' }));
  expect(worksheet().spread.width).toEqual({ text: '8.5', unit: 'ft' });
  expect(within(screen.getByRole('region', { name: 'Pass spacing' })).queryByRole('button', { name: 'Pass 8.5 apart' })).toBeNull();
}); // prettier-ignore

it('on paper the machine stands on the sheet: its chart and what to set', () => {
  const start = sampleSheet(TWO_PORTIONS);
  onSheet(<MachinePrinted />, start);
  // Not on screen, where it has stops of its own.
  const printed = screen.getByRole('region', { name: 'The machine', hidden: true }).textContent;
  expect(printed).toContain('Red spreader, lake feed');
  expect(printed).toContain('Set gate to 8.5');
});
