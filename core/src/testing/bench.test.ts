import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { message } from '../messages/index.ts';
import { UNITS } from '../quantities/index.ts';
import { blankRig, RIG_KIND_IDS, type RigKind } from '../machines/index.ts';
import { blankProduct } from '../products/index.ts';
import {
  adviceText,
  benchRig,
  blankCalibration,
  blankRun,
  blankTools,
  calibrationFor,
  calibrationOn,
  cardOf,
  cautionsFor,
  chooseMethod,
  calibrationUpgrades,
  correctionTexts,
  corrections,
  freshness,
  keepEarlier,
  leastNet,
  lookUpMark,
  lookUpRate,
  lostReadings,
  METHOD_IDS,
  withoutRig,
  methodOf,
  planTest,
  planTexts,
  practice,
  press,
  evaluateCalibration,
  readTests,
  runLine,
  runningS,
  runRemarks,
  settingPicture,
  split,
  STANDING,
  stepsOf,
  testsTable,
  timeToAim,
  timingBand,
  type CalibrationInput,
  type MethodId,
  type ToolsInput,
} from './index.ts';
import { upgraded } from '../fields/index.ts';
import { workingText } from '../working/index.ts';

const PER_1000 = UNITS['lb/1000 ft2'].toSi;
const LB = UNITS.lb.toSi;

const redRig = {
  ...blankRig('us'),
  name: 'Red push spreader',
  control: { ...blankRig('us').control, from: '0', to: '20', step: '0.5' },
  hopper: { size: '50', unit: 'lb' as const },
  width: { text: '9', unit: 'ft' as const },
  pace: { course: '120', unit: 'ft' as const, time: '27.2' },
};
const RED = benchRig(redRig);
const run = (setting: string, method: MethodId, readings: Record<string, string>, more = {}) => ({
  ...blankRun(`${setting}.${Object.values(readings).join('.')}`, '2026-04-10', method),
  setting,
  readings,
  ...more,
});
const strip = (setting: string, left: string, more = {}) =>
  run(setting, 'weigh-back', { in: '48.00', left, length: `100' 0"` }, more);
const input = (more: Partial<CalibrationInput> = {}): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  product: 'Lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
  scaleStep: '0.05',
  ...more,
});
const read = (more: Partial<CalibrationInput> = {}) => evaluateCalibration(input(more), RED);
const TESTED = [strip('8', '46.95'), strip('14', '43.10'), strip('11', '45.05'), strip('11', '44.95')];

