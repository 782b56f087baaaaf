import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { blankRig, type RigInput } from '../machines/index.ts';
import { toSi } from '../quantities/index.ts';
import type { NozzleChoice } from '../wet/index.ts';
import { workingText } from '../working/index.ts';
import { runLine, paceLine, runRemarks } from './benchLines.ts';
import { benchRig } from './benchRig.ts';
import { evaluateCalibration } from './calibration.ts';
import { blankCalibration, blankRun, type CalibrationInput } from './calibrationInput.ts';
import { methodsFor } from './choose.ts';
import { planFor, roundCourse } from './plan.ts';
import { bandOfRun } from './readRun.ts';
import { cardOf } from './card.ts';
import { freshness } from './freshness.ts';
import { readTests } from './readTests.ts';
import { testsTable } from './testsTable.ts';
import { sprayedAt, sprayWays } from './spray.ts';
import { stepsOf } from './steps.ts';

const RED: RigInput = {
  ...blankRig('metric'),
  name: 'Lawn boom',
  kind: 'boom',
  spray: {
    ...blankRig('metric').spray,
    count: '4',
    spacing: { text: '50', unit: 'cm' },
    tank: { size: '120', unit: 'L' },
    pressure: { text: '2.8', unit: 'bar' },
    nozzle: {
      name: 'Fan, medium',
      flow: { text: '0.98', unit: 'L/min' },
      at: { text: '2.8', unit: 'bar' },
      low: '1.5',
      high: '4',
    },
  },
};
const CAUGHT = { course: '60', courseTime: '36', catchTime: '30', 'volume.1': '480', 'volume.2': '470', 'volume.3': '505', 'volume.4': '490' }; // prettier-ignore
const run = (readings: Readonly<Record<string, string>> = CAUGHT, id = 'a') => ({ ...blankRun(id, '2026-05-02', 'spray-catch' as const), readings }); // prettier-ignore
const boom = (more: Partial<CalibrationInput> = {}): CalibrationInput => ({
  ...blankCalibration('metric'),
  name: 'Boom, water',
  target: { amount: '200', unit: 'L/ha' },
  width: { text: '2', unit: 'm', by: 'chosen' },
  runs: [run()],
  ...more,
});
const BENCH = benchRig(RED);
const evaluated = (more: Partial<CalibrationInput> = {}, rig = BENCH) => evaluateCalibration(boom(more), rig);

