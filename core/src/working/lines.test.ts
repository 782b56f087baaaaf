import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import {
  answerWorksheet,
  AS_TYPED,
  benchRig,
  blankProduct,
  blankRig,
  blankRun,
  blankScale,
  blankWorksheet,
  blankCalibration,
  checkSheet,
  inScoops,
  meanLine,
  measuredLine,
  METHOD_IDS,
  methodOf,
  paceLine,
  portionsOf,
  evaluateCalibration,
  evaluateRuleSet,
  evaluateSite,
  evaluateWidthTest,
  runLine,
  scoopLine,
  workingText,
  type CalibrationAim,
  type CalibrationInput,
  type TestRunInput,
  type JobInput,
  type MethodId,
  type RigInput,
  type RuleSetInput,
  type SiteInput,
  type WidthTestInput,
  type Working,
  withRuns,
  type WorksheetInput,
} from '../index.ts';
import { tries } from '../fuzzSize.ts';
import { untrue } from './asArithmetic.ts';
import { bracket, operator, term } from './index.ts';

const DEMO = JSON.parse(readFileSync(new URL('../../../demo/tarn-hollow.json', import.meta.url), 'utf8')) as {
  jobs: { input: JobInput }[];
  sites: { input: SiteInput }[];
  ruleSets: { input: RuleSetInput }[];
  rigs: { id: string; input: RigInput }[];
  calibrations: { id: string; input: CalibrationAim }[];
  testRuns: { subject: string; id: string; first: string | null; occurredAt: string; input: TestRunInput }[];
  widthTests: { input: WidthTestInput }[];
}; // prettier-ignore

const isTrue = (line: Working | null) => {
  if (line) expect(untrue(line), workingText(line, speak)).toEqual([]);
};

/** Every line that a sheet can show. */
function sheetLines(input: WorksheetInput, onDay: string, rules: RuleSetInput | null): Working[] {
  const answer = answerWorksheet(input, AS_TYPED);
  const { areas, ...others } = answer.lines;
  const { scoop } = answer.reading.product;
  const checks = rules ? checkSheet(evaluateRuleSet(rules).rules, answer, input.rules, { onDay, soilTests: [], others: [] }) : []; // prettier-ignore
  return [
    ...areas,
    ...Object.values(others),
    ...portionsOf(answer.reading.split, onDay, answer).map(({ working }) => working),
    ...checks.map(({ working }) => working),
    ...(scoop && answer.numbers.amountSi !== null && answer.reading.product.form === 'dry' ? [inScoops(answer.numbers.amountSi, 'lb', scoop, input.product.scoop), scoopLine(scoop, input.product.scoop)] : []), // prettier-ignore
  ];
}

function benchLines(input: CalibrationInput, rig: RigInput): (Working | null)[] {
  const bench = benchRig(rig);
  const reading = evaluateCalibration(input, bench);
  return input.runs.flatMap((run, index) => {
    const read = reading.runs[index]!;
    return read.worked
      ? [runLine(run, read, input, bench), paceLine(run, read, input, reading.paceMPerS)]
      : [];
  });
}

describe('the lines of Tarn Hollow hold as they stand', () => {
  it('sheets, their portions, rules and scoops', () => {
    for (const {
      input: { onDay, worksheet },
    } of DEMO.jobs)
      for (const line of sheetLines(worksheet, onDay, DEMO.ruleSets[0]!.input)) isTrue(line);
  });
  it('test runs', () => {
    for (const { id, input: aim } of DEMO.calibrations) {
      const input = withRuns(
        aim,
        DEMO.testRuns.filter(({ subject }) => subject === id),
        [],
      );
      const rig = DEMO.rigs.find(({ id }) => id === input.rig)!.input;
      for (const line of benchLines(input, rig)) isTrue(line);
    }
  });
  it('sites and widths', () => {
    for (const { input } of DEMO.sites)
      evaluateSite(input).areas.forEach((area, index) => isTrue(measuredLine(input.areas[index]!, area)));
    for (const { input } of DEMO.widthTests) {
      const reading = evaluateWidthTest(input);
      if (reading.lookedM !== null) isTrue(meanLine(reading, reading.lookedM, input));
    }
  });
});

const number = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((value) => value.toFixed(2));

