import type { ProductInput } from '@steady-scatter/core/products';
import type { WorksheetInput } from '@steady-scatter/core/worksheet';
import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { AnswerPanel } from './AnswerPanel.tsx';

beforeEach(() => keepDemo());
const open = (more: Partial<WorksheetInput> = {}, product: Partial<ProductInput> = {}) =>
  onSheet(<AnswerPanel onBroken={() => undefined} />, plainSheet(more, product));
const text = () => (screen.getByRole('region', { name: 'Answer' }).textContent ?? '').replace(/\s+/g, ' ');

describe('what still stands between the sheet and its answer', () => {
  const need = { nutrient: 'N', amount: '', unit: 'lb/1000 ft2' } as const;
  const area = { id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' } as const;
  it.each([
    ['the need', { need }, {}, 'Type how much nutrient each area needs.'],
    ['the grade', {}, { grade: '' }, 'Type the grade from the label.'],
    ['the size', { areas: [{ ...area, size: '' }] }, {}, 'Type the size of the ground.'],
    ['one entry', {}, { grade: '240-8' }, 'One entry cannot be read: the sentence under it says why.'],
    ['two entries', { areas: [{ ...area, size: 'big' }] }, { grade: '240-8' }, '2 entries cannot be read'],
    ['the active ingredient', { need: { ...need, nutrient: 'ai', amount: '1' } }, { kind: 'granular-carrier' }, 'Type how much active ingredient the product holds.'],
  ] as const)('%s', (_, more, product, sentence) => {
    open(more, product);
    expect(text()).toContain(sentence);
    expect(text()).toContain('—');
  }); // prettier-ignore

  it('an area with a name and no size is left out, and said', () => {
    open({ areas: [area, { id: 'b', name: 'Bank', size: '', unit: 'ft2' }] });
    expect(text()).toContain('1 named area without a size is left out.');
    expect(text()).toContain('24.7');
  });
});

describe('what to take', () => {
  it('whole packages, and what is left of the last', () => {
    open({}, { package: { size: '20', unit: 'lb' } });
    expect(text()).toContain('Take 2 packages of 20 lb');
    expect(text()).toContain('15.3 lb is left for the shelf');
  });

  it('one more to be sure, where the ground may be larger than it was measured', () => {
    open({ areas: [{ id: 'a', name: 'Lawn', size: '7400 ft2 ±10 %', unit: 'ft2' }] }, { package: { size: '25', unit: 'lb' } }); // prettier-ignore
    expect(text()).toContain('Take 1 package of 25 lb, or 2 to be sure');
  });
});

it('says what each nutrient comes to: as needed, and what also comes', () => {
  open();
  const rows = screen.getAllByRole('row').map(({ textContent }) => (textContent ?? '').replace(/\s+/g, ' '));
  expect(rows[0]).toMatch(/^N0\.800 lbas asked/);
  expect(rows.find((row) => row.startsWith('K₂O'))).toContain('also delivers');
});

it('in two portions what goes into the machine stands apart', () => {
  open({ split: { portions: '2', everyDays: '28', directions: 'one' } });
  expect(text()).toMatch(/This time: 12\.3 lb, at 1\.67 lb \/ 1000 ft²/);
});
