import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../width/index.ts';
import {
  caught,
  fillAim,
  leastNet,
  planTest,
  rateFromFill,
  rowOutlets,
  runOut,
  timedCatch,
  weighBack,
  type MethodId,
  type Reading,
} from './index.ts';

/** A reading of an instrument, with the step that it shows. */
const read = (si: number, resolutionSi: number): Reading => ({ si, resolutionSi });

const DRAWS = 20_000;

/** How far a rate scatters when each reading is drawn anew within half a step: by trying, not by a formula. */
function byTrying(readings: readonly Reading[], rateOf: (values: readonly number[]) => number): number {
  const random = seeded(20_26);
  const rates = Array.from({ length: DRAWS }, () =>
    rateOf(readings.map(({ si, resolutionSi }) => si + resolutionSi * (random() - 0.5))),
  );
  const mean = rates.reduce((sum, rate) => sum + rate, 0) / DRAWS;
  return Math.sqrt(rates.reduce((sum, rate) => sum + (rate - mean) ** 2, 0) / (DRAWS - 1)) / mean;
}

/** The formula against twenty thousand draws: within 4 %, which is four times what so many draws scatter by. */
const agree = (formula: number, tried: number) => expect(Math.abs(formula / tried - 1)).toBeLessThan(0.04);

describe('the uncertainty of each method, by formula and by drawing the readings anew', () => {
  it('weigh back', () => {
    const [inKg, leftKg, lengthM, widthM] = [read(21.8, 0.02), read(20.4, 0.02), read(30.5, 0.1), read(2.7, 0.1)];
    const { uReadings } = weighBack({ inKg, leftKg, lengthM, widthM, runs: 1 });
    agree(uReadings, byTrying([inKg, leftKg, lengthM, widthM], ([a, b, l, w]) => (a! - b!) / (l! * w!)));
  }); // prettier-ignore
  it('a catch', () => {
    const [grossKg, tareKg, lengthM, widthM] = [read(1.3, 0.05), read(0.7, 0.05), read(6, 0.05), read(4, 0)];
    const { uReadings } = caught({ grossKg, tareKg, lengthM, widthM, passes: 2 });
    agree(uReadings, byTrying([grossKg, tareKg, lengthM, widthM], ([a, b, l, w]) => (a! - b!) / (l! * w! * 2)));
  }); // prettier-ignore
  it('a timed catch under two outlets', () => {
    const [a, b, t] = [read(1.6, 0.02), read(1.9, 0.02), read(0.5, 0.02)];
    const [catchS, courseM, courseS, spacingM] = [read(20, 0.5), read(40, 0.5), read(27.5, 0.2), read(5, 0)];
    const { uReadings } = timedCatch({ catches: [{ grossKg: a, tareKg: t }, { grossKg: b, tareKg: t }], catchS, courseM, courseS, spacingM }); // prettier-ignore
    const rate = ([x, y, t1, t2, s, l, c, w]: readonly number[]) => (((x! - t1! + y! - t2!) / s!) * c!) / (l! * w!); // prettier-ignore
    agree(uReadings, byTrying([a, b, t, t, catchS, courseM, courseS, spacingM], rate));
  });
  it('a weighed load', () => {
    const [loadSi, leftSi, areaM2] = [read(4.08, 0.02), read(0.57, 0.02), read(83.6, 2)];
    agree(runOut({ loadSi, leftSi, areaM2 }).uReadings, byTrying([loadSi, leftSi, areaM2], ([a, b, area]) => (a! - b!) / area!)); // prettier-ignore
  });
  it('row outlets', () => {
    const [a, b, none, lengthM] = [read(1.84, 0.05), read(2.02, 0.05), read(0, 0), read(30, 0.3)];
    const { uReadings } = rowOutlets({ catches: [{ grossKg: a, tareKg: none }, { grossKg: b, tareKg: none }], lengthM, rows: 1, rowMPerM2: 0.66 }); // prettier-ignore
    agree(
      uReadings,
      byTrying([a, b, lengthM], ([x, y, l]) => (x! + y!) / l!),
    );
  });
});

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('properties of the methods', () => {
  it('twice the product out is twice the rate; twice the ground is half of it', () =>
    fc.assert(fc.property(positive(0.1, 20), positive(5, 100), positive(0.5, 20), (netSi, length, width) => {
      const rate = (net: number, l: number, w: number) => weighBack({ inKg: read(50 + net, 0), leftKg: read(50, 0), lengthM: read(l, 0), widthM: read(w, 0), runs: 1 }).rateSi; // prettier-ignore
      const once = rate(netSi, length, width);
      expect(rate(2 * netSi, length, width) / once).toBeCloseTo(2, 6);
      expect(rate(netSi, 2 * length, width) / once).toBeCloseTo(0.5, 9);
      expect(rate(netSi, length, 2 * width) / once).toBeCloseTo(0.5, 9);
    }))); // prettier-ignore
  it('the tare falls out: the same weight added to both weighings changes nothing', () =>
    fc.assert(fc.property(positive(0.2, 20), positive(0, 40), (netSi, extra) => {
      const rate = (more: number) => caught({ grossKg: read(1 + netSi + more, 0), tareKg: read(1 + more, 0), lengthM: read(10, 0), widthM: read(1, 0), passes: 1 }).rateSi; // prettier-ignore
      expect(rate(extra)).toBeCloseTo(rate(0), 9);
    }))); // prettier-ignore
  it('a container that fills in the time it has puts down what is wanted; slower, less', () =>
    fc.assert(fc.property(positive(0.002, 0.1), positive(0.5, 6), positive(0.5, 20), positive(0.5, 3), (targetKgPerM2, spacingM, containerKg, speedMPerS) => {
      const asked = { targetKgPerM2, spacingM, containerKg, speedMPerS, outletsPerRow: 1 };
      const { fillS, servesM } = fillAim(asked);
      expect(rateFromFill(asked, fillS).rateSi / targetKgPerM2).toBeCloseTo(1, 9);
      expect(rateFromFill(asked, 2 * fillS).rateSi / targetKgPerM2).toBeCloseTo(0.5, 9);
      expect(servesM * spacingM * targetKgPerM2).toBeCloseTo(containerKg, 9);
    }))); // prettier-ignore
  it('outlets that feed a row each count by their mean, all into one by their sum', () =>
    fc.assert(fc.property(fc.array(positive(0.2, 5), { minLength: 2, maxLength: 8 }), (nets) => {
      const of = (feeds: 'one-row' | 'own-rows') => rowOutlets({ catches: nets.map((net) => ({ grossKg: read(net, 0), tareKg: read(0, 0) })), lengthM: read(30, 0), rows: feeds === 'one-row' ? 1 : nets.length, rowMPerM2: 0.7 }); // prettier-ignore
      expect(of('one-row').rateSi / of('own-rows').rateSi).toBeCloseTo(nets.length, 6);
      expect(of('one-row').imbalance).toBeGreaterThanOrEqual(0);
      expect(of('own-rows').imbalance).toBeCloseTo(of('one-row').imbalance, 12);
    }))); // prettier-ignore
});

