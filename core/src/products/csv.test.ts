import { expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { blankProduct, columnsOf, readShelfRow, shelfTable, type ProductInput } from './index.ts';

const read = (headings: string[], row: string[], decimalComma = false) =>
  readShelfRow(columnsOf(headings, speak), row, { decimalComma, speak });

it('knows headings as people write them, and takes each once', () => {
  expect(columnsOf(['Product name', 'N-P-K', 'Bag size', 'QTY', 'Colour', 'name'], speak)).toEqual([
    'name', 'grade', 'package', 'stock', null, null,
  ]); // prettier-ignore
});

it('goes out and comes back the same', () => {
  const input: ProductInput = {
    ...blankProduct('liquid-fertilizer', 'metric'),
    name: '-5 Liquid, "green"',
    grade: '28-0-0 + 1 S',
    gradeBasis: 'volume',
    slowShare: '30 %',
    density: { text: '1.28', unit: 'kg/L' },
    package: { size: '10', unit: 'L' },
    price: '23.00',
    stock: '2½',
    coverage: { size: '1 400', unit: 'm2' },
    labelRate: { low: '40', high: '90', mostAtOnce: '100', mostPerYear: '300', unit: 'L/ha' },
    carrier: { low: '300', high: '800', unit: 'L/ha', means: 'water' },
    salt: 'urea',
    solubility: '85',
    settings: [{ machine: 'green rotary', setting: '7', pace: '3 mph' }, { machine: 'other', setting: 'D', pace: '' }],
    lot: 'L-1',
    notes: 'two\nlines',
  }; // prettier-ignore
  const [headings, row] = shelfTable([input], speak);
  const back = read(headings!, row!);
  expect(back.errors).toEqual([]);
  expect(back.input).toMatchObject({
    kind: input.kind, name: input.name, grade: input.grade, gradeBasis: 'volume', settings: input.settings,
    package: { size: '10 L' }, coverage: { size: '1 400 m2' }, labelRate: { low: '40 L/ha', high: '90 L/ha' }, notes: input.notes,
    carrier: { low: '300 L/ha', means: 'water' }, salt: 'urea', solubility: '85',
  }); // prettier-ignore
});

it.each([
  [['Name', 'N', 'P2O5', 'K2O', 'Package', 'Unit'], ['Feed', '24', '', '8 %', '40', 'lb'], { grade: '24-0-8', package: { size: '40', unit: 'lb' }, kind: 'dry-fertilizer' }],
  [['Name', 'Grade', 'Package', 'Density'], ['Wet', '28-0-0', '2.5 gal', '10.7 lb/gal'], { kind: 'liquid-fertilizer', package: { size: '2.5 gal' } }],
  [['Name', 'Load', 'Package'], ['Carrier', '0.43 %', '18 kg'], { kind: 'granular-carrier', package: { size: '18 kg', unit: 'kg' } }],
  [['Name', 'Kind'], ['Salt', 'Dry de-icer'], { kind: 'dry-deicer' }],
])('reads %j %j', (headings, row, input) => {
  const reading = read(headings, row);
  expect(reading.errors).toEqual([]);
  expect(reading.input).toMatchObject(input);
}); // prettier-ignore

it('takes commas for decimals where columns are separated by semicolons', () => {
  const { input, errors } = read(['Name', 'Grade', 'Package', 'Price'], ['Feed, fine', '24-0-8', '1.250,5 kg', '31,80'], true); // prettier-ignore
  expect(errors).toEqual([]);
  expect(input).toMatchObject({ name: 'Feed, fine', package: { size: '1250.5 kg' }, price: '31.80' });
  expect(read(['Name', 'Price'], ['Feed', '31,80']).errors[0]?.code).toBe('price.unreadable');
});

it.each([
  ['a formula', ['=HYPERLINK("x")', ''], 'csv.formula'],
  ['a formula for a grade', ['Feed', '=1+1'], 'csv.formula'],
  ['no name', ['', '24-0-8'], 'name.empty'],
  ['a grade over 100 %', ['Feed', '60-30-20'], 'grade.over-100'],
  ['elemental taken for oxide', ['Feed', '0-0-60 elemental'], 'grade.too-much-elemental'],
])('refuses %s', (_, row, code) => {
  expect(read(['Name', 'Grade'], row).errors[0]?.code).toBe(code);
});

it('takes an export’s own mark off again, and a negative number is no formula', () => {
  expect(read(['Name', 'Notes'], ["'=sum", "'-5 degC"]).input).toMatchObject({
    name: '=sum',
    notes: '-5 degC',
  });
  expect(read(['Name', 'Price'], ['Feed', '-3']).errors[0]?.code).toBe('price.unreadable');
  expect(read(['Name', 'Kind'], ['Feed', 'sand']).errors[0]?.code).toBe('kind.unknown');
});
