import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { toResult } from '../errors/index.ts';
import { fromSi, toSi } from '../quantities/index.ts';
import { deliveredAtRate, fractionOf, gradeText, inForm, labelRate, nutrientAtRate, NUTRIENT_IDS, productRate, readGrade, readNeed, retypeNeed, weightPart, withShare } from './index.ts'; // prettier-ignore

const grade = (input: string) => readGrade(input, 'grade');
const failed = (input: string) => toResult(() => grade(input)).error;
const LB_K = 'lb/1000 ft2';
const near = (value: number, printed: number, digits = 6) =>
  expect(Math.abs(value - printed)).toBeLessThanOrEqual(0.5000001 * 10 ** -digits);

describe('reference case A', () => {
  it('0.8 lb N on each 1000 ft2 from 24-0-8', () => {
    const rate = productRate(toSi(0.8, LB_K), 'N', grade('24-0-8'));
    near(fromSi(rate, LB_K), 3.333333);
    near(fromSi(nutrientAtRate(rate, 'K2O', grade('24-0-8')), LB_K), 0.266667);
    near(fromSi(rate * toSi(7400, 'ft2'), 'lb'), 24.666667);
    near(fromSi(rate * toSi(7400, 'ft2'), 'lb') / 40, 0.616667);
  });

  it('40 kg N/ha on 690 m2', () => {
    const rate = productRate(toSi(40, 'kg/ha'), 'N', grade('24-0-8'));
    near(fromSi(rate, 'kg/ha'), 166.666667);
    near(rate * 690, 11.5);
  });
});

it('reference case B: 40 lb covers 12 000 ft2', () => {
  const rate = labelRate(toSi(40, 'lb'), toSi(12_000, 'ft2'));
  near(fromSi(rate, LB_K), 3.333333);
  const [n, p, k] = deliveredAtRate(rate, grade('24-0-8'));
  near(fromSi(n!.kgPerM2, LB_K), 0.8);
  near(fromSi(k!.kgPerM2, LB_K), 0.266667);
  expect(p!.kgPerM2).toBe(0);
});

describe('grades', () => {
  it.each([
    ['24-0-8', { N: 0.24, P2O5: 0, K2O: 0.08 }], [' 24 – 0 – 8 ', { N: 0.24, P2O5: 0, K2O: 0.08 }], ['NPK 12.5-0-0', { N: 0.125, P2O5: 0, K2O: 0 }],
    ['15-5-10 + 2 S + 1 Fe', { N: 0.15, P2O5: 0.05, K2O: 0.1, S: 0.02, Fe: 0.01 }], ['15-5-10, 2% S, Fe 1%', { N: 0.15, P2O5: 0.05, K2O: 0.1, S: 0.02, Fe: 0.01 }],
    ['24 0 8', { N: 0.24, P2O5: 0, K2O: 0.08 }], ['24/0/8', { N: 0.24, P2O5: 0, K2O: 0.08 }], ['46 N', { N: 0.46, P2O5: 0, K2O: 0 }],
    ['15-2.2-8.3 elemental', { N: 0.15, P: 0.022, K: 0.083 }], ['0-0-0 + 90 S', { N: 0, P2O5: 0, K2O: 0, S: 0.9 }], ['0.5-0-0 %', { N: 0.005, P2O5: 0, K2O: 0 }],
  ])('reads %s', (input, stated) => {
    const read = grade(input).stated;
    expect(Object.keys(read)).toEqual(Object.keys(stated));
    for (const [nutrient, fraction] of Object.entries(stated)) expect(read[nutrient as 'N']).toBeCloseTo(fraction, 12);
  }); // prettier-ignore

  it.each([
    ['240-8', 'grade.run-together', '24-0-8'], ['24-08', 'grade.run-together', '24-0-8'], ['0.24-0-0.08', 'grade.fractions', '24-0-8'], ['60-30-20', 'grade.over-100', null],
    ['240-0-8', 'grade.over-100', null], ['24', 'grade.which-nutrient', '24 N, 24 P2O5 or 24 K2O'], ['7%', 'grade.which-nutrient', '7 N, 7 P2O5 or 7 K2O'], ['24 0', 'grade.run-together', '2-4-0'], ['101 N', 'grade.over-100', null], ['', 'grade.empty', '24-0-8'], ['<i>', 'grade.unreadable', '24-0-8'], ['🌱-0-8', 'grade.unreadable', '24-0-8'],
    ['24-0-8 + 2 Zn', 'grade.unknown-nutrient', '15-5-10 + 2 S + 1 Fe'], ['24-0-8 + 2 S + 1 S', 'grade.twice', '15-5-10 + 2 S + 1 Fe'],
    ['0-0-60 elemental', 'grade.too-much-elemental', '0-0-60'], ['1e309-0-0', 'grade.unreadable', '24-0-8'], ['-24-0-8', 'grade.unreadable', '24-0-8'],
  ])('refuses %s: %s', (input, code, hint) => expect(failed(input)).toMatchObject({ code, hint, field: 'grade' })); // prettier-ignore

  it('writes what it read', () => {
    for (const text of ['24-0-8', '15-5-10 + 2 S + 1 Fe', '15-2.2-8.3 elemental'])
      expect(gradeText(grade(text).stated)).toBe(text);
  });

  it('changes one share in the form that the label states', () => {
    expect(withShare(grade('24-0-8'), 'N', '26 %')).toBe('26-0-8');
    expect(withShare(grade('24-0-8'), 'K', '8.30151')).toBe('24-0-10');
    expect(toResult(() => withShare(grade('24-0-8'), 'N', '95')).error?.code).toBe('grade.over-100');
    expect(toResult(() => withShare(grade('24-0-8'), 'N', '-1')).error?.code).toBe('percent.unreadable');
  });

  it('converts oxide and elemental both ways', () => {
    expect(inForm(1, 'P2O5', 'P')).toBe(0.436427);
    expect(inForm(1, 'K2O', 'K')).toBe(0.830151);
    expect(fractionOf(grade('0-0-60'), 'K')).toBeCloseTo(0.4980906, 12);
    expect(fractionOf(grade('15-2.2-8.3 elemental'), 'P2O5')).toBeCloseTo(0.022 / 0.436427, 12);
    expect(fractionOf(grade('24-0-8'), 'Fe')).toBe(0);
  });
});

