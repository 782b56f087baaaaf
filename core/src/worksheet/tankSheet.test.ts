import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankProduct, type ProductInput } from '../products/index.ts';
import { answerWorksheet, AS_TYPED, blankWorksheet, patchSheet, tankSheet, withProduct, type MateInput, type WorksheetInput } from './index.ts'; // prettier-ignore

const sheetOf = (product: Partial<ProductInput>, more: Partial<WorksheetInput> = {}): WorksheetInput => {
  const blank = blankWorksheet('metric', 'a');
  return { ...blank, need: { nutrient: 'N', amount: '25', unit: 'kg/ha' }, product: { ...blankProduct('liquid-fertilizer', 'metric'), grade: '28-0-0', density: { text: '1.28', unit: 'kg/L' }, ...product }, areas: [{ id: 'a', name: '', size: '640', unit: 'm2' }], carrier: { amount: '500', unit: 'L/ha', means: 'mix' }, tank: { ...blank.tank, size: '20' }, ...more };
}; // prettier-ignore
const tanks = (
  input: WorksheetInput,
  facts = { tankL: null as number | null, chartLPerM2: null as number | null },
) => tankSheet(input, answerWorksheet(input, AS_TYPED), facts);
const mate = (amount: string, unit: MateInput['unit'], product: Partial<ProductInput> = {}): MateInput => ({ id: 'm', product: { ...blankProduct('liquid-fertilizer', 'metric'), name: 'Mate', ...product }, amount, unit }); // prettier-ignore

