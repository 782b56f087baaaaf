import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  atWorkingPace,
  joinRecords,
  NO_RECORD,
  scatterOf,
  settingMeans,
  student95,
  timingBand,
  type Run,
} from './index.ts';
import { recordOf } from './scatter.ts';

const run = (setting: number, rate: number, more: Partial<Run> = {}): Run => ({ setting, rate, uReadings: 0, ...more }); // prettier-ignore
const set = (id: string, ...timesS: number[]) => ({ id, timesS });

describe('times over the course', () => {
  it('scatter like runs do (case T)', () => {
    expect(timingBand([set('a', 27.5, 28.4, 27.9)])).toBeCloseTo(0.03702484, 8);
    expect(timingBand([set('a', 27.5)])).toBeCloseTo(0.08329335, 8);
    expect(student95(6)).toBeCloseTo(2.446912, 6);
    expect(timingBand([null, undefined])).toBe(0);
  });
  it('shared by several runs enter once, those of their own average out', () => {
    const shared = timingBand([set('a', 27, 28), set('a', 27, 28)]);
    expect(shared).toBeCloseTo(timingBand([set('a', 27, 28)]), 12);
    expect(timingBand([set('a', 27, 28), set('b', 27, 28)])).toBeLessThan(shared);
  });
  it('go into the band of a mean beside readings and scatter, in quadrature', () => {
    const timings = set('a', 27.5, 28.4, 27.9);
    const [mean] = settingMeans([run(7, 10, { uReadings: 0.012, timings })]);
    const without = settingMeans([run(7, 10, { uReadings: 0.012 })])[0]!.uRelative;
    expect(mean!.uRelative).toBeCloseTo(Math.hypot(without, 0.03702484), 8);
  });
});

describe('what a machine showed before', () => {
  it('each setting of each calibration is a group of its own', () => {
    const record = recordOf([[4.89, 4.71], [3.67, 3.58, 3.61]]); // prettier-ignore
    expect(record.degrees).toBe(3);
    const here = scatterOf([run(1, 9)], record);
    expect(here).toEqual({ s: expect.closeTo(0.02570055, 8), degrees: 7 });
    // The same as if they had been run here.
    const there = scatterOf([run(8, 4.89), run(8, 4.71), run(7, 3.67), run(7, 3.58), run(7, 3.61)]); // prettier-ignore
    expect(there.s).toBeCloseTo(here.s, 12);
  });
  it('widens the band of an unsteady one from the first run on, narrows that of a steady one', () => {
    const band = (s: number) => settingMeans([run(7, 10)], { squares: 12 * s * s, degrees: 12 })[0]!.uRelative; // prettier-ignore
    const first = settingMeans([run(7, 10)])[0]!.uRelative;
    expect(band(0.06)).toBeGreaterThan(first);
    expect(band(0.02)).toBeLessThan(first);
  });
  it('nothing that flowed adds nothing, and records add up in any order', () => {
    expect(recordOf([[0, 0], [5]])).toEqual(NO_RECORD); // prettier-ignore
    fc.assert(
      fc.property(fc.array(fc.array(fc.double({ min: 0.1, max: 9, noNaN: true }), { minLength: 1, maxLength: 5 }), { maxLength: 6 }), (groups) => {
        const one = recordOf(groups);
        const joined = joinRecords(groups.toReversed().map((group) => recordOf([group])));
        expect(joined.squares).toBeCloseTo(one.squares, 10);
        expect(joined.degrees).toBe(one.degrees);
      }),
      { seed: 13 },
    ); // prettier-ignore
  });
});

describe('a run at another pace', () => {
  it('is brought to the pace of work, with what that leaves uncertain (case U)', () => {
    const { factor, u, isApart } = atWorkingPace(1.2, 1.34, 'flow');
    expect(3.6 * factor).toBeCloseTo(3.223881, 6);
    expect(u).toBeCloseTo(0.02206961, 8);
    expect(isApart).toBe(false);
  });
  it('more than 15 % away does not count; wheels meter alike at every pace', () => {
    expect(atWorkingPace(1.34 * 1.16, 1.34, 'flow').isApart).toBe(true);
    expect(atWorkingPace(1.34 * 0.84, 1.34, 'flow').isApart).toBe(true);
    expect(atWorkingPace(2.6, 1.34, 'wheels')).toEqual({ factor: 1, u: 0, isApart: false });
  });
});
