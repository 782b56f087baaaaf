// What the functions of numbers are given, with the slips that no interface lets through: for the test that calls every function.
import fc from 'fast-check';
import * as exported from './index.ts';

const numbers = fc.oneof(
  { weight: 3, arbitrary: fc.double({ min: -50, max: 5000, noNaN: true }) },
  { weight: 2, arbitrary: fc.constantFrom(0, -0, 1, -1, 1e-300, 1e300, NaN, Infinity, -Infinity) },
);
const few = fc.array(numbers, { maxLength: 6 });
const nutrients = fc.constantFrom('N', 'P2O5', 'K2O', 'P', 'K', 'S');
const units = fc.constantFrom('lb', 'kg', 'oz', 'g');
const reading = fc.record({ si: numbers, resolutionSi: numbers });
const catches = fc.array(fc.record({ grossKg: reading, tareKg: reading }), { maxLength: 3 });
const run = fc.record({ setting: numbers, rate: numbers, uReadings: numbers });
const means = fc.array(fc.record({ setting: numbers, runs: numbers, mean: numbers, uRelative: numbers }), { maxLength: 4 }); // prettier-ignore
const points = fc.array(fc.record({ x: numbers, y: numbers, weight: numbers }), { maxLength: 5 });
const listed = fc.record({ points: fc.array(fc.record({ setting: numbers, rate: numbers }), { maxLength: 4 }), paceMPerS: numbers }); // prettier-ignore
const kind = fc.constantFrom('push-rotary', 'push-drop', 'row-distributor', 'vehicle');
const spots = fc.array(fc.record({ x: numbers, y: numbers }), { maxLength: 6 });
const metering = fc.constantFrom('flow', 'wheels');
const mode = fc.constantFrom('one-way', 'back-and-forth');
const grade = fc
  .constantFrom('24-0-8', '0-0-60', '10-10-10 + 2 S')
  .map((text) => exported.readGrade(text, ''));
const pattern = fc.tuple(few, few).map(([x, y]) => ({ xM: x, y }));
const outlines = fc.array(spots, { maxLength: 3 });
const flat = fc.constant([
  [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 12 },
    { x: 0, y: 12 },
  ],
]);
const grounds = fc.oneof(flat, outlines);
const trim = fc.record({
  rounds: fc.constantFrom(0, 1, 2, 0.5, -1),
  stripM: numbers,
  pathM: numbers,
  edgeOn: fc.constantFrom('left', 'right'),
});
const heading = fc.oneof(numbers, fc.constantFrom('fewest', 'least-off'));
const legs = fc.array(
  fc.record({
    zone: fc.constantFrom('trim', 'first'),
    number: numbers,
    part: numbers,
    parts: numbers,
    piece: numbers,
    line: fc.array(fc.record({ x: numbers, y: numbers }), { minLength: 2, maxLength: 4 }),
    lengthM: numbers,
    unfedM: numbers,
  }),
  { maxLength: 3 },
);
const pieces = grounds.map((ground) => [{ ground, field: ground, lanes: [], isNarrow: false }]);
const tracks = fc.array(fc.record({ line: spots, perM: numbers, pattern }), { maxLength: 2 });
const shape = fc.constantFrom(...exported.SHAPE_KINDS);
const record = fc.record({ squares: numbers, degrees: numbers });
const rated = fc.record({ flowLPerS: numbers, pressurePa: numbers });
const tables = fc.constantFrom(...Object.values(exported.BRINE_SALTS).map(({ freezes }) => freezes));
const brines = fc.constantFrom(...exported.BRINE_SALT_IDS);
const chartLines = fc.array(fc.record({ mark: fc.record({ label: fc.constant('1'), opening: numbers }), rateSi: numbers, tested: fc.boolean() }), { maxLength: 4 }); // prettier-ignore
const deicerFacts = fc.record({ salt: fc.option(fc.constantFrom(...exported.DEICER_SALT_IDS)), share: fc.option(numbers), limitC: fc.option(numbers) }); // prettier-ignore
const winterArea = fc.record({ areaM2: fc.option(numbers), isByHand: fc.boolean() });
const winterLoads = fc.record({ packageSi: fc.option(numbers), fillSi: fc.option(numbers), scoopKg: fc.option(numbers) }); // prettier-ignore
const stationReadings = fc.array(fc.record({ of: fc.constantFrom('pavement', 'scale'), value: numbers, at: fc.constantFrom('2026-12-04T03:00:00.000Z', '1970-01-01T00:00:00.000Z') }), { maxLength: 5 }); // prettier-ignore
const salts = fc.constantFrom(...exported.SALT_IDS);
const wanted = fc.record({ marks: few, closed: numbers, firstFlow: fc.option(numbers), runs: fc.array(run, { maxLength: 6 }), record, target: numbers, tolerance: numbers, ceiling: fc.option(numbers), start: numbers }); // prettier-ignore

