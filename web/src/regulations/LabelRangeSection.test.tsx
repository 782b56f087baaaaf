import { screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { LabelRangeSection } from './LabelRangeSection.tsx';

beforeEach(() => keepDemo());

/** A label of 24-0-8 that allows 3 to 4 lb of it on each 1000 ft2. */
function open(amount: string, portions = '', low = '3', high = '4') {
  const { worksheet, ...sheet } = plainSheet();
  const labelRate = { ...worksheet.product.labelRate, low, high, unit: 'lb/1000 ft2' as const };
  return onSheet(<LabelRangeSection />, {
    ...sheet,
    worksheet: {
      ...worksheet,
      need: { nutrient: 'N', amount, unit: 'lb/1000 ft2' },
      product: { ...worksheet.product, labelRate },
      split: { ...worksheet.split, portions, everyDays: portions && '28' },
    },
  });
}
const text = () =>
  (screen.getByRole('region', { name: 'Label rates' }).textContent ?? '').replace(/\s+/g, ' ');

it('within its range nothing is warned of', () => {
  open('0.8');
  expect(text()).toContain('chosen 3.33 lb / 1000 ft²');
  expect(text()).not.toContain('▲');
});

it.each([
  ['0.5', 'This rate is below the label’s lowest.'],
  ['1.2', 'This rate is above the label’s highest. The label decides.'],
])('for %s lb it warns: %s', (amount, words) => {
  open(amount);
  expect(text()).toContain(`▲ ${words}`);
});

it('in portions each of them is held against it', () => {
  open('1.6', '2');
  expect(text()).toContain('each portion 3.33 lb / 1000 ft²');
  expect(text()).not.toContain('▲');
});

it('an end of it can be taken for the need, and taken back', async () => {
  const { person, worksheet } = open('1.2');
  await person.click(screen.getByRole('button', { name: 'Use the highest' }));
  expect(worksheet().need.amount).toBe('0.96 lb');
  expect(text()).not.toContain('▲');
  expect(await screen.findByText('The need is now that of the label’s highest rate.')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Undo' }));
  expect(worksheet().need.amount).toBe('1.2');
});

it('is not there where the label states none', () => {
  open('0.8', '', '', '');
  expect(screen.queryByRole('region', { name: 'Label rates' })).toBeNull();
});
