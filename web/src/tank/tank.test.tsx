import { blankProduct, type ProductInput } from '@steady-scatter/core/products';
import type { WorksheetInput } from '@steady-scatter/core/worksheet';
import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepDemo, onSheet, plainSheet, sampleSheet } from '../testing/inApp.tsx';
import { amountText, inOwnMeasures, measuresOf } from './amounts.ts';
import TankSection from './TankSection.tsx';

beforeEach(() => keepDemo());
const open = (more: Partial<WorksheetInput> = {}, product: Partial<ProductInput> = {}) =>
  onSheet(<TankSection />, plainSheet(more, product));
const region = (name: string) => screen.getByRole('region', { name });
const textOf = (name: string) => (region(name).textContent ?? '').replace(/\s+/g, ' ');

describe('the spray volume that the label allows', () => {
  const liquid = (low: string, high: string) =>
    open({}, { kind: 'soluble-fertilizer', carrier: { low, high, unit: 'gal/1000 ft2', means: '' } });
  it.each([
    ['1', '3', 'The label allows 1.00 to 3.00 gal / 1000 ft².'],
    ['1', '', 'The label allows 1.00 gal / 1000 ft² or more.'],
    ['', '3', 'The label allows up to 3.00 gal / 1000 ft².'],
  ])('from %s to %s', (low, high, sentence) => {
    liquid(low, high);
    expect(textOf('Spray mix')).toContain(sentence);
  });

  it('nothing is said where the label sets none, and nothing is sprayed that is spread dry', () => {
    liquid('', '');
    expect(textOf('Spray mix')).not.toContain('The label allows');
  });

  it('a dry fertilizer has no spray mix, and no tank', () => {
    open();
    expect(screen.queryByRole('region', { name: 'Spray mix' })).toBeNull();
  });
});

/** 0.5 gal of a liquid on each 1000 ft2, on 21 000 ft2, in 2 gal of mix. */
const LIQUID: Partial<WorksheetInput> = {
  need: { nutrient: 'product', amount: '0.5', unit: 'gal/1000 ft2' },
  areas: [{ id: 'a', name: 'Lawn', size: '21 000', unit: 'ft2' }],
  carrier: { amount: '2', unit: 'gal/1000 ft2', means: 'mix' },
  tank: { size: '16', unit: 'gal', water: '50', waterUnit: 'degF', calibration: '' },
};
const liquid = (more: Partial<WorksheetInput> = {}) => open({ ...LIQUID, ...more }, { ...blankProduct('liquid-fertilizer', 'us'), name: 'Lake liquid' }); // prettier-ignore
const row = (name: string) => within(screen.getByRole('table', { name: 'What each tank takes' })).getByRole('row', { name: new RegExp(`^${name}`) }).textContent; // prettier-ignore

describe('the tanks of a job', () => {
  it('while no volume is typed, the mix is worked out with that of the machine’s chart', async () => {
    onSheet(<TankSection />, sampleSheet('Lake front, boom top-up'));
    await screen.findByText(/^Spray volume 0\.959 gal \/ 1000 ft², from Utility boom/);
    expect(screen.getByPlaceholderText('0.959 gal / 1000 ft²')).toBeTruthy();
    expect(textOf('Spray mix')).toMatch(/×122.000 ft²=117 galof finished mix/);
  });
  it('what nozzles give is finished mix, also where a typed volume would be of water alone', async () => {
    const { worksheet, ...form } = sampleSheet('Lake front, boom top-up');
    const carrier = { ...worksheet.carrier, means: 'water' as const };
    onSheet(<TankSection />, { ...form, worksheet: { ...worksheet, carrier } });
    await screen.findByPlaceholderText('0.959 gal / 1000 ft²');
    expect(textOf('Spray mix')).toMatch(/×122.000 ft²=117 galof finished mix/);
    expect(row('Finished mix')).toContain('50 gal');
  });
  it('full ones alike and the last exactly, water and product apart', () => {
    liquid();
    expect(screen.getByText('Each of 2 full tanks')).toBeTruthy();
    expect(row('Ground')).toContain('8\u202f000 ft²');
    expect(row('Water alone')).toMatch(/12 gal.*7\.5 gal/);
    expect(row('Lake liquid')).toMatch(/4 gal.*2\.5 gal/);
    expect(row('Finished mix')).toMatch(/16 gal.*10 gal/);
    expect(within(region('Tank')).getAllByRole('listitem').map((item) => item.textContent)[0]).toBe('Fill in 8 gal of water and start the agitator.'); // prettier-ignore
  });
  it('water alone is more mix by what the liquid takes', () => {
    liquid({ carrier: { ...LIQUID.carrier!, means: 'water' } });
    expect(row('Ground')).toContain('6\u202f400 ft²');
  });
  it('what is missing is asked for, one thing', () => {
    liquid({ tank: { ...LIQUID.tank!, size: '' } });
    expect(textOf('Tank')).toContain('Type what the tank holds.');
  });
  it('a second product by its share of the mix, and away again', async () => {
    const { person, worksheet } = liquid();
    await person.click(screen.getByRole('button', { name: 'Add a product to the tank' }));
    const choice = screen.getByLabelText('Product 2');
    await person.selectOptions(choice, 'Liquid nitrogen 28-0-0');
    await person.type(screen.getByLabelText('Rate'), '2 fl oz/gal');
    expect(row('Liquid nitrogen 28-0-0')).toMatch(/32 fl oz.*20 fl oz/);
    await person.click(screen.getByRole('button', { name: 'Remove Liquid nitrogen 28-0-0' }));
    expect(worksheet().mates).toEqual([]);
  });
  it('more product than mix is refused with its sentence', () => {
    liquid({ need: { ...LIQUID.need!, amount: '3' } });
    expect(screen.queryByRole('table', { name: 'What each tank takes' })).toBeNull();
  });
});

describe('what dissolves', () => {
  const salt = (amount: string, more: Partial<ProductInput> = {}) =>
    open({ ...LIQUID, need: { nutrient: 'product', amount, unit: 'lb/1000 ft2' } }, { ...blankProduct('soluble-fertilizer', 'us'), name: 'Saltpeter', salt: 'potassium-nitrate', ...more }); // prettier-ignore
  it('says the least water and how far it cools', () => {
    salt('1');
    expect(textOf('Tank')).toMatch(
      /Saltpeter dissolves: at least [\d.]+ gal of water at 50 °F for the first dissolve. It cools that water by \d+ °F/,
    );
  });
  it('what is too much for the water is refused, with the way out', () => {
    salt('6');
    expect(textOf('Tank')).toMatch(
      /Saltpeter does not go into this tank: it takes at least .* Spray 3\.\d gal \/ 1000 ft² or more/,
    );
  });
  it('of what nothing is known it says so; a figure from the label is enough', () => {
    salt('1', { salt: '' });
    expect(textOf('Tank')).toContain('How Saltpeter dissolves is not known');
  });
});

it('amounts are in a unit that one can measure, and in one’s own cups', () => {
  expect([
    amountText(3.785411784 / 4, 'gal'),
    amountText(3.785411784 * 2, 'gal'),
    amountText(0.25, 'kg'),
  ]).toEqual(['32 fl oz', '2 gal', '250 g']);
  expect(inOwnMeasures(4.5, measuresOf('cup 250 mL, jug 2 L'))).toBe('2 × jug + 2 × cup');
  expect([measuresOf('a jug'), inOwnMeasures(1, [])]).toEqual([[], '']);
});
