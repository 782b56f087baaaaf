import type { InputError } from '../errors/InputError.ts';
import { message } from '../messages/message.ts';
import { collect } from '../errors/collect.ts';
import { readTolerance } from '../fields/counts.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readPace } from '../machines/readPace.ts';
import { readMark, type Mark } from '../machines/scale.ts';
import { readWidth } from '../machines/width.ts';
import { noteDay, readName } from '../fields/heading.ts';
import { advise, type Advice } from './advice/advise.ts';
import { chartOf } from './chart.ts';
import { settingCurve, type SettingCurve } from './curve.ts';
import { settingsSession, type SettingsSession } from './session.ts';
import { NO_RIG, type BenchRig } from './benchRig.ts';
import type { CalibrationInput, SignOffInput } from './calibrationInput.ts';
import { plausibilityChecks, type PlausibilityCheck } from './plausibility.ts';
import { countedRuns, readScaleStep, runReader, type RunResult } from './readRun.ts';
import { dimensionOf, isSprayed, rateAs, type RateDimension } from './rate.ts';
import { sprayState, type SprayState } from './spray.ts';
import { densityFactor } from '../wet/flow.ts';
import { NO_RECORD, repeatsOf, settingMeans, type Run, type ScatterRecord, type SettingMean } from './scatter.ts'; // prettier-ignore
import { chooseStart, fromShape, lookUp, starts, type Listed, type Start } from './start.ts';

/** A rate at one of the machine's marks, in SI units of the calibration's dimension. */
export interface ChartLine {
  readonly mark: Mark;
  readonly rateSi: number;
  readonly tested: boolean;
}

export interface CalibrationResult {
  /** The step that the scale shows, kg; null: not stated. */
  readonly scaleStepKg: number | null;
  /** What its rates are per; every rate of it is in SI units of that. */
  readonly dimension: RateDimension;
  readonly targetSi: number | null;
  readonly tolerance: number;
  readonly widthM: number | null;
  /** Pace of work, m/s: as typed, else the machine's usual one. Rates of runs that were timed are brought to it. */
  readonly paceMPerS: number | null;
  /** Pace that the chart rests on, m/s: that of work, else the mean of the runs that were timed; null: not known. */
  readonly chartPaceMPerS: number | null;
  /** How much repeats differ here, for the other calibrations of the machine. */
  readonly repeats: ScatterRecord;
  readonly runs: readonly RunResult[];
  /** What to ask before it is believed. */
  readonly plausibility: readonly PlausibilityCheck[];
  /** What to set next; null until the scale of the machine and the target are known. */
  readonly advice: (Advice & { readonly mark: Mark; readonly start: Start }) | null;
  /** Means of the marks that were tested, and the curve through them; null with fewer than two. */
  readonly means: readonly SettingMean[];
  /** Means of the weigh-backs of ordinary runs that are in them. */
  readonly field: readonly SettingMean[];
  readonly curve: SettingCurve | null;
  /** The settings that are tested in turn; null: each run advises the next one. */
  readonly session: SettingsSession | null;
  /** The mark to set next: of the session, else as advised; null: nobody can tell. */
  readonly nextMark: Mark | null;
  /** How what sprays stands; null: it spreads. */
  readonly spray: SprayState | null;
  /** Rates at the machine's marks over what was tested. */
  readonly chart: readonly ChartLine[];
  readonly errors: readonly InputError[];
}

/** Where nobody timed a pace: that of a brisk walk, m/s. */
export const USUAL_PACE = 1.3;

type Noting = ReturnType<typeof collect>;

/** What a calibration was signed off with is looked at like the rest of it. */
function noteSignOff({ onDay, pace, width }: SignOffInput, noted: Noting): void {
  noteDay(noted.tryRead, onDay, 'signOff.onDay');
  readPace(pace, 'signOff.pace', noted);
  noted.readIfPresent(width.text, () => readWidth(width, 'signOff.width.text'));
}

