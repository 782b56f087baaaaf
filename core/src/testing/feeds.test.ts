import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import {
  benchRig,
  blankCalibration,
  blankRun,
  coarseRemark,
  fillAimOf,
  leastNet,
  machineRecord,
  otherMachine,
  methodsFor,
  evaluateCalibration,
  type CalibrationInput,
  type MethodId,
} from './index.ts';
import { blankRig, blankScale, type Feeds, type RigKind } from '../machines/index.ts';

const rig = (feeds: Feeds, kind: RigKind = 'row-distributor', count = '2') =>
  benchRig({ ...blankRig('metric'), name: 'Rows', kind, control: { ...blankScale(), from: '0', to: '10', closed: '0' }, outlets: { count, feeds } }); // prettier-ignore
const input = (method: MethodId, readings: Record<string, string>, more: Partial<CalibrationInput> = {}): CalibrationInput => ({
  ...blankCalibration('metric'),
  name: 'Rows',
  target: { amount: '430', unit: 'kg/ha' },
  width: { text: '1.5', unit: 'm', by: 'chosen' },
  runs: [{ ...blankRun('a', '2026-04-10', method), setting: '5', readings }],
  ...more,
}); // prettier-ignore
const rate = (method: MethodId, readings: Record<string, string>, feeds: Feeds) =>
  1e4 * evaluateCalibration(input(method, readings), rig(feeds)).runs[0]!.worked!.rateSi;

// Each outlet gives 1.84 and 2.02 kg on 30 m: 3.86 kg in all.
const APART = { 'tare.1': '0', 'gross.1': '1.84', 'tare.2': '0', 'gross.2': '2.02' };

describe('case V: every method heeds what feeds what', () => {
  const course = { course: '30', courseTime: '20' };
  it.each<[MethodId, Record<string, string>]>([
    ['outlets', { ...APART, length: '30' }],
    ['outlets', { 'tare.1': '0', 'gross.1': '3.86', length: '30' }],
    ['timed-catch', { ...APART, ...course, catchTime: '20' }],
    ['timed-catch', { 'tare.1': '0', 'gross.1': '3.86', ...course, catchTime: '20' }],
    ['weigh-back', { in: '13.86', left: '10', length: '30' }],
    ['catch', { tare: '1', gross: '4.86', length: '30' }],
    // A container of 3.86 kg under one of two alike outlets fills in twice the time in which both give it.
    ['fill-time', { content: '3.86', ...course, fillTime: '40' }],
  ])('%s %j', (method, readings) => {
    expect(rate(method, readings, 'own-rows')).toBeCloseTo(428.888889, 5);
    expect(rate(method, readings, 'one-row')).toBeCloseTo(857.777778, 5);
  });
  it('a load on known ground is the same whatever feeds what', () => {
    const readings = { load: '5', left: '1.14', area: '90' };
    for (const feeds of ['own-rows', 'one-row'] as const) expect(rate('run-out', readings, feeds)).toBeCloseTo(428.888889, 5); // prettier-ignore
  });
  it('some outlets caught and others not is no result yet; a spreader that throws feeds no rows', () => {
    const reading = evaluateCalibration(input('outlets', { 'tare.1': '0', 'gross.1': '1.84', 'tare.2': '0', length: '30' }), rig('own-rows')); // prettier-ignore
    expect(reading.runs[0]!.worked).toBeNull();
    expect(rig('own-rows', 'vehicle').rows).toBe(1);
  });
});