describe('a boom', () => {
  it('is four jugs, a course and its width: 194.5 L/ha, and the line says so', () => {
    const { runs, errors, spray } = evaluated();
    expect(errors).toEqual([]);
    expect(runs[0]!.worked!.rateSi).toBeCloseTo(0.01945, 9);
    expect(runs[0]!.worked!.paceMPerS! * 3.6).toBeCloseTo(6, 9);
    expect(spray!.nozzles!.worst).toBeCloseTo(0.03856041, 8);
    expect(spray!.off).toBeCloseTo(-0.0275, 9);
    expect(workingText(runLine(boom().runs[0]!, runs[0]!, boom(), BENCH), speak)).toMatch(/^\( 480 mL \+ 470 mL \+ 505 mL \+ 490 mL \) ÷ 30 s × 36 s ÷ \( 60 m × 2 m \) = 19\d/); // prettier-ignore
  });
  it('without a scale it counts all the same, and nothing is said of marks', () => {
    const { runs, advice, chart } = evaluated();
    expect([runs[0]!.counts, advice, chart.length]).toEqual([true, null, 1]);
  });
  it('with marks of its speed control each has its own rate', () => {
    const control = { ...RED.control, name: 'speed', from: '1', to: '5', step: '1', closed: '1' };
    const rig = benchRig({ ...RED, control });
    const fast = { ...run({ ...CAUGHT, courseTime: '24' }, 'b'), setting: '4' };
    const { chart, spray } = evaluated({ runs: [{ ...run(), setting: '3' }, fast] }, rig);
    expect(chart.map(({ mark, rateSi }) => [mark.label, Math.round(rateSi * 1e6)])).toEqual([['3', 19450], ['4', 12967]]); // prettier-ignore
    expect(spray!.now!.mark.label).toBe('4');
  });
  it('a jug that is missing makes no result', () => {
    const { 'volume.3': _, ...rest } = CAUGHT;
    expect(evaluated({ runs: [run(rest)] }).runs[0]!.worked).toBeNull();
  });
  it('a nozzle that was caught for longer has its own time', () => {
    const longer = evaluated({ runs: [run({ ...CAUGHT, 'volume.2': '940', 'ownTime.2': '60' })] });
    expect(longer.runs[0]!.worked!.rateSi).toBeCloseTo(0.01945, 9);
  });
  it('a worn nozzle is told by its number; one of many times the others is asked about', () => {
    const worn = evaluated({ runs: [run({ ...CAUGHT, 'volume.3': '590' })] });
    expect(worn.spray!.nozzles!.nozzles.map(({ verdict }) => verdict)).toEqual(['look', 'look', 'replace', 'good']); // prettier-ignore
    const slip = evaluated({ runs: [run({ ...CAUGHT, 'volume.3': '1010' })] });
    expect(slip.plausibility.map(({ kind, text }) => [kind, speak(text)])[0]).toEqual(['nozzle', expect.stringMatching(/^Nozzle 3 gave 2/)]); // prettier-ignore
    expect(slip.runs[0]!.counts).toBe(false);
    const id = slip.plausibility[0]!.id;
    expect(evaluated({ runs: slip.runs.length ? [run({ ...CAUGHT, 'volume.3': '1010' })] : [], confirmed: [id] }).runs[0]!.counts).toBe(true); // prettier-ignore
  });
  it('a pressure in another unit, and a speed of a train, are asked about', () => {
    expect(evaluated({ runs: [run({ ...CAUGHT, pressure: '40' })] }).plausibility.map(({ kind }) => kind)).toEqual(['pressure']); // prettier-ignore
    expect(evaluated({ runs: [run({ ...CAUGHT, pressure: '40 psi' })] }).plausibility).toEqual([]);
    expect(evaluated({ runs: [run({ ...CAUGHT, courseTime: '3' })] }).plausibility.map(({ kind }) => kind)).toContain('speed'); // prettier-ignore
  });
  it('weight ounces on a jug are asked to be fluid ones', () =>
    expect(evaluated({ runs: [run({ ...CAUGHT, 'volume.1': '16 oz' })] }).errors[0]!.code).toBe('unit.which-ounce')); // prettier-ignore
});

describe('what it takes to spray something else, or another rate', () => {
  it('calibrated with water, 1.28 kg/L sprays 12 % less, and a line says it', () => {
    const denser = { mixDensity: { text: '1.28', unit: 'kg/L' as const } };
    const { runs, spray } = evaluated(denser);
    expect(spray!.now!.mean.mean / 0.01945).toBeCloseTo(0.8838835, 6);
    const line = paceLine(boom().runs[0]!, runs[0]!, boom(denser), null)!;
    expect(workingText(line, speak)).toContain('flow of 1.28 kg/L against water');
    expect(evaluated({ ...denser, caughtWith: 'mix' }).spray!.now!.mean.mean).toBeCloseTo(0.01945, 9);
    expect(paceLine(boom().runs[0]!, evaluated().runs[0]!, boom(), null)).toBeNull();
  });
  it('speed, the next nozzle of the table, then pressure', () => {
    const table: NozzleChoice[] = [{ id: '1', name: 'Fan, large', flowLPerS: 1.83 / 60, pressurePa: 2.8e5, lowPa: 1.5e5, highPa: 4e5 }]; // prettier-ignore
    const ways = sprayWays(evaluated(), BENCH, toSi(360, 'L/ha'), table);
    expect(ways.map(({ by, isFeasible }) => [by, isFeasible])).toEqual([['nozzle', true], ['speed', false], ['pressure', false]]); // prettier-ignore
    expect(sprayWays(evaluated(), BENCH, toSi(200, 'L/ha'), [])[0]).toMatchObject({ by: 'speed', isFeasible: true }); // prettier-ignore
    expect(sprayWays(evaluated({ runs: [] }), BENCH, 0.02, table)).toEqual([]);
  });
});

