import fc from 'fast-check';
import { expect, it } from 'vitest';
import { evennessOf } from './evenness.ts';
import { cvAt, PASS_PATTERNS, patternOf, sweep } from './index.ts';

const N = [0, 0.3, 0.9, 1.8, 2.7, 3.3, 3.6, 3.8, 3.9, 3.7, 3.4, 3, 2.3, 1.5, 0.7, 0.2, 0];
const trays = patternOf(N.map((_, index) => -4 + index / 2), N); // prettier-ignore

it('agrees with passes laid beside each other, whatever the trays and the spacing', () => {
  const gaps = fc.array(fc.tuple(fc.double({ min: 0.1, max: 1.5, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true })), { minLength: 3, maxLength: 14 }); // prettier-ignore
  fc.assert(
    fc.property(gaps, fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.2, max: 15, noNaN: true }), (tray, from, spacing) => {
      fc.pre(tray.some(([, deposit]) => deposit > 0.01));
      let x = from;
      const pattern = patternOf(tray.map(([gap]) => (x += gap)), tray.map(([, deposit]) => deposit));
      for (const passPattern of PASS_PATTERNS) expect(evennessOf(pattern, passPattern)(spacing)).toBeCloseTo(cvAt(pattern, spacing, passPattern), 6);
    }),
    { seed: 30, numRuns: 300 },
  ); // prettier-ignore
});

it('gives the printed values, and the widest spacing of the sweep', () => {
  expect(100 * evennessOf(trays, 'one-way')(5)).toBeCloseTo(6.03693, 5);
  expect(100 * evennessOf(trays, 'back-and-forth')(5.5)).toBeCloseTo(16.2863, 4);
  expect(sweep(trays, 0.5, 'one-way', 0.15).widestM).toBeCloseTo(5.205, 3);
});

it('refuses a spacing of nothing, and finds nothing uneven where nothing falls', () => {
  expect(() => evennessOf(trays, 'one-way')(0)).toThrow('number.unusable');
  expect(evennessOf(patternOf([-1, 0, 1], [0, 0, 0]), 'one-way')(2)).toBe(0);
});
