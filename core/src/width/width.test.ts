import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cvAt,
  depositAt,
  depositOfPass,
  depositOfPasses,
  leftShare,
  mirrored,
  overlay,
  patternOf,
  resample,
  seeded,
  sweep,
  throwOf,
  twoDirections,
  underPattern,
  unevenness,
  type PassPattern,
} from './index.ts';

const CATCHES = [0, .3, .9, 1.8, 2.7, 3.3, 3.6, 3.8, 3.9, 3.7, 3.4, 3.0, 2.3, 1.5, .7, .2, 0]; // prettier-ignore
const POSITIONS = CATCHES.map((_, index) => -4 + index / 2);
/** Grams in trays of 0.5 x 0.3 m after 3 passes, as g/m2 of one. */
const N = patternOf(POSITIONS, CATCHES.map((gram) => gram / (0.15 * 3))); // prettier-ignore
const printed = (value: number, as: number, digits: number) =>
  expect(Math.abs(value - as), `${value} is not ${as}`).toBeLessThanOrEqual(0.500001 * 10 ** -digits);

describe('reference case N', () => {
  it('mean, share and CV at the spacings of both modes', () => {
    printed(overlay(N, 5, 'one-way').mean, 7.8, 6);
    printed(100 * leftShare(N), 52.2792, 4);
    for (const [spacing, oneWay, back, digits] of [
      [4.5, 3.85406, 6.59284, 5],
      [5, 6.03693, 7.83174, 5],
      [5.5, 15.7238, 16.2863, 4],
      [6, 26.2835, 26.4804, 4],
    ] as const) {
      // prettier-ignore
      printed(100 * cvAt(N, spacing, 'one-way'), oneWay, digits);
      printed(100 * cvAt(N, spacing, 'back-and-forth'), back, digits);
    }
  });
  it('where 15 % is reached, and the widest spacing with its margin', () => {
    const one = sweep(N, 0.5, 'one-way', 0.15);
    const back = sweep(N, 0.5, 'back-and-forth', 0.15);
    printed(one.reachesM!, 5.465, 3);
    printed(back.reachesM!, 5.433, 3);
    printed(one.widestM!, 5.205, 3);
    printed(back.widestM!, 5.175, 3);
    expect(one.spacingM[1]! - one.spacingM[0]!).toBeLessThan(0.01 + 1e-9);
  });
});

const PASS_PATTERNS = ['one-way', 'back-and-forth'] as const satisfies readonly PassPattern[];
const catches = fc.array(fc.float({ min: 0, max: 10, noNaN: true }), { minLength: 4, maxLength: 24 }).filter((row) => row.some((value) => value > 0.5)); // prettier-ignore
const trays = catches.map((row) => patternOf(row.map((_, index) => (index - (row.length - 1) / 2) * 0.5), row)); // prettier-ignore
const spacing = fc.double({ min: 0.6, max: 9, noNaN: true });

