import { message } from '../messages/message.ts';
import { collect } from '../errors/collect.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import type { AreaUnit, UnitId } from '../quantities/units.ts';
import { areaUnitFor, pressureUnitFor, volumeUnitFor, readSize } from '../fields/size.ts';
import { rigKind } from '../machines/kinds.ts';
import { readMark, type Mark } from '../machines/scale.ts';
import { readWidth } from '../machines/width.ts';
import { noteDay } from '../fields/heading.ts';
import type { BenchRig } from './benchRig.ts';
import type { CalibrationInput, RunInput } from './calibrationInput.ts';
import { isWholeRun, methodOf, NOTHING_OUT, workRun } from './methodTable.ts';
import type { MethodField, Worked } from './methods/method.ts';
import { atWorkingPace, type AtWorkingPace } from './pace.ts';
import { dimensionOf, isPerLength } from './rate.ts';
import { timingBand, type Run } from './scatter.ts';
import { COVERAGE, type Reading } from './uncertainty.ts';

/** A run as read. */
export interface RunResult {
  readonly id: string;
  readonly mark: Mark | null;
  readonly worked: Worked | null;
  /** Pass spacing that it was made at, m. */
  readonly widthM: number | null;
  /** Length of its strip or course, m, and how often it was covered; null while it is not known. */
  readonly lengthM: number | null;
  readonly passes: number;
  /** What brings its rate to the pace of work; null: it was not timed, or the pace of work is not known. */
  readonly pace: AtWorkingPace | null;
  /** How much of what will be sprayed flows where this was caught; 1: it was caught of the mix, or spreads. */
  readonly flowFactor: number;
  /** Struck out, not complete, at another pace, or asked about and not answered: it does not count. */
  readonly counts: boolean;
}

/**
 * The rate at the pace of work and of what will be sprayed, kg/m2 or L/m2, with its relative standard uncertainty from the readings.
 *
 * @example rateAtWork(reading.runs[0]) // { rateSi: 0.00569617, uReadings: 0.0196536 }
 */
export function rateAtWork({
  worked,
  pace,
  flowFactor,
}: RunResult): { rateSi: number; uReadings: number } | null {
  if (!worked) return null;
  const { factor, u } = pace ?? { factor: 1, u: 0 };
  return { rateSi: worked.rateSi * factor * flowFactor, uReadings: Math.hypot(worked.uReadings, u) };
}

/**
 * Band of one run from its readings and its timings, about 95 %, share of its rate.
 *
 * @example bandOfRun(reading.runs[0]) // 0.0393071
 */
export const bandOfRun = (run: RunResult): number =>
  run.worked ? Math.hypot(COVERAGE * rateAtWork(run)!.uReadings, timingBand([run.worked.timings])) : 0;

/** The runs that count, as the adviser takes them. */
export const countedRuns = (runs: readonly RunResult[]): Run[] =>
  runs.flatMap((run): Run[] => {
    const rate = rateAtWork(run);
    return run.counts && run.mark && rate
      ? [{ setting: run.mark.opening, rate: rate.rateSi, uReadings: rate.uReadings, timings: run.worked!.timings }] // prettier-ignore
      : [];
  });

/**
 * What bare numbers of a run are in.
 *
 * @example unitsOf(calibration.runs[0], calibration).mass // 'lb'
 */
export const unitsOf = (run: Pick<RunInput, 'units'>, { units }: Pick<CalibrationInput, 'units'>) =>
  run.units ?? units;

/** The unit that a bare number of a field counts in. */
function bareUnit({ kind }: MethodField, units: CalibrationInput['units']): UnitId {
  if (kind === 'mass') return units.mass;
  if (kind === 'time') return 's';
  if (kind === 'volume') return volumeUnitFor(units.length);
  if (kind === 'pressure') return pressureUnitFor(units.length);
  return kind === 'area' ? areaUnitFor(units.length) : units.length;
}

/** The step that the scale shows, kg; null while it is not stated. */
export function readScaleStep({ scaleStep, units }: CalibrationInput): number | null {
  if (scaleStep.trim() === '') return null;
  const wanted = { kind: 'mass', bareUnit: units.mass, field: 'scaleStep' } as const;
  return readPositive(scaleStep, wanted, message('errors.what.scaleStep')).si;
}

