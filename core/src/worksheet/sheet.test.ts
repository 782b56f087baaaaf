import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import {
  answerWorksheet,
  AS_TYPED,
  blankCalibration,
  blankProduct,
  blankWorksheet,
  chartMatch,
  jobUpgrades,
  lookUpMark,
  mayGiveSetting,
  questionsOf,
  sameProductKey,
  withProduct,
  workingText,
  type ProductInput,
  type WorksheetInput,
} from '../index.ts';
import { upgraded } from '../fields/index.ts';

const feed = (more: Partial<ProductInput> = {}): ProductInput => ({ ...blankProduct('dry-fertilizer', 'us'), grade: '24-0-8', ...more }); // prettier-ignore
const sheet = (more: Partial<WorksheetInput> = {}): WorksheetInput => ({
  ...blankWorksheet('us', 'a'),
  need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
  product: feed(),
  areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' }],
  ...more,
});
const answer = (input: WorksheetInput) => answerWorksheet(input, AS_TYPED);
const asked = (input: WorksheetInput) => questionsOf({ input, ...answer(input) });
const LB_1000 = 0.45359237 / 92.90304;

describe('one time over the ground', () => {
  it('case W: two portions, each in two directions', () => {
    const { numbers, lines } = answer(
      sheet({ split: { portions: '2', everyDays: '28', directions: 'two' } }),
    );
    expect(numbers.once).toMatchObject({ times: 4, portions: 2, directions: 2 });
    expect(numbers.once.rateSi! / LB_1000).toBeCloseTo(0.833333, 6);
    expect(numbers.once.amountSi! / 0.45359237).toBeCloseTo(24.666667 / 4, 5);
    expect(workingText(lines.once, speak)).toBe('3.33 lb / 1000 ft² ÷ 2 portions ÷ 2 directions = 0.833 lb / 1000 ft² so in all 6.17 lb'); // prettier-ignore
  });
  it('is the whole where nothing is split', () => {
    expect(answer(sheet()).numbers.once).toMatchObject({ times: 1, rateSi: answer(sheet()).numbers.rateSi });
  });
});

describe('packages and spray', () => {
  it('one package, or two to be sure, when the ground may be larger', () => {
    const near = sheet({ product: feed({ package: { size: '25', unit: 'lb' } }), areas: [{ id: 'a', name: '', size: '7400 ft2 ±8 %', unit: 'ft2' }] }); // prettier-ignore
    expect(answer(near).numbers.packages).toMatchObject({ whole: 1, wholeAtMost: 2 });
    expect(workingText(answer(near).lines.packages, speak)).toContain('so take 1 or 2 to be sure');
  });
  const liquid = feed({
    kind: 'liquid-fertilizer',
    grade: '28-0-0',
    density: { text: '1.28', unit: 'kg/L' },
  });
  const wet = (carrier: WorksheetInput['carrier']) => answer(sheet({ need: { nutrient: 'N', amount: '25', unit: 'kg/ha' }, product: liquid, areas: [{ id: 'a', name: '', size: '640 m2', unit: 'm2' }], carrier })); // prettier-ignore
  it('finished mix and water alone are told apart', () => {
    const product = 4.464285714;
    expect(wet({ amount: '500', unit: 'L/ha', means: 'mix' }).numbers.mix).toMatchObject({ mixL: expect.closeTo(32, 9), waterL: expect.closeTo(32 - product, 6) }); // prettier-ignore
    expect(wet({ amount: '500', unit: 'L/ha', means: 'water' }).numbers.mix).toMatchObject({ mixL: expect.closeTo(32 + product, 6), waterL: expect.closeTo(32, 6) }); // prettier-ignore
  });
  it('more product than mix is refused, a drop of mix is asked about', () => {
    expect(wet({ amount: '50', unit: 'L/ha', means: 'mix' }).errors).toMatchObject([{ code: 'mix.product-larger', field: 'carrier.amount' }]); // prettier-ignore
    const drop = sheet({ carrier: { amount: '0.001', unit: 'gal/acre', means: 'mix' } });
    expect(asked(drop)).toMatchObject([{ kind: 'spray-low', field: 'carrier.amount', likely: null }]);
  });
});

describe('slips are asked about, with the likely reading one act away', () => {
  const likely = (input: WorksheetInput) => asked(input).map(({ kind, likely: sheetMeant }) => [kind, sheetMeant && speak(sheetMeant.label)]); // prettier-ignore
  it.each<[string, Partial<WorksheetInput>, [string, string | undefined][]]>([
    ['a share of active ingredient as a fraction', { product: feed({ kind: 'granular-carrier', grade: '', load: '0.00172' }) }, [['load-fraction', '0.172 %']]],
    ['a slow share as a fraction', { product: feed({ slowShare: '0.2' }) }, [['slow-fraction', '20 %']]],
    ['ten pounds of N', { need: { nutrient: 'N', amount: '10', unit: 'lb/1000 ft2' } }, [['need-high', '1 lb']]],
    ['a pound on each square foot', { need: { nutrient: 'product', amount: '1', unit: 'lb/ft2' } }, [['rate-high', '1 lb on each 1000 ft²']]],
    ['package and coverage swapped', { product: feed({ package: { size: '12000', unit: 'lb' }, coverage: { size: '40', unit: 'ft2' } }) }, [['package-swapped', '40 lb covers 12\u202f000 ft²']]],
    ['10 m for 10 ft beside sister areas', { areas: [{ id: 'a', name: '', size: '20 x 30 ft', unit: 'ft2' }, { id: 'b', name: '', size: '30 x 40 m', unit: 'ft2' }, { id: 'c', name: '', size: '400', unit: 'ft2' }] }, [['area-unit', '30 × 40 ft']]],
    ['nothing odd', {}, []],
    ['a small share that ends in percent', { product: feed({ kind: 'granular-carrier', grade: '', load: '0.00172 %' }) }, []],
  ])('%s', (_, more, kinds) => expect(likely(sheet(more))).toEqual(kinds)); // prettier-ignore
  it('what was confirmed is not asked again, until it changes', () => {
    const input = sheet({ need: { nutrient: 'N', amount: '10', unit: 'lb/1000 ft2' } });
    const confirmed = { ...input, confirmed: [asked(input)[0]!.id] };
    expect(asked(confirmed)).toEqual([]);
    expect(asked({ ...confirmed, need: { ...input.need, amount: '12' } })).toHaveLength(1);
  });
  it('the likely reading answers the question', () => {
    const input = sheet({ need: { nutrient: 'N', amount: '10', unit: 'lb/1000 ft2' } });
    expect(asked(asked(input)[0]!.likely!.sheet)).toEqual([]);
  });
});