describe('reference cases as a person types them', () => {
  it('I: a timed catch; three times over the course count by their mean, their scatter in the band', () => {
    const rig = { ...RED, kind: 'vehicle' as const };
    const metric = { units: { mass: 'kg', length: 'm' } as const, width: { text: '5', unit: 'm', by: 'chosen' } as const, scaleStep: '' }; // prettier-ignore
    const of = (readings: Record<string, string>) => evaluateCalibration(input({ ...metric, runs: [run('7', 'timed-catch', { tare: '0', gross: '2.46', course: '40', courseTime: '27.5', catchTime: '20', ...readings })] }), rig).runs[0]!.worked!; // prettier-ignore
    expect(1000 * of({}).rateSi).toBeCloseTo(16.9125, 4);
    const thrice = of({ courseTime: '26.5', 'courseTime.2': '27.5', 'courseTime.3': '28.5' });
    expect(1000 * thrice.rateSi).toBeCloseTo(16.9125, 4);
    // The scatter of the times is no reading: it enters with the runs that share them.
    expect(thrice.timings?.timesS).toEqual([26.5, 27.5, 28.5]);
    expect(timingBand([thrice.timings])).toBeLessThan(timingBand([of({}).timings]));
    expect(thrice.paceMPerS).toBeCloseTo(40 / 27.5, 9);
  });
  it('K: the time in which a container fills gives the rate back', () => {
    const metric = { units: { mass: 'kg', length: 'm' } as const, width: { text: '1.5', unit: 'm', by: 'chosen' } as const, target: { amount: '220', unit: 'kg/ha' } as const }; // prettier-ignore
    const fill = run('7', 'fill-time', {
      content: '4.6',
      course: '0.9',
      courseTime: '1',
      fillTime: '154.882155',
    });
    expect(1e4 * evaluateCalibration(input({ ...metric, runs: [fill] }), RED).runs[0]!.worked!.rateSi).toBeCloseTo(220, 4); // prettier-ignore
  });
  it('L: two outlets into one row, by the grower’s own length of row on a hectare; outlets in its line', () => {
    const rig = benchRig({ ...redRig, kind: 'row-distributor', outlets: { count: '2', feeds: 'one-row' }, width: { text: '6600 m/ha', unit: 'm' } }); // prettier-ignore
    const both = run('7', 'outlets', { 'tare.1': '0', 'tare.2': '0', 'gross.1': '1.84', 'gross.2': '2.02', length: '30' }); // prettier-ignore
    const row = input({ units: { mass: 'kg', length: 'm' }, width: { text: '6600 m/ha', unit: 'm', by: 'chosen' }, target: { amount: '800', unit: 'kg/ha' }, runs: [both] }); // prettier-ignore
    const reading = evaluateCalibration(row, rig);
    expect(reading.errors).toEqual([]);
    expect(1e4 * reading.runs[0]!.worked!.rateSi).toBeCloseTo(849.2, 6);
    expect(reading.runs[0]!.worked!.outlets!.imbalance).toBeCloseTo(0.09326425, 8);
    expect(workingText(runLine(both, reading.runs[0]!, row, rig), speak)).toContain(
      '( 1.84 kg − 0 kg ) + ( 2.02 kg − 0 kg )',
    );
    expect(runRemarks(both, reading.runs[0]!, reading, row).map(speak).join(' ')).toContain('9.3 % apart');
    const swapped = evaluateCalibration({ ...row, runs: [{ ...both, readings: { ...both.readings, 'tare.2': '3' } }] }, rig); // prettier-ignore
    expect(swapped.errors[0]).toMatchObject({ field: 'runs.0.readings.tare.2', code: 'test.nothing-out' });
  });
  it('a run made at another spacing is worked out for this one, and said so; a load on known ground keeps its output', () => {
    const wide = { width: { text: '18', unit: 'ft' as const, by: 'chosen' as const } };
    const reading = read({ runs: [strip('11', '45.05', wide), run('11', 'run-out', { load: '9.0', left: '1.25', area: '900' }, wide)] }); // prettier-ignore
    const [first, second] = reading.runs;
    expect(first!.worked!.rateSi / PER_1000).toBeCloseTo(2.95 / 0.9, 6);
    expect(second!.worked!.rateSi / PER_1000).toBeCloseTo(2 * 8.611111, 4);
    expect(runRemarks(input({ runs: [strip('11', '45.05', wide)] }).runs[0]!, first!, reading, input()).map(speak).join(' ')).toContain('2 times the rate'); // prettier-ignore
  });
});

const first = (kind: RigKind, tools: Partial<ToolsInput>, isPesticide = false) =>
  chooseMethod({ kind, sprays: false, tools: { ...blankTools(), ...tools }, isPesticide });