describe('what is told of a sprayer that was tested', () => {
  const signed = boom({ signOff: { setting: 'Fan, medium, 2.8 bar', onDay: '2026-05-02', by: 'Ada', state: '', pace: { course: '60', unit: 'm', time: '36' }, width: { text: '2', unit: 'm', by: 'chosen' }, second: '', lot: '', grain: '', runs: ['a'] } }); // prettier-ignore
  it('a pressure that the nozzle is not made for', () => {
    const at = (pressure: string) => {
      const input = boom({ runs: [run({ ...CAUGHT, pressure })] });
      const reading = evaluateCalibration(input, BENCH);
      return runRemarks(input.runs[0]!, reading.runs[0]!, reading, input, BENCH).map(speak).join(' ');
    };
    expect(at('4.5')).toContain('drops are finer and drift');
    expect(at('1.2')).toContain('pattern may not close');
    expect(at('2.8')).not.toContain('not made for');
  });
  it('its card has the spray volume with its band, and no marks of a gate; a job does not change it', () => {
    const card = cardOf(signed, RED, evaluateCalibration(signed, BENCH), '2 May 2026', { kgPerM2: 0.002, purpose: 'Spring' }); // prettier-ignore
    expect(card).toMatchObject({ setting: 'Fan, medium, 2.8 bar', control: '', rate: '190', band: '20', lines: [], rateUnit: 'L / ha' }); // prettier-ignore
    expect(sprayedAt(evaluateCalibration(signed, BENCH).spray, RED, 'bar')).toBe('Fan, medium, 2.8 bar');
  });
  it('new nozzles make it stale', () => {
    const fitted = { ...RED, spray: { ...RED.spray, fittedOn: '2026-06-01' } };
    expect(freshness(signed, fitted, null, '2026-06-02').reasons.map(speak)).toEqual(['new nozzles were fitted since']); // prettier-ignore
    expect(freshness(signed, RED, null, '2026-06-02').state).toBe('fresh');
  });
  it('goes out as a table and comes back with all its nozzles', () => {
    const many = boom({ runs: [run({ ...CAUGHT, ...Object.fromEntries(Array.from({ length: 30 }, (_, index) => [`volume.${index + 1}`, '480 mL'])) })] }); // prettier-ignore
    const rows = testsTable([{ machine: 'Boom', outlets: 30, input: many, reading: evaluateCalibration(many, BENCH) }], speak); // prettier-ignore
    const [back] = readTests(rows, () => 'x', speak);
    expect(back!.input.runs[0]!.readings).toMatchObject({ 'volume.30': '480 mL', catchTime: '30' });
    expect(back!.input.target.unit).toBe('L/ha');
  });
});

describe('a gun, a bottle', () => {
  const gun = benchRig({ ...blankRig('metric'), name: 'Gun', kind: 'hand-gun' });
  it('2.95 L in the time of a course of 100 m2 are 295 L/ha', () => {
    const { lengthM, area } = roundCourse(2.4, 'm');
    expect([lengthM, area]).toEqual([expect.closeTo(41.666667, 6), '100 m²']);
    const time = String(41.666667 / 1.3);
    const input = boom({ width: { text: '2.4', unit: 'm', by: 'measured' }, runs: [run({ course: '41.666667', courseTime: time, catchTime: time, volume: '2.95 L' })] }); // prettier-ignore
    const { runs } = evaluateCalibration(input, gun);
    expect(runs[0]!.worked!.rateSi).toBeCloseTo(0.0295, 8);
    expect(runs[0]!.worked!.rateSi / toSi(1, 'gal/acre')).toBeCloseTo(31.537458, 4);
    expect(speak(planFor('spray-catch', input, gun, evaluateCalibration(input, gun))[0]!)).toBe('A course of 41.67 m covers exactly 100 m².'); // prettier-ignore
  });
  it('what a bottle sprayed on known ground needs no watch and no width', () => {
    const bottle = benchRig({ ...blankRig('metric'), name: 'Bottle', kind: 'hose-end' });
    const used = { ...blankRun('a', '2026-05-02', 'spray-used' as const), readings: { load: '20 L', left: '1.5 L', area: '60' } }; // prettier-ignore
    const { runs } = evaluateCalibration(boom({ width: { text: '', unit: 'm', by: 'chosen' }, runs: [used] }), bottle); // prettier-ignore
    expect(runs[0]!.worked!.rateSi).toBeCloseTo(18.5 / 60, 9);
    expect(runRemarks(used, runs[0]!, evaluateCalibration(boom({ runs: [used] }), bottle), boom()).map(speak)[0]).toMatch(/over the target\.$/); // prettier-ignore
  });
  it('each machine is tested by what it does, and one that does both by either', () => {
    expect(methodsFor('boom')).toEqual(['spray-catch', 'spray-used']);
    expect(methodsFor('push-rotary')).not.toContain('spray-catch');
    expect(methodsFor('spread-and-spray', true)).toEqual(['spray-catch', 'spray-used']);
    expect(methodsFor('spread-and-spray', false)).toContain('timed-catch');
    expect(stepsOf('spray-catch', 4, 'boom', null).find(({ id }) => id === 'before')!.cautions.map(speak)).toContain('Test with clean water.'); // prettier-ignore
  });
  it('a combined rig: granules caught for the time of half the spray course, twice over each spot', () => {
    const rig: RigInput = { ...blankRig('metric'), name: 'Both', kind: 'spread-and-spray', control: { ...blankRig('metric').control, from: '0', to: '10', closed: '0' } }; // prettier-ignore
    const granules = { ...blankCalibration('metric'), name: 'Both', target: { amount: '124', unit: 'kg/ha' as const }, width: { text: '2', unit: 'm' as const, by: 'chosen' as const } }; // prettier-ignore
    const caught = { ...blankRun('a', '2026-05-02', 'timed-catch' as const), setting: '5', readings: { tare: '0', gross: '0.62', course: '50', courseTime: '40', catchTime: '20' } }; // prettier-ignore
    const { runs } = evaluateCalibration({ ...granules, runs: [caught] }, benchRig(rig, 'kg/ha'));
    expect(runs[0]!.worked!.rateSi * 100).toBeCloseTo(1.24, 9);
  });
});

