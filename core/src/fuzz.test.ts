import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { NUMERIC } from './fuzzNumbers.ts';
import { tries } from './fuzzSize.ts';
import { ofRecords } from './fuzzRecords.ts';
import * as exported from './index.ts';
import { InputError } from './index.ts';

// Whatever a function of core is given: a finite answer, "not enough data" as a value, or an InputError; nothing else.

type Functions = Record<string, (...args: never[]) => unknown>;
const called = new Set<string>();

/** Core, with a note of what was called. */
const core = new Proxy(exported, {
  get(target, name: string) {
    called.add(name);
    return target[name as keyof typeof target];
  },
});

/** Paths of numbers that are no number, anywhere in a value. */
function odd(value: unknown, path = '', seen = new Set<unknown>()): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (typeof value === 'string')
    return /\b(?:NaN|Infinity|undefined)\b/.test(value) ? [`${path} says ${value}`] : [];
  if (typeof value !== 'object' || value === null || seen.has(value) || value instanceof InputError)
    return [];
  seen.add(value);
  if (value instanceof Float64Array)
    return value.every(Number.isFinite) ? [] : [`${path} holds a number that is none`];
  if (ArrayBuffer.isView(value)) return [];
  const parts = value instanceof Map ? [...value] : Object.entries(value);
  return parts.flatMap(([key, part]) => odd(part, `${path}.${String(key)}`, seen));
}

