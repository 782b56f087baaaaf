import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UNITS } from '../quantities/index.ts';
import {
  advise,
  caught,
  fromShape,
  starts,
  fillAim,
  leastNet,
  NO_RECORD,
  pooled,
  rateChangeAtPace,
  rateFromFill,
  rowOutlets,
  runOut,
  scatterOf,
  settingCurve,
  settingMeans,
  student95,
  timedCatch,
  timedPace,
  weighBack,
  type Reading,
  type Run,
  type Wanted,
} from './index.ts';

const LB = UNITS.lb.toSi;
const FT = UNITS.ft.toSi;
const PER_1000 = UNITS['lb/1000 ft2'].toSi;
const reading = (value: number, resolution: number, unit = 1): Reading => ({ si: value * unit, resolutionSi: resolution * unit }); // prettier-ignore
const chosen = (value: number, unit = 1) => reading(value, 0, unit);
const printed = (value: number, as: number, digits = 6) =>
  expect(Math.abs(value - as), `${value} is not ${as}`).toBeLessThanOrEqual(0.500001 * 10 ** -digits);

describe('reference cases', () => {
  it('F: weigh-back over a strip measured by tape', () => {
    const strip = { inKg: reading(18, 0.05, LB), leftKg: reading(14.35, 0.05, LB), lengthM: reading(60, 0.5 / 12, FT), widthM: reading(9, 0.5, FT), runs: 1 }; // prettier-ignore
    const { rateSi, uReadings } = weighBack(strip);
    printed(rateSi / PER_1000, 6.759259);
    printed(200 * uReadings, 3.397159);
  });
  it('G: a catch less its tare; what a coarse scale can tell', () => {
    printed(caught({ grossKg: chosen(1.92), tareKg: chosen(0.74), lengthM: chosen(6), widthM: chosen(4), passes: 1 }).rateSi * 1000, 49.166667); // prettier-ignore
    const small = caught({ grossKg: reading(1.3, 0.1), tareKg: reading(1, 0.1), lengthM: chosen(6), widthM: chosen(4), passes: 1 }); // prettier-ignore
    printed(200 * small.uReadings, 27.216553);
    printed(leastNet(0.1, 0.1), 0.816497);
  });
  const H: Run[] = [[8, 4.89], [8, 4.71], [7, 3.67], [7, 3.58], [7, 3.61]].map(([setting, rate]) => ({ setting: setting!, rate: rate!, uReadings: 0.012 })); // prettier-ignore
  it('H: scatter pooled over settings, and the band of the mean', () => {
    const { s, degrees } = scatterOf(H);
    printed(100 * s, 2.570055);
    expect(degrees).toBe(7);
    printed(student95(7), 2.364624);
    const [seven] = settingMeans(H);
    printed(seven!.mean, 3.62);
    printed(100 * seven!.uRelative, 4.250982);
    printed(student95(4), 2.776445);
    printed(100 * settingMeans([H[0]!])[0]!.uRelative, 8.668208);
  });
  it('I: a timed catch standing still', () =>
    printed(1000 * timedCatch({ catches: [{ grossKg: chosen(2.46), tareKg: chosen(0) }], catchS: chosen(20), courseM: chosen(40), courseS: chosen(27.5), spacingM: chosen(5) }).rateSi, 16.9125, 4)); // prettier-ignore
  it('J: run-out', () =>
    printed(runOut({ loadSi: chosen(9, LB), leftSi: chosen(1.25, LB), areaM2: chosen(900, FT * FT) }).rateSi / PER_1000, 8.611111)); // prettier-ignore
  it('K: how long a container may take to fill', () => {
    const asked = {
      targetKgPerM2: 0.022,
      spacingM: 1.5,
      containerKg: 4.6,
      speedMPerS: 0.9,
      outletsPerRow: 1,
    };
    const { outputPerM, servesM, fillS } = fillAim(asked);
    printed(outputPerM, 0.033);
    printed(servesM, 139.393939);
    printed(fillS, 154.882155);
    expect(rateFromFill(asked, fillS).rateSi).toBeCloseTo(0.022, 12);
  });
  it('L: two outlets into one row', () => {
    const found = rowOutlets({ catches: [1.84, 2.02].map((kg) => ({ grossKg: chosen(kg), tareKg: chosen(0) })), lengthM: chosen(30), rows: 1, rowMPerM2: 0.66 }); // prettier-ignore
    printed(found.rateSi * 1e4, 849.2, 1);
    printed(100 * found.imbalance, 9.326425);
  });
  it('R: pace over a course, and what another pace does', () => {
    const { speedMPerS, scatter } = timedPace(40, [29.1, 28.4, 30.2]);
    printed(speedMPerS, 1.368301);
    printed(100 * scatter!, 3.103913);
    printed(100 * rateChangeAtPace(1.34, 1.22, 'flow'), 9.836066);
    expect(rateChangeAtPace(1.34, 1.22, 'wheels')).toBe(0);
  });
});