describe('a plan keeps its promise', () => {
  const methods: MethodId[] = ['weigh-back', 'catch', 'tray', 'timed-catch', 'run-out', 'outlets'];
  const wanted = fc.record({
    method: fc.constantFrom(...methods),
    outputPerM: positive(0.002, 0.5),
    widthM: positive(0.5, 12),
    scaleStepKg: positive(0.001, 0.5),
    tolerance: positive(0.03, 0.2),
    speedMPerS: positive(0.7, 6),
    hopperKg: fc.constant(null),
    lengthUnit: fc.constantFrom('ft' as const, 'm' as const),
  });
  it('enough is weighed for the scale to tell half the tolerance, whatever the method', () =>
    fc.assert(fc.property(wanted, (asked) => {
      const { netSi, strip, catchS, areaM2, loadKg } = planTest(asked);
      expect(netSi).toBeGreaterThanOrEqual(leastNet(asked.scaleStepKg, asked.tolerance / 2) * (1 - 1e-9));
      expect([strip, catchS, areaM2].filter((part) => part !== null)).toHaveLength(1);
      expect(loadKg).toBeGreaterThanOrEqual(2 * netSi);
      if (strip) expect(strip.lengthM).toBeLessThanOrEqual(65);
    }))); // prettier-ignore
  it('a coarser scale never asks for less, a closer tolerance neither', () =>
    fc.assert(fc.property(wanted, positive(1, 8), (asked, times) => {
      const { netSi, uExpected } = planTest(asked);
      expect(planTest({ ...asked, scaleStepKg: asked.scaleStepKg * times }).netSi).toBeGreaterThanOrEqual(netSi * (1 - 1e-9));
      expect(planTest({ ...asked, tolerance: asked.tolerance / times }).netSi).toBeGreaterThanOrEqual(netSi * (1 - 1e-9));
      expect(uExpected).toBeGreaterThan(0);
    }))); // prettier-ignore
});
