import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import {
  answerWorksheet,
  AS_TYPED,
  carrierRate,
  concentration,
  fromSi,
  liquidRate,
  readGrade,
  toSi,
  workingText,
} from '../index.ts';
import {
  blankProduct,
  cheapest,
  labelLines,
  PRODUCT_KIND_IDS,
  readLabel,
  evaluateProduct,
  type ProductInput,
} from './index.ts';
import { worksheetFor } from '../worksheet/index.ts';

const near = (value: number | null, printed: number, digits = 6) =>
  expect(Math.abs((value ?? NaN) - printed)).toBeLessThanOrEqual(0.5000001 * 10 ** -digits);

const dry = (more: Partial<ProductInput> = {}): ProductInput => ({
  ...blankProduct('dry-fertilizer', 'us'),
  name: 'Lake feed',
  grade: '24-0-8',
  package: { size: '40', unit: 'lb' },
  price: '26.40',
  ...more,
});
const liquid = (more: Partial<ProductInput> = {}): ProductInput => ({
  ...blankProduct('liquid-fertilizer', 'metric'),
  name: 'Liquid 28',
  grade: '28-0-0',
  density: { text: '1.28', unit: 'kg/L' },
  package: { size: '10', unit: 'L' },
  price: '18',
  ...more,
});
const nitrogen = (perM2: number) => ({ nutrient: 'N', perM2 }) as const;

it('reference case C: 0.6 kg ai/ha at 0.43 % load', () => {
  const rate = carrierRate(toSi(0.6, 'kg/ha'), 0.0043);
  near(fromSi(rate, 'kg/ha'), 139.534884);
  near(fromSi(rate, 'lb/1000 ft2'), 2.8579);
  const carrier = evaluateProduct({
    ...blankProduct('granular-carrier', 'metric'),
    name: 'Carrier',
    load: '0.43 %',
    package: { size: '10', unit: 'kg' },
  });
  near(fromSi(readLabel(carrier, { nutrient: 'ai', perM2: 0.6e-4 }).rateSi!, 'kg/ha'), 139.534884);
});

it('reference case D: 25 kg N/ha from 28-0-0 at 1.28 kg/L', () => {
  const rate = liquidRate(toSi(25, 'kg/ha'), concentration(readGrade('28-0-0', ''), 'N', 1.28));
  near(fromSi(rate, 'L/ha'), 69.754464);
  near(fromSi(rate * 640, 'mL'), 4464.285714);
  near(toSi(500, 'L/ha') * 640, 32);
  const read = readLabel(evaluateProduct(liquid()), nitrogen(0.0025));
  near(fromSi(read.rateSi!, 'L/ha'), 69.754464);
  near(read.delivered[0]!.kgPerM2, 0.0025, 12);
});

describe('reading a product', () => {
  it('is blank without errors but for its name', () => {
    for (const kind of PRODUCT_KIND_IDS) {
      expect(evaluateProduct(blankProduct(kind, 'us')).errors.map(({ code }) => code)).toEqual([
        'name.empty',
      ]);
    }
  });

  it('takes what labels say, in either system', () => {
    const read = evaluateProduct(dry({ slowShare: '50 %', stock: '3½', coverage: { size: '12,000', unit: 'ft2' }, leastIntervalDays: '28', labelRate: { low: '3', high: '4.5', mostAtOnce: '', mostPerYear: '12', unit: 'lb/1000 ft2' } })); // prettier-ignore
    expect(read.errors).toEqual([]);
    expect(read).toMatchObject({
      slowShare: 0.5,
      priceCents: 2640,
      stockPackages: 3.5,
      leastIntervalDays: 28,
    });
    near(fromSi(read.labelHigh!, 'lb/1000 ft2'), 4.5);
    expect(
      evaluateProduct(liquid({ density: { text: '10.7 lb/gal', unit: 'kg/L' } })).densityKgPerL,
    ).toBeCloseTo(1.28214, 4);
  });

  it.each([
    [dry({ price: '-1' }), 'price', 'price.unreadable'], [dry({ price: '1.999' }), 'price', 'price.unreadable'], [dry({ stock: '-2' }), 'stock', 'count.unreadable'],
    [dry({ coverage: { size: '0', unit: 'ft2' } }), 'coverage.size', 'quantity.not-positive'], [dry({ package: { size: '2 gal', unit: 'lb' } }), 'package.size', 'unit.other-kind'],
    [liquid({ package: { size: '6 oz', unit: 'L' } }), 'package.size', 'unit.which-ounce'], [liquid({ density: { text: '', unit: 'kg/L' } }), 'density.text', 'product.lacks-density'],
    [dry({ slowShare: '120' }), 'slowShare', 'percent.unreadable'], [dry({ grade: '60-30-20' }), 'grade', 'grade.over-100'], [dry({ grade: '0-0-60 elemental' }), 'grade', 'grade.too-much-elemental'],
    [dry({ labelRate: { low: '5', high: '3', mostAtOnce: '', mostPerYear: '', unit: 'kg/ha' } }), 'labelRate.low', 'product.range'],
  ])('refuses what cannot be (%#)', (input, field, code) => {
    expect(evaluateProduct(input).errors).toMatchObject([{ field, code }]);
  }); // prettier-ignore
});

