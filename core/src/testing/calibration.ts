import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readMark, type Mark } from '../rigs/scale.ts';
import { readWidth } from '../rigs/width.ts';
import { readName } from '../worksheet/heading.ts';
import { advise, chartOf, type Advice } from './advise.ts';
import { NO_RIG, type BenchRig } from './benchRig.ts';
import type { CalibrationTyped, PaceOfWork } from './calibrationTyped.ts';
import { doubtsOf, type Doubt } from './doubts.ts';
import { readScaleStep, runReader, type RunReading } from './readRun.ts';
import { fromShape, lookUp, starts, type Listed } from './start.ts';
import type { Run } from './scatter.ts';

/** A rate at one of the machine's marks. */
export interface ChartLine {
  readonly mark: Mark;
  readonly rateKgPerM2: number;
  readonly tested: boolean;
}

export interface CalibrationReading {
  /** The step that the scale shows, kg; null: not stated. */
  readonly scaleStepKg: number | null;
  readonly targetKgPerM2: number | null;
  readonly tolerance: number;
  readonly widthM: number | null;
  /** Pace of work, m/s: as typed, else the machine's usual one. */
  readonly paceMPerS: number | null;
  readonly runs: readonly RunReading[];
  /** What to ask before it is believed. */
  readonly doubts: readonly Doubt[];
  /** What to set next; null until the scale of the machine and the target are known. */
  readonly advice: (Advice & { readonly mark: Mark }) | null;
  /** Rates at the machine's marks over what was tested. */
  readonly chart: readonly ChartLine[];
  readonly errors: readonly InputError[];
}

/** Where nobody timed a pace: that of a brisk walk, m/s. */
export const USUAL_PACE = 1.3;

type Noting = ReturnType<typeof collect>;

function readTolerance(typed: string): number {
  const percent = readNumber(typed.replace('%', ''), 'tolerance');
  if (percent > 0 && percent <= 50) return percent / 100;
  throw new InputError('percent.unreadable', { field: 'tolerance', hint: '5 %' });
}

/**
 * A pace from the time over a course; null while one of them is missing.
 *
 * @param field path of the pace, for errors
 */
export function readPace(
  { course, unit, time }: PaceOfWork,
  field: string,
  { ifTyped }: Pick<Noting, 'ifTyped'>,
): number | null {
  const courseM = ifTyped(
    course,
    () => readPositive(course, { kind: 'length', bareUnit: unit, field: `${field}.course` }, 'The course').si,
  );
  const timeS = ifTyped(
    time,
    () => readPositive(time, { kind: 'time', bareUnit: 's', field: `${field}.time` }, 'The time').si,
  );
  return courseM !== null && timeS !== null ? courseM / timeS : null;
}

/** The settings of a label as openings of this machine. */
function readLabel(
  typed: CalibrationTyped,
  rig: BenchRig,
  paceMPerS: number,
  { ifTyped }: Noting,
): Listed | null {
  const { label, target, units } = typed;
  const bareUnit = units.length === 'm' || units.length === 'cm' ? 'm/s' : 'mph';
  const labelPace = ifTyped(
    label.pace,
    () => readPositive(label.pace, { kind: 'speed', bareUnit, field: 'label.pace' }, 'The label’s pace').si,
  );
  const points = label.lines.flatMap(({ setting, amount }, at) => {
    const field = `label.lines.${at}`;
    const mark = rig.scale.marks.length === 0 ? null : ifTyped(setting, () => readMark(setting, rig.scale, `${field}.setting`)); // prettier-ignore
    const rate = ifTyped(amount, () => readPositive(amount, { kind: 'massPerArea', bareUnit: target.unit, field: `${field}.amount` }, 'The label’s rate').si); // prettier-ignore
    return mark && rate !== null ? [{ setting: mark.opening, rate }] : [];
  });
  return points.length > 0 ? { points, paceMPerS: labelPace ?? paceMPerS } : null;
}

