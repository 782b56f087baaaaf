import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankCalibration, blankRun, type CalibrationInput, type RunInput } from './calibrationInput.ts';
import { evaluateCalibration } from './calibration.ts';
import {
  aimOf,
  evaluateTestRun,
  openRunInput,
  runsSince,
  runsToAppend,
  testRunInput,
  testRunOf,
  withRuns,
  type TestRunInput,
} from './testRun.ts';

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

const row = (id: string, minute: number, more: Partial<TestRunInput> = {}, first: string | null = null) => ({
  id,
  first,
  occurredAt: `2026-04-10T08:${String(minute).padStart(2, '0')}:00.000Z`,
  input: testRun(more),
});

describe('a calibration with its runs', () => {
  const aim = aimOf(CALIBRATION);
  it('has what each run says by now, under the id of its first row, and the row that says it', () => {
    const { runs } = withRuns(aim, [row('b', 1, { setting: '8' }), row('c', 2, { excluded: 'gate open' }, 'a'), row('a', 0)], []);
    expect(runs.map(({ id, row: by, setting, excluded }) => [id, by, setting, excluded])).toEqual([
      ['a', 'c', '11', 'gate open'],
      ['b', 'b', '8', ''],
    ]);
  }); // prettier-ignore
  it('has those that are being made after them, until they are appended', () => {
    const open = { id: 'o', input: openRunInput.parse({ ...testRun(), calibration: '', step: 'set' }) };
    const { runs } = withRuns(aim, [row('a', 0)], [open]);
    expect(runs.map(({ id, row: by, step }) => [id, by, step])).toEqual([
      ['a', 'a', ''],
      ['o', '', 'set'],
    ]);
    expect(withRuns(aim, [row('o', 0)], [open]).runs.map(({ step }) => step)).toEqual(['']);
  });
  it('is the same in whatever order the rows came, and comes apart into what is stored of it', () => {
    const rows = [row('a', 0), row('b', 1), row('c', 2, { note: 'again' }, 'a'), row('d', 3)];
    fc.assert(
      fc.property(fc.shuffledSubarray(rows, { minLength: rows.length }), (any) => {
        expect(withRuns(aim, any, [])).toEqual(withRuns(aim, rows, []));
      }),
    );
    expect(aimOf(withRuns(aim, rows, []))).toEqual(aim);
    for (const run of withRuns(aim, [row('a', 0)], []).runs) expect(testRunOf(run, aim)).toEqual(testRun());
  });
  it('reads each run in its own units', () => {
    const metric = { ...aim, units: { mass: 'kg', length: 'm' } as const };
    const rateOf = (of: typeof metric | typeof aim) =>
      evaluateCalibration(withRuns(of, [row('a', 0)], [])).runs[0]?.worked?.rateSi;
    expect(rateOf(aim)).toBeGreaterThan(0.01);
    expect(rateOf(metric)).toBe(rateOf(aim));
  });
});

describe('what is still to be appended', () => {
  const stands = withRuns(aimOf(CALIBRATION), [row('a', 0), row('b', 1)], []);
  const to = (runs: readonly RunInput[]) => runsToAppend(stands, { ...stands, runs }).map(({ id }) => id);
  const [a, b] = [stands.runs[0]!, stands.runs[1]!];
  it('is what is new and what is said anew', () => {
    expect(to(stands.runs)).toEqual([]);
    expect(to([a, b, { ...RUN, id: 'c' }])).toEqual(['c']);
    expect(to([a, { ...b, excluded: 'wind' }])).toEqual(['b']);
    expect(to([{ ...a, readings: { ...a.readings, left: '45.00' } }, b])).toEqual(['a']);
  });
  it('is not what is being made, what says nothing, or what is not there on this device', () => {
    expect(to([a, b, { ...RUN, id: 'c', step: 'walk' }])).toEqual([]);
    expect(to([a, b, blankRun('c', '2026-04-10', 'weigh-back')])).toEqual([]);
    expect(to([a, b, { ...blankRun('c', '2026-04-10', 'weigh-back'), note: 'stopped by rain' }])).toEqual([
      'c',
    ]);
    expect(to([])).toEqual([]);
  });
  it('does not hang on the order of fields, nor on units that are said or taken from the calibration', () => {
    const turned = Object.fromEntries(Object.entries(a).toReversed()) as unknown as RunInput;
    expect(to([turned, { ...b, units: null }])).toEqual([]);
  });
});

it('a sign-off tells the runs that it rests on from those that came since', () => {
  const { pace, width, second, lot, grain } = CALIBRATION;
  const signOff = { setting: '11', onDay: '2026-04-10', by: '', state: '', pace, width, second, lot, grain, runs: ['a', 'b'] };
  const signed = (rows: readonly ReturnType<typeof row>[], runs = signOff.runs) =>
    runsSince(withRuns({ ...aimOf(CALIBRATION), signOff: { ...signOff, runs } }, rows, []));
  expect(signed([row('a', 0), row('b', 1)])).toEqual([]);
  expect(signed([row('a', 0), row('b', 1), row('c', 2)])).toEqual(['c']);
  expect(signed([row('a', 0), row('b', 1, { note: 'anew' }, 'a')])).toEqual([]);
  expect(signed([row('a', 0), row('b', 1), row('c', 2, { excluded: 'wind' })])).toEqual([]);
  expect(signed([row('a', 0), row('b', 1), row('c', 2, { note: 'anew' }, 'a')])).toEqual(['a']);
  expect(signed([row('a', 0)], [])).toEqual([]);
}); // prettier-ignore
