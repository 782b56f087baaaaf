import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { blankProduct, type ProductInput } from '../products/index.ts';
import { workingText } from '../working/index.ts';
import {
  answerWorksheet,
  AS_TYPED,
  blankWorksheet,
  needFromLabel,
  worksheetText,
  type WorksheetInput,
} from './index.ts';

const plain = (text: string) => text.replaceAll('\u202f', ' ');
const label = (more: Partial<ProductInput> = {}): ProductInput => ({
  ...blankProduct('dry-fertilizer', 'us'),
  grade: '24-0-8',
  package: { size: '40', unit: 'lb' },
  ...more,
});
const sheet = (sizes: [string, string][], more: Partial<WorksheetInput> = {}): WorksheetInput => ({
  ...blankWorksheet('us', 'a'),
  need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
  product: label(),
  areas: sizes.map(([name, size], i) => ({ id: String(i), name, size, unit: 'ft2' })),
  ...more,
});
const answer = (input: WorksheetInput) => answerWorksheet(input, AS_TYPED);

describe('bands', () => {
  const of = (site: string) => ({ site, area: 'x' });
  const areas = (...rows: [string, string?][]) =>
    rows.map(([size, site], i) => ({ id: String(i), name: '', size, unit: 'ft2' as const, from: site ? of(site) : undefined })); // prettier-ignore
  it('goes from the size into the amount', () => {
    const { lines } = answer(sheet([], { areas: areas(['7 400 ft2 ±3 %']) }));
    expect(plain(workingText(lines.areas[0]!, speak))).toBe(
      '7 400 ft2 ±3 % = 7 400 ft² ±200 × 3.33 lb / 1000 ft² = 24.7 lb ±0.7',
    );
    expect(plain(workingText(lines.total, speak))).toBe('3.33 lb / 1000 ft² × 7 400 ft² ±200 = 24.7 lb ±0.7');
  });
  it('areas of one site add up, others combine in quadrature', () => {
    const bandFt2 = (...rows: [string, string?][]) =>
      answer(sheet([], { areas: areas(...rows) })).numbers.totalBandM2 / 0.3048 ** 2;
    expect(bandFt2(['1000 ±30 %'], ['1000 ±40 %'])).toBeCloseTo(500, 6);
    expect(bandFt2(['1000 ±30 %', 's'], ['1000 ±40 %', 's'])).toBeCloseTo(700, 6);
    expect(bandFt2(['1000 ±30 %', 's'], ['1000 ±40 %', 't'], ['1000'])).toBeCloseTo(500, 6);
  });
});