/** What is wanted of the machine, and the mark to set. */
function adviceOf(
  typed: CalibrationTyped,
  rig: BenchRig,
  runs: readonly Run[],
  wanted: {
    target: number;
    tolerance: number;
    paceMPerS: number;
    label: Listed | null;
    shape: Listed | null;
  },
): (Advice & { mark: Mark }) | null {
  const { marks, firstFlow } = rig.scale;
  const openings = marks.map(({ opening }) => opening);
  if (openings.length < 2) return null;
  const { target, tolerance, paceMPerS, label, shape } = wanted;
  const begin = starts(openings, 0, firstFlow, target, paceMPerS, label);
  const pointed = shape && lookUp(shape, target, 0);
  const start = { ...begin, label: begin.label ?? begin.low, shape: pointed ?? begin.low }[typed.start];
  const byShape = shape && typed.start === 'shape' ? (test: { setting: number; rate: number }) => fromShape(shape, test, target) : null; // prettier-ignore
  const advice = advise({ marks: openings, closed: 0, firstFlow, runs, target, tolerance, ceiling: typed.isCeiling ? target : null, start, byShape }); // prettier-ignore
  return { ...advice, mark: marks.find(({ opening }) => opening === advice.setting)! };
}

/**
 * Reads a calibration: every run worked out for its pass spacing, what to ask, what to set next, and the machine's chart
 * for this product.
 *
 * @param machine without marks nothing is advised
 * @param shape chart of another product on this machine, as openings and rates
 * @example readCalibration(typed, benchRig(rig)).advice?.mark.label // '7'
 */
export function readCalibration(
  typed: CalibrationTyped,
  machine: BenchRig = NO_RIG,
  shape: Listed | null = null,
): CalibrationReading {
  const noted = collect();
  const { errors, noting, ifTyped } = noted;
  noting(() => readName(typed.name, 'name', 'Red spreader, lake feed'));
  const { target } = typed;
  const targetKgPerM2 = ifTyped(
    target.amount,
    () => readPositive(target.amount, { kind: 'massPerArea', bareUnit: target.unit, field: 'target.amount' }, 'The rate').si, // prettier-ignore
  );
  const tolerance = ifTyped(typed.tolerance, () => readTolerance(typed.tolerance)) ?? 0.05;
  const width = ifTyped(typed.width.text, () => readWidth(typed.width, 'width.text'));
  const paceMPerS = readPace(typed.pace, 'pace', noted) ?? machine.paceMPerS;
  const label = readLabel(typed, machine, paceMPerS ?? USUAL_PACE, noted);
  const flow = machine.scale.marks.length === 0 ? null : ifTyped(typed.firstFlow, () => readMark(typed.firstFlow, machine.scale, 'firstFlow')); // prettier-ignore
  const rig = flow ? { ...machine, scale: { ...machine.scale, firstFlow: flow.opening } } : machine;
  if (rig.second.marks.length > 0) ifTyped(typed.second, () => readMark(typed.second, rig.second, 'second'));
  const scaleStepKg = noting(() => readScaleStep(typed));
  const read = typed.runs.map(runReader(typed, rig, width));
  const found = read.map(({ reading }) => reading);
  const doubts = doubtsOf(found, typed, rig, targetKgPerM2);
  const asked = new Set(doubts.flatMap(({ kind, runs }) => (kind === 'apart' ? [] : runs)));
  const runs = found.map((run) => (asked.has(run.id) ? Object.assign({}, run, { counts: false }) : run));
  const counted = runs.flatMap(({ mark, worked, counts }): Run[] =>
    counts && mark && worked
      ? [{ setting: mark.opening, rate: worked.rateKgPerM2, uReadings: worked.uReadings }]
      : [],
  );
  const advice = targetKgPerM2 === null ? null : adviceOf(typed, rig, counted, { target: targetKgPerM2, tolerance, paceMPerS: paceMPerS ?? USUAL_PACE, label, shape }); // prettier-ignore
  const { marks } = rig.scale;
  const lines = chartOf(marks.map(({ opening }) => opening), advice?.means ?? []); // prettier-ignore
  return {
    scaleStepKg,
    targetKgPerM2,
    tolerance,
    widthM: width?.si ?? null,
    paceMPerS,
    runs,
    doubts,
    advice,
    chart: lines.map(({ setting, rate, tested }) => ({ mark: marks.find(({ opening }) => opening === setting)!, rateKgPerM2: rate, tested })), // prettier-ignore
    errors: [...errors, ...read.flatMap((each) => each.errors)],
  };
}

/**
 * The chart of a calibration as settings and rates, to lend its shape to another product.
 *
 * @returns null while fewer than two settings are tested
 */
export function chartShape(reading: CalibrationReading): Listed | null {
  const means = reading.advice?.means ?? [];
  if (means.length < 2) return null;
  return {
    points: means.map(({ setting, mean }) => ({ setting, rate: mean })),
    paceMPerS: reading.paceMPerS ?? USUAL_PACE,
  };
}