/** Runs something that has to keep the promise. */
function keeps<T>(run: () => T): T | null {
  try {
    const value = run();
    expect(odd(value)).toEqual([]);
    return value;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

describe('functions of numbers', () => {
  it.each(Object.entries(NUMERIC))('%s', (name, args) => {
    called.add(name);
    const call = (exported as unknown as Functions)[name]!;
    fc.assert(
      fc.property(fc.tuple(...args), (given) => {
        keeps(() => call(...(given as never[])));
      }),
      { seed: 31, numRuns: tries(300) },
    );
  });
});

const LINE = { ...exported.blankGuideLine('a'), situation: 'Frost', cold: '15', warm: '23', low: '2', high: '4' }; // prettier-ignore
const GUIDE = { ...exported.blankGuide('us', ['v', 'a'], '2026-11-01'), name: 'Town', versions: [{ id: 'v', fromDay: '2026-11-01', note: '', lines: [LINE] }] }; // prettier-ignore
const ROUND: exported.ApplicationInput = { ...exported.blankApplication('us'), areaName: 'Lot', size: { text: '9000', unit: 'ft2' }, amount: { text: '40', unit: 'lb', from: 'weighed' } }; // prettier-ignore
const WINTER = { ...exported.blankWinter('us'), name: 'W', fromDay: '2026-11-01', toDay: '2027-04-15' };

const pick = <T>(all: readonly T[], seed: number): T => all[seed % all.length]!;

/** What people paste and mistype. */
const TEXTS = ['', ' ', '0', '-1', '1e308', '1e-308', '7½', '10x8⅔', '58 x 36 - 210', '0x10', '1/0', '3 lb -4 oz', '±', '%', '24 0 8', '7%', '2026-02-30', '2026-04-18', '9 ft', '6600 m/ha', '7200 ft per acre', '3 mph', '🌱', '\u202f', '1,5', '12 000', 'x'.repeat(250), '-0', '40 lb', '0.5', '12']; // prettier-ignore

/** A choice or a unit, not something typed. */
const isChoice = (text: string): boolean =>
  text in exported.UNITS ||
  text in exported.NUTRIENTS ||
  /^[a-z][a-z-]+$/.test(text) ||
  /^[0-9a-f-]{36}$/.test(text);

/** Choices that may be empty: nothing but their key tells them from what is typed. */
const EMPTY_CHOICES = new Set(['salt', 'means']);

/** The same document with some of its texts replaced; choices stay. */
function mangled<T>(document: T, draw: () => number): T {
  if (typeof document === 'string')
    return (isChoice(document) || draw() > 0.25 ? document : pick(TEXTS, Math.floor(draw() * 1000))) as T;
  if (Array.isArray(document)) return document.map((part: unknown) => mangled(part, draw)) as T;
  if (typeof document !== 'object' || document === null) return document;
  return Object.fromEntries(
    Object.entries(document).map(([key, part]) => [key, EMPTY_CHOICES.has(key) ? part : mangled(part, draw)]),
  ) as T;
}

const DEMO = JSON.parse(readFileSync(new URL('../../demo/tarn-hollow.json', import.meta.url), 'utf8')) as {
  jobs: { input: exported.JobInput }[];
  testRuns: { subject: string; id: string; first: string | null; occurredAt: string; input: exported.TestRunInput }[];
} & Record<'products' | 'soilTests' | 'ruleSets' | 'sites' | 'rigs' | 'calibrations' | 'widthTests', { id: string; input: never }[]>; // prettier-ignore

const CALIBRATIONS = DEMO.calibrations.map(({ id, input }) => ({
  id,
  input: exported.withRuns(
    input,
    DEMO.testRuns.filter(({ subject }) => subject === id),
    [],
  ),
}));

/** Runs what follows from each demo document with its texts mangled, many times. */
function mangle(about: (draw: () => number, seed: number) => void): void {
  for (let seed = 1; seed <= tries(120); seed += 1) about(exported.seeded(seed), seed);
}

describe('documents with anything typed in them', () => {
  it('sheets', () =>
    mangle((draw, seed) => {
      const { onDay, worksheet } = pick(DEMO.jobs, seed).input;
      const input = mangled(worksheet, draw);
      const answer = keeps(() => core.answerWorksheet(input, core.AS_TYPED))!;
      const rules = keeps(() => core.evaluateRuleSet(mangled(pick(DEMO.ruleSets, seed).input, draw)))!.rules;
      const facts = { onDay, soilTests: DEMO.soilTests, others: [{ name: 'Other', days: [onDay, 'x'], isSameProduct: true }] }; // prettier-ignore
      const checks = keeps(() => core.checkSheet(rules, answer, input.rules, facts)) ?? [];
      keeps(() => core.checkRules(rules, { onDay, product: answer.reading.product, rateSi: 0.01, portions: 1, soFar: [], soilTest: null, everyDays: null, others: [], done: [], beforeSi: 0, mixPerM2: null }, { need: 'kg/ha', rate: 'kg/ha' })); // prettier-ignore
      for (const of of [core.daysNeeded, core.fewestPortions, core.mostAllowedShare]) keeps(() => of(checks));
      for (const of of [core.lessNeed, core.needAtRate]) keeps(() => of(answer, input, 0.01));
      keeps(() => core.labelRange(answer, input));
      keeps(() => core.goesInTank(input.product.kind));
      keeps(() => core.tankSheet(input, answer, { tankL: 100, chartLPerM2: 0.04 }));
      keeps(() => core.patchSheet(input, answer));
      keeps(() => core.needFromLabel(answer, input));
      keeps(() => core.questionsOf({ input, ...answer }));
      keeps(() => core.portionsOf(answer.reading.split, onDay, answer));
      keeps(() => core.orderTable(answer, input, speak));
      keeps(() => core.worksheetText(answer, speak));
      keeps(() => core.needShown(input, answer));
      keeps(() => core.evaluateWorksheet(input));
      keeps(() =>
        core.evaluateJob({
          name: pick(TEXTS, seed),
          onDay: pick(TEXTS, seed + 1),
          worksheet: input,
          load: core.blankLoad('us'),
        }),
      );
      const job = {
        name: 'a',
        onDay,
        worksheet: input,
        load: mangled(pick(DEMO.jobs, seed).input.load, draw),
      };
      const result = keeps(() => core.evaluateJob(job))!;
      keeps(() => core.evaluateLoad(job.load));
      const run = keeps(() =>
        core.runSheet(job, result, {
          grounds: new Map(),
          machine: null,
          mixLPerM2: null,
          drift: null,
          broken: [],
        }),
      )!;
      keeps(() => core.readinessOf(run.obstacles, job.load.ready, core.sheetMark(answer, 'c')));
      keeps(() => core.openObstacles(run.obstacles, null));
      keeps(() => core.overruled(run.obstacles, job.load.ready));
      const laps = [{ seconds: draw() * 100, doubtful: false }];
      const legs = run.areas[0]?.plan.legs ?? [];
      keeps(() =>
        core.elapsedS({ ...core.beginRun('a', ''), carriedS: draw() * 100 }, { steadyMs: 0, wallMs: 0 }),
      );
      keeps(() => core.paceOfRun(laps, legs, { paceMPerS: draw(), turnS: draw() * 9, flows: true }));
      keeps(() => core.runTable(run, { amount: 'kg', area: 'm2', length: 'm' }, speak));
      keeps(() => core.logTable([], (moment) => moment, speak));
      keeps(() => core.driftOf([{ id: 'a', startedAt: onDay, ratio: draw() * 3 }]));
      for (const of of [core.passesGeoJson, core.passesGpx])
        keeps(() => of(run.areas.slice(0, 2), { latDeg: 47, lonDeg: -31 }, () => 'x'));
      const lines = keeps(() => core.seasonOrder([{ input: job, result }], [input.product])) ?? [];
      keeps(() => core.seasonOrderTable(lines, speak, String));
      const [area] = run.areas;
      if (area && area.areaM2 < 1e5)
        keeps(
          () =>
            core.coverageFor({
              run: area,
              pattern: null,
              machine: null,
              spacingM: run.spacingM ?? 1,
              input: job.load,
              load: result.load,
              seed,
              cellM: 1,
            }).targetPerM2,
        );
      keeps(() => core.withNeedOf(input, 'ai'));
      keeps(() => core.withProduct(input, mangled(pick(DEMO.products, seed).input, draw)));
      const headed = { name: 'a', onDay, worksheet: input };
      keeps(() => core.merged(headed, { ...headed, name: 'b' }, () => 'mine'));
      keeps(() => core.differencesBetween(headed, headed, { ...headed, worksheet: mangled(input, draw) }));
    }));
  it('products, soil tests, mixes', () =>
    mangle((draw, seed) => {
      const input = mangled(pick(DEMO.products, seed).input as exported.ProductInput, draw);
      const product = keeps(() => core.evaluateProduct(input))!;
      keeps(() => core.evaluateLabelFacts(input));
      for (const nutrient of ['N', 'ai', 'product'] as const) {
        const need = { nutrient, perM2: 0.004 };
        const label = keeps(() => core.readLabel(product, need));
        keeps(() => core.rateForNeed(product, nutrient, 0.004));
        keeps(() => core.delivered(product, nutrient, 0.01));
        if (label) keeps(() => core.labelLines(input, { nutrient, perM2: 0.004, unit: 'kg/ha' })); // prettier-ignore
      }
      const { scoop } = product;
      if (scoop) {
        keeps(() => core.scoopLine(scoop, input.scoop));
        keeps(() => core.inScoops(3, 'lb', scoop, input.scoop));
      }
      keeps(() => core.evaluateScoop(input.scoop, 'scoop'));
      keeps(() => core.readPackage(input.package.size, input.package.unit, 'x'));
      const soil = mangled<exported.SoilTestInput>(pick(DEMO.soilTests, seed).input, draw);
      keeps(() => core.evaluateSoilTest(soil));
      const mix = mangled(core.mixForSoilTest(core.blankMix('kg/ha', 'm2'), soil), draw);
      const asked = keeps(() => core.evaluateMix(mix))!;
      keeps(() => core.mixLimits(core.evaluateRuleSet(mangled(pick(DEMO.ruleSets, seed).input, draw)).rules, '2026-04-18', mix.soilTestDay, asked.soFar)); // prettier-ignore
      const products = DEMO.products.map(({ id, input: each }) => ({ id, name: id, product: core.evaluateProduct(mangled(each, draw)) })); // prettier-ignore
      const answer = keeps(() => core.findMix({ ...asked, products, quickCap: null, slowFloor: null, mixesForms: false, fromStockForM2: null })); // prettier-ignore
      if (!answer) return;
      keeps(() => core.searchNotes(answer));
      const cheapest = core.cheapestMix(answer);
      if (cheapest) keeps(() => core.mixLines(cheapest, { unit: 'kg/ha', areaM2: asked.areaM2, productOf: () => input })); // prettier-ignore
      for (const miss of answer.misses) keeps(() => core.missReason(miss, 'kg/ha'));
    }));
  it('machines and their calibrations', () =>
    mangle((draw, seed) => {
      const kept = pick(CALIBRATIONS, seed);
      const own = DEMO.rigs.find(({ id }) => id === kept.input.rig)!.input;
      const rig = mangled(own as exported.RigInput, draw);
      keeps(() => core.evaluateRig(rig));
      keeps(() => core.evaluateSpray(rig.spray, rig.kind));
      keeps(() => core.evaluateNozzle({ ...rig.spray.nozzle, notes: '' }));
      keeps(() => core.evaluateNozzleFacts(rig.spray.nozzle));
      const bench = core.benchRig(seed % 2 === 0 ? rig : own);
      const input = mangled(kept.input, draw);
      const method = pick(core.METHOD_IDS, seed);
      keeps(() => core.nextRun(input, method, 1, { id: 'n', onDay: '2026-04-18', mark: null }));
      keeps(() => core.keptReadings(input, method, 2));
      const reading = keeps(() => core.evaluateCalibration(input, bench, null, core.machineRecord(CALIBRATIONS, { id: kept.id, input }, bench, '2026-11-26')))!; // prettier-ignore
      keeps(() => core.calibrationOn(core.withoutRig(input, rig), 'other', own));
      keeps(() => core.evaluateQuickTest(input));
      keeps(() => core.adviceText(reading, input, 'dry-fertilizer'));
      for (const of of [core.correctionTexts, core.offersFor]) keeps(() => of(reading, input, rig.kind));
      keeps(() => core.settingPicture(reading, input.target.unit, rig.kind));
      keeps(() => core.chartShape(reading));
      keeps(() => core.sprayWays(reading, bench, 0.02, []));
      keeps(() => core.sprayedAt(reading.spray, rig, 'psi'));
      const rate = { si: reading.targetSi ?? 0, dimension: core.dimensionOf(input.target.unit) };
      keeps(() => core.perArea(rate, reading.widthM));
      keeps(() => core.rateIn(rate.dimension, 0.01, reading.widthM));
      keeps(() => core.rateAs(rate, 'massPerArea', reading.widthM));
      keeps(() => core.lookUpRate(reading, input, pick(TEXTS, seed)));
      const plan = keeps(() => core.spreadPlan(reading, 0.0163, 2.7, seed % 2 === 0, false));
      if (plan) keeps(() => core.markRemark(plan.found, input.target.unit));
      keeps(() => core.outputAt(reading, '11'));
      keeps(() => core.settingOnGround(reading, { low: 0.01, chosen: 0.015, high: 0.02 }, true));
      keeps(() =>
        core.servedLines(core.evaluateGuide(GUIDE).versions[0]!.lines, 'dry', reading, seed % 2 === 0),
      );
      keeps(() => core.planFor('weigh-back', input, bench, reading));
      keeps(() => core.cardOf(input, rig, reading, '10 Apr', { kgPerM2: 0.01, purpose: 'a job' }));
      keeps(() =>
        core.freshness(input, rig, { lot: 'a', grainSize: 'b', kind: 'dry-deicer' }, '2026-11-26', {
          winterFrom: '2026-11-01',
          drift: { side: 'heavy', percent: 112 },
        }),
      );
      if (reading)
        keeps(() =>
          core.withFieldRuns(reading, [{ id: 'r', mark: '11', rateSi: 0.02, uReadings: 0.01 }], bench),
        );
      keeps(() => core.readPace(input.pace, 'pace', core.collect()));
      keeps(() => core.testsTable([{ machine: 'm', outlets: bench.outlets, input, reading }], speak));
      keeps(() => core.runsSince(input));
      keeps(() => core.withRunIds(input, (id) => `${id}.`));
      keeps(() => core.runsToAppend(input, mangled(input, draw)));
      input.runs.forEach((run, index) => {
        const read = reading.runs[index]!;
        keeps(() => core.lostReadings(run, core.keepEarlier(run, mangled(run, draw), 'anew')));
        keeps(() => core.evaluateTestRun(core.testRunOf(run, input), core.aimOf(input)));
        keeps(() => core.unitsOf(run, input));
        keeps(() => core.runOfOpen(run.id, core.openRunOf(run, '', input)));
        keeps(() => core.runLine(run, read, input, bench));
        keeps(() => core.paceLine(run, read, input, reading.paceMPerS));
        keeps(() => core.runRemarks(run, read, reading, input));
        keeps(() => core.coarseRemark(read, reading.tolerance, input));
        keeps(() => core.coarseness(read, reading.tolerance));
        for (const of of [core.bandOfRun, core.rateAtWork]) keeps(() => of(read));
        for (const of of [core.showRun, core.showAtWork]) keeps(() => of(read, input.target.unit));
        keeps(() => core.against(read, reading.targetSi));
        keeps(() => core.fillAimOf(input, run, reading, bench));
        for (const field of core.methodOf(run.method).fields(bench.outlets)) keeps(() => core.timeToAim(input, run, index, reading, field, bench)); // prettier-ignore
      });
      keeps(() => core.chartMatch(mangled(pick(DEMO.products, seed).input as exported.ProductInput, draw), input, null, '')); // prettier-ignore
      keeps(() => core.readMark(pick(TEXTS, seed), bench.scale, 'x'));
      keeps(() => core.evaluateScale(rig.control, 'control'));
      keeps(() => core.readScaleLine(pick(TEXTS, seed), 'control'));
      keeps(() => core.scaleLine(rig.control));
      keeps(() => core.readWidth(input.width, 'width'));
    }));
  it('sites, paces, widths', () =>
    mangle((draw, seed) => {
      const site = mangled<exported.SiteInput>(pick(DEMO.sites, seed).input, draw);
      const reading = keeps(() => core.evaluateSite(site))!;
      reading.areas.forEach((area, index) => {
        keeps(() => core.measuredLine(site.areas[index]!, area));
        keeps(() => core.areaAdvice(site.areas[index]!, area));
      });
      keeps(() => core.evaluatePaces(site.pace, 'pace'));
      keeps(() => core.readPlace(site.place, 'place'));
      const width = mangled(pick(DEMO.widthTests, seed).input as exported.WidthTestInput, draw);
      const read = keeps(() => core.evaluateWidthTest(width))!;
      keeps(() => core.evaluateTrays(width));
      keeps(() => core.recommendation(read, width));
      keeps(() => core.traysTable(width, speak));
      if (read.lookedM === null) return;
      keeps(() => core.meanLine(read, read.lookedM!, width));
      if (!read.pattern) return;
      const { pattern: found, lookedM } = read;
      const ground = keeps(() => core.groundAt(found, lookedM, width.passPattern));
      if (ground) keeps(() => core.groundRemarks(read, ground, width));
      keeps(() => core.faultTexts(core.faultsOf(found, read.recommendedM, lookedM), 'push-rotary'));
    }));
  it('winters', () =>
    mangle((draw, seed) => {
      const guide = mangled(GUIDE, draw);
      const read = keeps(() => core.evaluateGuide(guide))!;
      const { lines } = keeps(() => core.versionOn(read.versions, '2026-12-01')) ?? read.versions[0]!;
      const asked = { situation: 'frost', treatment: 'before', product: 'dry', trend: 'falling' } as const;
      const deicer = { salt: 'sodium-chloride', share: 1, limitC: null } as const;
      const table = keeps(() => core.guideTable(guide, guide.versions[0]!, speak))!;
      const input = mangled(ROUND, draw);
      const rows = [{ id: 'r', subject: 's', onDay: '2026-12-31', input }];
      const product = mangled(pick(DEMO.products, seed).input as exported.ProductInput, draw);
      const winter = mangled(WINTER, draw);
      const works = [
        () => core.asksForLane(guide), () => core.guideRateUnit(guide, 'liquid'), () => core.sameSituation(pick(TEXTS, seed), 'frost'), () => core.guidePicture(core.guideRulers(lines), guide.temperatureUnit),
        () => core.lookUpGuide(lines, -6, asked), () => core.planNight(lines, deicer, { ...asked, pavementC: -6, share: null }),
        () => core.readGuideTable(table, guide, () => 'n', speak), () => core.readPavement(pick(TEXTS, seed), 'degF', 'x'),
        () => core.evaluateDeicer(product.deicer, 'dry'), () => core.evaluateApplication(input), () => core.saysAmount(input), () => core.achievedOver([{ input }]), () => core.weighedRuns(core.doneRows([{ id: 'r', first: null, subject: 's', occurredAt: '2026-12-31T23:00:00.000Z', input }]), input.machine.id, input.product.name), () => core.saltOf(rows), () => core.seasonTable(core.doneRows([{ id: 'r', first: null, subject: 's', occurredAt: '2026-12-31T23:00:00.000Z', input }]), () => 'S', (at) => at, speak), () => core.roundToDo(core.roundsOf(core.doneRows([{ id: 'r', first: null, subject: 's', occurredAt: '2026-12-31T23:00:00.000Z', input }])), 3), () => core.machineLoads(core.doneRows([{ id: 'r', first: null, subject: 's', occurredAt: '2026-12-31T23:00:00.000Z', input }])), () => core.nextRound([]),
        () => core.saltBy(rows, ({ subject }) => subject), () => core.savingAgainst(rows, 0.05), () => core.evaluateWinter(winter),
        () => core.rowsWithin(rows, winter.fromDay, winter.toDay), () => core.yearBefore(WINTER, '2026-12-20'), () => core.winterOn([winter], '2026-12-20'),
        () => core.evaluateStorm(mangled({ ...core.blankStorm(), name: 'S', fromDay: '2026-12-31' }, draw)),
        ...ofRecords(core, input, { mangle: (value) => mangled(value, draw), text: pick(TEXTS, seed) }),
      ]; // prettier-ignore
      for (const work of works) keeps<unknown>(work);
    }));
  it('single fields', () => {
    for (const text of TEXTS) {
      keeps(() => core.readNumber(text, 'x'));
      for (const of of ['mass', 'length', 'area', 'speed', 'massPerArea'] as const) {
        keeps(() => core.readQuantity(text, { kind: of, bareUnit: null, field: 'x' }));
        keeps(() =>
          core.readPositive(
            text,
            { kind: of, bareUnit: core.KINDS[of].si, field: 'x' },
            core.message('errors.what.size'),
          ),
        );
      }
      keeps(() => core.readSize(text, 'ft2', 'x'));
      keeps(() => core.readGrade(text, 'x'));
      keeps(() => core.readNeed(text, 'lb/1000 ft2', 'x'));
      keeps(() => core.readQuickPart(text, 'x'));
      keeps(() => core.readMeasures(text, 'x'));
      keeps(() => core.brineSheet({ ...core.blankBrine('us'), reading: text, sample: text, wanted: text, tank: text, rate: text, lane: text, pavement: text, load: text, wetting: text })); // prettier-ignore
      keeps(() => core.readDay(text, 'x'));
      keeps(() => core.readName(text, 'x', core.message('errors.example.job')));
      keeps(() => core.evaluateRows({ ...core.blankRows('m', 'ha'), spacing: text, own: text, count: text, length: text }, 100, 'x')); // prettier-ignore
      keeps(() => core.isMeasuredSize(text, 'ft2', 100, 1));
    }
  });
});

/** Names that only tell words, build blanks, or work on what the tests above have worked out; files and drags have tests of their own. */
const ELSEWHERE = /^(?:blank|beginRun|tapPass|pauseRun|untapPass|logHeading|newJob|assumedFor|moneyText|lyingGround|againstWanted|barsOf|changeIn|curveOf|dimensionsOf|heightOf|middleOf|niceStep|positionsOf|latestOf|withRuns|is|other|Input|toResult|suggestion|eachOnce|leftOutReason|columnHeading|guideHeading|seasonHeading|testHeading|notInWinter|bracket|operator|word|term|bandText|workingText|columnsOf|rigKind|shapeOf|methodOf|methodsFor|cautionsFor|chooseMethod|stepsOf|splitUnit|weightPart|statedForm|unitSpelled|lengthUnitFor|areaUnitFor|volumeUnitFor|pressureUnitFor|sameProductKey|mayGiveSetting|partName|write|readBoundaryFile|evaluateBoundary|cleanBoundary|checkFile|origin|checkTests|readTests|readShelf|shelfTable|worksheetFor|readTraysTable|resample|unevenness|seeded|press|split|running|holdsOn|depositOfPasses|draggedLengths|groundArea|layOut|localPlane|measureArea|place|snapMove|evaluatePart|evaluateSiteArea|retype|cheapest|calibration|planTexts|standing|fillAimRemark|renamed|upgraded|versionAfter|systemOf|textWithUnit|readCount|readPercent|readTolerance|readWhole|meanOf|scatterOver|sumOf)/; // prettier-ignore

afterAll(() => {
  const functions = Object.entries(exported).filter(([, value]) => typeof value === 'function');
  expect(
    functions.map(([name]) => name).filter((name) => !called.has(name) && !ELSEWHERE.test(name)),
  ).toEqual([]);
});
