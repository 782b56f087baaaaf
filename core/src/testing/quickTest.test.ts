import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromSi } from '../quantities/convert.ts';
import type { CalibrationInput, RunInput } from './calibrationInput.ts';
import { blankRun } from './calibrationInput.ts';
import { blankQuickTest, evaluateQuickTest, QUICK_METHODS, type QuickMethod } from './quickTest.ts';
import { student95 } from './student.ts';

const START = { id: 'r', onDay: '2026-04-10' };
const quick = (
  method: QuickMethod,
  readings: RunInput['readings'],
  more: Partial<CalibrationInput> = {},
): CalibrationInput => ({
  ...blankQuickTest('us', START),
  width: { text: '9', unit: 'ft', by: 'measured' },
  runs: [{ ...blankRun('r', START.onDay, method), readings }],
  ...more,
});
const METRIC = { units: { mass: 'kg', length: 'm' }, target: { amount: '', unit: 'g/m2' } } as const;
const strip = (left: string): RunInput => ({
  ...blankRun(left, START.onDay, 'weigh-back'),
  readings: { in: '18.00', left, length: '60' },
});

describe('a quick test', () => {
  it('18.00 to 14.35 lb over 60 by 9 ft is 6.759259 lb on each 1000 ft2, whoever made it', () => {
    const { mean, errors } = evaluateQuickTest(
      quick('weigh-back', { in: '18.00', left: '14.35', length: '60' }),
    );
    expect(fromSi(mean!.rateSi, 'lb/1000 ft2')).toBeCloseTo(6.759259, 5);
    expect(errors).toEqual([]);
  });
  it.each([
    ['catch', { tare: '0.74', gross: '1.92', length: '6' }, '4', 49.166667],
    [
      'timed-catch',
      { tare: '0', gross: '2.46', catchTime: '20', course: '40', courseTime: '27.5' },
      '5',
      16.9125,
    ],
    ['tray', { tare: '0.74', gross: '1.92', length: '6' }, '4', 49.166667],
  ] as const)('%s needs no machine either', (method, readings, width, rate) => {
    const { mean } = evaluateQuickTest(
      quick(method, readings, { ...METRIC, width: { text: width, unit: 'm', by: 'chosen' } }),
    );
    expect(fromSi(mean!.rateSi, 'g/m2')).toBeCloseTo(rate, 4);
  });
  it('a load on known ground needs no width: 9.0 lb less 1.25 for 900 ft2', () => {
    const input = quick(
      'run-out',
      { load: '9.0', left: '1.25', area: '900' },
      { width: { text: '', unit: 'ft', by: 'chosen' } },
    );
    expect(fromSi(evaluateQuickTest(input).mean!.rateSi, 'lb/1000 ft2')).toBeCloseTo(8.611111, 5);
  });
  it('one run alone carries the scatter that is believed: t of 4 degrees times 3 %, and its readings', () => {
    const input = quick('weigh-back', { in: '18.00', left: '14.35', length: '60' });
    const { mean, runs } = evaluateQuickTest(input);
    expect(mean!.uRelative).toBeCloseTo(Math.hypot(2 * runs[0]!.worked!.uReadings, student95(4) * 0.03), 9);
  });
  it('further runs are averaged, and what is excluded is left out', () => {
    const runs = [strip('14.35'), strip('14.45'), { ...strip('2'), excluded: 'wrong bucket' }];
    const { mean } = evaluateQuickTest(quick('weigh-back', {}, { runs }));
    expect(mean!.runs).toBe(2);
    expect(fromSi(mean!.rateSi, 'lb/1000 ft2')).toBeCloseTo((3.65 + 3.55) / 2 / 0.54, 5);
  });
  it('nothing is told before all of it is there, and what is wrong names its field', () => {
    const open = evaluateQuickTest(quick('weigh-back', { in: '18', left: '', length: '60' }));
    expect(open).toMatchObject({ mean: null, errors: [] });
    const wrong = evaluateQuickTest(quick('weigh-back', { in: '14', left: '18', length: '60' }));
    expect(wrong.mean).toBeNull();
    expect(wrong.errors.map(({ field }) => field)).toEqual(['runs.0.readings.left']);
  });
  it('every quick method begins as one run that comes to nothing yet', () => {
    for (const method of QUICK_METHODS)
      expect(evaluateQuickTest(quick(method, {}))).toMatchObject({ mean: null, errors: [] });
  });
  it('the mean lies between the lowest and the highest run', () => {
    const left = fc.double({ min: 10, max: 17.5, noNaN: true }).map((value) => value.toFixed(2));
    fc.assert(
      fc.property(fc.array(left, { minLength: 1, maxLength: 6 }), (lefts) => {
        const { mean, runs } = evaluateQuickTest(quick('weigh-back', {}, { runs: lefts.map(strip) }));
        const rates = runs.map(({ worked }) => worked!.rateSi);
        expect(mean!.rateSi).toBeGreaterThanOrEqual(Math.min(...rates) * (1 - 1e-12));
        expect(mean!.rateSi).toBeLessThanOrEqual(Math.max(...rates) * (1 + 1e-12));
      }),
      { seed: 7, numRuns: 60 },
    );
  });
});
