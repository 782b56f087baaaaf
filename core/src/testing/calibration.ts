import { collect } from '../errors/collect.ts';
import { attempt, InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readReading } from '../quantities/resolution.ts';
import type { AreaUnit, UnitId } from '../quantities/units.ts';
import { readMark, type Mark, type ScaleReading } from '../rigs/scale.ts';
import { readDay, readName } from '../worksheet/heading.ts';
import { advise, chartOf, type Advice } from './advise.ts';
import type { CalibrationTyped, RunTyped } from './calibrationTyped.ts';
import { methodOf, workRun, type MethodField, type Worked } from './methodTable.ts';
import { starts } from './start.ts';
import type { Run } from './scatter.ts';
import type { Reading } from './uncertainty.ts';

/** A run as read. */
export interface RunReading {
  readonly id: string;
  readonly mark: Mark | null;
  readonly worked: Worked | null;
  /** Struck out, or not complete: it does not count. */
  readonly counts: boolean;
}

export interface CalibrationReading {
  /** The step that the scale shows, kg; null: not stated. */
  readonly scaleStepKg: number | null;
  readonly targetKgPerM2: number | null;
  readonly tolerance: number;
  readonly widthM: number | null;
  readonly runs: readonly RunReading[];
  /** What to set next; null until the scale of the machine and the target are known. */
  readonly advice: (Advice & { readonly mark: Mark }) | null;
  /** Rates at the machine's marks over what was tested, kg/m2. */
  readonly chart: readonly { readonly mark: Mark; readonly rateKgPerM2: number; readonly tested: boolean }[];
  readonly errors: readonly InputError[];
}

const AREA_FOR = { ft: 'ft2', yd: 'yd2', in: 'ft2', mi: 'acre' } as const;

/** The unit that a bare number of a field counts in. */
function bareUnit({ kind }: MethodField, { units }: CalibrationTyped): UnitId {
  if (kind === 'mass') return units.mass;
  if (kind === 'time') return 's';
  const area: AreaUnit = AREA_FOR[units.length as keyof typeof AREA_FOR] ?? 'm2';
  return kind === 'area' ? area : units.length;
}

function readField(field: MethodField, typed: string, calibration: CalibrationTyped, path: string): Reading {
  if (field.kind === 'count') {
    const count = readNumber(typed, path);
    if (!Number.isInteger(count) || count < 1 || count > 100)
      throw new InputError('count.whole', { field: path, most: 100, typed });
    return { si: count, resolutionSi: 0 };
  }
  const unit = bareUnit(field, calibration);
  const { si, resolutionSi } = readReading(typed, { kind: field.kind, bareUnit: unit, field: path });
  const isTare = field.id === 'tare' || field.id === 'left';
  if (si < 0 || (si === 0 && !isTare))
    throw new InputError('quantity.not-positive', {
      field: path,
      what: field.label,
      hint: field.placeholder,
    });
  const stated = field.kind === 'mass' ? attempt(() => readScaleStep(calibration)).value : null;
  return { si, resolutionSi: stated ?? resolutionSi };
}

/** The step that the scale shows, kg; null while it is not stated. */
function readScaleStep({ scaleStep, units }: CalibrationTyped): number | null {
  if (scaleStep.trim() === '') return null;
  const wanted = { kind: 'mass', bareUnit: units.mass, field: 'scaleStep' } as const;
  return readPositive(scaleStep, wanted, 'The step of the scale').si;
}