describe('a worksheet with three areas', () => {
  const three = answer(sheet([['Bandstand', '62 x 38 ft'], ['Bank', '330 m2'], ['Strip', '0.05 ac']])); // prettier-ignore
  const totalM2 = 2356 * 0.3048 ** 2 + 330 + 0.05 * 4046.8564224;

  it('adds them up and rounds packages once', () => {
    expect(three.numbers.totalM2).toBeCloseTo(totalM2, 9);
    const kg = ((0.8 * 0.45359237) / 92.90304 / 0.24) * totalM2;
    expect(three.numbers.amountSi).toBeCloseTo(kg, 12);
    expect(three.numbers.packages).toMatchObject({ whole: 1 });
    expect(three.numbers.packages!.leftSi).toBeCloseTo(40 * 0.45359237 - kg, 12);
    expect(three.numbers.areas.reduce((sum, a) => sum + a.amountSi!, 0)).toBeCloseTo(kg, 12);
  });

  it('gives the need back from the total', () => {
    expect(three.numbers.backPerM2! / ((0.8 * 0.45359237) / 92.90304)).toBeCloseTo(1, 12);
  });

  it('writes lines that read like a page', () => {
    expect(plain(worksheetText(three, speak)).split('\n')).toEqual([
      'What the ground needs: 0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²',
      'Bandstand: 62 × 38 ft = 2 360 ft² × 3.33 lb / 1000 ft² = 7.85 lb',
      'Bank: 330 m2 = 3 550 ft² × 3.33 lb / 1000 ft² = 11.8 lb',
      'Strip: 0.05 ac = 2 180 ft² × 3.33 lb / 1000 ft² = 7.26 lb',
      'In all: 3.33 lb / 1000 ft² × 8 090 ft² = 27.0 lb',
      'Packages: 27.0 lb ÷ 40 lb = 0.674 packages so take 1',
      'One package at this rate: 40 lb ÷ 3.33 lb / 1000 ft² = 12 000 ft²',
      'Back-check: 27.0 lb of 24-0-8 on 8 090 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²',
    ]);
  });

  it('keeps the figures before rounding and where each term comes from', () => {
    const rate = three.lines.need.parts.at(-1);
    expect(rate).toMatchObject({
      role: 'rate',
      unrounded: '3.333333 lb / 1000 ft²',
      origin: 'computed',
      strong: true,
    });
    expect(three.lines.need.parts.map((part) => (part.type === 'term' ? part.origin : ''))).toEqual(
      ['typed', 'typed', '', 'typed', '', 'label', '', 'label', '', 'computed'], // prettier-ignore
    );
    expect(three.lines.areas.map(({ parts }) => parts[0])).toMatchObject([
      { origin: 'measured' },
      { origin: 'typed' },
      { origin: 'typed' },
    ]);
  });

  it('shows everything the rate delivers', () => {
    expect(three.delivered.map(({ nutrient, shown, part }) => [nutrient, shown.number, part])).toEqual([
      ['N', '0.800', 'asked'],
      ['P2O5', '0', 'none'],
      ['K2O', '0.267', 'along'],
    ]);
  });
});

describe('an incomplete worksheet', () => {
  it('is blank without errors', () => {
    const blank = answer(blankWorksheet('us', 'a'));
    expect(blank.errors).toEqual([]);
    expect(workingText(blank.lines.need, speak)).toBe('— N on each 1000 ft² ÷ — in — = —');
    expect(worksheetText(blank, speak)).toBe('');
  });

  it('leaves a named area without a size out of the total, and says so', () => {
    const partly = answer(sheet([['Lawn', '1000'], ['Bank', '']])); // prettier-ignore
    expect(partly.numbers).toMatchObject({ unsized: 1 });
    expect(partly.numbers.totalM2).toBeCloseTo(92.90304, 9);
  });

  it('gives no total while a size is wrong, with the path of the field', () => {
    const wrong = answer(sheet([['Lawn', '1000'], ['Bank', '5 blorps']], { product: label({ package: { size: 'x', unit: 'lb' } }) })); // prettier-ignore
    expect(wrong.numbers).toMatchObject({ totalM2: null, amountSi: null, packages: null });
    expect(wrong.errors.map(({ field }) => field)).toEqual(['product.package.size', 'areas.1.size']);
  });

  it('points at the grade when it lacks the nutrient', () => {
    const lacking = answer(
      sheet([['Lawn', '1000']], { need: { nutrient: 'Fe', amount: '1', unit: 'lb/acre' } }),
    );
    expect(lacking.errors).toMatchObject([{ code: 'grade.lacks', field: 'product.grade' }]);
    expect(lacking.numbers.rateSi).toBeNull();
  });
});