describe('properties', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  it('twice the speed is half the rate, and the units of what is typed do not matter', () =>
    fc.assert(
      fc.property(fc.array(number(100, 900), { minLength: 4, maxLength: 4 }), number(20, 60), number(10, 60), (volumes, seconds, time) => {
        const readings = (scale: number, unit: string, timeS: number) => ({ course: '60 m', courseTime: String(timeS), catchTime: String(seconds), ...Object.fromEntries(volumes.map((mL, index) => [`volume.${index + 1}`, `${mL * scale} ${unit}`])) });
        const rate = (given: Readonly<Record<string, string>>) => evaluated({ confirmed: ['speed.a', 'nozzle.a', 'far.a'], runs: [run(given)] }).runs[0]!.worked!.rateSi;
        const first = rate(readings(1, 'mL', time));
        expect(rate(readings(1, 'mL', time / 2)) / first).toBeCloseTo(0.5, 9);
        expect(rate(readings(128 / 3785.411784, 'fl oz', time)) / first).toBeCloseTo(1, 9);
      }),
      { seed: 171, numRuns: 60 },
    )); // prettier-ignore
  it('the band of one run covers what its jugs, tape and watch leave open', () => {
    // Readings drawn anew within the step of each instrument: nineteen in twenty lie within the band.
    let seed = 7;
    const draw = () => ((seed = (seed * 48271) % 2147483647), seed / 2147483647 - 0.5);
    const truth = { volumes: [482.3, 471.8, 503.9, 488.1], time: 36.04, course: 60.02 };
    const width = 2;
    const of = (v: readonly number[], t: number, c: number, catchS: number) => ((v.reduce((a, b) => a + b) / 1000 / catchS) * t) / (c * width); // prettier-ignore
    const real = of(truth.volumes, truth.time, truth.course, 30);
    const read = evaluated({ runs: [run({ ...CAUGHT, 'volume.1': '480 mL', courseTime: '36.0', course: '60.0', catchTime: '30.0' })] }).runs[0]!; // prettier-ignore
    const uReadings = 2 * read.worked!.uReadings;
    const within = Array.from({ length: 4000 }, () => {
      const seen = of(truth.volumes.map((mL) => mL + draw()), truth.time + draw() * 0.1, truth.course + draw() * 0.1, 30 + draw() * 0.1); // prettier-ignore
      return Math.abs(seen / real - 1) <= uReadings;
    }).filter(Boolean).length;
    expect(within / 4000).toBeGreaterThan(0.93);
    expect(uReadings).toBeLessThan(0.01);
    expect(bandOfRun(read)).toBeGreaterThan(uReadings);
  });
});