/** One reading of a run, by what its method asks for. */
export function readField(
  field: MethodField,
  input: string,
  units: CalibrationInput['units'],
  path: string,
): Reading {
  if (field.kind === 'count') {
    const count = readNumber(input, path);
    if (!Number.isInteger(count) || count < 1 || count > 100)
      throw new InputError('count.whole', { field: path, most: 100, input });
    return { si: count, resolutionSi: 0 };
  }
  const unit = bareUnit(field, units);
  if (field.kind === 'area') {
    // Taped off, people type its sides.
    const { areaM2, resolutionM2 } = readSize(input, unit as AreaUnit, path);
    return { si: areaM2, resolutionSi: resolutionM2 };
  }
  const { si, resolutionSi } = readQuantity(input, { kind: field.kind, bareUnit: unit, field: path });
  if (si < 0 || (si === 0 && !field.mayBeNone))
    throw new InputError('quantity.not-positive', {
      field: path,
      what: field.label,
      hint: field.placeholder,
    });
  return { si, resolutionSi };
}

/** A method names the reading that is wrong; here it stands in its run. */
function inRun(error: InputError, path: string, outlets: number): InputError {
  if (error.field.startsWith(path)) return error;
  const [, at, name] = /^catches\.(\d+)\.(\w+)$/.exec(error.field) ?? [];
  const id = at !== undefined && outlets > 1 ? `${name}.${Number(at) + 1}` : error.field.split('.').at(-1);
  return error.at(`${path}.readings.${id}`);
}

const massesOf = (run: RunInput, outlets: number): MethodField[] =>
  methodOf(run.method).fields(outlets).filter(({ kind }) => kind === 'mass'); // prettier-ignore

/** The finest step that the weighings of a run were typed to, kg; Infinity without one. An empty scale's 0 says nothing of it. */
function finestStep(run: RunInput, calibration: CalibrationInput, outlets: number): number {
  const steps = massesOf(run, outlets).map((field) => {
    const input = run.readings[field.id]?.trim() ?? '';
    const read =
      input === '' ? null : toResult(() => readField(field, input, unitsOf(run, calibration), '')).value;
    return read && read.si > 0 ? read.resolutionSi : Infinity;
  });
  return Math.min(Infinity, ...steps);
}

/** Weighings of one day are off one scale: "10" and "7.5" both read to 0.1. What the scale is said to show beats what was typed. */
function stepOfDay(calibration: CalibrationInput, outlets: number): (onDay: string) => number {
  const stated = toResult(() => readScaleStep(calibration)).value;
  if (stated !== null) return () => stated;
  const finest = new Map<string, number>();
  for (const run of calibration.runs) {
    const { mass } = unitsOf(run, calibration);
    const step = STEP.get(run)?.get(mass) ?? finestStep(run, calibration, outlets);
    STEP.set(run, (STEP.get(run) ?? new Map<string, number>()).set(mass, step));
    finest.set(run.onDay, Math.min(finest.get(run.onDay) ?? Infinity, step));
  }
  return (onDay) => finest.get(onDay) ?? Infinity;
}

/** Finest steps of runs, by the unit of bare weights. */
const STEP = new WeakMap<RunInput, Map<string, number>>();

type RunRead = { readonly reading: RunResult; readonly errors: readonly InputError[] };

/** What was read of a run, by what it was read with: a change of the rate reads none of five hundred runs again. */
const READ = new WeakMap<RunInput, Map<string, RunRead>>();
/** With its machine and without: what is kept is checked without one. */
const MAX_WAYS = 3;

/**
 * A reader for the runs of a calibration: each is read once for the same machine, width and units.
 *
 * @param width what rates are worked out for; null: not known
 * @param workMPerS pace of work, m/s; null: not known
 * @param flowFactor how much of what will be sprayed flows where water was caught
 */
export function runReader(
  calibration: CalibrationInput,
  rig: BenchRig,
  width: Reading | null,
  workMPerS: number | null,
  flowFactor = 1,
) {
  const { units, scaleStep, target } = calibration;
  const { kind, scale, outlets, rows } = rig;
  const basis = JSON.stringify([
    units,
    scaleStep,
    dimensionOf(target.unit),
    width,
    workMPerS,
    kind,
    outlets,
    rows,
    scale.marks,
    rig.spray !== null,
    flowFactor,
  ]);
  const stepOn = stepOfDay(calibration, outlets);
  return (run: RunInput, at: number): RunRead => {
    const stepKg = stepOn(run.onDay);
    const way = `${at} ${stepKg} ${basis}`;
    const known = READ.get(run) ?? new Map<string, RunRead>();
    const before = known.get(way);
    if (before) return before;
    if (known.size >= MAX_WAYS) known.clear();
    const read = readRun(run, at, { calibration, rig, width, workMPerS, stepKg, flowFactor });
    READ.set(run, known.set(way, read));
    return read;
  };
}