describe('units of what is worked out', () => {
  it('falls to ounces or grams below one pound or kilogram', () => {
    expect(answer(sheet([['Bed', '100']])).units.amount).toBe('oz');
    expect(
      answer(sheet([['Bed', '5 m2']], { need: { nutrient: 'N', amount: '40', unit: 'kg/ha' } })).units.amount,
    ).toBe('g');
    expect(
      answer(sheet([['Bed', '690 m2']], { need: { nutrient: 'N', amount: '4', unit: 'g/m2' } })).units,
    ).toMatchObject({ rate: 'g/m2', amount: 'kg', area: 'm2' });
  });

  it('follows what is preferred, and before that what is set on the sheet', () => {
    const input = sheet([['Lawn', '690 m2']]);
    expect(answerWorksheet(input, { ...AS_TYPED, rate: 'kg/ha', area: 'm2' }).units).toMatchObject({
      rate: 'kg/ha',
      amount: 'kg',
      area: 'm2',
    });
    expect(answerWorksheet(input, { ...AS_TYPED, amount: 'g' }).units.amount).toBe('kg');
    const onSheet = { ...input, shownIn: { ...AS_TYPED, amount: 'g' as const } };
    expect(answerWorksheet(onSheet, { rate: 'kg/ha', amount: 'lb', area: 'm2' }).units).toMatchObject({
      rate: 'kg/ha',
      amount: 'g',
      area: 'm2',
    });
  });

  it('handles elemental needs from an oxide label', () => {
    const k = answer(
      sheet([['Lawn', '100 m2']], {
        product: label({ grade: '0-0-60' }),
        need: { nutrient: 'K', amount: '50', unit: 'kg/ha' },
      }),
    );
    expect(k.numbers.rateSi).toBeCloseTo(0.005 / 0.4980906, 12);
    expect(k.delivered.find(({ nutrient }) => nutrient === 'K2O')).toMatchObject({
      part: 'asked',
      other: { nutrient: 'K', shown: { number: '50.0' } },
    });
  });
});

describe('the label read backwards', () => {
  const covering = (size: string) =>
    answer(sheet([['Lawn', '7400']], { product: label({ coverage: { size, unit: 'ft2' } }) }));

  it('reference case B: 40 lb covers 12 000 ft2', () => {
    const { numbers, lines, labelAgainstNeed, labelDelivers } = covering('12 000');
    expect(numbers.label!.timesNeed).toBeCloseTo(1, 12);
    expect(labelAgainstNeed).toEqual({ verdict: 'same' });
    expect(plain(workingText(lines.label, speak))).toBe(
      '40 lb covers 12 000 ft² = 3.33 lb / 1000 ft² × 24 % in 24-0-8 = 0.800 lb N / 1000 ft²',
    );
    expect(labelDelivers.map(({ shown }) => shown.number)).toEqual(['0.800', '0', '0.267']);
    expect(numbers.packageCoversM2! / (12_000 * 0.3048 ** 2)).toBeCloseTo(1, 12);
  });

  it.each([
    ['10,000', { verdict: 'more', percent: '20.0' }],
    ['15 000', { verdict: 'less', percent: '20.0' }],
    ['4800', { verdict: 'times', times: '2.50' }],
    ['12 040', { verdict: 'same' }],
  ])('%s ft2 is %o', (coverage, comparison) => {
    expect(covering(coverage).labelAgainstNeed).toEqual(comparison);
  });

  it('works without a need, and gives the need that it meets', () => {
    const input = sheet([], {
      need: { nutrient: 'N', amount: '', unit: 'kg/ha' },
      product: label({ coverage: { size: '12 000', unit: 'ft2' } }),
    });
    const given = answer(input);
    expect(given.numbers.label!.timesNeed).toBeNull();
    expect(needFromLabel(given, input)).toBe('39.05942 kg');
    const without = { ...input, product: { ...input.product, grade: '' } };
    expect(needFromLabel(answer(without), without)).toBeNull();
  });

  it('points at a coverage that cannot be', () => {
    expect(covering('0').errors).toMatchObject([
      { field: 'product.coverage.size', code: 'quantity.not-positive' },
    ]);
  });
});

