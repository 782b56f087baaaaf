import { expect, it } from 'vitest';
import { blankRig } from '../machines/index.ts';
import { benchRig, evaluateCalibration, blankCalibration, blankRun, fieldMeans, withFieldRuns, type FieldRun } from './index.ts'; // prettier-ignore

const rig = benchRig({ ...blankRig('us'), name: 'Red', control: { ...blankRig('us').control, from: '0', to: '30', step: '1', closedAt: '0' } } as never); // prettier-ignore
const strip = (setting: string, left: string) => ({ ...blankRun(setting + left, '2026-04-10', 'weigh-back'), setting, readings: { in: '48.00', left, length: '100' } }); // prettier-ignore
const reading = evaluateCalibration({ ...blankCalibration('us'), name: 'Red', target: { amount: '3.3', unit: 'lb/1000 ft2' }, width: { text: '9', unit: 'ft', by: 'chosen' }, runs: [strip('8', '46.2'), strip('8', '46.2'), strip('12', '44.4'), strip('12', '44.4')] }, rig); // prettier-ignore
const run = (mark: string, rateSi: number): FieldRun => ({
  id: mark + rateSi,
  mark,
  rateSi,
  uReadings: 0.005,
});
const at = (of: typeof reading, setting: number) => of.means.find((mean) => mean.setting === setting)!;

it('one weigh-back weighs as much as 0.36 of a test run, and the band narrows by it', () => {
  const tested = at(reading, 8);
  const joined = at(withFieldRuns(reading, [run('8', tested.mean * 1.1)], rig), 8);
  expect(joined.mean / tested.mean).toBeCloseTo((2 + 0.36 * 1.1) / 2.36, 9);
  expect(joined.uRelative / tested.uRelative).toBeCloseTo(Math.sqrt(2 / 2.36), 9);
});

it('a mark that was never tested gets a mean of its own, with its wider band, and the curve goes through it', () => {
  const joined = withFieldRuns(reading, [run('10', at(reading, 8).mean * 1.5)], rig);
  expect(at(joined, 10)).toMatchObject({ runs: 1 });
  // t of 4 degrees of freedom times 5 %, the scale besides.
  expect(at(joined, 10).uRelative).toBeCloseTo(Math.hypot(0.01, 2.776 * 0.05), 3);
  expect(at(joined, 10).uRelative).toBeGreaterThan(at(reading, 8).uRelative);
  expect(joined.chart.find(({ mark }) => mark.label === '10')).toMatchObject({ tested: true });
  expect(joined.field).toHaveLength(1);
  expect(joined.advice).toBe(reading.advice);
});

it('marks that the machine does not have are left out, and nothing changes without any', () => {
  expect(withFieldRuns(reading, [], rig)).toBe(reading);
  expect(withFieldRuns(reading, [run('Q', 0.02)], rig)).toBe(reading);
  expect(fieldMeans([run('8', 0.02), run('8', 0.03)], rig)[0]).toMatchObject({ runs: 2, mean: 0.025 });
});