describe('choosing a test', () => {
  it.each<[RigKind, Partial<ToolsInput>, MethodId]>([
    ['push-rotary', {}, 'weigh-back'],
    ['push-drop', { scale: 'small', tray: true }, 'tray'],
    ['push-drop', { scale: 'small', floor: true, ground: false, wind: true }, 'catch'],
    ['vehicle', { scale: 'small', ground: false }, 'timed-catch'],
    ['row-distributor', { scale: 'small' }, 'outlets'],
    ['push-rotary', { scale: 'none' }, 'run-out'],
  ])('%s with %j: %s', (kind, tools, method) => expect(first(kind, tools)[0]).toMatchObject({ method, possible: true })); // prettier-ignore
  it('says why a method cannot be used', () => {
    const why = (kind: RigKind, tools: Partial<ToolsInput>, of: MethodId, isPesticide = false) => first(kind, tools, isPesticide).find(({ method }) => method === of)!; // prettier-ignore
    expect(why('push-drop', {}, 'timed-catch')).toMatchObject({ possible: false, why: { id: 'methods.why.wheels' } }); // prettier-ignore
    expect(why('push-rotary', { scale: 'small', tarp: true, wind: true }, 'catch').possible).toBe(false);
    expect(why('push-rotary', { scale: 'small', floor: true }, 'catch', true)).toMatchObject({ possible: false, why: { id: 'methods.why.pesticide' } }); // prettier-ignore
    expect(first('boom', {}).every(({ possible }) => !possible)).toBe(true);
  });
  it('every kind and method has its steps, and each reading is asked for once', () => {
    for (const kind of RIG_KIND_IDS)
      for (const method of METHOD_IDS) {
        const asked = stepsOf(method, 2, kind, null).flatMap(({ fields }) => fields.map(({ id }) => id));
        expect(new Set(asked).size).toBe(asked.length);
        expect(asked.length).toBeGreaterThan(2);
      }
  });
  it('cautions stand where the act is', () => {
    expect(cautionsFor('meter', { rig: 'vehicle', product: 'dry-deicer' })[0]?.id).toBe('cautions.lockOut');
    expect(cautionsFor('meter', { rig: 'push-rotary', product: null }).map(({ id }) => id)).not.toContain('cautions.lockOut'); // prettier-ignore
    expect(cautionsFor('fill', { rig: 'push-drop', product: 'granular-carrier' }).map(({ id }) => id)).toContain('cautions.pesticideLabel'); // prettier-ignore
  });
});

describe('a plan before anyone walks', () => {
  const wanted = { method: 'weigh-back' as const, outputPerM: 3.33 * PER_1000 * 9 * 0.3048, widthM: 9 * 0.3048, scaleStepKg: 0.05 * LB, tolerance: 0.05, speedMPerS: 1.34, hopperKg: 50 * LB, lengthUnit: 'ft' as const }; // prettier-ignore
  it('spreads what the scale can tell to half the tolerance, and no less', () => {
    const plan = planTest(wanted);
    expect(plan.netSi).toBeGreaterThanOrEqual(leastNet(wanted.scaleStepKg, 0.025));
    expect(plan.strip!.lengthM / 3.048).toBeCloseTo(Math.round(plan.strip!.lengthM / 3.048), 9);
    expect(speak(planTexts(plan, input(), 0.05)[0]!)).toBe('A strip of 60 ft: about 1.8 lb goes out.');
  });
  it('a coarser scale asks for fresh strips side by side, and for more than the hopper holds', () => {
    const coarse = planTest({ ...wanted, scaleStepKg: 1 * LB });
    expect(coarse.strip!.strips).toBeGreaterThan(1);
    expect(coarse.strip!.lengthM).toBeLessThanOrEqual(61);
    expect(coarse.overHopper).toBe(true);
    expect(planTexts(coarse, input(), 0.05).map(speak).join(' ')).toContain('more than it holds');
  });
  it('a catch is planned in seconds, a load in ground', () => {
    expect(planTest({ ...wanted, method: 'timed-catch' }).catchS! % 5).toBe(0);
    expect(planTest({ ...wanted, method: 'run-out' }).areaM2).toBeGreaterThan(39);
  });
});

describe('what is asked before it is believed', () => {
  it('40 lb from a 5-ft strip asks and does not count until it is answered', () => {
    const slip = run('8', 'catch', { gross: '40', tare: '0', length: '5' });
    const asked = read({ runs: [...TESTED, slip] });
    expect(asked.plausibility[0]).toMatchObject({ kind: 'far', runs: [slip.id] });
    expect(speak(asked.plausibility[0]!.text)).toContain('270 times');
    expect(asked.runs.at(-1)!.counts).toBe(false);
    const answered = read({ runs: [...TESTED, slip], confirmed: [`far.${slip.id}`] });
    expect(answered.runs.at(-1)!.counts).toBe(true);
  });
  it('two runs at one setting far apart ask which to keep, and both count meanwhile', () => {
    const apart = read({ runs: [strip('11', '45.05'), strip('11', '44.00')] });
    expect(apart.plausibility.map(({ kind }) => kind)).toEqual(['apart']);
    expect(apart.runs.every(({ counts }) => counts)).toBe(true);
    expect(
      read({ runs: [strip('11', '45.05'), strip('11', '44.00', { excluded: 'gate stuck' })] }).plausibility,
    ).toEqual([]);
    expect(read({ runs: [strip('11', '45.05'), strip('11', '44.00')], confirmed: [apart.plausibility[0]!.id] }).plausibility).toEqual([]); // prettier-ignore
  });
  it('more than the hopper holds asks whether it was filled again', () =>
    expect(read({ runs: [run('11', 'run-out', { load: '60', left: '0', area: '20000' })] }).plausibility[0]).toMatchObject({ kind: 'overfilled' })); // prettier-ignore
});