describe('needs', () => {
  it.each([
    ['0.8', 0.8, LB_K, null], ['0.8 lb N', 0.8, LB_K, 'N'], ['0.8 lb n per 1000 sq ft', 0.8, LB_K, 'N'], ['40 kg K2O/ha', 40, 'kg/ha', 'K2O'], ['12 oz/acre', 12, 'oz/acre', null],
  ] as const)('reads %s', (input, number, unit, nutrient) => {
    const need = readNeed(input, LB_K, 'need.amount');
    expect(need).toMatchObject({ unit, nutrient, input });
    expect(fromSi(need.si, unit)).toBeCloseTo(number, 12);
  }); // prettier-ignore

  it.each([['0', 'quantity.not-positive'], ['-1', 'quantity.not-positive'], ['20 t/100 m2', 'need.too-large'], ['0.8 gal', 'unit.other-kind']])('refuses %s', (input, code) => {
    expect(toResult(() => readNeed(input, LB_K, 'need.amount')).error).toMatchObject({ code, field: 'need.amount' });
  }); // prettier-ignore

  it('takes the weight out of a typed rate, and types it anew in another unit', () => {
    expect(['40 kg N/ha', '0.8 lb per 1000 ft2', '1/2 lb', '0.8'].map(weightPart)).toEqual([
      '40 kg',
      '0.8 lb',
      '1/2 lb',
      '0.8',
    ]);
    const need = readNeed('40', 'kg/ha', '');
    expect([retypeNeed(need, 'g/m2', 'convert'), retypeNeed(need, 'lb/acre', 'keep-number')]).toEqual([
      '4 g',
      '40 lb',
    ]);
  });
});

it('need -> rate -> back returns the need, for any product that holds the nutrient', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...NUTRIENT_IDS), fc.double({ min: 1e-6, max: 1, noNaN: true }), fc.array(fc.integer({ min: 1, max: 120 }), { minLength: 7, maxLength: 7 }), fc.boolean(),
      (nutrient, need, [n, p, k, s, ca, mg, fe], elemental) => {
        const product = grade(`${n! / 10}-${p! / 10}-${k! / 10}% ${elemental ? 'elemental' : ''} + ${s! / 10} S + ${ca! / 10} Ca + ${mg! / 10} Mg + ${fe! / 10} Fe`);
        const back = nutrientAtRate(productRate(need, nutrient, product), nutrient, product);
        expect(Math.abs(back / need - 1)).toBeLessThan(1e-12);
      },
    ),
    { seed: 4103, numRuns: 1000 },
  );
}); // prettier-ignore

it('says which nutrient a product lacks', () => {
  expect(speak(toResult(() => productRate(0.004, 'P2O5', grade('24-0-8'))).error!.sentence)).toBe(
    '24-0-8 holds no phosphate. Choose a product with phosphate, or change what is needed.',
  );
});