describe('what is not a dry fertilizer', () => {
  const liquid = label({
    kind: 'liquid-fertilizer',
    grade: '28-0-0',
    density: { text: '1.28', unit: 'kg/L' },
    package: { size: '10', unit: 'L' },
  });
  const ofLiquid = (more: Partial<ProductInput> = {}) =>
    answer(
      sheet([['Green', '640 m2']], {
        need: { nutrient: 'N', amount: '25', unit: 'kg/ha' },
        product: { ...liquid, ...more },
        carrier: { amount: '500', unit: 'L/ha', means: 'mix' },
      }),
    );

  it('reference case D: a liquid by volume, and the mix that it goes into', () => {
    const { numbers, lines, units, left } = ofLiquid();
    expect(numbers.rateSi! * 1e4).toBeCloseTo(69.754464, 6);
    expect(numbers.amountSi! * 1000).toBeCloseTo(4464.285714, 6);
    expect(numbers.mix!.mixL).toBeCloseTo(32, 9);
    expect(numbers.mix!.waterL! * 1000).toBeCloseTo(32000 - 4464.285714, 5);
    expect(units).toMatchObject({ rate: 'L/ha', amount: 'L', delivered: 'kg/ha' });
    expect(left).toMatchObject({ unit: 'L', number: '5.54' });
    expect(plain(workingText(lines.need, speak))).toBe(
      '25 kg N on each ha ÷ 28 % in 28-0-0 ÷ 1.28 kg/L = 69.8 L / ha',
    );
    expect(plain(workingText(lines.mix, speak))).toBe(
      '500 L / ha × 640 m² = 32.0 L of finished mix that is 32.0 L − 4.46 L of product = 27.5 L of water',
    );
    expect(plain(workingText(lines.back, speak))).toBe(
      '4.46 L of 28-0-0 on 640 m² × 28 % in 28-0-0 × 1.28 kg/L = 25.0 kg N / ha',
    );
  });

  it('a label in grams per 100 mL needs no density', () => {
    const { numbers, lines } = ofLiquid({ gradeBasis: 'volume', density: { text: '', unit: 'kg/L' } });
    expect(numbers.rateSi! * 1e4).toBeCloseTo(25 / 0.28, 9);
    expect(plain(workingText(lines.need, speak))).toBe(
      '25 kg N on each ha ÷ 28 % (w/v) in 28-0-0 = 89.3 L / ha',
    );
    expect(numbers.delivered[0]!.kgPerM2).toBeCloseTo(0.0025, 12);
  });

  it('a need in US units is shown in US volumes', () => {
    const us = answer(sheet([['Green', '5000']], { product: liquid }));
    expect(us.units).toMatchObject({ rate: 'fl oz/1000 ft2', amount: 'gal', delivered: 'lb/1000 ft2' });
    expect(answer(sheet([['Bed', '100']], { product: liquid })).units.amount).toBe('fl oz');
  });

  it('reference case C: active ingredient on a carrier', () => {
    const carrier = answer(
      sheet([['Lawn', '1000 m2']], {
        need: { nutrient: 'ai', amount: '0.6', unit: 'kg/ha' },
        product: label({ kind: 'granular-carrier', grade: '', load: '0.43 %' }),
      }),
    );
    expect(carrier.numbers.rateSi! * 1e4).toBeCloseTo(139.534884, 6);
    expect(plain(workingText(carrier.lines.need, speak))).toBe(
      '0.6 kg a.i. on each ha ÷ 0.43 % in the product = 140 kg / ha',
    );
  });

  it('a rate of the product itself is taken as it is', () => {
    const direct = answer(sheet([['Lawn', '1000']], { need: { nutrient: 'product', amount: '3.2', unit: 'lb/1000 ft2' } })); // prettier-ignore
    expect(plain(workingText(direct.lines.need, speak))).toBe(
      '3.2 lb of product on each 1000 ft² = 3.20 lb / 1000 ft²',
    );
    expect(direct.delivered[0]!.shown.number).toBe('0.768');
  });

  it('points at portions that cannot be, and at what was put down before', () => {
    const wrong = answer({
      ...sheet([['Lawn', '1000']]),
      split: { portions: '2.5', everyDays: '0', directions: 'one' },
      rules: {
        setId: '',
        soilTest: '',
        soilTestDay: 'May',
        soFar: [{ nutrient: 'N', amount: '-1' }],
        unit: 'kg/ha',
      },
    });
    expect(wrong.errors.map(({ field }) => field)).toEqual([
      'rules.soilTestDay',
      'split.portions',
      'split.everyDays',
      'rules.soFar.0.amount',
    ]);
  });
});
