import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UNITS } from '../quantities/index.ts';
import { blankRig } from '../machines/index.ts';
import { benchRig } from './benchRig.ts';
import { blankCalibration, blankRun, type CalibrationInput } from './calibrationInput.ts';
import { chartShape, evaluateCalibration } from './calibration.ts';
import { offersFor } from './adviceText.ts';
import { cardOf } from './card.ts';
import { outputAt, spreadPlan } from './lookup.ts';
import { planFor } from './plan.ts';
import {
  dimensionOf,
  isSprayed,
  perArea,
  rateAs,
  RATE_DIMENSIONS,
  rateIn,
  type BenchRateUnit,
} from './rate.ts';
import { settingPicture } from './settingPicture.ts';

const LANE_M = 12 * UNITS.ft.toSi;

describe('a rate by what it is per', () => {
  it.each<[BenchRateUnit, string]>([
    ['lb/1000 ft2', 'massPerArea'],
    ['g/m of row', 'massPerRowLength'],
    ['lb/100 row ft', 'massPerRowLength'],
    ['lb/lane-mile', 'massPerLaneLength'],
    ['kg/lane-km', 'massPerLaneLength'],
  ])('%s', (unit, dimension) => expect(dimensionOf(unit)).toBe(dimension));

  it('300 lb per lane-mile on a lane of 12 ft are 23.117555 g/m2, 4.734848 lb per 1000 ft2', () => {
    const kgPerM2 = perArea({ si: 300 * UNITS['lb/lane-mile'].toSi, dimension: 'massPerLaneLength' }, LANE_M)!;
    expect(kgPerM2 * 1000).toBeCloseTo(23.117555, 6);
    expect(kgPerM2 / UNITS['lb/1000 ft2'].toSi).toBeCloseTo(4.734848, 6);
  });

  it('there and back it is what it was, and without a width it is not known', () => {
    const any = fc.record({ si: fc.double({ min: 0, max: 10, noNaN: true }), dimension: fc.constantFrom(...RATE_DIMENSIONS), to: fc.constantFrom(...RATE_DIMENSIONS), widthM: fc.double({ min: 0.1, max: 20, noNaN: true }) });
    fc.assert(
      fc.property(any, ({ si, dimension, to, widthM }) => {
        const there = rateAs({ si, dimension }, to, widthM)!;
        // A weight is no volume.
        if (isSprayed(dimension) !== isSprayed(to)) {
          expect(there).toBeNull();
          return;
        }
        expect(rateAs(there, dimension, widthM)!.si).toBeCloseTo(si, 9);
        expect(perArea(there, widthM)).toBeCloseTo(perArea({ si, dimension }, widthM)!, 9);
      }),
    );
    expect(rateAs({ si: 1, dimension: 'massPerArea' }, 'massPerLaneLength', null)).toBeNull();
    expect(rateIn('massPerArea', 1, null)).toEqual({ si: 1, dimension: 'massPerArea' });
    expect(perArea({ si: 1, dimension: 'massPerRowLength' }, 0)).toBeNull();
  });
}); // prettier-ignore

const truck = benchRig({ ...blankRig('us'), name: 'Yard truck', kind: 'vehicle', control: { ...blankRig('us').control, from: '0', to: '10', step: '1' } }); // prettier-ignore
const weighed = (setting: string, left: string) => ({ ...blankRun(`${setting} ${left}`, '2026-11-12', 'weigh-back'), setting, readings: { in: '200', left, length: '200' } }); // prettier-ignore
const input = (
  target: CalibrationInput['target'],
  more: Partial<CalibrationInput> = {},
): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Truck, rock salt',
  target,
  scaleStep: '0.5',
  runs: [weighed('4', '192'), weighed('6', '187'), weighed('5', '189.5')],
  ...more,
});
const LANE = { amount: '250', unit: 'lb/lane-mile' } as const;