it('sheets with any numbers, kinds and units', () => {
  const any = fc.record({
    of: fc.constantFrom('N' as const, 'K2O' as const, 'product' as const),
    amount: number(0.2, 3),
    system: fc.constantFrom('us' as const, 'metric' as const),
    kind: fc.constantFrom('dry-fertilizer' as const, 'liquid-fertilizer' as const),
    grade: fc.constantFrom('24-0-8', '10-10-10', '28-0-3'),
    basis: fc.constantFrom('weight' as const, 'volume' as const),
    density: number(1.05, 1.4),
    pack: number(5, 60),
    covers: number(900, 15_000),
    carrier: number(20, 90),
    means: fc.constantFrom('mix' as const, 'water' as const),
    portions: fc.constantFrom('', '2', '3'),
    directions: fc.constantFrom('one' as const, 'two' as const),
    sizes: fc.array(fc.oneof(number(80, 9000), fc.tuple(number(5, 90), number(5, 90)).map(([a, b]) => `${a} x ${b}`)), { minLength: 1, maxLength: 4 }), // prettier-ignore
  });
  fc.assert(
    fc.property(any, (drawn) => {
      const blank = blankWorksheet(drawn.system, 'a');
      const product = { ...blankProduct(drawn.kind, drawn.system), grade: drawn.grade, gradeBasis: drawn.basis, density: { text: drawn.density, unit: 'kg/L' as const } }; // prettier-ignore
      const isLiquid = drawn.kind === 'liquid-fertilizer' && drawn.of === 'product';
      const unit = isLiquid ? (drawn.system === 'us' ? ('gal/1000 ft2' as const) : ('L/ha' as const)) : blank.need.unit; // prettier-ignore
      const amount = drawn.system === 'us' ? drawn.amount : String(50 * Number(drawn.amount));
      const input = {
        ...blank,
        need: { nutrient: drawn.of, amount, unit },
        product: { ...product, package: { ...product.package, size: drawn.pack }, coverage: { ...product.coverage, size: drawn.covers } }, // prettier-ignore
        areas: drawn.sizes.map((size, index) => ({
          id: String(index),
          name: '',
          size,
          unit: blank.areas[0]!.unit,
        })),
        carrier: { ...blank.carrier, amount: drawn.carrier, means: drawn.means },
        split: { portions: drawn.portions, everyDays: '28', directions: drawn.directions },
      };
      for (const line of sheetLines(input, '2026-04-18', null)) isTrue(line);
    }),
    { seed: 121, numRuns: tries(60) },
  );
});

/** Readings of a method that can be, as text. */
const READINGS: Readonly<Record<MethodId, fc.Arbitrary<Record<string, string>>>> = {
  'weigh-back': fc.record({ in: number(30, 40), left: number(10, 28), length: number(20, 90), passes: fc.constantFrom('', '2'), time: number(12, 40) }),
  catch: fc.record({ tare: number(0.2, 1), gross: number(1.5, 6), length: number(4, 20), passes: fc.constantFrom('', '3') }),
  tray: fc.record({ tare: number(0.2, 1), gross: number(1.5, 6), length: number(4, 20) }),
  'timed-catch': fc.record({ 'tare.1': number(0.2, 1), 'gross.1': number(1.5, 6), 'tare.2': number(0.2, 1), 'gross.2': number(1.5, 6), course: number(30, 60), courseTime: number(20, 40), 'courseTime.2': fc.oneof(fc.constant(''), number(20, 40)), catchTime: number(15, 40) }),
  taped: fc.record({ tare: number(0.5, 1), gross: number(3, 9), area: fc.tuple(number(8, 40), number(4, 20)).map(([a, b]) => `${a} x ${b} ft`), passes: fc.constantFrom('', '1', '3') }),
  'run-out': fc.record({ tare: fc.oneof(fc.constant(''), number(0.5, 1)), load: number(9, 15), left: fc.oneof(fc.constant('0'), number(1.2, 4)), area: number(600, 2000) }),
  'fill-time': fc.record({ tare: fc.oneof(fc.constant(''), number(0.2, 1)), content: number(3, 6), course: number(30, 60), courseTime: number(20, 40), fillTime: number(40, 160) }),
  'spray-catch': fc.record({ ...Object.fromEntries([1, 2, 3].map((at) => [`volume.${at}`, number(400, 600)])), 'ownTime.2': fc.oneof(fc.constant(''), number(20, 40)), course: number(30, 60), courseTime: number(20, 40), 'courseTime.2': fc.oneof(fc.constant(''), number(20, 40)), catchTime: number(15, 40), pressure: fc.oneof(fc.constant(''), number(2, 4)) }),
  'spray-used': fc.record({ load: fc.oneof(number(9000, 15_000), fc.constant('12.5 L')), left: fc.oneof(fc.constant('0'), number(1200, 4000)), area: number(600, 2000) }),
  outlets: fc.record({ 'tare.1': number(0.2, 1), 'gross.1': number(1.5, 6), 'tare.2': number(0.2, 1), 'gross.2': number(1.5, 6), length: number(20, 60), time: number(12, 40) }),
}; // prettier-ignore

