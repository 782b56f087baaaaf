import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { upgraded } from '../fields/index.ts';
import { achievedOver, applicationUpgrades, blankApplication, driftOf, EWMA, evaluateApplication, logTable, saysAmount, weighedRuns, type ApplicationInput } from './index.ts'; // prettier-ignore
import { applicationInput } from './applicationInput.ts';

/** 9 lb of 24-0-8 on 3000 ft2, where 3.33 lb / 1000 ft2 were meant. */
const record = (more: Partial<ApplicationInput> = {}): ApplicationInput => {
  const blank = blankApplication('us');
  return {
    ...blank,
    areaName: 'Bandstand lawn',
    size: { text: '3000', unit: 'ft2' },
    product: { ...blank.product, kind: 'dry-fertilizer', name: 'Lake feed', grade: '24-0-8' },
    rate: { text: '3.3333333333', unit: 'lb/1000 ft2' },
    amount: { text: '9.0', unit: 'lb', from: 'weighed' },
    ...more,
  };
};

describe('achieved against meant', () => {
  it('9 lb where 10 were meant is 90 %, and what the scale says of it', () => {
    const { ratio, uRatio } = evaluateApplication(record());
    expect(ratio).toBeCloseTo(0.9, 9);
    // 0.1 lb steps: 2 sqrt(2) 0.1 / sqrt(12) / 9.
    expect(uRatio).toBeCloseTo(0.0090721, 6);
  });

  it('nothing where nothing was meant, or a rate along lanes', () => {
    expect(evaluateApplication(record({ rate: { text: '', unit: 'lb/1000 ft2' } })).ratio).toBeNull();
    expect(evaluateApplication(record({ rate: { text: '300', unit: 'lb/lane-mile' } })).ratio).toBeNull();
  });

  it('delivered is product times analysis, whatever the grade and the amount', () => {
    const asked = fc.record({ n: fc.integer({ min: 1, max: 46 }), k: fc.integer({ min: 0, max: 40 }), lb: fc.integer({ min: 1, max: 400 }) }); // prettier-ignore
    fc.assert(
      fc.property(asked, ({ n, k, lb }) => {
        const of = record({ amount: { text: String(lb), unit: 'lb', from: 'weighed' } });
        const { delivered, onGroundSi, areaM2 } = evaluateApplication({ ...of, product: { ...of.product, grade: `${n}-0-${k}` } }); // prettier-ignore
        const amountOf = (nutrient: string) => (delivered.find((each) => each.nutrient === nutrient)?.kgPerM2 ?? 0) * areaM2!; // prettier-ignore
        expect(amountOf('N')).toBeCloseTo((onGroundSi! * n) / 100, 9);
        expect(amountOf('K2O')).toBeCloseTo((onGroundSi! * k) / 100, 9);
      }),
      { numRuns: 60, seed: 20 },
    );
  });

  it('rows of before are read: what they did not know is blank', () => {
    const { need: _need, directions: _directions, planned: _planned, water: _water, label: _label, chart: _chart, ...earlier } = record(); // prettier-ignore
    expect(applicationInput.parse(upgraded(applicationUpgrades, 1, earlier))).toEqual(record());
  });
});

describe('what rows come to together', () => {
  const row = (runId: string, lb: string, more: Partial<ApplicationInput> = {}) => ({
    root: `${runId}${lb}`,
    startedAt: `2026-04-1${runId}T08:00:00.000Z`,
    saidAt: '',
    subject: 'j',
    input: record({ runId, amount: { text: lb, unit: 'lb', from: 'weighed' }, machine: { id: 'm', name: 'Red', calibration: '' }, ...more }),
  }); // prettier-ignore
  const planned = { amount: { text: '50', unit: 'lb', from: 'planned' } } as const;

  it('9 and 12 lb where 10 were meant on each are 105 %; what was planned or is void counts for nothing', () => {
    const all = achievedOver([row('1', '9'), row('1', '12'), row('1', '50', planned), row('1', '50', { void: 'Twice' })]);
    expect(all?.ratio).toBeCloseTo(1.05, 9);
    expect(all?.areaM2).toBeCloseTo(2 * 3000 * 0.09290304, 6);
    expect(saysAmount(record(planned))).toBe(false);
    expect(achievedOver([row('1', '9', { rate: { text: '', unit: 'lb/1000 ft2' } })])).toBeNull();
  }); // prettier-ignore

  it('a run is all its areas of one machine with one product', () => {
    const rows = [row('1', '9'), row('1', '12'), row('2', '8'), row('3', '50', planned), row('4', '9', { machine: { id: 'other', name: 'Blue', calibration: '' } })]; // prettier-ignore
    expect(weighedRuns(rows, 'm', ' lake FEED').map(({ id, ratio }) => [id, ratio.toFixed(3)])).toEqual([['1', '1.050'], ['2', '0.800']]); // prettier-ignore
    expect(weighedRuns(rows, '', 'Lake feed')).toEqual([]);
  });
});