describe('a machine that treats lanes', () => {
  it('10.5 lb on 200 ft of lane are 277.2 lb per lane-mile, whatever the lane is wide', () => {
    for (const text of ['', '12', '20']) {
      const { runs, dimension, errors, advice } = evaluateCalibration(input(LANE, { width: { text, unit: 'ft', by: 'chosen' } }), truck); // prettier-ignore
      expect(errors).toEqual([]);
      expect(dimension).toBe('massPerLaneLength');
      expect(runs[2]!.worked!.rateSi / UNITS['lb/lane-mile'].toSi).toBeCloseTo(277.2, 9);
      expect(runs[2]!.worked!.sources.find(({ of }) => of === 'width')?.u ?? 0).toBe(0);
      expect(advice!.mark.label).toBe('5');
    }
  });

  it('comes to the same marks as on the ground of its lanes', () => {
    const width = { text: '12', unit: 'ft', by: 'chosen' } as const;
    const onLane = evaluateCalibration(input(LANE, { width }), truck);
    const onGround = evaluateCalibration(input({ amount: String(250 * UNITS['lb/lane-mile'].toSi / LANE_M / UNITS['lb/1000 ft2'].toSi), unit: 'lb/1000 ft2' }, { width }), truck); // prettier-ignore
    expect(onLane.advice!.mark.label).toBe(onGround.advice!.mark.label);
    onLane.chart.forEach(({ rateSi }, index) => expect(rateSi / LANE_M).toBeCloseTo(onGround.chart[index]!.rateSi, 12));
    expect(outputAt(onLane, '5')).toBeCloseTo(outputAt(onGround, '5')!, 12);
    const wanted = 0.0208;
    expect(spreadPlan(onLane, wanted, null, false, false)!.found.line.mark.label).toBe(spreadPlan(onGround, wanted, null, false, false)!.found.line.mark.label); // prettier-ignore
    // At another spacing the chart of lanes needs no working out anew: what goes on a metre is what it is.
    expect(spreadPlan(onLane, wanted, 2 * LANE_M, false, false)).toMatchObject({ times: null, passedM: 2 * LANE_M });
    const lent = chartShape(onLane, 'massPerArea')!;
    chartShape(onGround)!.points.forEach(({ rate }, index) => expect(lent.points[index]!.rate).toBeCloseTo(rate, 12));
    expect(settingPicture(onLane, 'lb/1000 ft2', 'vehicle').means.map(({ y }) => y.toFixed(9))).toEqual(settingPicture(onGround, 'lb/1000 ft2', 'vehicle').means.map(({ y }) => y.toFixed(9))); // prettier-ignore
  });

  it('another spacing is no way out for it; the plan asks for none, a card finds the mark of a job', () => {
    const between = input({ amount: '240', unit: 'lb/lane-mile' }, { runs: [...input(LANE).runs, weighed('5', '189.5')] });
    const reading = evaluateCalibration(between, truck);
    expect(offersFor(reading, between, 'vehicle').flatMap(({ ways }) => ways.map(({ by }) => by))).not.toContain('spacing'); // prettier-ignore
    expect(planFor('weigh-back', between, truck, reading)[0]?.id).toBe('plan.strip');
    expect(planFor('run-out', between, truck, reading)[0]?.id).toBe('plan.needsRate');
    const { pace, width } = between;
    const signed = input(LANE, { width: { text: '12', unit: 'ft', by: 'chosen' }, signOff: { setting: '5', onDay: '2026-11-12', by: '', state: '', pace, width, second: '', lot: '', grain: '', runs: [] } }); // prettier-ignore
    const card = cardOf(signed, { ...blankRig('us'), name: 'Yard truck', kind: 'vehicle' }, evaluateCalibration(signed, truck), '12 Nov', { kgPerM2: 0.0265, purpose: 'a job' }); // prettier-ignore
    expect(card).toMatchObject({ setting: '6', rateUnit: 'lb / lane-mile' });
    expect(settingPicture(reading, 'kg/ha', 'vehicle').means).toEqual([]);
  });
}); // prettier-ignore

it('a machine that feeds rows is calibrated for grams on a metre of row: two outlets that feed one row, or a row each', () => {
  const feeding = (feeds: 'one-row' | 'own-rows') =>
    benchRig({
      ...blankRig('metric'),
      name: 'Distributor',
      kind: 'row-distributor',
      outlets: { count: '2', feeds },
    });
  const caught = { ...blankRun('a', '2026-03-26', 'outlets'), setting: '5', readings: { 'tare.1': '0', 'gross.1': '1.84', 'tare.2': '0', 'gross.2': '2.02', length: '30' } }; // prettier-ignore
  const row = { ...blankCalibration('metric'), name: 'Rows', target: { amount: '33', unit: 'g/m of row' }, runs: [caught] } as const; // prettier-ignore
  const rate = (feeds: 'one-row' | 'own-rows') =>
    evaluateCalibration(row, feeding(feeds)).runs[0]!.worked!.rateSi;
  expect(rate('one-row')).toBeCloseTo(3.86 / 30, 12);
  expect(rate('own-rows')).toBeCloseTo(1.93 / 30, 12);
  // What was weighed out on known ground needs the row spacing for it.
  const load = { ...blankRun('b', '2026-03-26', 'run-out'), setting: '5', readings: { load: '9', left: '1.5', area: '150' } }; // prettier-ignore
  const spaced = { ...row, width: { text: '1.5', unit: 'm', by: 'measured' }, runs: [load] } as const;
  expect(evaluateCalibration(spaced, feeding('one-row')).runs[0]!.worked!.rateSi).toBeCloseTo(0.075, 12);
  expect(evaluateCalibration({ ...row, runs: [load] }, feeding('one-row')).runs[0]!.worked).toBeNull();
});
