import { expect, it } from 'vitest';
import { blankCalibration, blankRun, type CalibrationInput, type RunInput } from './calibrationInput.ts';
import { evaluateTestRun, testRunInput, type TestRunInput } from './testRun.ts';

const UNITS = { mass: 'lb', length: 'ft' } as const;
const CALIBRATION: CalibrationInput = {
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
};
const RUN: RunInput = {
  ...blankRun('a', '2026-04-10', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100', time: '22.7' },
};
const testRun = (more: Partial<TestRunInput> = {}): TestRunInput =>
  testRunInput.parse({ ...RUN, units: UNITS, ...more });
const wrongIn = (more: Partial<TestRunInput>, calibration = CALIBRATION) =>
  evaluateTestRun(testRun(more), calibration).errors.map(({ field, code }) => `${field} ${code}`);

it('of a whole run nothing is wrong', () => {
  expect(wrongIn({})).toEqual([]);
  expect(wrongIn({ noFlow: true, readings: {} })).toEqual([]);
});

it.each<[string, Partial<TestRunInput>, string]>([
  ['the day', { onDay: '2026-02-30' }, 'onDay'],
  ['a reading', { readings: { in: 'some' } }, 'readings.in'],
  ['more left than there was', { readings: { in: '45.00', left: '48.00', length: '100' } }, 'readings.'],
  ['the width', { width: { text: 'wide', unit: 'ft', by: 'chosen' } }, 'width.text'],
])('names %s by its own place', (_, more, field) => {
  const wrong = wrongIn(more);
  expect(wrong).not.toEqual([]);
  expect(wrong.every((each) => each.startsWith(field))).toBe(true);
});

it('what is wrong with the calibration is none of its business', () => {
  expect(wrongIn({}, { ...CALIBRATION, name: '', target: { amount: 'much', unit: 'lb/1000 ft2' } })).toEqual(
    [],
  );
  expect(wrongIn({}, { ...CALIBRATION, runs: [{ ...RUN, id: 'b', onDay: 'someday' }] })).toEqual([]);
});

it('its bare numbers are in its own units, whatever the calibration is changed to', () => {
  // 30 lb are less than 48 lb, and 30 kg are more.
  const readings = { in: '48 lb', left: '30', length: '100' };
  const metric: CalibrationInput = { ...CALIBRATION, units: { mass: 'kg', length: 'm' } };
  expect(wrongIn({ readings }, metric)).toEqual([]);
  expect(wrongIn({ readings, units: metric.units }, CALIBRATION)).toHaveLength(1);
});