/** What runs are read with. */
interface ReadWith {
  readonly calibration: CalibrationInput;
  readonly rig: BenchRig;
  readonly width: Reading | null;
  readonly workMPerS: number | null;
  /** Step of the scale, kg; Infinity: not known. */
  readonly stepKg: number;
  readonly flowFactor: number;
}

/** The readings of a run that are typed so far, with the step of the scale; errors are noted. */
function readingsOf(run: RunInput, path: string, { calibration, rig, stepKg }: ReadWith, { readIfPresent }: ReturnType<typeof collect>) {
  const readings: Record<string, Reading> = {};
  for (const field of methodOf(run.method).fields(rig.outlets)) {
    const input = run.readings[field.id] ?? '';
    const read = readIfPresent(input, () => readField(field, input, unitsOf(run, calibration), `${path}.readings.${field.id}`));
    if (read) readings[field.id] = field.kind === 'mass' ? { si: read.si, resolutionSi: stepKg === Infinity ? read.resolutionSi : stepKg } : read; // prettier-ignore
    else if (input.trim() === '' && field.otherwise !== undefined) readings[field.id] = { si: field.otherwise, resolutionSi: 0 }; // prettier-ignore
  }
  return readings;
} // prettier-ignore

/** What sprays without a scale has one setting: as it is. */
const AS_IT_IS: Mark = { label: '', opening: 0 };

/** Over a metre, a rate is what goes on a metre. */
const ONE_METRE: Reading = { si: 1, resolutionSi: 0 };

/** Reads one run: its mark, and what it comes to once all that its method asks for is there. */
function readRun(run: RunInput, at: number, how: ReadWith): RunRead {
  const { rig, width, workMPerS } = how;
  const noted = collect();
  const { errors, tryRead, readIfPresent } = noted;
  const path = `runs.${at}`;
  const mark = rig.scale.marks.length === 0 ? (rig.spray ? AS_IT_IS : null) : readIfPresent(run.setting, () => readMark(run.setting, rig.scale, `${path}.setting`)); // prettier-ignore
  noteDay(tryRead, run.onDay, `${path}.onDay`);
  const own = run.width && readIfPresent(run.width.text, () => readWidth(run.width!, `${path}.width.text`));
  const readings = readingsOf(run, path, how, noted);
  // What goes on a metre of row or lane needs no width; a weighed load on known ground makes a rate without any.
  const isOnGround = methodOf(run.method).planned === 'ground';
  const isOnLength = isPerLength(dimensionOf(how.calibration.target.unit));
  const spread = isOnLength ? ONE_METRE : (width ?? (isOnGround ? ONE_METRE : null));
  const runWidthM = own?.si ?? width?.si ?? (isOnLength && isOnGround ? null : 1);
  const basis = spread &&
    runWidthM !== null && {
      width: spread,
      runWidthM,
      outlets: rig.outlets,
      rows: rig.rows,
    };
  const isWhole = errors.length === 0 && basis && isWholeRun(run.method, readings, rig.outlets);
  const worked = run.noFlow
    ? NOTHING_OUT
    : isWhole
      ? tryRead(() => workRun(run.method, readings, basis, path))
      : null;
  const pace = worked?.paceMPerS && workMPerS ? atWorkingPace(worked.paceMPerS, workMPerS, rigKind(rig.kind).metering) : null; // prettier-ignore
  const reading: RunResult = {
    id: run.id,
    mark,
    worked,
    widthM: own?.si ?? width?.si ?? null,
    lengthM: readings['length']?.si ?? readings['course']?.si ?? null,
    passes: readings['passes']?.si ?? 1,
    pace,
    flowFactor: how.flowFactor,
    counts: run.excluded.trim() === '' && worked !== null && mark !== null && !pace?.isApart,
  };
  return { reading, errors: errors.map((error) => inRun(error, path, rig.outlets)) };
}