/** The settings of a label as openings of this machine. */
function readLabel(
  input: CalibrationInput,
  rig: BenchRig,
  paceMPerS: number,
  { readIfPresent }: Noting,
): Listed | null {
  const { label, target, units } = input;
  const bareUnit = units.length === 'm' || units.length === 'cm' ? 'm/s' : 'mph';
  const labelPace = readIfPresent(
    label.pace,
    () =>
      readPositive(
        label.pace,
        { kind: 'speed', bareUnit, field: 'label.pace' },
        message('errors.what.labelPace'),
      ).si,
  );
  const points = label.lines.flatMap(({ setting, amount }, index) => {
    const field = `label.lines.${index}`;
    const mark = rig.scale.marks.length === 0 ? null : readIfPresent(setting, () => readMark(setting, rig.scale, `${field}.setting`)); // prettier-ignore
    const rate = readIfPresent(amount, () => readPositive(amount, { kind: dimensionOf(target.unit), bareUnit: target.unit, field: `${field}.amount` }, message('errors.what.labelRate')).si); // prettier-ignore
    return mark && rate !== null ? [{ setting: mark.opening, rate }] : [];
  });
  return points.length > 0 ? { points, paceMPerS: labelPace ?? paceMPerS } : null;
}

/** What is wanted of the machine. */
interface Aim {
  readonly target: number;
  readonly tolerance: number;
  readonly paceMPerS: number;
  readonly label: Listed | null;
  readonly shape: Listed | null;
  readonly record: ScatterRecord;
}

/** The mark to set next. */
function adviceOf(input: CalibrationInput, rig: BenchRig, runs: readonly Run[], aim: Aim): CalibrationResult['advice'] {
  const { marks, firstFlow } = rig.scale;
  const openings = marks.map(({ opening }) => opening);
  if (openings.length < 2) return null;
  const { target, tolerance, paceMPerS, label, shape, record } = aim;
  const begin = starts(openings, 0, firstFlow, target, paceMPerS, label);
  const start = chooseStart(input.start, begin, shape && lookUp(shape, target, 0), input.isCeiling);
  const byShape = shape && start.from === 'shape' ? (test: { setting: number; rate: number }) => fromShape(shape, test, target) : null; // prettier-ignore
  const advice = advise({ marks: openings, closed: 0, firstFlow, runs, record, target, tolerance, ceiling: input.isCeiling ? target : null, start: start.setting, byShape }); // prettier-ignore
  return advice && { ...advice, start, mark: marks.find(({ opening }) => opening === advice.setting)! };
} // prettier-ignore

/** The pace that a chart rests on where that of work is not known: the mean of the runs that were timed. */
function meanPace(runs: readonly RunResult[]): number | null {
  const paces = runs.flatMap(({ counts, worked }) => (counts && worked?.paceMPerS ? [worked.paceMPerS] : []));
  return paces.length === 0 ? null : paces.reduce((sum, pace) => sum + pace, 0) / paces.length;
}

/**
 * Reads a calibration: every run worked out for its pass spacing, what to ask, what to set next, and the machine's chart
 * for this product.
 *
 * @param machine without marks nothing is advised
 * @param shape chart of another product on this machine, as openings and rates
 * @param record how much repeats differ in the other calibrations of this machine
 * @example evaluateCalibration(calibration, benchRig(redSpreader)).advice.mark.label // '11'
 */