it.each(METHOD_IDS)(
  '%s with any readings, at any spacing, whatever feeds what',
  { timeout: 30_000 },
  (method) => {
    const control = { ...blankScale(), from: '0', to: '10', closed: '0' };
    const any = fc.record({
      readings: READINGS[method],
      feeds: fc.constantFrom('one-row' as const, 'own-rows' as const),
      width: fc.constantFrom('1.50', '5', '6600 m/ha'),
      density: fc.constantFrom('', '1.28'),
      target: methodOf(method).isWet
        ? fc.constantFrom(
            { amount: '300', unit: 'L/ha' as const },
            { amount: '40', unit: 'gal/acre' as const },
          )
        : fc.constantFrom(
            { amount: '300', unit: 'kg/ha' as const },
            { amount: '33', unit: 'g/m of row' as const },
            { amount: '200', unit: 'lb/lane-mile' as const },
          ),
      spreadAt: fc.constantFrom('', '2.20'),
      noFlow: fc.constantFrom(false, false, false, true),
    });
    fc.assert(
      fc.property(any, ({ readings, feeds, width, spreadAt, noFlow, target, density }) => {
        const rig = { ...blankRig('metric'), name: 'Red', kind: methodOf(method).isWet ? ('boom' as const) : ('row-distributor' as const), spray: { ...blankRig('metric').spray, count: '3' }, control, outlets: { count: '2', feeds }, pace: { course: '40', unit: 'm' as const, time: '30.77' } }; // prettier-ignore
        const own = spreadAt === '' ? null : { text: spreadAt, unit: 'm' as const, by: 'chosen' as const };
        const runs = [{ ...blankRun('a', '2026-04-10', method), setting: '5', readings, width: own, noFlow }];
        const input = { ...blankCalibration('metric'), name: 'Red', target, width: { text: width, unit: 'm' as const, by: 'measured' as const }, mixDensity: { text: density, unit: 'kg/L' as const }, runs }; // prettier-ignore
        const lines = benchLines(input, rig);
        for (const line of lines) if (!noFlow) isTrue(line);
      }),
      { seed: 122, numRuns: tries(150) },
    );
  },
);

describe('the reading of lines itself', () => {
  const line = (...parts: Working['parts'][number][]): Working => ({ id: 'l', label: 'l', parts });
  const input = (number: string, unit = '') => term('t', { number, unit }, { origin: 'typed' });
  const computed = (number: string, unit = '') => term('c', { number, unit });
  it('finds what is not so', () => {
    expect(untrue(line(input('40 lb'), operator('÷'), input('12 000 ft2'), operator('='), computed('3.33', 'lb / 1000 ft²')))).toEqual([]); // prettier-ignore
    expect(untrue(line(input('40 lb'), operator('÷'), input('12 000 ft2'), operator('='), computed('3.43', 'lb / 1000 ft²')))).toHaveLength(1); // prettier-ignore
    // A missing bracket, a unit of another kind.
    expect(untrue(line(input('1.84 kg'), operator('+'), input('2.02 kg'), operator('÷'), input('2'), operator('='), computed('1.93', 'kg')))).toHaveLength(1); // prettier-ignore
    expect(untrue(line(bracket('('), input('1.84 kg'), operator('+'), input('2.02 kg'), bracket(')'), operator('÷'), input('2'), operator('='), computed('1.93', 'kg')))).toEqual([]); // prettier-ignore
    expect(untrue(line(input('2 kg'), operator('='), computed('2.00', 'm')))).toHaveLength(1);
  });
});