describe('correcting', () => {
  it('by pace where product flows, by spacing where it is thrown', () => {
    const ways = (kind: RigKind, times: number) => corrections(kind, { meanKgPerM2: times, wantedKgPerM2: 1, paceMPerS: 1.34, widthM: 2.7 }); // prettier-ignore
    expect(ways('push-rotary', 1.1)).toEqual([
      { by: 'pace', factor: 1.1, mPerS: expect.closeTo(1.474, 9), comfortable: true },
      { by: 'spacing', factor: 1.1, widthM: expect.closeTo(2.97, 9) },
    ]);
    // Faster only where it stays comfortable; slower is told to be hard.
    expect(ways('push-rotary', 1.5).map(({ by }) => by)).toEqual(['spacing']);
    expect(ways('push-rotary', 0.5)[0]).toMatchObject({ by: 'pace', comfortable: false });
    // A hopper is as wide as it is, and wheels meter alike at every pace.
    expect(ways('push-drop', 1.1)).toEqual([]);
    expect(ways('row-distributor', 1.1).map(({ by }) => by)).toEqual(['pace']);
  });
  it('is offered in words where no mark fits', () => {
    const coarse = benchRig({ ...redRig, control: { ...redRig.control, step: '5', to: '20' } });
    const runs = [strip('10', '46.0'), strip('15', '43.0'), strip('10', '46.0')];
    const between = input({ runs, pace: redRig.pace });
    const lines = correctionTexts(evaluateCalibration(between, coarse), between, 'push-rotary');
    expect(lines.map(speak).join(' ')).toMatch(/At 10, walk slower: 100 ft in \d+ s meets the rate/);
    expect(lines.map(speak).join(' ')).toContain('pass closer');
  });
});