/** What each function of numbers is given. */
export const NUMERIC: Readonly<Record<string, readonly fc.Arbitrary<unknown>[]>> = {
  changedSi: [numbers, units, units, fc.constantFrom('convert', 'keep-number')],
  fromSi: [numbers, units],
  toSi: [numbers, units],
  retype: [numbers, units],
  showExact: [numbers],
  showNumber: [numbers, fc.integer({ min: 1, max: 15 })],
  showQuantity: [numbers, units],
  showWithUncertainty: [numbers, numbers, units],
  carrierRate: [numbers, numbers],
  concentration: [grade, nutrients, numbers],
  deliveredAtRate: [numbers, grade],
  fractionOf: [grade, nutrients],
  gradeText: [grade],
  inForm: [numbers, nutrients, nutrients],
  labelRate: [numbers, numbers],
  liquidRate: [numbers, numbers],
  nutrientAtRate: [numbers, nutrients, grade],
  productRate: [numbers, nutrients, grade],
  withShare: [grade, nutrients, fc.constantFrom('26 %', '0', '101', 'x', '')],
  acrossCurve: [numbers],
  boundsOf: [spots],
  crossesItself: [spots],
  lineLength: [spots, fc.boolean()], outlineArea: [spots], rowLength: [numbers, numbers],
  measuredSize: [numbers, numbers, fc.constantFrom('ft2', 'm2')], showLength: [numbers, fc.constantFrom('ft', 'm')],
  showSize: [numbers, numbers, fc.constantFrom('ft2', 'm2')], snapStepM: [fc.constantFrom('ft', 'm')],
  handlesOf: [shape, few], countPackages: [numbers, numbers, numbers], atWorkingPace: [numbers, numbers, metering],
  advise: [wanted], chartOf: [few, means],
  chooseStart: [fc.constantFrom('auto', 'low', 'middle', 'label', 'shape'), fc.record({ low: numbers, middle: numbers, label: fc.option(numbers) }), fc.option(numbers), fc.boolean()],
  corrections: [kind, fc.record({ meanKgPerM2: numbers, wantedKgPerM2: numbers, paceMPerS: numbers, widthM: numbers })],
  caught: [fc.record({ grossKg: reading, tareKg: reading, lengthM: reading, widthM: reading, passes: numbers })],
  weighBack: [fc.record({ inKg: reading, leftKg: reading, lengthM: reading, widthM: reading, runs: numbers })],
  timedCatch: [fc.record({ catches, catchS: reading, courseM: reading, courseS: reading, spacingM: reading })],
  runOut: [fc.record({ loadSi: reading, leftSi: reading, areaM2: reading })],
  sprayCatch: [fc.record({ catches: fc.array(fc.record({ volumeL: reading, timeS: reading }), { maxLength: 3 }), courseM: reading, courseS: reading, widthM: reading })],
  roundCourse: [numbers, fc.constantFrom('ft', 'm')], flowAt: [rated, numbers], pressureFor: [rated, numbers],
  densityFactor: [numbers], ratedAt: [fc.option(rated), fc.option(numbers)], checkNozzles: [few, fc.option(numbers)],
  sprayRate: [fc.record({ flowLPerS: numbers, speedMPerS: numbers, widthM: numbers })],
  rateWays: [fc.record({ rateLPerM2: numbers, speedMPerS: numbers, widthM: numbers, nozzles: numbers, pressurePa: fc.option(numbers), lowPa: fc.option(numbers), highPa: fc.option(numbers), speeds: fc.tuple(numbers, numbers), densityFactor: numbers }), numbers, fc.array(fc.record({ id: fc.constant('a'), name: fc.constant('A'), flowLPerS: numbers, pressurePa: numbers, lowPa: fc.option(numbers), highPa: fc.option(numbers) }), { maxLength: 2 })],
  solubilityAt: [salts, numbers], coolsBy: [salts, numbers, numbers],
  dissolving: [fc.record({ kg: numbers, salt: fc.option(salts), gPer100g: fc.option(numbers), degC: numbers, waterL: numbers })],
  tankPlan: [fc.record({ mixLPerM2: numbers, totalM2: numbers, tankL: numbers, products: fc.array(fc.record({ id: fc.constant('a'), form: fc.constantFrom('dry', 'liquid'), perM2: numbers }), { maxLength: 2 }) })],
  rowRefills: [fc.record({ kgPerM: numbers, fillKg: numbers, rowM: numbers, rows: numbers })],
  combinedCourses: [fc.record({ sprayM: numbers, speedMPerS: numbers, areaM2: numbers })],
  inMeasures: [numbers, fc.array(fc.record({ name: fc.constant('cup'), volumeL: numbers }), { maxLength: 2 })],
  patchPlan: [fc.record({ productSi: numbers, form: fc.constantFrom('dry', 'liquid'), areaM2: numbers, bottleL: numbers, leastWaterL: fc.option(numbers) })],
  between: [tables, numbers], placeOf: [tables, numbers], strengthAt: [brines, numbers], freezesAt: [brines, numbers], saltForFilm: [brines, numbers, numbers], filmHeld: [brines, numbers, numbers],
  chlorideOf: [deicerFacts, numbers], fateOnPavement: [deicerFacts, fc.constantFrom('dry', 'liquid'), numbers, numbers], settingForBand: [chartLines, fc.record({ low: numbers, chosen: numbers, high: numbers }), fc.boolean(), numbers],
  looksLikeAir: [numbers, numbers, numbers], amountFor: [winterArea, numbers, winterLoads], totalFor: [fc.array(winterArea, { maxLength: 3 }), numbers, winterLoads], splitByPlan: [numbers, few],
  stationNow: [stationReadings, fc.constantFrom('pavement', 'scale'), numbers], scaleAtRest: [stationReadings], settingsSession: [fc.array(fc.record({ label: fc.constant('1'), opening: numbers }), { maxLength: 3 }), fc.constant([])], colderDeicers: [fc.array(fc.record({ name: fc.constant('A'), limitC: fc.option(numbers) }), { maxLength: 3 }), numbers],
  strongest: [brines], brineDensity: [brines, numbers],
  brineStrength: [brines, numbers, fc.constantFrom('kg/L', 'sg-60F', 'sg-20C')], brineFor: [brines, numbers, numbers],
  correctedBrine: [brines, numbers, numbers, numbers], prewetting: [brines, numbers, numbers, numbers], brineOnGround: [brines, numbers, numbers, numbers],
  rowOutlets: [fc.record({ catches, lengthM: reading, rows: numbers, rowMPerM2: numbers })],
  fillAim: [fc.record({ targetSi: numbers, spacingM: numbers, containerKg: numbers, speedMPerS: numbers, outletsPerRow: numbers })],
  rateFromFill: [fc.record({ spacingM: numbers, containerKg: numbers, speedMPerS: numbers, outletsPerRow: numbers }), numbers],
  fillAimRemark: [fc.record({ outputPerM: numbers, servesM: numbers, fillS: numbers }), fc.constantFrom('ft', 'm')],
  fromShape: [listed, fc.record({ setting: numbers, rate: numbers }), numbers], lookUp: [listed, numbers, numbers],
  starts: [few, numbers, fc.option(numbers), numbers, numbers, fc.option(listed)],
  joinRecords: [fc.array(record, { maxLength: 3 })], recordOf: [fc.array(few, { maxLength: 3 })],
  scatterOf: [fc.array(run, { maxLength: 5 })], settingMeans: [fc.array(run, { maxLength: 5 })],
  timingBand: [fc.array(fc.record({ id: fc.constantFrom('a', 'b'), timesS: few }), { maxLength: 3 })],
  standingOf: [fc.record({ setting: numbers, runs: numbers, mean: numbers, uRelative: numbers }), fc.record({ target: numbers, tolerance: numbers, ceiling: fc.option(numbers) })],
  leastNet: [numbers, numbers], netOf: [reading, reading, fc.constant('x')], relative: [reading],
  resolutionU: [numbers], pooled: [points], settingCurve: [points], student95: [numbers], timedPace: [numbers, few],
  timeToAimFor: [numbers, numbers], rateChangeAtPace: [numbers, numbers, metering],
  practice: [numbers, few, fc.option(numbers)], paceText: [fc.option(numbers), fc.constantFrom('ft', 'm')],
  speedText: [numbers, fc.constantFrom('ft', 'm')], showLeast: [numbers, units],
  showRate: [numbers, numbers, fc.constantFrom('lb/1000 ft2', 'kg/ha')],
  lookUpMark: [chartLines, numbers, fc.boolean()],
  planTest: [fc.record({ method: fc.constantFrom(...exported.METHOD_IDS), outputPerM: numbers, widthM: numbers, scaleStepKg: numbers, tolerance: numbers, speedMPerS: numbers, hopperKg: fc.option(numbers), lengthUnit: fc.constantFrom('ft', 'm') })],
  patternOf: [few, few], cvAt: [pattern, numbers, mode], overlay: [pattern, numbers, mode],
  groundAt: [pattern, numbers, mode], sweep: [pattern, numbers, mode, numbers], leftShare: [pattern],
  underPattern: [pattern], throwOf: [pattern], mirrored: [pattern], scaled: [pattern, numbers],
  depositAt: [pattern, numbers], depositOfPass: [pattern, numbers, mode, numbers, numbers], twoDirections: [numbers],
  handySpacing: [numbers, fc.constantFrom('ft', 'm')], levelOf: [numbers, numbers], mismatchOf: [numbers, numbers],
  paceOfPass: [numbers, fc.record({ lengthM: numbers, paceMPerS: numbers, turnS: numbers, flows: fc.boolean() })],
  walkedBy: [legs, numbers, numbers, numbers], rateByFill: [numbers, numbers, numbers],
  inset: [grounds, numbers], joined: [grounds, numbers], difference: [grounds, grounds], intersection: [grounds, grounds],
  liesWithin: [spots, fc.record({ x: numbers, y: numbers })], piecesOf: [grounds],
  planPasses: [fc.record({ ground: grounds, spacingM: numbers, trim, heading, last: fc.constantFrom('even', 'overlap'), directions: fc.constantFrom(1, 2), refillAt: fc.option(fc.record({ x: numbers, y: numbers })) })],
  groundBlocks: [pieces, numbers, numbers, numbers], sketchOf: [numbers, fc.option(numbers)],
  placeTowards: [grounds, fc.constantFrom(...exported.WINDS)], windTowards: [fc.record({ x: numbers, y: numbers }), fc.record({ x: numbers, y: numbers })],
  fillsOnWalk: [legs, numbers.map((value) => () => value), numbers],
  walkTime: [legs, fc.constant([]), fc.record({ paceMPerS: numbers, turnS: numbers, refillS: numbers, refillAt: fc.option(fc.record({ x: numbers, y: numbers })) })],
  assumedPattern: [fc.constantFrom('even', 'triangle'), numbers], deflected: [pattern, fc.constantFrom('left', 'right'), numbers],
  simulateCoverage: [fc.record({ ground: flat, area: flat, edges: fc.constant([]), tracks, targetPerM2: numbers, cellM: numbers.map((size) => Math.max(size, 0.5)), seed: fc.integer(), wanderM: numbers, paceSd: numbers, flows: fc.boolean(), opensLateM: numbers, shutsEarlyM: numbers })],
  mismatchRemark: [fc.record({ times: numbers }), fc.constant('9 ft'), fc.constant('18 ft')],
  isTurned: [fc.integer(), mode],
  compareRates: [numbers],
  portionDays: [fc.constantFrom('2026-04-18', 'x', ''), numbers, fc.option(numbers)],
}; // prettier-ignore
