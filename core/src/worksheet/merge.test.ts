import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankProduct } from '../products/index.ts';
import { blankWorksheet, differences, mergeSheets, type JobInput } from './index.ts';

const base: JobInput = {
  name: 'Spring feed',
  onDay: '2026-04-18',
  worksheet: {
    ...blankWorksheet('us', 'a'),
    product: { ...blankProduct('dry-fertilizer', 'us'), grade: '24-0-8' },
    areas: [{ id: 'a', name: 'Lawn', size: '62 x 38', unit: 'ft2' }],
  },
};
const change = (more: Partial<JobInput['worksheet']>): JobInput => ({
  ...base,
  worksheet: { ...base.worksheet, ...more },
});

describe('differences', () => {
  it('finds none between equals', () => expect(differences(base, structuredClone(base))).toEqual([]));

  it('names each term and shows both sides as they read', () => {
    const theirs = change({
      product: { ...base.worksheet.product, grade: '22-2-11' },
      areas: [{ id: 'a', name: 'Lawn', size: '60 x 38', unit: 'ft2' }, { id: 'b', name: '', size: '690 m2', unit: 'ft2' }], // prettier-ignore
    });
    expect(differences(base, theirs)).toEqual([
      { key: 'grade', label: 'Grade', mine: '24-0-8', theirs: '22-2-11' },
      { key: 'area.a', label: 'Area', mine: 'Lawn: 62 x 38 (ft²)', theirs: 'Lawn: 60 x 38 (ft²)' },
      { key: 'area.b', label: 'Area', mine: null, theirs: 'no name: 690 m2' },
    ]);
  });

  it('tells the same number in another unit apart', () => {
    const kg = change({ need: { nutrient: 'N', amount: '1', unit: 'kg/ha' } });
    const lb = change({ need: { nutrient: 'N', amount: '1', unit: 'lb/acre' } });
    expect(differences(kg, lb)).toMatchObject([
      { key: 'need', mine: '1 N (kg / ha)', theirs: '1 N (lb / acre)' },
    ]);
    expect(differences(base, change({ shownIn: { rate: 'kg/ha', amount: null, area: null } }))).toMatchObject(
      [{ key: 'shownIn', theirs: 'kg / ha' }],
    );
  });
});

const side = fc.record({
  name: fc.constantFrom('A', 'B'),
  onDay: fc.constantFrom('2026-04-18', '2026-04-19'),
  grade: fc.constantFrom('24-0-8', '22-2-11'),
  amount: fc.constantFrom('', '1', '2'),
  price: fc.constantFrom('', '26.40'),
  portions: fc.constantFrom('', '2'),
  areas: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), name: fc.constantFrom('', 'Lawn'), size: fc.constantFrom('', '10'), unit: fc.constant('ft2' as const) }), { selector: ({ id }) => id }),
}); // prettier-ignore
const built = side.map(({ name, onDay, grade, amount, price, portions, areas }): JobInput => ({
  name, onDay, worksheet: { ...base.worksheet, product: { ...base.worksheet.product, grade, price }, areas, split: { portions, everyDays: '28', directions: 'one' }, need: { ...base.worksheet.need, amount } },
})); // prettier-ignore

it('a merge differs from a side in just the terms that were taken from the other', () => {
  fc.assert(
    fc.property(built, built, fc.func(fc.constantFrom('mine' as const, 'theirs' as const)), (mine, theirs, choose) => {
      const all = differences(mine, theirs);
      const keys = (wanted: string) => all.map(({ key }) => key).filter((key) => choose(key) === wanted).toSorted();
      const merged = mergeSheets(mine, theirs, choose);
      expect(differences(mine, merged).map(({ key }) => key).toSorted()).toEqual(keys('theirs'));
      expect(differences(merged, theirs).map(({ key }) => key).toSorted()).toEqual(keys('mine'));
    }),
    { seed: 4104, numRuns: 500 },
  );
}); // prettier-ignore