describe('a product from the shelf', () => {
  it('brings what its label says and leaves the rest', () => {
    const { sheet: next, replaced } = withProduct(sheet(), blankProduct('dry-fertilizer', 'us'));
    expect(next).toMatchObject({ need: { nutrient: 'N' }, product: { grade: '24-0-8' } });
    expect(replaced).toEqual([]);
  });
  it('what it would replace of what was typed by hand is named', () => {
    const pitch = feed({ name: 'Pitch feed', grade: '15-5-10', package: { size: '50', unit: 'lb' } });
    const input = sheet({ product: feed({ package: { size: '40', unit: 'lb' } }) });
    expect(withProduct(input, pitch).replaced).toEqual([{ fact: 'grade', from: '24-0-8', to: '15-5-10' }, { fact: 'package', from: '40', to: '50' }]); // prettier-ignore
    // A label that stood there goes as a whole, and nothing is asked.
    const labelled = withProduct(sheet({ product: feed({ name: 'Lake feed', price: '26' }) }), feed({ name: 'Bare', grade: '' })); // prettier-ignore
    expect(labelled).toMatchObject({
      replaced: [],
      sheet: { product: { grade: '', price: '' }, need: { nutrient: 'N' } },
    });
  });
});

describe('a chart and the product of a sheet', () => {
  const chart = (product: string, more = {}) => ({ ...blankCalibration('us'), product, ...more });
  const is = (product: ProductInput, made: ReturnType<typeof chart>, shelf: ProductInput | null = null, said = '') => chartMatch(product, made, shelf, said).is; // prettier-ignore
  it('match by name and grade', () => {
    expect(is(feed({ name: 'Lake feed' }), chart('Lake feed 24-0-8'))).toBe('same');
    expect(is(feed({ name: 'Lake feed', grade: '22-0-8' }), chart('Lake feed 24-0-8'))).toBe('other');
    expect(is(feed({ name: 'Organic meal', grade: '8-3-1' }), chart('Lake feed 24-0-8'))).toBe('other');
    expect(is(feed(), chart('Lake feed 24-0-8'))).toBe('same-grade');
    expect(is(feed({ grade: '' }), chart('Lake feed'))).toBe('unnamed');
    expect(is(feed({ name: 'Lake feed' }), chart('Lake feed'), feed({ grade: '10-10-10' }))).toBe('other');
  });
  it('another product gives no setting until it is said to be the same, and that holds for these two names alone', () => {
    const other = chartMatch(feed({ name: 'Green power' }), chart('Lake feed 24-0-8'), null, '');
    expect(mayGiveSetting(other)).toBe(false);
    const said = sameProductKey(other);
    expect(is(feed({ name: 'Green power' }), chart('Lake feed 24-0-8'), null, said)).toBe('said-same');
    expect(is(feed({ name: 'Yellow power' }), chart('Lake feed 24-0-8'), null, said)).toBe('other');
  });
  it('another grain or lot is told', () => {
    expect(chartMatch(feed({ name: 'Lake feed', grainSize: '215', lot: 'B' }), chart('Lake feed', { grain: '120', lot: 'A' }), null, '').differs).toEqual(['grain', 'lot']); // prettier-ignore
  });
  it('a rate within rounding of the last one tested was tested', () => {
    const lines = [1, 2].map((rate, index) => ({ mark: { label: String(index), opening: index }, rateSi: rate, tested: true })); // prettier-ignore
    expect(lookUpMark(lines, 2.004, false)!.beyond).toBeNull();
    expect(lookUpMark(lines, 2.02, false)!.beyond).toBe('above');
  });
});

it('a sheet of an earlier version has what it did not know yet as blank', () => {
  const { split, carrier, rules, spread, confirmed, ...rest } = sheet();
  const earlier = { ...rest, split: { portions: '2', everyDays: '28' }, carrier: { amount: '', unit: carrier.unit }, rules: { setId: '', soilTestDay: '2026-03-02', soFar: [], unit: rules.unit }, spread: { calibration: '', width: spread.width, recomputed: false } }; // prettier-ignore
  expect(upgraded(jobUpgrades, 1, { worksheet: earlier })['worksheet']).toMatchObject({ split: { ...split, portions: '2', everyDays: '28' }, carrier, rules: { soilTest: '', soilTestDay: '2026-03-02' }, spread: { sameProduct: '' }, confirmed }); // prettier-ignore
});