describe('reading a label for a need', () => {
  const need = nitrogen(toSi(0.8, 'lb/1000 ft2'));

  it('gives the rate, what one package covers, and the cost', () => {
    const read = readLabel(evaluateProduct(dry({ slowShare: '25' })), need);
    near(fromSi(read.rateSi!, 'lb/1000 ft2'), 3.333333);
    near(fromSi(read.packageCoversM2!, 'ft2'), 12_000);
    near((read.centsPerM2! / 100) * toSi(12_000, 'ft2'), 26.4);
    near(((read.centsPerKgWanted! / 100) * toSi(40, 'lb') * 24) / 100, 26.4);
    near(fromSi(read.slowKgPerM2!, 'lb/1000 ft2'), 0.2);
    near(fromSi(read.quickKgPerM2!, 'lb/1000 ft2'), 0.6);
  });

  it.each([['3.4', '5', 'below'], ['3', '4', 'within'], ['1', '3.3', 'above'], ['', '3.4', 'within'], ['', '', null]])('%s to %s: %s', (low, high, standing) => {
    const product = evaluateProduct(dry({ labelRate: { low, high, mostAtOnce: '', mostPerYear: '', unit: 'lb/1000 ft2' } }));
    expect(readLabel(product, need).againstLabel).toBe(standing);
  }); // prettier-ignore

  it('says what it cannot know', () => {
    expect(readLabel(evaluateProduct(dry({ grade: '0-0-50' })), need)).toMatchObject({
      rateSi: null,
      error: { code: 'grade.lacks' },
    });
    expect(
      readLabel(evaluateProduct(dry({ price: '', package: { size: '', unit: 'lb' } })), need),
    ).toMatchObject({ packageCoversM2: null, centsPerM2: null, centsPerKgWanted: null });
    expect(readLabel(evaluateProduct(dry({ grade: '' })), need)).toMatchObject({
      rateSi: null,
      delivered: [],
      error: null,
    });
    expect(readLabel(evaluateProduct(dry()), { nutrient: 'ai', perM2: 1e-4 }).rateSi).toBeNull();
  });

  it('delivers just the need, whatever the form, the density and the grade', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 80, max: 180 }), fc.double({ min: 1e-5, max: 0.1, noNaN: true }), fc.boolean(), (tenths, density, kgPerM2, wet) => {
        const grade = `${tenths / 10}-2-3 %`;
        const input = wet ? liquid({ grade, density: { text: String(density / 100), unit: 'kg/L' } }) : dry({ grade });
        const [delivered] = readLabel(evaluateProduct(input), nitrogen(kgPerM2)).delivered;
        expect(Math.abs(delivered!.kgPerM2 / kgPerM2 - 1)).toBeLessThan(1e-12);
      }),
      { seed: 4105, numRuns: 500 },
    );
  }); // prettier-ignore
});

describe('labels side by side', () => {
  const need = {
    nutrient: 'N',
    perM2: toSi(0.8, 'lb/1000 ft2'),
    unit: 'lb/1000 ft2',
  } as const;
  const text = (shown: { number: string; unit: string } | null) =>
    shown && `${shown.number} ${shown.unit}`.replaceAll('\u202f', ' ');

  it('shows a dry product in the units of the need', () => {
    const lines = labelLines(dry({ stock: '2', slowShare: '50' }), need);
    expect(workingText(lines.working, speak)).toBe('0.8 lb N / 1000 ft² ÷ 24 % = 3.33 lb / 1000 ft²');
    expect([lines.packageCovers, lines.stockCovers, lines.pricePerArea, lines.pricePerWanted, lines.quick].map(text)).toEqual([
      '12 000 ft²', '24 000 ft²', '2.20 / 1000 ft²', '2.75 / lb N', '0.400 lb / 1000 ft²',
    ]); // prettier-ignore
  });

  it('shows a liquid by volume on the same area, with its density in the line', () => {
    const lines = labelLines(liquid(), { ...need, perM2: 0.0025, unit: 'kg/ha' });
    expect(workingText(lines.working, speak)).toBe(
      '25 kg N / ha ÷ 28 % ÷ 1.28 kg/L = 69.8 L / ha of the liquid',
    );
    expect(labelLines(liquid(), need).rate?.unit).toBe('fl oz / 1000 ft²');
  });

  it('finds the cheapest on the ground, not by the bag', () => {
    const weak = dry({ grade: '8-3-1', package: { size: '20', unit: 'kg' }, price: '17.40' });
    const lines = [weak, dry(), dry({ price: '' })].map((input) => labelLines(input, need));
    expect(cheapest(lines)).toBe(1);
    expect(cheapest(lines.slice(1))).toBeNull();
  });
});

it('puts a product on a worksheet as its label stands now', () => {
  const sheet = worksheetFor(
    dry({ coverage: { size: '12,000', unit: 'ft2' } }),
    { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    'a',
  );
  expect(answerWorksheet(sheet, AS_TYPED)).toMatchObject({
    errors: [],
    labelAgainstNeed: { verdict: 'same' },
  });
  expect(sheet).toMatchObject({
    product: { name: 'Lake feed', grade: '24-0-8', package: { size: '40', unit: 'lb' }, price: '26.40' },
    areas: [{ id: 'a', size: '' }],
  });
  expect(worksheetFor(liquid(), { nutrient: 'N', amount: '25', unit: 'kg/ha' }, 'a').areas[0]?.unit).toBe(
    'm2',
  );
});