const M = [[4, 1.1], [6, 2.6], [8, 4.9], [10, 6.4]].map(([x, y]) => ({ x: x!, y: y!, weight: 1 })); // prettier-ignore
const marksOf = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, index) => from + index * step);
const wanted = (runs: [number, number][], more: Partial<Wanted> = {}): Wanted => ({
  marks: marksOf(0, 12, 0.5),
  closed: 0,
  firstFlow: null,
  runs: runs.map(([setting, rate]) => ({ setting, rate, uReadings: 0.01 })),
  target: 3.6,
  tolerance: 0.05,
  ceiling: null,
  start: 3,
  record: NO_RECORD,
  ...more,
});

describe('reference case M', () => {
  const curve = settingCurve(M);
  it('the curve and where it meets the target', () => {
    printed(curve.solve(3.6)!, 6.88183);
    printed(curve.at(7), 3.75);
    printed(curve.at(6.5), 3.129605);
    expect(pooled(M.map((point) => (point.x === 8 ? { ...point, y: 2.4 } : point))).map(({ y }) => y)).toEqual([1.1, 2.5, 2.5, 6.4]); // prettier-ignore
  });
  const runs = M.map(({ x, y }): [number, number] => [x, y]);
  it('the mark nearest in rate; under a ceiling the one below it', () => {
    expect(advise(wanted(runs))).toMatchObject({ setting: 7, because: 'curve', isGuess: false });
    expect(advise(wanted(runs, { ceiling: 3.6 }))).toMatchObject({ setting: 6.5 });
  });
  it('one point: in proportion from the closed mark', () => {
    const { exact, setting, isGuess } = advise(wanted([[12, 5.2]], { closed: 2, target: 4, marks: marksOf(2, 20, 1) }))!; // prettier-ignore
    printed(exact!, 9.692308);
    expect([setting, isGuess]).toEqual([10, true]);
  });
});

describe('where to begin', () => {
  const label = { points: [{ setting: 4, rate: 1.1 }, { setting: 8, rate: 4.9 }], paceMPerS: 1.34 }; // prettier-ignore
  it('low, middle, and the label at another pace', () => {
    const begin = starts(marksOf(0, 30, 1), 0, null, 3, 1.34, label);
    expect(begin).toEqual({ low: 13.5, middle: 15, label: expect.closeTo(6, 9) });
    expect(starts(marksOf(0, 30, 1), 0, 6, 3, 1.34, null)).toEqual({
      low: expect.closeTo(16.8, 9),
      middle: 15,
      label: null,
    });
    // At half the label's pace, the label's setting for half the rate.
    expect(starts(marksOf(0, 30, 1), 0, null, 6, 0.67, label).label).toBeCloseTo(6, 9);
    expect(starts(marksOf(0, 30, 1), 0, null, 9.8, 1.34, label).label).toBeCloseTo(16, 9);
  });
  it('the shape of another product, scaled by one test', () => {
    expect(fromShape(label, { setting: 4, rate: 2.2 }, 6)).toBeCloseTo(6, 9);
    expect(fromShape(label, { setting: 9, rate: 2.2 }, 6)).toBeNull();
    expect(fromShape(label, { setting: 4, rate: 2.2 }, 60)).toBeNull();
  });
});

describe('the curve', () => {
  const points = fc
    .uniqueArray(fc.integer({ min: 0, max: 60 }), { minLength: 2, maxLength: 12 })
    .chain(
      (xs) =>
      fc.tuple(...xs.map((x) => fc.record({ x: fc.constant(x), y: fc.double({ min: 0, max: 9, noNaN: true }), weight: fc.integer({ min: 1, max: 5 }) }))), // prettier-ignore
    )
    .map((all) => all.toSorted((a, b) => a.x - b.x));
  it('is monotone, goes through the pooled means, and is solved back to its rate', () => {
    fc.assert(
      fc.property(points, fc.double({ min: 0, max: 1, noNaN: true }), (all, share) => {
        const curve = settingCurve(all);
        for (const { x, y } of pooled(all)) expect(curve.at(x)).toBeCloseTo(y, 9);
        let last = -Infinity;
        for (let i = 0; i <= 200; i += 1) {
          const value = curve.at(curve.from + ((curve.to - curve.from) * i) / 200);
          expect(value).toBeGreaterThanOrEqual(last - 1e-9);
          last = value;
        }
        const target = curve.at(curve.from) + share * (curve.at(curve.to) - curve.at(curve.from));
        expect(curve.at(curve.solve(target)!)).toBeCloseTo(target, 7);
      }),
      { seed: 62, numRuns: 200 },
    );
  });
  it('through points that lie too far apart for numbers is refused, and none leads to a rate that is none', () => {
    const start = { x: 0, y: 0, weight: 1 };
    const steep = [start, { x: 5e-324, y: 1e300, weight: 1 }];
    expect(() => settingCurve(steep)).toThrow(expect.objectContaining({ code: 'number.unusable' }));
  });
  it('pools to the weighted least squares of all non-decreasing fits (against a search over blocks)', () => {
    fc.assert(
      fc.property(points, (all) => {
        const few = all.slice(0, 7);
        const cost = (fit: readonly number[]) =>
          few.reduce((sum, { y, weight }, index) => sum + weight * (y - fit[index]!) ** 2, 0);
        let best = Infinity;
        // Every way of cutting the points into runs of one value each.
        for (let cuts = 0; cuts < 2 ** (few.length - 1); cuts += 1) {
          const blocks: number[][] = [[0]];
          for (let index = 1; index < few.length; index += 1)
            if (cuts & (1 << (index - 1))) blocks.push([index]);
            else blocks.at(-1)!.push(index);
          const fit = blocks.flatMap((block) => {
            const total = block.reduce((sum, at) => sum + few[at]!.weight, 0);
            const mean = block.reduce((sum, at) => sum + few[at]!.weight * few[at]!.y, 0) / total;
            return block.map(() => mean);
          });
          if (fit.every((value, index) => index === 0 || value >= fit[index - 1]!))
            best = Math.min(best, cost(fit));
        }
        expect(cost(pooled(few).map(({ y }) => y))).toBeCloseTo(best, 7);
      }),
      { seed: 63, numRuns: 80 },
    );
  });
});

