import { describe, expect, it } from 'vitest';
import { toResult } from '../errors/index.ts';
import fc from 'fast-check';
import { isMeasuredSize, measuredSize, readSize, retypeSize } from './index.ts';

const FT2 = 0.3048 ** 2;

it.each([
  ['62 x 38 ft', 2356 * FT2, 'ft2'], ["62' x 38'", 2356 * FT2, 'ft2'], ['62×38', 2356 * FT2, 'ft2'], ["62' 6\" by 38'", 2375 * FT2, 'ft2'], ['62 ft * 38 ft', 2356 * FT2, 'ft2'],
  ['10x8⅔', (260 / 3) * FT2, 'ft2'], ['58 x 36 - 210', 1878 * FT2, 'ft2'], ['2356 ft2 - 100 ft2 - 6 x 8', 2208 * FT2, 'ft2'],
  ['20 m x 12 ft', 20 * 12 * 0.3048, 'm2'], ['690 m2', 690, 'm2'], ['0.17 ac', 0.17 * 4046.8564224, 'acre'], ['1,600', 1600 * FT2, 'ft2'], ['1.5 ha', 15_000, 'ha'],
] as const)('reads %s', (input, areaM2, unit) => {
  const size = readSize(input, 'ft2', 'areas.0.size');
  expect(Math.abs(size.areaM2 / areaM2 - 1)).toBeLessThan(1e-12);
  expect(size).toMatchObject({ unit, input });
}); // prettier-ignore

it.each([
  ['', 'size.empty'], ['0', 'quantity.not-positive'], ['-5 m2', 'quantity.not-positive'], ['0 x 5 ft', 'quantity.not-positive'], ['10 001 ha', 'size.too-large'], ['1e9 m x 1e9 m', 'size.too-large'],
  ['-210 ft2', 'quantity.not-positive'], ['10 x 10 - 200', 'size.all-cut'],
  ['1 mm x 1 mm', 'size.too-small'], ['3 x 4 x 5 ft', 'size.sides'], ['5 lb', 'unit.other-kind'], ['5 blorps', 'unit.unknown'], ['1e309 m2', 'number.too-large'], ['🌱', 'quantity.unreadable'], ['62,5 m2', 'number.decimal-comma'],
])('refuses %s: %s', (input, code) => {
  expect(toResult(() => readSize(input, 'ft2', 'areas.0.size')).error).toMatchObject({ code, field: 'areas.0.size' });
}); // prettier-ignore

it('types a size anew in another unit, sides kept', () => {
  const sides = readSize('62 x 38 ft', 'ft2', '');
  expect(retypeSize(sides, 'm2', 'convert')).toBe('18.8976 × 11.5824 m');
  expect(retypeSize(sides, 'm2', 'keep-number')).toBe('62 × 38 m');
  expect(readSize(retypeSize(sides, 'm2', 'convert'), 'ft2', '').areaM2).toBeCloseTo(sides.areaM2, 4);
  expect(retypeSize(readSize('690 m2', 'm2', ''), 'ft2', 'keep-number')).toBe('690 ft²');
});

describe('a size with its band', () => {
  it.each([
    ['7 400 ft2 ±3 %', 222],
    ['7400 ft2 +-3%', 222],
    ['7 400 +/- 222', 222],
    ['74 x 100 ft ± 200 ft2', 200],
    ['7400', 0],
  ])('%s', (input, bandFt2) => {
    const { areaM2, bandM2 } = readSize(input, 'ft2', 'size');
    expect(areaM2 / FT2).toBeCloseTo(7400, 6);
    expect(bandM2 / FT2).toBeCloseTo(bandFt2, 6);
  });
  it.each(['7400 ±', '7400 ±abc', '7400 ±300 %', '7400 ±20 lb'])('%s asks', (input) =>
    expect(() => readSize(input, 'ft2', 'size')).toThrowError(expect.objectContaining({ code: 'size.band' })),
  );
  it('keeps its band when the unit changes', () =>
    expect(retypeSize(readSize('7400 ft2 ±3 %', 'ft2', ''), 'm2', 'convert')).toBe('687.4825 m² ±3 %'));
  it('as measured: written with the digits that the band supports, and read back within a hundredth of it', () => {
    expect(measuredSize(687.77, 20.6, 'ft2')).toBe('7\u202f403 ft² ±3 %');
    for (const [areaM2, bandM2] of [
      [687.77, 20.6],
      [212.461234, 0.4],
      [41000, 3900],
      [12.5, 0],
    ] as const) {
      const back = readSize(measuredSize(areaM2, bandM2, 'm2'), 'm2', '');
      expect(Math.abs(back.areaM2 - areaM2)).toBeLessThanOrEqual(Math.max(bandM2 / 100, 1e-6));
      expect(Math.abs(back.bandM2 - bandM2)).toBeLessThanOrEqual(0.051 * bandM2);
    }
  });
});

it('whatever was measured is known again as it was written down', () => {
  const areas = fc.double({ min: 0.5, max: 1e6, noNaN: true });
  const shares = fc.double({ min: 0, max: 0.4, noNaN: true });
  fc.assert(
    fc.property(areas, shares, fc.constantFrom('ft2', 'm2', 'acre', 'ha'), (areaM2, share, unit) => {
      const input = measuredSize(areaM2, share * areaM2, unit);
      expect(isMeasuredSize(input, unit, areaM2, share * areaM2)).toBe(true);
      expect(isMeasuredSize(input, unit, areaM2 * 1.02 + share * areaM2, share * areaM2)).toBe(false);
    }),
    { seed: 2204, numRuns: 3000 },
  );
});