describe('drift', () => {
  const runs = (...ratios: number[]) => ratios.map((ratio, index) => ({ id: String(index), startedAt: `2026-04-${String(index + 10)}`, ratio })); // prettier-ignore

  it('the weighted mean and its limit by hand', () => {
    const { points } = driftOf(runs(1.1, 0.9, 1.05));
    expect(points.map(({ mean }) => mean)).toEqual(
      [1.03, 0.991, 1.0087].map((value) => expect.closeTo(value, 9)),
    );
    // 2.7 x 0.05 x sqrt(0.3 / 1.7 x (1 - 0.49)) = 0.0405 after one run.
    expect(points[0]!.limit).toBeCloseTo(0.0405, 9);
    expect(points[1]!.limit).toBeCloseTo(2.7 * 0.05 * Math.sqrt((0.3 / 1.7) * (1 - 0.7 ** 4)), 12);
  });

  it('two runs tell nothing; a machine that grows heavy is told, one that scatters is not', () => {
    expect(driftOf(runs(1.2, 1.2)).state).toBe('few');
    expect(driftOf(runs(1.06, 1.1, 1.12, 1.13)).state).toBe('heavy');
    expect(driftOf(runs(0.93, 0.9, 0.88, 0.9)).state).toBe('light');
    expect(driftOf(runs(1.06, 0.94, 1.05, 0.96, 1.01)).state).toBe('within');
  });

  it('one odd run moves nothing, two in a row on one side are no accident', () => {
    const { points, state } = driftOf(runs(1.01, 0.99, 1.6, 1, 1.02));
    expect(points.map(({ isOdd }) => isOdd)).toEqual([false, false, true, false, false]);
    expect(state).toBe('within');
    expect(driftOf(runs(1.01, 0.99, 1.6, 1.62, 1.58)).state).toBe('heavy');
  });

  it('the same whatever the order in which runs arrive', () => {
    const all = runs(1.02, 1.3, 0.97, 1.05, 1.08, 0.99);
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (shuffled) => {
        expect(driftOf(shuffled)).toEqual(driftOf(all));
      }),
      { numRuns: 30, seed: 4 },
    );
    expect(EWMA.weight).toBe(0.3);
  });
});

describe('the log as a table', () => {
  const speak = (what: unknown) => (what as { id: string }).id;
  const row = (input: ApplicationInput) => ({ root: 'a', startedAt: '2026-04-18T08:00:00.000Z', saidAt: '', subject: 'j', input }); // prettier-ignore
  const cells = (input: ApplicationInput) => {
    const [heads = [], values = []] = logTable([row(input)], () => '2026-04-18 10:00', speak);
    return Object.fromEntries(heads.map((head, index) => [head.replace('csv.log.', ''), values[index]]));
  };

  it('has what an inspector asks for', () => {
    const said = record({
      by: 'R. Fenn',
      license: 'TH-118',
      checks: [{ said: 'Chart stale.', why: 'Checked.' }],
    });
    expect(cells(said)).toMatchObject({ day: '2026-04-18', time: '10:00', by: 'R. Fenn', license: 'TH-118', area: 'Bandstand lawn', amount: '9.0', amountUnit: 'lb', percent: '90', delivered: '0.72 N; 0.24 K2O', checks: 'Chart stale. Checked.' }); // prettier-ignore
  });

  it('what was only planned has no share of what was meant', () => {
    expect(cells(record({ amount: { text: '9', unit: 'lb', from: 'planned' } }))).toMatchObject({ percent: '', known: 'planned' }); // prettier-ignore
  });
});