function readRun(
  run: RunTyped,
  at: number,
  calibration: CalibrationTyped,
  scale: ScaleReading,
  width: Reading | null,
): { reading: RunReading; errors: InputError[] } {
  const { errors, noting, ifTyped } = collect();
  const path = `runs.${at}`;
  const mark = scale.marks.length === 0 ? null : ifTyped(run.setting, () => readMark(run.setting, scale, `${path}.setting`)); // prettier-ignore
  ifTyped(run.onDay, () => readDay(run.onDay, `${path}.onDay`));
  const readings: Record<string, Reading> = {};
  const { fields } = methodOf(run.method);
  for (const field of fields) {
    const typed = run.readings[field.id] ?? '';
    const read = ifTyped(typed, () => readField(field, typed, calibration, `${path}.readings.${field.id}`));
    if (read) readings[field.id] = read;
    else if (typed.trim() === '' && field.otherwise !== undefined)
      readings[field.id] = { si: field.otherwise, resolutionSi: 0 };
  }
  const isWhole = fields.every(({ id }) => readings[id] !== undefined);
  const needsWidth = run.method !== 'run-out';
  const worked =
    isWhole && errors.length === 0 && (width || !needsWidth)
      ? noting(() => workRun(run.method, readings, width ?? { si: 1, resolutionSi: 0 }, path))
      : null;
  // A method names the reading that is wrong; here it stands in its run.
  const named = errors.map((error) => {
    if (error.field.startsWith(path)) return error;
    const reading = error.field.split('.').at(-1);
    return new InputError(error.code, {
      ...error.facts,
      field: `${path}.readings.${reading}`,
      hint: error.hint,
    });
  });
  return { reading: { id: run.id, mark, worked, counts: run.struck === '' && worked !== null && mark !== null }, errors: named }; // prettier-ignore
}

/**
 * Reads a calibration: every run worked out, what to set next, and the machine's chart for this product.
 *
 * @param scale of the machine's control; without marks nothing is advised
 * @param paceMPerS usual pace of the machine, for where to begin
 * @example readCalibration(typed, readRig(rig).control, 1.3).advice?.mark.label // '7'
 */
export function readCalibration(
  typed: CalibrationTyped,
  scale: ScaleReading,
  paceMPerS: number | null,
): CalibrationReading {
  const { errors, noting, ifTyped } = collect();
  noting(() => readName(typed.name, 'name', 'Red spreader, lake feed'));
  const { target } = typed;
  const targetKgPerM2 = ifTyped(
    target.amount,
    () => readPositive(target.amount, { kind: 'massPerArea', bareUnit: target.unit, field: 'target.amount' }, 'The rate').si, // prettier-ignore
  );
  const tolerance =
    ifTyped(typed.tolerance, () => {
      const percent = readNumber(typed.tolerance.replace('%', ''), 'tolerance');
      if (percent > 0 && percent <= 50) return percent / 100;
      throw new InputError('percent.unreadable', { field: 'tolerance', hint: '5 %' });
    }) ?? 0.05;
  const width = ifTyped(typed.width.text, () => {
    const read = readReading(typed.width.text, {
      kind: 'length',
      bareUnit: typed.width.unit,
      field: 'width.text',
    });
    if (!(read.si > 0)) throw new InputError('quantity.not-positive', { field: 'width.text', what: 'The width', hint: '9 ft' }); // prettier-ignore
    return typed.width.by === 'chosen' ? { si: read.si, resolutionSi: 0 } : read;
  });
  const scaleStepKg = noting(() => readScaleStep(typed));
  const read = typed.runs.map((run, at) => readRun(run, at, typed, scale, width));
  const runs = read.map(({ reading }) => reading);
  const counted = runs.flatMap(({ mark, worked, counts }): Run[] =>
    counts && mark && worked
      ? [{ setting: mark.opening, rate: worked.rateKgPerM2, uReadings: worked.uReadings }]
      : [],
  );
  const openings = scale.marks.map(({ opening }) => opening);
  const markOf = (opening: number) => scale.marks.find((mark) => mark.opening === opening)!;
  const begin = starts(openings, 0, scale.firstFlow, targetKgPerM2 ?? 1, paceMPerS ?? 1.3, null);
  const advice =
    targetKgPerM2 === null || openings.length < 2
      ? null
      : advise({ marks: openings, closed: 0, firstFlow: scale.firstFlow, runs: counted, target: targetKgPerM2, tolerance, ceiling: typed.isCeiling ? targetKgPerM2 : null, start: begin[typed.start] }); // prettier-ignore
  return {
    scaleStepKg,
    targetKgPerM2,
    tolerance,
    widthM: width?.si ?? null,
    runs,
    advice: advice && { ...advice, mark: markOf(advice.setting) },
    chart: chartOf(openings, advice?.means ?? []).map(({ setting, rate, tested }) => ({ mark: markOf(setting), rateKgPerM2: rate, tested })), // prettier-ignore
    errors: [...errors, ...read.flatMap((each) => each.errors)],
  };
}