describe('how far a chart holds', () => {
  const signed = input({ runs: TESTED, pace: redRig.pace, signOff: { setting: '11', onDay: '2026-04-10', by: 'M. Orr', state: 'dry', pace: redRig.pace, width: input().width, second: '', lot: 'A', grain: '215', runs: [] } }); // prettier-ignore
  const state = (more: Partial<CalibrationInput> = {}, rig = redRig, product: { lot: string; grainSize: string } | null = null, today = '2026-05-01') => freshness({ ...signed, ...more }, rig, product && { kind: 'dry-fertilizer', ...product }, today); // prettier-ignore
  it('fresh, ageing by its days, stale when the season turned', () => {
    expect(state().state).toBe('fresh');
    expect(state({}, redRig, null, '2026-09-01').state).toBe('ageing');
    expect(state({}, redRig, null, '2027-03-01')).toEqual({
      state: 'stale',
      reasons: [message('fresh.season')],
    });
    expect(state({ signOff: null }).state).toBe('none');
  });
  it('stale after a repair, another grain, another pace or spacing; ageing with another lot', () => {
    const served = {
      ...redRig,
      services: [{ id: 's', onDay: '2026-04-20', what: 'new gate cable', dueDay: '' }],
    };
    expect(state({}, served).reasons).toEqual([message('fresh.service', { what: 'new gate cable' })]);
    expect(state({}, redRig, { lot: 'A', grainSize: '150' })).toMatchObject({ state: 'stale' });
    expect(state({}, redRig, { lot: 'B', grainSize: '215' })).toMatchObject({ state: 'ageing' });
    expect(state({}, { ...redRig, pace: { ...redRig.pace, time: '20' } })).toMatchObject({ state: 'stale' });
    expect(state({ width: { text: '12', unit: 'ft', by: 'chosen' } })).toMatchObject({ state: 'stale' });
  });
  it('of a de-icer stale when a winter began since, of anything else not', () => {
    const inWinter = (kind: 'dry-deicer' | 'dry-fertilizer', from: string | null) => freshness(signed, redRig, { lot: 'A', grainSize: '215', kind }, '2026-05-01', { winterFrom: from }); // prettier-ignore
    expect(inWinter('dry-deicer', '2026-04-15')).toEqual({ state: 'stale', reasons: [message('fresh.winter')] }); // prettier-ignore
    expect(inWinter('dry-deicer', '2026-04-10').state).toBe('fresh');
    expect(inWinter('dry-deicer', null).state).toBe('fresh');
    expect(inWinter('dry-fertilizer', '2026-04-15').state).toBe('fresh');
  });
  it('the card says all that hangs on the machine', () => {
    const card = cardOf(signed, redRig, evaluateCalibration(signed, RED), '10 Apr 2026')!;
    expect(card).toMatchObject({ machine: 'Red push spreader', setting: '11', rate: '3.3', band: '0.2', signed: '10 Apr 2026, M. Orr' }); // prettier-ignore
    expect(card.product.map(speak)).toEqual(['Lake feed', 'grain 215', 'lot A']);
    expect([card.pace, card.spacing].map(speak)).toEqual(['120 ft in 27.2 s', '9 ft between passes']);
    expect(card.lines.filter(({ isKept }) => isKept)).toEqual([
      { setting: '11', rate: '3.33', isKept: true },
    ]);
    expect(card.lines.length).toBeLessThanOrEqual(7);
    expect(cardOf({ ...signed, signOff: null }, redRig, read(), '')).toBeNull();
  });
});

describe('looking up', () => {
  const { chart } = read({ runs: TESTED });
  it('the mark nearest in rate, at or below it under a ceiling, flagged beyond the tests', () => {
    expect(lookUpMark(chart, 3.3 * PER_1000, false)).toMatchObject({
      line: { mark: { label: '11' } },
      beyond: null,
    });
    const under = lookUpMark(chart, 3.3 * PER_1000, true)!;
    expect(under.line.rateSi).toBeLessThanOrEqual(3.3 * PER_1000);
    expect(lookUpMark(chart, 9 * PER_1000, false)).toMatchObject({
      beyond: 'above',
      line: { mark: { label: '14' } },
    });
    expect(speak(lookUpRate(read({ runs: TESTED }), input(), '0.5').text!)).toContain(
      'below what was tested',
    );
    expect(lookUpRate(read({ runs: TESTED }), input(), 'x').error?.code).toBe('quantity.unreadable');
  });
  it('the picture has the paces a tenth slower and faster, none where wheels meter', () => {
    const flow = settingPicture(read({ runs: TESTED }), 'lb/1000 ft2', 'push-rotary');
    expect(flow.slower[60]!.y / flow.curve[60]!.y).toBeCloseTo(1 / 0.9, 9);
    expect(flow.curve.every(({ y, band }) => Number.isFinite(y) && band >= 0)).toBe(true);
    expect(settingPicture(read({ runs: TESTED }), 'lb/1000 ft2', 'push-drop').slower).toEqual([]);
  });
});