describe('containers', () => {
  it('fill-time takes gross and tare, and says first how far the container goes', () => {
    const asked = input('fill-time', { tare: '0.4', content: '5.0', course: '0.9', courseTime: '1' }, { target: { amount: '220', unit: 'kg/ha' }, pace: { course: '0.9', unit: 'm', time: '1' } }); // prettier-ignore
    const bench = rig('own-rows');
    const aim = fillAimOf(asked, asked.runs[0]!, evaluateCalibration(asked, bench), bench)!;
    expect(aim.servesM).toBeCloseTo(139.393939, 6);
    expect(aim.fillS).toBeCloseTo(154.882155, 6);
  });
  it('a load weighed in a bucket loses its tare, what is left too', () => {
    expect(rate('run-out', { tare: '0.5', load: '5.5', left: '1.64', area: '90' }, 'own-rows')).toBeCloseTo(428.888889, 5); // prettier-ignore
    expect(rate('run-out', { tare: '0.5', load: '4.36', left: '0', area: '90' }, 'own-rows')).toBeCloseTo(428.888889, 5); // prettier-ignore
  });
});

describe('a run in which nothing came out', () => {
  it('is recorded by two equal weighings, or by saying so', () => {
    const equal = evaluateCalibration(
      input('weigh-back', { in: '10', left: '10', length: '30' }),
      rig('one-row'),
    );
    expect(equal.errors).toEqual([]);
    expect(equal.runs[0]!.worked).toMatchObject({ rateSi: 0, netSi: 0 });
    expect(equal.advice).toMatchObject({ because: 'no-flow', noFlow: 5, setting: 7 });
    const said = input('fill-time', {});
    const told = evaluateCalibration({ ...said, runs: [{ ...said.runs[0]!, noFlow: true }] }, rig('one-row'));
    expect(told.runs[0]).toMatchObject({ counts: true, worked: { rateSi: 0 } });
  });
  it('above a mark that flowed is asked about', () => {
    const base = input('weigh-back', { in: '12', left: '10', length: '30' });
    const dry = { ...blankRun('b', '2026-04-10', 'weigh-back' as const), setting: '8', readings: { in: '10', left: '10', length: '30' } }; // prettier-ignore
    const reading = evaluateCalibration({ ...base, runs: [...base.runs, dry] }, rig('one-row'));
    expect(reading.plausibility.map(({ kind }) => kind)).toEqual(['no-flow']);
    expect(reading.runs[1]!.counts).toBe(false);
  });
});

describe('pace', () => {
  const strip = (time: string, more: Partial<CalibrationInput> = {}) =>
    evaluateCalibration(input('weigh-back', { in: '10.00', left: '8.00', length: '40.00', time }, { target: { amount: '330', unit: 'kg/ha' }, pace: { course: '40', unit: 'm', time: '30' }, ...more }), rig('one-row')); // prettier-ignore
  it('a run at another pace is brought to that of work; far from it, it does not count', () => {
    const near = strip('33');
    expect(near.runs[0]).toMatchObject({ counts: true, pace: { factor: expect.closeTo(30 / 33, 9) } });
    expect(near.advice!.means[0]!.mean).toBeCloseTo(near.runs[0]!.worked!.rateSi * (30 / 33), 12);
    const far = strip('12');
    expect(far.runs[0]).toMatchObject({ counts: false, pace: { isApart: true } });
    expect(far.advice).toMatchObject({ because: 'start', standing: 'open' });
  });
  it('"3 mph" is a pace: the course time is worked out', () => {
    expect(strip('30', { pace: { course: '', unit: 'm', time: '3 mph' } }).paceMPerS).toBeCloseTo(1.34112, 9);
  });
  it('a chart without a pace of work states that of its runs', () => {
    expect(strip('32', { pace: { course: '', unit: 'm', time: '' } }).chartPaceMPerS).toBeCloseTo(1.25, 9);
  });
});

