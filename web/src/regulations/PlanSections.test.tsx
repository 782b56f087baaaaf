import type { ProductInput } from '@steady-scatter/core/products';
import type { WorksheetInput } from '@steady-scatter/core/worksheet';
import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import PlanSections from './PlanSections.tsx';

beforeEach(() => keepDemo());
const open = (more: Partial<WorksheetInput> = {}, product: Partial<ProductInput> = {}) =>
  onSheet(<PlanSections />, plainSheet(more, product));
const region = (name: string) => screen.getByRole('region', { name });
const textOf = (name: string) => (region(name).textContent ?? '').replace(/\s+/g, ' ');

describe('portions', () => {
  it('are one, until they are split: each with its day and what it delivers', async () => {
    const { person, worksheet } = open();
    const section = within(region('In portions and directions'));
    expect(section.getByText('portion')).toBeTruthy();
    await person.click(section.getByRole('button', { name: 'Half now, half after four weeks' }));
    expect(worksheet().split).toMatchObject({ portions: '2', everyDays: '28' });
    expect(section.getByText('portions')).toBeTruthy();
    expect(textOf('In portions and directions')).toContain('Look at the ground before each further portion');
    expect(textOf('In portions and directions')).toMatch(/delivers 0\.400 lb N/);
    await person.click(section.getByRole('button', { name: 'All at once' }));
    expect(worksheet().split.portions).toBe('');
  });
});

describe('the order', () => {
  it('stock off first, rounded up once; more where the ground may be larger', () => {
    open(
      { areas: [{ id: 'a', name: 'Lawn', size: '7400 ft2 ±10 %', unit: 'ft2' }] },
      { package: { size: '25', unit: 'lb' }, stock: '0', price: '20' },
    );
    expect(textOf('What to buy')).toMatch(/so buy ?1/);
    expect(textOf('What to buy')).toContain('If the ground is as large as its ± allows, it takes 1 more.');
  });
});
