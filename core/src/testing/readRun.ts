import { collect } from '../errors/collect.ts';
import { attempt, InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readReading } from '../quantities/resolution.ts';
import type { AreaUnit, UnitId } from '../quantities/units.ts';
import { readMark, type Mark } from '../rigs/scale.ts';
import { readWidth } from '../rigs/width.ts';
import { readDay } from '../worksheet/heading.ts';
import type { BenchRig } from './benchRig.ts';
import type { CalibrationTyped, RunTyped } from './calibrationTyped.ts';
import { methodOf, workRun, type MethodField, type Worked } from './methodTable.ts';
import type { Reading } from './uncertainty.ts';

/** A run as read. */
export interface RunReading {
  readonly id: string;
  readonly mark: Mark | null;
  readonly worked: Worked | null;
  /** Pass spacing that it was made at, m. */
  readonly widthM: number | null;
  /** Length of its strip or course, m, and how often it was covered; null while it is not known. */
  readonly lengthM: number | null;
  readonly passes: number;
  /** Struck out, not complete, or asked about and not answered: it does not count. */
  readonly counts: boolean;
}

const AREA_FOR = { ft: 'ft2', yd: 'yd2', in: 'ft2', mi: 'acre' } as const;

/** The unit that a bare number of a field counts in. */
function bareUnit({ kind }: MethodField, { units }: CalibrationTyped): UnitId {
  if (kind === 'mass') return units.mass;
  if (kind === 'time') return 's';
  const area: AreaUnit = AREA_FOR[units.length as keyof typeof AREA_FOR] ?? 'm2';
  return kind === 'area' ? area : units.length;
}

/** The step that the scale shows, kg; null while it is not stated. */
export function readScaleStep({ scaleStep, units }: CalibrationTyped): number | null {
  if (scaleStep.trim() === '') return null;
  const wanted = { kind: 'mass', bareUnit: units.mass, field: 'scaleStep' } as const;
  return readPositive(scaleStep, wanted, 'The step of the scale').si;
}

/** One reading of a run, by what its method asks for. */
export function readField(
  field: MethodField,
  typed: string,
  calibration: CalibrationTyped,
  path: string,
): Reading {
  if (field.kind === 'count') {
    const count = readNumber(typed, path);
    if (!Number.isInteger(count) || count < 1 || count > 100)
      throw new InputError('count.whole', { field: path, most: 100, typed });
    return { si: count, resolutionSi: 0 };
  }
  const unit = bareUnit(field, calibration);
  const { si, resolutionSi } = readReading(typed, { kind: field.kind, bareUnit: unit, field: path });
  if (si < 0 || (si === 0 && !field.mayBeNone))
    throw new InputError('quantity.not-positive', {
      field: path,
      what: field.label,
      hint: field.placeholder,
    });
  const stated = field.kind === 'mass' ? attempt(() => readScaleStep(calibration)).value : null;
  return { si, resolutionSi: stated ?? resolutionSi };
}

/** A method names the reading that is wrong; here it stands in its run. */
function inRun(error: InputError, path: string, outlets: number): InputError {
  if (error.field.startsWith(path)) return error;
  const [, at, name] = /^catches\.(\d+)\.(\w+)$/.exec(error.field) ?? [];
  const id = at !== undefined && outlets > 1 ? `${name}.${Number(at) + 1}` : error.field.split('.').at(-1);
  return new InputError(error.code, { ...error.facts, field: `${path}.readings.${id}`, hint: error.hint });
}

/** A bare 0 says nothing of the scale's step: an empty hopper or a zeroed scale is known as well as the other weighings. */
function likeTheOthers(readings: Record<string, Reading>, fields: readonly MethodField[]): void {
  const masses = fields.flatMap(({ id, kind }) => (kind === 'mass' && readings[id] ? [id] : []));
  const steps = masses.flatMap((id) => (readings[id]!.si > 0 ? [readings[id]!.resolutionSi] : []));
  if (steps.length === 0) return;
  for (const id of masses)
    if (readings[id]!.si === 0) readings[id] = { si: 0, resolutionSi: Math.min(...steps) };
}

type RunRead = { readonly reading: RunReading; readonly errors: readonly InputError[] };

/** What was read of a run, by what it was read with: a change of the rate reads none of five hundred runs again. */
const READ = new WeakMap<RunTyped, Map<string, RunRead>>();
/** With its machine and without: what is kept is checked without one. */
const MOST_WAYS = 3;

/**
 * A reader for the runs of a calibration: each is read once for the same machine, width and units.
 *
 * @param width what rates are worked out for; null: not known
 */
export function runReader(calibration: CalibrationTyped, rig: BenchRig, width: Reading | null) {
  const { units, scaleStep } = calibration;
  const { scale, outlets, feeds } = rig;
  const basis = JSON.stringify([units, scaleStep, width, outlets, feeds, scale.marks]);
  return (run: RunTyped, at: number): RunRead => {
    const way = `${at} ${basis}`;
    const known = READ.get(run) ?? new Map<string, RunRead>();
    const before = known.get(way);
    if (before) return before;
    if (known.size >= MOST_WAYS) known.clear();
    const read = readRun(run, at, calibration, rig, width);
    READ.set(run, known.set(way, read));
    return read;
  };
}

/** Reads one run: its mark, and what it comes to once all that its method asks for is there. */
function readRun(
  run: RunTyped,
  at: number,
  calibration: CalibrationTyped,
  rig: BenchRig,
  width: Reading | null,
): RunRead {
  const { errors, noting, ifTyped } = collect();
  const path = `runs.${at}`;
  const mark = rig.scale.marks.length === 0 ? null : ifTyped(run.setting, () => readMark(run.setting, rig.scale, `${path}.setting`)); // prettier-ignore
  ifTyped(run.onDay, () => readDay(run.onDay, `${path}.onDay`));
  const own = run.width && ifTyped(run.width.text, () => readWidth(run.width!, `${path}.width.text`));
  const readings: Record<string, Reading> = {};
  const fields = methodOf(run.method).fields(rig.outlets);
  for (const field of fields) {
    const typed = run.readings[field.id] ?? '';
    const read = ifTyped(typed, () => readField(field, typed, calibration, `${path}.readings.${field.id}`));
    if (read) readings[field.id] = read;
    else if (typed.trim() === '' && field.otherwise !== undefined)
      readings[field.id] = { si: field.otherwise, resolutionSi: 0 };
  }
  likeTheOthers(readings, fields);
  const isWhole = fields.every(({ id, optional }) => optional || readings[id] !== undefined);
  // A weighed load on known ground makes a rate without any width.
  const spread = width ?? (run.method === 'run-out' ? { si: 1, resolutionSi: 0 } : null);
  const basis = spread && {
    width: spread,
    runWidthM: own?.si ?? spread.si,
    outlets: rig.outlets,
    feeds: rig.feeds,
  };
  const worked = isWhole && errors.length === 0 && basis ? noting(() => workRun(run.method, readings, basis, path)) : null; // prettier-ignore
  const reading = { id: run.id, mark, worked, widthM: own?.si ?? width?.si ?? null, lengthM: readings['length']?.si ?? readings['course']?.si ?? null, passes: readings['passes']?.si ?? 1, counts: run.struck.trim() === '' && worked !== null && mark !== null }; // prettier-ignore
  return { reading, errors: errors.map((error) => inRun(error, path, rig.outlets)) };
}