export function evaluateCalibration(
  input: CalibrationInput,
  machine: BenchRig = NO_RIG,
  shape: Listed | null = null,
  record: ScatterRecord = NO_RECORD,
): CalibrationResult {
  const noted = collect();
  const { errors, tryRead, readIfPresent } = noted;
  tryRead(() => readName(input.name, 'name', message('errors.example.calibration')));
  const { target } = input;
  const dimension = dimensionOf(target.unit);
  const targetSi = readIfPresent(
    target.amount,
    () => readPositive(target.amount, { kind: dimension, bareUnit: target.unit, field: 'target.amount' }, message('errors.what.rate')).si, // prettier-ignore
  );
  const tolerance = readIfPresent(input.tolerance, () => readTolerance(input.tolerance, 'tolerance')) ?? 0.05;
  const width = readIfPresent(input.width.text, () => readWidth(input.width, 'width.text'));
  const mixKgPerL = isSprayed(dimension) ? readIfPresent(input.mixDensity.text, () => readPositive(input.mixDensity.text, { kind: 'density', bareUnit: input.mixDensity.unit, field: 'mixDensity.text' }, message('errors.what.density')).si) : null; // prettier-ignore
  const flowFactor = mixKgPerL !== null && input.caughtWith === 'water' ? densityFactor(mixKgPerL) : 1;
  const paceMPerS = readPace(input.pace, 'pace', noted) ?? machine.paceMPerS;
  const label = readLabel(input, machine, paceMPerS ?? USUAL_PACE, noted);
  const flow = machine.scale.marks.length === 0 ? null : readIfPresent(input.firstFlow, () => readMark(input.firstFlow, machine.scale, 'firstFlow')); // prettier-ignore
  const rig = flow ? { ...machine, scale: { ...machine.scale, firstFlow: flow.opening } } : machine;
  if (rig.second.marks.length > 0)
    readIfPresent(input.second, () => readMark(input.second, rig.second, 'second'));
  const scaleStepKg = tryRead(() => readScaleStep(input));
  if (input.signOff) noteSignOff(input.signOff, noted);
  const read = input.runs.map(runReader(input, rig, width, paceMPerS, flowFactor));
  const found = read.map(({ reading }) => reading);
  const plausibility = plausibilityChecks(found, input, rig, targetSi);
  const asked = new Set(
    plausibility.flatMap(({ kind, runs }) => (kind === 'apart' || kind === 'tare' ? [] : runs)),
  );
  const runs = found.map((run) => (asked.has(run.id) ? Object.assign({}, run, { counts: false }) : run));
  const counted = countedRuns(runs);
  const spray = rig.spray ? sprayState({ runs, rig, record, targetSi }) : null;
  const advice = targetSi === null || spray ? null : adviceOf(input, rig, counted, { target: targetSi, tolerance, paceMPerS: paceMPerS ?? USUAL_PACE, label, shape, record }); // prettier-ignore
  const { marks } = rig.scale;
  // Without one rate to aim at nothing is advised, and what was tested is a chart all the same.
  const means = advice?.means ?? (spray ? [] : settingMeans(counted.filter(({ rate }) => rate > 0), record)); // prettier-ignore
  const lines = chartOf(marks.map(({ opening }) => opening), means); // prettier-ignore
  const inTurn = marks.length === 0 ? [] : input.settings.split(',').flatMap((each) => readIfPresent(each, () => readMark(each, rig.scale, 'settings')) ?? []); // prettier-ignore
  const session = inTurn.length === 0 ? null : settingsSession(inTurn, runs);
  return {
    scaleStepKg,
    dimension,
    targetSi,
    tolerance,
    widthM: width?.si ?? null,
    paceMPerS,
    chartPaceMPerS: paceMPerS ?? meanPace(runs),
    repeats: repeatsOf(counted),
    runs,
    plausibility,
    advice,
    means,
    field: [],
    curve: advice ? advice.curve : means.length < 2 ? null : settingCurve(means.map(({ setting, mean, runs: weight }) => ({ x: setting, y: mean, weight }))), // prettier-ignore
    session,
    nextMark: session ? session.next : (advice?.mark ?? null),
    chart: spray
      ? spray.means.map(({ mark, mean }) => ({ mark, rateSi: mean.mean, tested: true }))
      : lines.map(({ setting, rate, tested }) => ({ mark: marks.find(({ opening }) => opening === setting)!, rateSi: rate, tested })), // prettier-ignore
    spray,
    errors: [...errors, ...read.flatMap((each) => each.errors)],
  };
}

/**
 * The chart of a calibration as settings and rates, to lend its shape to another product.
 *
 * @param dimension of the calibration that it is lent to
 * @returns null while fewer than two settings are tested, or where its rates cannot be brought to that dimension
 * @example chartShape(reading).points.length // 3
 */
export function chartShape(
  reading: CalibrationResult,
  dimension: RateDimension = reading.dimension,
): Listed | null {
  const { means } = reading;
  const one = rateAs({ si: 1, dimension: reading.dimension }, dimension, reading.widthM);
  if (means.length < 2 || !one) return null;
  return {
    points: means.map(({ setting, mean }) => ({ setting, rate: mean * one.si })),
    paceMPerS: reading.chartPaceMPerS ?? USUAL_PACE,
  };
}