describe('advice', () => {
  const anyRuns = fc.array(fc.tuple(fc.integer({ min: 1, max: 24 }), fc.double({ min: 0, max: 9, noNaN: true })), { maxLength: 12 }); // prettier-ignore
  it('is always a mark of the scale, never the closed one, and under a ceiling not one known to pass it', () => {
    fc.assert(
      fc.property(
        anyRuns,
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.boolean(),
        (runs, target, capped) => {
          const asked = wanted(
            runs.map(([at, rate]) => [at / 2, rate]),
            { target, ceiling: capped ? target : null },
          );
          const { setting, standing, means, because, noFlow } = advise(asked)!;
          expect(asked.marks).toContain(setting);
          expect(setting).not.toBe(0);
          const tested = means.find((mean) => mean.setting === setting);
          if (standing !== 'open') expect(tested!.mean * (1 + (capped ? tested!.uRelative : 0))).toBeLessThanOrEqual(capped ? target : Infinity); // prettier-ignore
          const over = means.find(({ mean }) => capped && mean > target);
          if (over && because !== 'all-over') expect(setting).toBeLessThan(over.setting);
          if (noFlow !== null && because !== 'nothing-flows') expect(setting).toBeGreaterThan(noFlow);
        },
      ),
      { seed: 64, numRuns: 500 },
    );
  });
  it('repeats a mark until it is usable, then says so', () => {
    expect(advise(wanted([[4, 1.1], [8, 4.9], [7, 3.6]]))).toMatchObject({ setting: 7, because: 'repeat', standing: 'open' }); // prettier-ignore
    expect(advise(wanted([[4, 1.1], [8, 4.9], [7, 3.6], [7, 3.62]]))).toMatchObject({ setting: 7, because: 'usable' }); // prettier-ignore
    expect(advise(wanted([[7, 3.6], [7, 3.62], [7, 3.58], [7, 3.61]]))).toMatchObject({ setting: 7, because: 'settled' }); // prettier-ignore
    expect(advise(wanted([[7, 3.6], [7, 3.62], [7, 3.58], [7, 3.61]], { ceiling: 3.6 }))).toMatchObject({ standing: 'open' }); // prettier-ignore
  });
  it('says when no mark fits', () => {
    const coarse = { marks: [0, 4, 8, 12] };
    expect(advise(wanted([[4, 1.1], [8, 4.9], [4, 1.1], [8, 4.9]], coarse))).toMatchObject({ setting: 8, because: 'no-mark-fits', above: null }); // prettier-ignore
    expect(advise(wanted([[4, 1.1], [8, 4.9]], { ...coarse, ceiling: 3.6 }))).toMatchObject({ setting: 4, because: 'no-mark-fits', above: { setting: 8 } }); // prettier-ignore
  });
  it('more runs of equal scatter never widen the band', () => {
    for (let n = 2; n < 30; n += 1) {
      const band = (count: number) => {
        const runs = Array.from({ length: count }, (_, index) => ({ setting: 5, rate: 1 + 0.02 * (index % 2 === 0 ? 1 : -1), uReadings: 0.01 })); // prettier-ignore
        return settingMeans(runs)[0]!.uRelative;
      };
      expect(band(n * 2 + 2)).toBeLessThanOrEqual(band(n * 2) + 1e-12);
    }
  });
});

it('t against printed tables (two-sided 95 %)', () => {
  for (const [
    degrees,
    t,
  ] of [[1, 12.7062], [2, 4.30265], [3, 3.18245], [10, 2.22814], [30, 2.04227], [120, 1.97993], [499, 1.96473]] as const) // prettier-ignore
    printed(student95(degrees), t, 4);
});
