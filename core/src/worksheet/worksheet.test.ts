import { describe, expect, it } from 'vitest';
import { workingText } from '../working/index.ts';
import {
  answerWorksheet,
  AS_TYPED,
  blankWorksheet,
  needFromLabel,
  worksheetText,
  type WorksheetTyped,
} from './index.ts';

const plain = (text: string) => text.replaceAll('\u202f', ' ');
const sheet = (sizes: [string, string][], more: Partial<WorksheetTyped> = {}): WorksheetTyped => ({
  ...blankWorksheet('us', 'a'),
  need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
  grade: '24-0-8',
  areas: sizes.map(([name, size], i) => ({ id: String(i), name, size, unit: 'ft2' })),
  package: { size: '40', unit: 'lb' },
  ...more,
});
const answer = (typed: WorksheetTyped) => answerWorksheet(typed, AS_TYPED);

describe('a worksheet with three areas', () => {
  const three = answer(sheet([['Bandstand', '62 x 38 ft'], ['Bank', '330 m2'], ['Strip', '0.05 ac']])); // prettier-ignore
  const totalM2 = 2356 * 0.3048 ** 2 + 330 + 0.05 * 4046.8564224;

  it('adds them up and rounds packages once', () => {
    expect(three.numbers.totalM2).toBeCloseTo(totalM2, 9);
    const kg = ((0.8 * 0.45359237) / 92.90304 / 0.24) * totalM2;
    expect(three.numbers.amountKg).toBeCloseTo(kg, 12);
    expect(three.numbers.packages).toMatchObject({ whole: 1 });
    expect(three.numbers.packages!.leftKg).toBeCloseTo(40 * 0.45359237 - kg, 12);
    expect(three.numbers.areas.reduce((sum, a) => sum + a.amountKg!, 0)).toBeCloseTo(kg, 12);
  });

  it('gives the need back from the total', () => {
    expect(three.numbers.backKgPerM2! / ((0.8 * 0.45359237) / 92.90304)).toBeCloseTo(1, 12);
  });

  it('writes lines that read like a page', () => {
    expect(plain(worksheetText(three)).split('\n')).toEqual([
      'What the ground needs: 0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²',
      'Bandstand: 62 × 38 ft = 2 360 ft² × 3.33 lb / 1000 ft² = 7.85 lb',
      'Bank: 330 m2 = 3 550 ft² × 3.33 lb / 1000 ft² = 11.8 lb',
      'Strip: 0.05 ac = 2 180 ft² × 3.33 lb / 1000 ft² = 7.26 lb',
      'In all: 3.33 lb / 1000 ft² × 8 090 ft² = 27.0 lb',
      'Packages: 27.0 lb ÷ 40 lb = 0.674 packages so take 1',
      'One package at this rate: 40 lb ÷ 3.33 lb / 1000 ft² = 12 000 ft²',
      'Back-check: 27.0 lb of 24-0-8 on 8 090 ft² puts down 0.800 lb N / 1000 ft²',
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
    expect(workingText(blank.lines.need)).toBe('— N on each 1000 ft² ÷ — in — = —');
    expect(worksheetText(blank)).toBe('');
  });

  it('leaves a named area without a size out of the total, and says so', () => {
    const partly = answer(sheet([['Lawn', '1000'], ['Bank', '']])); // prettier-ignore
    expect(partly.numbers).toMatchObject({ unsized: 1 });
    expect(partly.numbers.totalM2).toBeCloseTo(92.90304, 9);
  });

  it('gives no total while a size is wrong, with the path of the field', () => {
    const wrong = answer(sheet([['Lawn', '1000'], ['Bank', '5 blorps']], { package: { size: 'x', unit: 'lb' } })); // prettier-ignore
    expect(wrong.numbers).toMatchObject({ totalM2: null, amountKg: null, packages: null });
    expect(wrong.errors.map(({ field }) => field)).toEqual(['areas.1.size', 'package.size']);
  });

  it('points at the grade when it lacks the nutrient', () => {
    const lacking = answer(
      sheet([['Lawn', '1000']], { need: { nutrient: 'Fe', amount: '1', unit: 'lb/acre' } }),
    );
    expect(lacking.errors).toMatchObject([{ code: 'grade.lacks', field: 'grade' }]);
    expect(lacking.numbers.rateKgPerM2).toBeNull();
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
    ).toEqual({ rate: 'g/m2', amount: 'kg', area: 'm2' });
  });

  it('follows what is preferred, and before that what is set on the sheet', () => {
    const typed = sheet([['Lawn', '690 m2']]);
    expect(answerWorksheet(typed, { ...AS_TYPED, rate: 'kg/ha', area: 'm2' }).units).toEqual({
      rate: 'kg/ha',
      amount: 'kg',
      area: 'm2',
    });
    expect(answerWorksheet(typed, { ...AS_TYPED, amount: 'g' }).units.amount).toBe('kg');
    const onSheet = { ...typed, shownIn: { ...AS_TYPED, amount: 'g' as const } };
    expect(answerWorksheet(onSheet, { rate: 'kg/ha', amount: 'lb', area: 'm2' }).units).toEqual({
      rate: 'kg/ha',
      amount: 'g',
      area: 'm2',
    });
  });

  it('handles elemental needs from an oxide label', () => {
    const k = answer(
      sheet([['Lawn', '100 m2']], { grade: '0-0-60', need: { nutrient: 'K', amount: '50', unit: 'kg/ha' } }),
    );
    expect(k.numbers.rateKgPerM2).toBeCloseTo(0.005 / 0.4980906, 12);
    expect(k.delivered.find(({ nutrient }) => nutrient === 'K2O')).toMatchObject({
      part: 'asked',
      other: { nutrient: 'K', shown: { number: '50.0' } },
    });
  });
});

describe('the label read backwards', () => {
  const label = (coverage: string, more: Partial<WorksheetTyped> = {}) =>
    answer(sheet([['Lawn', '7400']], { coverage: { size: coverage, unit: 'ft2' }, ...more }));

  it('reference case B: 40 lb covers 12 000 ft2', () => {
    const { numbers, lines, labelAgainstNeed, labelDelivers } = label('12 000');
    expect(numbers.label!.timesNeed).toBeCloseTo(1, 12);
    expect(labelAgainstNeed).toEqual({ verdict: 'same', words: 'as much' });
    expect(plain(workingText(lines.label))).toBe(
      '40 lb covers 12 000 ft² = 3.33 lb / 1000 ft² puts down 0.800 lb N / 1000 ft²',
    );
    expect(labelDelivers.map(({ shown }) => shown.number)).toEqual(['0.800', '0', '0.267']);
    expect(numbers.packageCoversM2! / (12_000 * 0.3048 ** 2)).toBeCloseTo(1, 12);
  });

  it.each([['10,000', '20.0 % more'], ['15 000', '20.0 % less'], ['4800', '2.50 times as much'], ['12 040', 'as much']])('%s ft2 is %s', (coverage, words) => {
    expect(label(coverage).labelAgainstNeed?.words).toBe(words);
  }); // prettier-ignore

  it('works without a need, and gives the need that it meets', () => {
    const typed = sheet([], {
      need: { nutrient: 'N', amount: '', unit: 'kg/ha' },
      coverage: { size: '12 000', unit: 'ft2' },
    });
    const given = answer(typed);
    expect(given.numbers.label!.timesNeed).toBeNull();
    expect(needFromLabel(given, typed)).toBe('39.05942 kg');
    expect(needFromLabel(answer({ ...typed, grade: '' }), { ...typed, grade: '' })).toBeNull();
  });

  it('points at a coverage that cannot be', () => {
    expect(label('0').errors).toMatchObject([{ field: 'coverage.size', code: 'quantity.not-positive' }]);
  });
});
