import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCount, readPercent, readWhole } from './counts.ts';
import { moneyText, readPrice } from './money.ts';
import { meanOf, scatterOver, sumOf } from '../numeric/spread.ts';

const wanted = { field: 'x', hint: '3' };
const refused = (read: () => unknown) => {
  try {
    return read();
  } catch (error) {
    return (error as { code: string; field: string }).code;
  }
};

describe('numbers of a field', () => {
  it.each([
    ['0', 0],
    ['50', 0.5],
    ['50 %', 0.5],
    ['½ %', 0.005],
    ['100%', 1],
  ])('%s in percent', (text, share) => expect(readPercent(text, wanted)).toBe(share));
  it.each(['-1', '101', 'x', '', '5 kg'])('%j is no percentage', (text) => {
    expect(refused(() => readPercent(text, wanted))).toBe('percent.unreadable');
  });
  it('a most of its own, and nothing where nothing will do', () => {
    expect(refused(() => readPercent('61', { ...wanted, most: 60 }))).toBe('percent.unreadable');
    expect(refused(() => readPercent('0', { ...wanted, isPositive: true }))).toBe('percent.unreadable');
    expect(refused(() => readCount('0', { ...wanted, most: 9, isPositive: true }))).toBe('count.unreadable');
  });
  it('whole from 1 on, and any from 0 on', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -50, max: 250 }),
        fc.double({ min: -5, max: 15, noNaN: true }),
        (whole, any) => {
          const most = 200;
          expect(refused(() => readWhole(String(whole), { field: 'x', most }))).toBe(whole >= 1 && whole <= most ? whole : 'count.whole'); // prettier-ignore
          const typed = (any + 0).toFixed(3).replace(/^-(0\.0+)$/, '$1');
          expect(refused(() => readCount(typed, { ...wanted, most: 10 }))).toBe(Number(typed) >= 0 && Number(typed) <= 10 ? Number(typed) : 'count.unreadable'); // prettier-ignore
        },
      ),
      { seed: 5 },
    ));
});

it('money comes back as it was typed, to the hundredth', () =>
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e9 }), (cents) => {
      expect(readPrice(moneyText(cents), 'price')).toBe(cents);
    }),
    { seed: 6 },
  ));

it('values that are all the same do not scatter; their unit makes no difference', () =>
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.1, max: 100, noNaN: true }), { minLength: 2, maxLength: 9 }), fc.double({ min: 0.01, max: 50, noNaN: true }), (values, unit) => {
      expect(scatterOver(values.map(() => values[0]!))).toBeCloseTo(0, 9);
      const scaled = values.map((value) => value * unit);
      expect(scatterOver(scaled)).toBeCloseTo(scatterOver(values)!, 8);
      expect(meanOf(scaled) / meanOf(values)).toBeCloseTo(unit, 8);
      // The other way to it: from the sum of the squares.
      const n = values.length;
      const squares = sumOf(values.map((value) => value * value)) - sumOf(values) ** 2 / n;
      expect(scatterOver(values)).toBeCloseTo(Math.sqrt(Math.max(0, squares) / (n - 1)) / (sumOf(values) / n), 5);
      expect(scatterOver([values[0]!])).toBeNull();
    }),
    { seed: 7 },
  )); // prettier-ignore