describe('properties', () => {
  it('mean times spacing is what falls on a metre, whatever the spacing', () =>
    fc.assert(fc.property(trays, spacing, (pattern, w) => {
      for (const passPattern of PASS_PATTERNS) expect(overlay(pattern, w, passPattern).mean * w).toBeCloseTo(underPattern(pattern), 9);
    }))); // prettier-ignore
  it('a symmetric pattern is as even in both modes', () =>
    fc.assert(fc.property(catches, spacing, (half, w) => {
      const row = [...half.toReversed(), ...half.slice(1)];
      const pattern = patternOf(row.map((_, index) => (index - (row.length - 1) / 2) * 0.5), row);
      expect(cvAt(pattern, w, 'one-way')).toBeCloseTo(cvAt(pattern, w, 'back-and-forth'), 7);
    }))); // prettier-ignore
  it('turning the catches round leaves back and forth alone, and the shares change sides', () =>
    fc.assert(fc.property(trays, spacing, (pattern, w) => {
      const other = mirrored(pattern);
      expect(cvAt(other, w, 'back-and-forth')).toBeCloseTo(cvAt(pattern, w, 'back-and-forth'), 8);
      expect(leftShare(other)).toBeCloseTo(1 - leftShare(pattern), 9);
    }))); // prettier-ignore
  it('a box is even at its width and at half of it', () => {
    // Straight flanks of one tray's width, so the width from middle to middle of the flanks is that of the box.
    const box = patternOf([-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2], Array(9).fill(3));
    for (const w of [4.5, 2.25])
      for (const passPattern of PASS_PATTERNS) expect(cvAt(box, w, passPattern)).toBeLessThan(1e-7);
    expect(cvAt(box, 4, 'one-way')).toBeGreaterThan(0.05);
  });
  it('the deposit of passes is the sum over passes (against a plain sum)', () =>
    fc.assert(fc.property(trays, spacing, fc.double({ min: -2, max: 2, noNaN: true }), (pattern, w, share) => {
      const x = share * 2 * w;
      let plain = 0;
      for (let k = -40; k <= 40; k += 1) plain += depositAt(k % 2 === 0 ? pattern : mirrored(pattern), x - k * w);
      expect(depositOfPasses(overlay(pattern, w, 'back-and-forth'), x)).toBeCloseTo(plain, 6);
      const passes = Array.from({ length: 81 }, (_, index) => depositOfPass(pattern, w, 'back-and-forth', index - 40, x));
      expect(passes.reduce((sum, each) => sum + each, 0)).toBeCloseTo(plain, 9);
    }), { numRuns: 60 })); // prettier-ignore
  it('agrees with correlation by splines, another way to the same figure', () =>
    fc.assert(fc.property(trays, spacing, (pattern, w) => {
      const other = unevenness(pattern);
      for (const passPattern of PASS_PATTERNS) expect(other(w, passPattern)).toBeCloseTo(cvAt(pattern, w, passPattern), 6);
    }))); // prettier-ignore
  it('the widest spacing keeps the limit all around it', () =>
    fc.assert(fc.property(trays, fc.constantFrom(...PASS_PATTERNS), (pattern, passPattern) => {
      const { widestM } = sweep(pattern, 0.5, passPattern, 0.15);
      if (widestM === null) return;
      for (const around of [0.951, 0.975, 1, 1.025, 1.049]) expect(cvAt(pattern, widestM * around, passPattern)).toBeLessThanOrEqual(0.1501); // prettier-ignore
      expect(widestM).toBeLessThanOrEqual(throwOf(pattern));
    }), { numRuns: 25 })); // prettier-ignore
  it('two directions are the variances of two halves', () => {
    expect(twoDirections(0.2)).toBeCloseTo(0.141421, 6);
    // A grid of both directions, half from each.
    const { y } = overlay(N, 5.5, 'one-way');
    const even = Array.from({ length: 400 }, (_, index) => depositAt({ xM: overlay(N, 5.5, 'one-way').xM, y }, ((index + 0.5) / 400) * 5.5)); // prettier-ignore
    const grid = even.flatMap((a) => even.map((b) => (a + b) / 2));
    const mean = grid.reduce((sum, v) => sum + v, 0) / grid.length;
    const cv = Math.sqrt(grid.reduce((sum, v) => sum + (v - mean) ** 2, 0) / grid.length) / mean;
    expect(cv).toBeCloseTo(twoDirections(cvAt(N, 5.5, 'one-way')), 2);
  });
});

describe('how sure', () => {
  const asked = { positionsM: POSITIONS, rows: [CATCHES], uDeposits: CATCHES.map(() => 0.05), traySpacingM: 0.5, spacingM: 5, limit: 0.15, times: 200 }; // prettier-ignore
  it('is the same for the same seed, holds the figure, and grows with the reading error', () => {
    const drawn = resample(asked, seeded(3))!;
    expect(resample(asked, seeded(3))).toEqual(drawn);
    const { low, high } = drawn.widestM['one-way']!;
    expect(low).toBeLessThan(5.205);
    expect(high).toBeGreaterThan(5.18);
    const coarse = resample({ ...asked, uDeposits: CATCHES.map(() => 0.3) }, seeded(3))!;
    expect(coarse.widestM['one-way']!.high - coarse.widestM['one-way']!.low).toBeGreaterThan(
      2 * (high - low),
    );
  });
  it('draws from rows where there are enough, and stops when told', () => {
    const rows = [0.9, 1, 1.1].map((factor) =>
      CATCHES.map((value, index) => value * (index > 8 ? factor : 1)),
    );
    expect(resample({ ...asked, rows }, seeded(1))).toMatchObject({ from: 'rows' });
    expect(resample(asked, seeded(1), (share) => share < 0.5)).toBeNull();
  });
});