describe('where to begin', () => {
  it('at the label’s setting for one’s own pace; by the shape of another chart after one test', () => {
    const lake = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', package: { size: '40', unit: 'lb' as const }, coverage: { size: '12000', unit: 'ft2' as const }, settings: [{ machine: 'red push', setting: '10', pace: '3 mph' }, { machine: 'green', setting: '7', pace: '3 mph' }] }; // prettier-ignore
    const labelled = calibrationFor(input({ pace: redRig.pace }), 'id', lake, redRig.name);
    expect(labelled).toMatchObject({ start: 'auto', label: { pace: '3 mph', lines: [{ setting: '10' }] } });
    // 120 ft in 27.2 s is 3.008 mph: next to the label's own pace.
    expect(evaluateCalibration(labelled, RED).advice?.mark.label).toBe('10');
    const slow = { ...labelled, pace: { ...redRig.pace, time: '54.4' } };
    expect(Number(evaluateCalibration(slow, RED).advice?.mark.label)).toBe(5);
    const shape = { points: [{ setting: 6, rate: 1 }, { setting: 10, rate: 2 }, { setting: 14, rate: 4 }], paceMPerS: 1.3 }; // prettier-ignore
    const shaped = evaluateCalibration(input({ start: 'shape', runs: [strip('10', '46.2')] }), RED, shape);
    expect(shaped.advice).toMatchObject({ because: 'shape' });
    // 2 lb at 10 here as there: 3.33 lies between 10 and 14.
    expect(Number(shaped.advice!.mark.label)).toBeGreaterThan(12);
    expect(speak(adviceText(shaped, input({ start: 'shape' }))!.why)).toContain(
      'The other product’s chart, scaled by your one test',
    );
  });
  it('a machine brings its spacing and pace, and leaves what is typed; a hopper is as wide as it measures', () => {
    const fresh = calibrationOn(blankCalibration('us'), 'id', redRig);
    expect(fresh).toMatchObject({ rig: 'id', width: { text: redRig.width.text }, pace: redRig.pace });
    const own = { ...blankCalibration('us'), width: { text: '7', unit: 'ft' as const, by: 'chosen' as const }, pace: { course: '100', unit: 'ft' as const, time: '25' } }; // prettier-ignore
    expect(calibrationOn(own, 'id', { ...redRig, kind: 'push-rotary' })).toEqual({ ...own, rig: 'id' });
    expect(calibrationOn(own, 'id', { ...redRig, kind: 'push-drop' }).width).toEqual({
      ...own.width,
      by: 'measured',
    });
  });
  it('another machine brings its own; what was typed over the first one’s stays', () => {
    const on = calibrationOn(blankCalibration('us'), 'red', redRig);
    const left = withoutRig(on, redRig);
    expect([left.width.text, left.pace.time]).toEqual(['', '']);
    const wide = {
      ...redRig,
      width: { text: '30', unit: 'ft' as const },
      pace: { ...redRig.pace, time: '9' },
    };
    expect(calibrationOn(left, 'wide', wide)).toMatchObject({ width: { text: '30' }, pace: { time: '9' } });
    const typed = { ...on, width: { ...on.width, text: '8' }, pace: { ...on.pace, time: '26' } };
    expect(withoutRig(typed, redRig)).toEqual(typed);
  });
  it('where product first ran moves a cautious start', () => {
    expect(read().advice?.mark.label).toBe('9');
    expect(read({ firstFlow: '8' }).advice?.mark.label).toBe('13.5');
    expect(read({ firstFlow: '99' }).errors[0]).toMatchObject({ field: 'firstFlow', code: 'scale.mark' });
  });
});

describe('the stopwatch', () => {
  const at = (ms: number, wall = ms) => ({ steadyMs: ms, wallMs: wall });
  it('starts, stops, and does not take a bounce of the finger', () => {
    const running = press(STANDING, at(0));
    expect(press(running, at(120))).toBe(running);
    expect(press(running, at(29_100)).laps).toEqual([{ seconds: 29.1, doubtful: false }]);
    expect(split(running, at(13_000))).toMatchObject({ from: at(13_000), laps: [{ seconds: 13 }] });
    expect(runningS(running, at(5000))).toBe(5);
  });
  it('doubts a time when the clock was set, the device slept, or the page was loaded anew', () => {
    const running = press(STANDING, at(1000, 1000));
    expect(press(running, at(21_000, 3_621_000)).laps[0]).toEqual({ seconds: 20, doubtful: true });
    expect(press(running, at(5000, 95_000)).laps[0]!.doubtful).toBe(true);
    expect(press(running, at(200, 21_000)).laps[0]).toEqual({ seconds: 20, doubtful: true });
  });
  it('what to aim for: the strip at the pace of work, or when a container should be full', () => {
    const metric = input({ units: { mass: 'kg', length: 'm' }, width: { text: '1.5', unit: 'm', by: 'chosen' }, target: { amount: '220', unit: 'kg/ha' }, pace: { course: '0.9', unit: 'm', time: '1' }, runs: [run('7', 'fill-time', { content: '4.6' }), run('7', 'weigh-back', { length: '27' })] }); // prettier-ignore
    const reading = evaluateCalibration(metric, RED);
    const aim = (at: number, id: string) => timeToAim(metric, metric.runs[at]!, at, reading, methodOf(metric.runs[at]!.method).fields(1).find((field) => field.id === id)!); // prettier-ignore
    expect(aim(0, 'fillTime')).toBeCloseTo(154.882155, 6);
    expect(aim(1, 'time')).toBeCloseTo(30, 9);
  });
  it('practice says how steady and how far from the aim', () => {
    expect(speak(practice(40, [29.1, 28.4, 30.2], 27))).toBe('3 walks: 29.2 s on average, 3.1 % apart. 8.3 % slow: aim for 27 s. Not steady yet: count your steps aloud.'); // prettier-ignore
    expect(speak(practice(40, [29.1, 29.2], 29))).toContain('Steady enough');
    expect(speak(practice(40, [], null))).toContain('press at each end');
  });
});

