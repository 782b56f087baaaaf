import type { InputError } from '../errors/InputError.ts';
import { NO_RIG } from './benchRig.ts';
import { evaluateCalibration } from './calibration.ts';
import { blankCalibration, blankRun, type CalibrationInput } from './calibrationInput.ts';
import type { MethodId } from './methodTable.ts';
import { rateAtWork, type RunResult } from './readRun.ts';
import { settingMeans } from './scatter.ts';

/** Ways of testing whose readings make a rate by themselves, before any machine is named; the commonest first. */
export const QUICK_METHODS = [
  'weigh-back',
  'catch',
  'timed-catch',
  'run-out',
  'tray',
] as const satisfies readonly MethodId[];
export type QuickMethod = (typeof QUICK_METHODS)[number];

/** What the runs at one unnamed setting come to. */
export interface QuickResult {
  /** As they stand in the input. */
  readonly runs: readonly RunResult[];
  readonly widthM: number | null;
  /** The mean of those that are complete and not excluded, kg/m2, with its band of about 95 % as a share; null while there is none. */
  readonly mean: { readonly rateSi: number; readonly uRelative: number; readonly runs: number } | null;
  readonly errors: readonly InputError[];
}

/**
 * A quick test as it begins: one run, no machine, no product.
 *
 * @param onDay year-month-day
 * @example blankQuickTest('us', { id: 'r', onDay: '2026-04-10' }).runs[0].method // 'weigh-back'
 */
export const blankQuickTest = (
  system: 'us' | 'metric',
  { id, onDay }: { readonly id: string; readonly onDay: string },
): CalibrationInput => ({ ...blankCalibration(system), runs: [blankRun(id, onDay, QUICK_METHODS[0])] });

/**
 * What readings come to before a machine or a product is named: every run by itself, and their mean. The runs are taken to be made at
 * one setting, so they scatter as repeats do: `U^2 = (2 uB)^2 + (t s / sqrt(n))^2`.
 *
 * @param input a calibration without a machine
 * @returns errors of what is typed; that it has no name yet is none
 * @example evaluateQuickTest(quickTest).mean.rateSi // 0.0330016: 6.759 lb on each 1000 ft2
 */
export function evaluateQuickTest(input: CalibrationInput): QuickResult {
  const { runs, errors, widthM } = evaluateCalibration(input, NO_RIG);
  const counted = runs.flatMap((run, index) => {
    const rate = rateAtWork(run);
    const isExcluded = input.runs[index]!.excluded.trim() !== '';
    return rate && !isExcluded
      ? [{ setting: 0, rate: rate.rateSi, uReadings: rate.uReadings, timings: run.worked!.timings }]
      : [];
  });
  const [mean] = counted.length === 0 ? [] : settingMeans(counted);
  return {
    runs,
    widthM,
    mean: mean ? { rateSi: mean.mean, uRelative: mean.uRelative, runs: mean.runs } : null,
    errors: errors.filter(({ field }) => field !== 'name'),
  };
}
