import { expect, it } from 'vitest';
import { blankRig } from '../machines/index.ts';
import { adviceText, benchRig, coarseRemark, blankCalibration, blankRun, evaluateCalibration, settingPicture, settingsSession, type CalibrationInput } from './index.ts'; // prettier-ignore

const rig = benchRig({
  ...blankRig('us'),
  name: 'Walk salter',
  kind: 'push-drop',
  control: { ...blankRig('us').control, style: 'letters', from: 'A', to: 'H', closed: 'A' },
});
const run = (id: string, setting: string, gross: string) => ({ ...blankRun(id, '2026-11-10', 'taped'), setting, readings: { tare: '1.82', area: `24' 0" x 12' 0"`, passes: '1', gross } }); // prettier-ignore
const calibration = (settings: string, ...runs: CalibrationInput['runs']): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Salter',
  settings,
  width: { text: '24', unit: 'in', by: 'measured' },
  runs: [...runs],
});
const read = (...given: Parameters<typeof calibration>) => evaluateCalibration(calibration(...given), rig);
const told = (...given: Parameters<typeof calibration>) => adviceText(read(...given), calibration(...given));

it('tests each setting in turn, then again from the first', () => {
  expect(told('C, D, E')).toMatchObject({ mark: 'C', why: { facts: { tested: 0, all: 3 } } });
  expect(told('C, D, E', run('1', 'C', '2.27'))).toMatchObject({ mark: 'D', why: { facts: { tested: 1, left: 'some' } } }); // prettier-ignore
  const all = [run('1', 'C', '2.27'), run('2', 'D', '2.62'), run('3', 'E', '3.05')];
  expect(told('C, D, E', ...all)).toMatchObject({ mark: 'C', why: { facts: { left: 'none' } } });
  expect(told('C, D, E', ...all, { ...run('4', 'C', '2.25'), excluded: 'spilled' })?.mark).toBe('C');
  expect(told('C, D, E', ...all, run('4', 'C', '2.25'))?.mark).toBe('D');
  expect(settingsSession([], [])).toEqual({ marks: [], next: null, tested: 0 });
});

it('names a setting that the machine does not have', () =>
  expect(read('C, Z').errors.map(({ code, field }) => [code, field])).toEqual([['scale.mark', 'settings']]));

it('makes a chart without one rate to aim at', () => {
  const reading = read('C, D, E', run('1', 'C', '2.27'), run('2', 'E', '3.05'));
  // 0.45 lb on 288 ft2.
  expect(reading.chart[0]!.rateSi).toBeCloseTo((0.45 * 0.45359237) / (288 * 0.09290304), 9);
  expect(reading.chart.map(({ mark }) => mark.label)).toEqual(['C', 'D', 'E']);
  expect(reading.advice).toBeNull();
  expect(reading.nextMark?.label).toBe('D');
  expect(settingPicture(reading, 'lb/1000 ft2', 'push-drop').curve.length).toBeGreaterThan(2);
});

it('says of a coarse weighing how much ground, or how often over it, would be enough', () => {
  const asked = calibration('C', { ...run('1', 'C', '2.4'), readings: { ...run('1', 'C', '2.4').readings, tare: '1.8' } }); // prettier-ignore
  const remark = coarseRemark(evaluateCalibration(asked, rig).runs[0]!, 0.05, asked)!;
  // A step of 0.1 lb on 0.6 lb: 1.64 lb would do, 2.72 times as much.
  expect(remark).toMatchObject({ id: 'coarse.taped', facts: { times: 3 } });
  expect(remark.facts['area']).toMatch(/^7[89]0|^8[0-4]0/);
});

it('ground that was taped off is typed by its sides, and covered as often as is said', () => {
  const twice = { ...run('1', 'C', '2.27'), readings: { ...run('1', 'C', '2.27').readings, area: '24 x 12 ft', passes: '2' } }; // prettier-ignore
  const [once, half] = [read('', run('1', 'C', '2.27')), read('', twice)].map(({ runs }) => runs[0]!.worked!);
  expect(half!.rateSi).toBeCloseTo(once!.rateSi / 2, 12);
  // A tape read to the foot says less than one read to the inch.
  expect(half!.uReadings).toBeGreaterThan(once!.uReadings);
});
