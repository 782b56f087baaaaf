import { describe, expect, it } from 'vitest';
import { UNITS } from '../quantities/index.ts';
import { blankScale, evaluateScale } from '../machines/index.ts';
import {
  blankCalibration,
  blankRun,
  NO_RIG,
  evaluateCalibration,
  type CalibrationInput,
  type MethodId,
} from './index.ts';

const PER_1000 = UNITS['lb/1000 ft2'].toSi;
const RIG = { ...NO_RIG, scale: evaluateScale({ ...blankScale(), from: '0', to: '12', step: '0.5' }, 'control'), paceMPerS: 1.3 }; // prettier-ignore
const run = (setting: string, method: MethodId, readings: Record<string, string>, excluded = '') => ({ ...blankRun(`${setting}-${Object.values(readings).join()}`, '2026-04-02', method), setting, readings, excluded }); // prettier-ignore
const strip = (setting: string, left: string, excluded = '') => run(setting, 'weigh-back', { in: '18.00', left, length: "60' 0.0\"" }, excluded); // prettier-ignore
const input = (more: Partial<CalibrationInput>): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  target: { amount: '6.8', unit: 'lb/1000 ft2' },
  width: { text: '9.0', unit: 'ft', by: 'chosen' },
  ...more,
});
const read = (more: Partial<CalibrationInput>) => evaluateCalibration(input(more), RIG);

describe('a calibration', () => {
  it('works each run out, in the units it was typed in', () => {
    const { runs, errors } = read({ runs: [strip('7', '14.35'), run('7', 'run-out', { load: '9.0', left: '1.25', area: '900' }), run('7', 'catch', { gross: '1.92 kg', tare: '0.74 kg', length: '6 m' })] }); // prettier-ignore
    expect(errors).toEqual([]);
    expect(runs[0]!.worked!.rateSi / PER_1000).toBeCloseTo(6.759259, 5);
    expect(runs[1]!.worked!.rateSi / PER_1000).toBeCloseTo(8.611111, 5);
    expect(runs[2]!.worked!.rateSi).toBeCloseTo(1.18 / (6 * 9 * 0.3048), 9);
  });
  it('a chosen spacing has no reading error, a measured width has; a stated scale step counts for each weighing', () => {
    const u = (more: Partial<CalibrationInput>) => read({ runs: [strip('7', '14.35')], ...more }).runs[0]!.worked!.uReadings; // prettier-ignore
    expect(u({ width: { text: '9', unit: 'ft', by: 'measured' } })).toBeGreaterThan(u({}));
    expect(u({ scaleStep: '0.1' })).toBeGreaterThan(2 * u({ scaleStep: '0.02' }));
  });
  it('advises from the runs that count: excluded ones and those without a mark do not', () => {
    const runs = [
      strip('4', '17.4'),
      strip('8', '13.0'),
      strip('7', '10.0', 'gate was still open at the start'),
    ];
    const { advice } = read({ runs });
    expect(advice?.means.map(({ setting }) => setting)).toEqual([4, 8]);
    expect(advice?.because).toBe('curve');
    expect(Number(advice?.mark.label)).toBeGreaterThan(4);
    expect(read({}).advice).toMatchObject({ because: 'start', mark: { label: '5.5' } });
    expect(read({ start: 'middle' }).advice?.mark.label).toBe('6');
  });
  it('the chart has every mark over what was tested', () => {
    const { chart } = read({ runs: [strip('4', '17.4'), strip('5.5', '15.0')] });
    expect(chart.map(({ mark, tested }) => [mark.label, tested])).toEqual([['4', true], ['4.5', false], ['5', false], ['5.5', true]]); // prettier-ignore
  });
  it.each([
    [{ runs: [strip('7', '19')] }, 'runs.0.readings.left', 'test.nothing-out'],
    [{ runs: [run('7', 'timed-catch', { gross: '1 kg', tare: '2 kg', catchTime: '20', course: '40', courseTime: '28' })] }, 'runs.0.readings.tare', 'test.nothing-out'],
    [{ runs: [run('7', 'timed-catch', { gross: '3 kg', tare: '2 kg', catchTime: '0', course: '40', courseTime: '28' })] }, 'runs.0.readings.catchTime', 'quantity.not-positive'],
    [{ runs: [strip('13', '14')] }, 'runs.0.setting', 'scale.mark'],
    [{ runs: [run('7', 'catch', { gross: '40', tare: '0', length: '5 in' })] }, 'runs.0', 'test.too-much'],
    [{ width: { text: '0', unit: 'ft', by: 'chosen' } }, 'width.text', 'quantity.not-positive'],
    [{ runs: [run('7', 'weigh-back', { in: '18', left: '14', length: '60', passes: '1.5' })] }, 'runs.0.readings.passes', 'count.whole'],
    [{ name: '' }, 'name', 'name.empty'],
  ] as const)('%# is refused at its field', (more, field, code) =>
    expect(read(more as Partial<CalibrationInput>).errors.map((error) => [error.field, error.code])).toEqual([[field, code]]),
  ); // prettier-ignore
});