describe('tanks of a sheet', () => {
  it('25 kg N/ha from 28-0-0 in 500 L/ha on 640 m2: 4464.285714 mL in 32 L, a full tank and 12 L', () => {
    const { plan, parts } = tanks(sheetOf({}));
    expect(parts[0]!.totalSi * 1000).toBeCloseTo(4464.285714, 5);
    expect(plan!.totalMixL).toBeCloseTo(32, 9);
    expect([plan!.fullTanks, plan!.last!.mixL]).toEqual([1, expect.closeTo(12, 9)]);
  });
  it('goes by the chart of the machine, and by its tank, where nothing is typed', () => {
    const input = sheetOf({}, { carrier: { amount: '', unit: 'L/ha', means: 'mix' }, tank: { ...sheetOf({}).tank, size: '' } }); // prettier-ignore
    const found = tanks(input, { tankL: 16, chartLPerM2: 0.04 });
    expect([found.mixFrom, found.mixLPerM2, found.plan!.areaPerTankM2]).toEqual(['chart', 0.04, expect.closeTo(400, 9)]); // prettier-ignore
    expect(tanks(input).lacks).toEqual(['volume', 'tank']);
  });
  it('is held against the label', () => {
    const label = { carrier: { low: '300', high: '450', unit: 'L/ha' as const, means: 'mix' as const } };
    expect(tanks(sheetOf(label)).off).toBe('above');
    expect(tanks(sheetOf(label, { carrier: { amount: '250', unit: 'L/ha', means: 'mix' } })).off).toBe(
      'below',
    );
    expect(tanks(sheetOf(label, { carrier: { amount: '300', unit: 'L/ha', means: 'mix' } })).off).toBeNull();
  });
  it('one time over the ground: portions and directions each have their tanks', () => {
    const twice = sheetOf({}, { split: { portions: '2', everyDays: '28', directions: 'two' } });
    expect(tanks(twice).parts[0]!.perM2).toBeCloseTo(tanks(sheetOf({})).parts[0]!.perM2 / 4, 12);
  });
  it('a mate by area or by its share of the mix; what cannot be read is said at its field', () => {
    const per = (amount: string, unit: MateInput['unit']) =>
      tanks(sheetOf({}, { mates: [mate(amount, unit)] }));
    expect(per('10', 'L/ha').parts[1]!.perM2).toBeCloseTo(0.001, 12);
    expect(per('20', 'mL/L').parts[1]!.perM2).toBeCloseTo(0.02 * 0.05, 12);
    expect(per('20 mL/L', 'L/ha').parts[1]!.perM2).toBeCloseTo(0.02 * 0.05, 12);
    expect(per('20 kg', 'L/ha').errors[0]!.field).toBe('mates.0.amount');
    expect(per('', 'L/ha').parts).toHaveLength(1);
  });
  it('a granular product goes through the other meter: its mate has the tank to itself', () => {
    const both = sheetOf({ ...blankProduct('granular-carrier', 'metric'), load: '0.43 %' }, { need: { nutrient: 'ai', amount: '0.6', unit: 'kg/ha' }, mates: [mate('10', 'L/ha')] }); // prettier-ignore
    const { parts, plan } = tanks(both);
    expect(parts.map(({ name }) => name)).toEqual(['Mate']);
    expect(plan!.fullTanks).toBe(1);
  });
  it('what is dry dissolves or is refused; warmer water holds more', () => {
    const salt = (amount: string, water: string) => tanks(sheetOf({ ...blankProduct('soluble-fertilizer', 'metric'), salt: 'potassium-nitrate' }, { need: { nutrient: 'product', amount, unit: 'kg/ha' }, tank: { ...sheetOf({}).tank, size: '20', water } })).parts[0]!.dissolved!; // prettier-ignore
    expect(salt('50', '10').fits).toBe(true);
    expect(salt('150', '10').fits).toBe(false);
    expect(salt('150', '25').fits).toBe(true);
  });
  it('more product than mix is refused', () => {
    const drowned = sheetOf({}, { need: { nutrient: 'product', amount: '600', unit: 'L/ha' } });
    expect(tanks(drowned).errors.map(({ code }) => code)).toContain('mix.product-larger');
  });
  it('all that is in them adds up to the ground and the products of the sheet', () =>
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 90_000 }), fc.integer({ min: 5, max: 900 }), fc.constantFrom('mix', 'water'), (size, tank, means) => {
        const input = sheetOf({}, { areas: [{ id: 'a', name: '', size: String(size), unit: 'm2' }], carrier: { amount: '500', unit: 'L/ha', means }, tank: { ...sheetOf({}).tank, size: String(tank) }, mates: [mate('3', 'L/ha')] });
        const { plan, parts } = tanks(input);
        const sum = (of: (fill: NonNullable<NonNullable<typeof plan>['full']>) => number) => plan!.fullTanks * (plan!.full ? of(plan!.full) : 0) + (plan!.last ? of(plan!.last) : 0);
        expect(sum(({ areaM2 }) => areaM2) / size).toBeCloseTo(1, 9);
        parts.forEach((part, index) => expect(sum((fill) => fill.products[index]!.si) / part.totalSi).toBeCloseTo(1, 9));
        expect(sum(({ mixL, waterL, products }) => mixL - waterL - products.reduce((all, { si }) => all + si, 0))).toBeCloseTo(0, 6);
      }),
      { seed: 51, numRuns: 60 },
    )); // prettier-ignore
  it('what a label’s water rate means is taken with it', () => {
    const label = { ...blankProduct('liquid-fertilizer', 'metric'), name: 'L', carrier: { low: '', high: '', unit: 'L/ha' as const, means: 'water' as const } }; // prettier-ignore
    expect(withProduct(sheetOf({}), label).sheet.carrier.means).toBe('water');
  });
});

describe('a small patch', () => {
  const patch = (input: WorksheetInput) => patchSheet(input, answerWorksheet(input, AS_TYPED));
  it('24 g of potassium nitrate on 2 m2 in a bottle of a litre', () => {
    const input = sheetOf({ ...blankProduct('soluble-fertilizer', 'metric'), salt: 'potassium-nitrate' }, { need: { nutrient: 'product', amount: '12 g', unit: 'g/m2' }, areas: [{ id: 'a', name: '', size: '2', unit: 'm2' }], tank: { ...sheetOf({}).tank, size: '100 mL' } }); // prettier-ignore
    const { productSi, plan, dissolved } = patch(input);
    expect(productSi).toBeCloseTo(0.024, 9);
    expect(dissolved!.leastWaterL).toBeCloseTo(0.1148325, 6);
    expect([plan!.fills, plan!.perFillSi]).toEqual([2, expect.closeTo(0.012, 9)]);
  });
  it('waits for what is missing', () => {
    expect(patch(sheetOf({}, { tank: { ...sheetOf({}).tank, size: '' } })).plan).toBeNull();
    expect(patch(sheetOf({}, { areas: [] })).productSi).toBeNull();
  });
});
