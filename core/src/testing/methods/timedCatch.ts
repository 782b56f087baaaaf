import { netOf, relative, type Reading } from '../uncertainty.ts';
import type { TestResult, Width } from './result.ts';

/** A catch standing still for a time, and how long a course takes at the pace of work. */
export interface TimedCatch {
  /** Under each outlet, or one bucket. */
  readonly catches: readonly { readonly grossKg: Reading; readonly tareKg: Reading }[];
  readonly catchS: Reading;
  readonly courseM: Reading;
  /** Mean time over the course. */
  readonly courseS: Reading;
  readonly spacingM: Width;
}

/**
 * Timed catch standing still: `mass / catch time x course time / (course length x spacing)`.
 *
 * @throws InputError test.nothing-out
 * @example timedCatch({ 2.46 kg in 20 s; 40 m in 27.5 s; spacing 5 m }).rateKgPerM2 // 0.0169125
 */
export function timedCatch({ catches, catchS, courseM, courseS, spacingM }: TimedCatch): TestResult {
  const nets = catches.map(({ grossKg, tareKg }, at) => netOf(grossKg, tareKg, `catches.${at}.tare`));
  const netKg = nets.reduce((sum, { si }) => sum + si, 0);
  const uKg = Math.hypot(...nets.map(({ uSi }) => uSi));
  const outputKgPerM = ((netKg / catchS.si) * courseS.si) / courseM.si;
  return {
    outputKgPerM,
    rateKgPerM2: outputKgPerM / spacingM.si,
    uReadings: Math.hypot(
      uKg / netKg,
      relative(catchS),
      relative(courseM),
      relative(courseS),
      relative(spacingM),
    ),
    netKg,
  };
}
