import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advise, NO_RECORD, type Advice, type Wanted } from '../index.ts';

const marksOf = (to: number, step = 1) =>
  Array.from({ length: Math.round(to / step) + 1 }, (_, index) => index * step);
const asked = (runs: readonly (readonly [number, number])[], more: Partial<Wanted> = {}): Wanted => ({
  marks: marksOf(30),
  closed: 0,
  firstFlow: null,
  runs: runs.map(([setting, rate]) => ({ setting, rate, uReadings: 0.012 })),
  record: NO_RECORD,
  target: 10,
  tolerance: 0.05,
  ceiling: null,
  start: 12,
  ...more,
});
const next = (runs: readonly (readonly [number, number])[], more: Partial<Wanted> = {}): Advice =>
  advise(asked(runs, more))!;

describe('under a ceiling', () => {
  it('goes below the lowest mark that is over it, whatever was repeated there (case X)', () => {
    const over = [[26, 13.2], [19, 10.8], [19, 11]] as const; // prettier-ignore
    expect(next(over, { ceiling: 10 }).setting).toBeLessThan(19);
    expect(next(over, { ceiling: 10 })).toMatchObject({ because: 'beyond' });
  });
  it('leaves a mark whose band keeps passing the ceiling for the next one below', () => {
    const near = [[19, 9.9], [19, 9.85], [25, 13]] as const; // prettier-ignore
    expect(next(near, { ceiling: 10 })).toMatchObject({ setting: 18, because: 'beside' });
  });
  it('says that none fits with the mark above, which another pace would bring in', () => {
    const marks = [0, 5, 10];
    const runs = [[5, 6], [10, 10.8]] as const; // prettier-ignore
    expect(next(runs, { ceiling: 10, marks })).toMatchObject({
      setting: 5,
      because: 'no-mark-fits',
      above: { setting: 10, mean: 10.8 },
    });
  });
  it('says so when even the lowest mark is over', () => {
    expect(next([[1, 12]], { ceiling: 10 })).toMatchObject({ setting: 1, because: 'all-over' });
  });
});

describe('the end of what was tested', () => {
  it('is no end while the next mark towards the rate is untested, though noise made it flat', () => {
    const flat = [[12, 8], [13, 8.4], [14, 8.35], [13, 8.4]] as const; // prettier-ignore
    const { setting, because } = next(flat);
    expect(setting).toBeGreaterThan(14);
    expect(because).toBe('beyond');
  });
  it('a trickle never leads to wide open: half of the way at most (case X)', () => {
    expect(next([[11, 0.3]]).setting).toBe(20);
    expect(next([[11, 0.3]], { marks: marksOf(30, 0.5) }).setting).toBeLessThanOrEqual(20.5);
    expect(next([[11, 0.3]], { byShape: () => 30 })).toMatchObject({ setting: 20, because: 'shape' });
    expect(next([[29, 5]])).toMatchObject({ setting: 30 });
  });
  it('quarter steps are not crept up one by one', () => {
    const { setting } = next([[4, 3], [5, 4]], { marks: marksOf(30, 0.25) }); // prettier-ignore
    expect(setting).toBeGreaterThan(8);
  });
});

describe('a run in which nothing came out', () => {
  it('is a bound: half way from there to fully open, and no point of the curve', () => {
    expect(next([[12, 0]])).toMatchObject({ setting: 21, because: 'no-flow', noFlow: 12, means: [] });
    expect(next([[12, 0], [21, 20]]).setting).toBeGreaterThan(12); // prettier-ignore
    expect(next([[12, 0], [21, 20], [17, 12]]).means.map(({ setting }) => setting)).toEqual([17, 21]); // prettier-ignore
  });
  it('takes flow to begin half way to the lowest mark that flowed, so that it is found soon', () => {
    const runs: (readonly [number, number])[] = [[24, 200]];
    // Nothing flows up to 16: from there 25 a mark.
    const rate = (mark: number) => Math.max(0, 25 * (mark - 16));
    for (let index = 0; index < 6 && runs.every(([, r]) => r === 0 || r > 26); index += 1) {
      const { setting } = next(runs, { target: 25 });
      runs.push([setting, rate(setting)]);
    }
    expect(runs.some(([, r]) => r === 25)).toBe(true);
  });
  it('at or above a mark that flowed does not count', () => {
    expect(next([[12, 9], [14, 0]])).toMatchObject({ noFlow: null, means: [{ setting: 12 }] }); // prettier-ignore
  });
  it('even fully open is an answer', () => {
    expect(next([[30, 0]])).toMatchObject({ setting: 30, because: 'nothing-flows' });
  });
  it('a run at the closed mark says nothing of an open one, and no open mark is no advice', () => {
    expect(next([[0, 9.9], [0, 10]])).toMatchObject({ because: 'start', setting: 12 }); // prettier-ignore
    expect(advise(asked([], { marks: [0] }))).toBeNull();
    expect(advise(asked([], { marks: [] }))).toBeNull();
  });
});

describe('no mark fits', () => {
  const marks = [0, 5, 10];
  it('is not said of two runs that scatter: up to four at each of the two nearest', () => {
    const near = [[5, 9.3], [10, 10.75]] as const; // prettier-ignore
    expect(next(near, { marks })).toMatchObject({ because: 'repeat' });
    const often = [5, 5, 5, 5, 10, 10, 10, 10].map((mark) => [mark, mark === 5 ? 9.35 : 10.65] as const);
    expect(next(often, { marks }).because).toBe('no-mark-fits');
  });
  it('is said at once of marks that are far out', () => {
    expect(next([[5, 5], [10, 15]], { marks })).toMatchObject({ because: 'no-mark-fits' }); // prettier-ignore
  });
});

it('looks at the neighbour of a mark that only just fits, not of one that fits well', () => {
  expect(next([[12, 9.6], [12, 9.6]])).toMatchObject({ setting: 13, because: 'beside' }); // prettier-ignore
  expect(next([[12, 9.9], [12, 9.9]])).toMatchObject({ setting: 12, because: 'usable' }); // prettier-ignore
});

it('a machine that is known to be unsteady asks for more runs', () => {
  const two = [[12, 9.9], [12, 10.1]] as const; // prettier-ignore
  expect(next(two).because).toBe('usable');
  const unsteady = { squares: 12 * 0.09 ** 2, degrees: 12 };
  expect(next(two, { record: unsteady })).toMatchObject({ because: 'repeat' });
});

it('whatever was run, it ends or goes on at an open mark that is not known to be wrong', () => {
  const runs = fc.array(
    fc.tuple(
      fc.integer({ min: 0, max: 30 }),
      fc.oneof(fc.constant(0), fc.double({ min: 0, max: 40, noNaN: true })),
    ),
    { maxLength: 14 },
  );
  fc.assert(
    fc.property(
      runs,
      fc.boolean(),
      fc.option(fc.integer({ min: 0, max: 20 })),
      (made, isCapped, firstFlow) => {
        const advice = next(made, { ceiling: isCapped ? 10 : null, firstFlow });
        expect(advice.setting).toBeGreaterThan(0);
        const over = advice.means.find(({ mean }) => isCapped && mean > 10);
        if (over && advice.because !== 'all-over') expect(advice.setting).toBeLessThan(over.setting);
        const highest = advice.means.at(-1)?.setting ?? advice.noFlow ?? 30;
        // Upwards at most half of the way, or the next mark.
        if (advice.because !== 'start') expect(advice.setting).toBeLessThanOrEqual(Math.max(highest + 1, highest + (30 - highest) / 2)); // prettier-ignore
      },
    ),
    { seed: 12, numRuns: 600 },
  );
});