describe('nothing that was measured is lost', () => {
  const kept = TESTED[0]!;
  const anew = { ...kept, readings: { ...kept.readings, left: '46.90' } };
  it('a reading taken anew leaves the old one beside it; what would lose one is told', () => {
    expect(lostReadings(kept, anew)).toMatchObject([{ code: 'run.overwritten', field: 'readings.left' }]);
    const safe = keepEarlier(kept, anew, 'taken anew');
    expect(safe.earlier).toEqual([{ field: 'left', text: '46.95', why: 'taken anew' }]);
    expect(lostReadings(kept, safe)).toEqual([]);
    expect(keepEarlier(kept, safe, 'again')).toEqual(safe);
    // What stood beside it stays, whoever writes over it with less.
    expect(keepEarlier(safe, anew, 'again').earlier).toEqual(safe.earlier);
    expect(lostReadings(safe, anew)).toMatchObject([{ code: 'run.overwritten' }]);
  });
  it('one of an earlier version is completed', () => {
    const { runs, signOff } = upgraded(calibrationUpgrades, 1, { name: 'Old', lot: 'A', runs: [{ id: 'r', onDay: '', setting: '8', method: 'catch', readings: {}, struck: 'wind', note: '' }], signOff: { setting: '8', onDay: '2025-09-02', by: '' } }) as unknown as CalibrationInput; // prettier-ignore
    expect(runs[0]).toMatchObject({ earlier: [], step: '', width: null, excluded: 'wind' });
    expect(signOff).toMatchObject({ setting: '8', lot: 'A', state: '', runs: [] });
  });
});

describe('tests as a table', () => {
  const table = testsTable([{ machine: 'Red', outlets: 1, input: input({ runs: TESTED }), reading: read({ runs: TESTED }) }], speak); // prettier-ignore
  it('comes back as it went out', () => {
    const [found] = readTests(table, (line) => `line ${line}`, speak);
    expect(found).toMatchObject({ machine: 'Red', input: { name: 'Red spreader, lake feed', target: input().target, width: { text: '9', unit: 'ft' } } }); // prettier-ignore
    expect(found!.input.runs.map(({ setting, readings }) => [setting, readings])).toEqual(TESTED.map(({ setting, readings }) => [setting, readings])); // prettier-ignore
    expect(evaluateCalibration({ ...found!.input, scaleStep: '0.05' }, RED).advice?.mark.label).toBe('11');
  });
  it.each([
    [table.map((row) => row.slice(3)), 'tests.columns', 'lines.1'],
    [[table[0]!, table[1]!.with(9, 'thrown by hand')], 'kind.unknown', 'lines.2'],
    [[table[0]!, table[1]!.with(10, 'Weight: 3')], 'tests.reading', 'lines.2'],
    [[table[0]!, table[1]!.with(17, 'lb')], 'unit.other-kind', 'lines.2'],
  ])('%# says what is wrong and where', (rows, code, field) => {
    expect(() => readTests(rows, () => 'x', speak)).toThrow(expect.objectContaining({ code, field }));
  });
});
