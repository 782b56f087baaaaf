import { message, type Message } from '../messages/message.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { toResult, type InputError } from '../errors/InputError.ts';
import { readPositive } from '../quantities/quantity.ts';
import { mismatchOf } from '../width/mismatch.ts';
import type { CalibrationResult, ChartLine } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { dimensionOf, isPerLength, type BenchRateUnit } from './rate.ts';
import { showRate } from './showBench.ts';

/** Rates are shown to three figures: one that differs by no more was tested. */
const ROUNDING = 0.005;

/** The mark for a rate that somebody asks of a chart. */
export interface LookedUp {
  readonly line: ChartLine;
  /** Share by which the mark is off the rate: above 0 it puts down more. */
  readonly off: number;
  /** Why it cannot be trusted: the rate lies beyond what was tested. */
  readonly beyond: 'below' | 'above' | null;
}

/**
 * "I need 3.2": the mark of the chart nearest in rate; at or below it where the rate is the most allowed.
 *
 * @param rateSi above 0
 * @returns null where the chart has no marks
 * @example lookUpMark(reading.chart, 0.0156, false).line.mark.label // '11'
 */
export function lookUpMark(
  chart: CalibrationResult['chart'],
  rateSi: number,
  isCeiling: boolean,
): LookedUp | null {
  const [first, last] = [chart[0], chart.at(-1)];
  if (!first || !last) return null;
  requirePositive({ rateSi });
  for (const line of chart) requireFinite({ rate: line.rateSi, opening: line.mark.opening });
  const allowed = isCeiling ? chart.filter((line) => line.rateSi <= rateSi) : chart;
  const away = (line: ChartLine) => Math.abs(line.rateSi - rateSi);
  const line = allowed.reduce((best, each) => (away(each) < away(best) ? each : best), allowed[0] ?? first);
  const beyond = rateSi < first.rateSi * (1 - ROUNDING) ? 'below' : rateSi > last.rateSi * (1 + ROUNDING) ? 'above' : null; // prettier-ignore
  return { line, off: finite(line.rateSi / rateSi - 1), beyond };
}

/**
 * What a mark that was looked up puts down, against what was asked.
 *
 * @example markRemark(lookUpMark(reading.chart, 0.0156, false), 'lb/1000 ft2').facts.percent // '4.3'
 */
export function markRemark({ line, off }: LookedUp, rateUnit: BenchRateUnit): Message {
  const { number, unit } = showRate(line.rateSi, 0, rateUnit);
  const side = Math.abs(off) < 5e-4 ? 'none' : off > 0 ? 'over' : 'under';
  return message('lookUp.mark', { rate: `${number} ${unit}`, side, percent: Math.abs(off * 100).toFixed(1) });
}

/**
 * The same for a rate as typed.
 *
 * @example lookUpRate(reading, calibration, '3.2').mark // '11'
 */
export function lookUpRate(
  { chart }: CalibrationResult,
  { target, isCeiling }: CalibrationInput,
  asked: string,
): { mark: string | null; text: Message | null; error: InputError | null } {
  if (asked.trim() === '') return { mark: null, text: null, error: null };
  const wanted = { kind: dimensionOf(target.unit), bareUnit: target.unit, field: 'lookUp' } as const;
  const { value, error } = toResult(() => readPositive(asked, wanted, message('errors.what.rate')).si);
  const found = value === null ? null : lookUpMark(chart, value, isCeiling);
  if (!found) return { mark: null, text: null, error };
  const { line, beyond } = found;
  const text = message('lookUp.rate', { found: markRemark(found, target.unit), beyond: beyond ?? 'no' });
  return { mark: line.mark.label, text, error: null };
}

/** What a sheet's rate means for a machine's chart. */
export interface SpreadPlan {
  readonly found: LookedUp;
  /** Spacing that the chart holds for and the one that is passed, m. */
  readonly workedM: number;
  readonly passedM: number;
  /** What comes of spacings that differ; null where they are the same, or the chart was worked out for the sheet's. */
  readonly times: number | null;
}

/**
 * The mark for a sheet's rate, passed at the sheet's spacing.
 *
 * The chart holds for its own spacing. Worked out anew for another one, a mark puts down `rate x own / other` there.
 *
 * @param kgPerM2 on the ground, above 0
 * @param passedM spacing of the sheet, m; null: that of the chart
 * @param recomputed the chart is worked out for the sheet's spacing
 * @returns null while the chart has no marks or no spacing
 * @example spreadPlan(reading, 0.0163, 2.74, false, false).found.line.mark.label // '11'
 */
export function spreadPlan(
  { chart, widthM, dimension }: Pick<CalibrationResult, 'chart' | 'widthM' | 'dimension'>,
  kgPerM2: number,
  passedM: number | null,
  recomputed: boolean,
  isCeiling: boolean,
): SpreadPlan | null {
  if (widthM === null) return null;
  const passed = passedM ?? widthM;
  if (isPerLength(dimension)) {
    // What goes on a metre is what it is: the spacing alone makes a rate on the ground of it.
    const onLength = lookUpMark(chart, kgPerM2 * passed, isCeiling);
    return onLength && { found: onLength, workedM: passed, passedM: passed, times: null };
  }
  const factor = recomputed ? widthM / passed : 1;
  const there = chart.map((line) => Object.assign({}, line, { rateSi: line.rateSi * factor }));
  const found = lookUpMark(there, kgPerM2, isCeiling);
  if (!found) return null;
  const times = recomputed ? null : (mismatchOf(widthM, passed)?.times ?? null);
  return { found, workedM: widthM, passedM: passed, times };
}

/**
 * What a machine puts out at a mark, kg/m: its rate there times the spacing that it is worked out for.
 *
 * @returns null where the chart does not have the mark
 * @example outputAt(reading, '11') // 0.0446449
 */
export function outputAt(
  { chart, widthM, dimension }: Pick<CalibrationResult, 'chart' | 'widthM' | 'dimension'>,
  label: string,
): number | null {
  const line = chart.find(({ mark }) => mark.label === label.trim());
  if (!line) return null;
  if (isPerLength(dimension)) return line.rateSi;
  return widthM === null ? null : line.rateSi * widthM;
}