it('weighings of one day are off one scale: the finest step that was typed, unless the scale says otherwise', () => {
  const step = (more: Partial<CalibrationInput> = {}) =>
    evaluateCalibration(input('weigh-back', { in: '10', left: '7.5', length: '30' }, more), rig('one-row')).runs[0]!.worked!.stepKg; // prettier-ignore
  expect(step()).toBeCloseTo(0.1, 12);
  expect(step({ scaleStep: '0.5' })).toBeCloseTo(0.5, 12);
  const other = { ...blankRun('b', '2026-04-10', 'weigh-back' as const), setting: '6', readings: { in: '9.25', left: '8', length: '30' } }; // prettier-ignore
  const base = input('weigh-back', { in: '10', left: '7.5', length: '30' });
  expect(evaluateCalibration({ ...base, runs: [...base.runs, other] }, rig('one-row')).runs[0]!.worked!.stepKg).toBeCloseTo(0.01, 12); // prettier-ignore
});

it('a calibration with runs belongs to its machine, once it has one', () => {
  expect(otherMachine({ rig: 'one' }, { rig: 'two' }).map(({ code }) => code)).toEqual([
    'calibration.other-machine',
  ]);
  expect(otherMachine({ rig: 'one' }, { rig: 'one' })).toEqual([]);
  expect(otherMachine({ rig: '' }, { rig: 'two' })).toEqual([]);
});

it('what a machine repeated in its other calibrations of two seasons counts for its bands', () => {
  const bench = rig('one-row');
  const runs = ['8.00', '8.30', '7.75'].map((left, index) =>
    Object.assign(blankRun(String(index), '2026-04-10', 'weigh-back'), {
      setting: '5',
      readings: { in: '10.00', left, length: '30.0' },
    }),
  );
  const other = { ...input('weigh-back', {}), rig: 'one', runs };
  const own = { ...input('weigh-back', {}), rig: 'one' };
  const of = (today: string, rigId = 'one') => machineRecord([{ id: 'x', input: other }, { id: 'y', input: own }], { id: 'y', input: { ...own, rig: rigId } }, bench, today); // prettier-ignore
  expect(of('2026-11-26').degrees).toBe(2);
  expect(of('2026-11-26').squares).toBeGreaterThan(0.01);
  expect(of('2029-01-01').degrees).toBe(0);
  expect(of('2026-11-26', 'two').degrees).toBe(0);
});

it('only methods that a machine can be tested by are offered', () => {
  expect(methodsFor('push-drop')).toEqual(['weigh-back', 'catch', 'taped', 'tray', 'run-out']);
  expect(methodsFor('push-rotary')).not.toContain('outlets');
  expect(methodsFor('row-distributor')).toContain('fill-time');
});

describe('a run that says too little', () => {
  const told = (readings: Record<string, string>, more: Partial<CalibrationInput> = {}) => {
    const asked = input('weigh-back', readings, {
      units: { ...blankCalibration('metric').units, mass: 'kg' },
      ...more,
    });
    const reading = evaluateCalibration(asked, rig('one-row'));
    const remark = coarseRemark(reading.runs[0]!, reading.tolerance, asked);
    return remark && speak(remark);
  };
  it('off a coarse scale asks for at least so much, rounded up', () => {
    const text = told({ in: '10.0', left: '9.5', length: '30.00' });
    expect(text).toContain('The scale reads to 0.1 kg and you weighed 0.50 kg');
    const least = Number(/Catch at least ([\d.]+) kg/.exec(text!)![1]);
    const exact = leastNet(0.1, 0.05);
    expect(least).toBeGreaterThanOrEqual(exact);
    expect(least).toBeLessThan(exact * 1.1);
  });
  it('is told so where no step was typed: the digits say it', () => {
    expect(told({ in: '10.0', left: '9.5', length: '30.00' }, { scaleStep: '' })).toContain('Catch at least');
  });
  it('for another reason names that one, and asks for no heavier catch', () => {
    const text = told({ in: '20.00', left: '10.00', length: '3' });
    expect(text).toContain('The length is coarse');
    expect(text).not.toContain('Catch at least');
  });
  it('says nothing of a run that is good enough', () => {
    expect(told({ in: '20.00', left: '10.00', length: '30.00' })).toBeNull();
  });
});
