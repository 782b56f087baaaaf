import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { LabelSection } from './LabelSection.tsx';

beforeEach(() => keepDemo());

/** 40 lb of 24-0-8 that cover so much, for so much nitrogen. */
const open = (size: string, amount = '0.8') =>
  onSheet(
    <LabelSection onEnter={() => undefined} />,
    plainSheet(
      { need: { nutrient: 'N', amount, unit: 'lb/1000 ft2' } },
      { package: { size: '40', unit: 'lb' }, coverage: { size, unit: 'ft2' } },
    ),
  );
const text = () =>
  (screen.getByRole('region', { name: 'What the label does' }).textContent ?? '').replace(/\s+/g, ' ');

describe('what the label delivers, against what is needed', () => {
  it.each([
    ['12 000', 'delivers as much nitrogen as needed'],
    ['10 000', 'delivers 20.0 % more nitrogen than needed'],
    ['15 000', 'delivers 20.0 % less nitrogen than needed'],
    ['4800', 'delivers 2.50 times as much nitrogen as needed'],
  ])('one package for %s ft2: %s', (size, sentence) => {
    open(size);
    expect(text()).toContain(`The label’s rate ${sentence}.`);
    expect(text()).toMatch(/It also delivers 0\.\d+ lb K₂O \/ 1000 ft²\./);
  });

  it('is not said where nothing is needed yet; what it delivers is', () => {
    open('12 000', '');
    expect(text()).not.toContain('The label’s rate');
    expect(text()).toContain('It also delivers');
  });
});

it('the need can be taken from the label, and taken back; where both agree there is nothing to take', async () => {
  const { person, worksheet } = open('10 000');
  await person.click(screen.getByRole('button', { name: 'Use the label’s rate' }));
  expect(worksheet().need.amount).toBe('0.96 lb');
  expect(text()).toContain('as much nitrogen as needed');
  expect(screen.queryByRole('button', { name: 'Use the label’s rate' })).toBeNull();
  await person.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(worksheet().need.amount).toBe('0.8');
});

it('a coverage that cannot be read says so at its place', () => {
  open('nothing');
  expect(screen.getByRole('alert').textContent).toContain('nothing');
});
