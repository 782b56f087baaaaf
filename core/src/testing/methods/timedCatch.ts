import { finite, requirePositive } from '../../errors/preconditions.ts';
import {
  combined,
  netOf,
  relative,
  relativeNet,
  type Net,
  type Reading,
  type UncertaintySource,
} from '../uncertainty.ts';
import type { TestResult, Width } from './result.ts';

/** A catch standing still for a time, and how long a course takes at the pace of work. */
export interface TimedCatch {
  /** Under each outlet, or one bucket for all. */
  readonly catches: readonly { readonly grossKg: Reading; readonly tareKg: Reading }[];
  readonly catchS: Reading;
  readonly courseM: Reading;
  /** Mean time over the course. Its scatter is no reading: it enters with the runs that share the timings. */
  readonly courseS: Reading;
  /** What a pass covers: the pass spacing, or the rows that are fed at once. */
  readonly spacingM: Width;
}

/** Net weights of several catches. */
export const netsOf = (catches: TimedCatch['catches']): Net[] =>
  catches.map(({ grossKg, tareKg }, at) => netOf(grossKg, tareKg, `catches.${at}.tare`));

/** Net weights taken together. */
export const sumOfNets = (nets: readonly Net[]): Net => ({
  si: finite(nets.reduce((sum, { si }) => sum + si, 0)),
  uSi: finite(Math.hypot(...nets.map(({ uSi }) => uSi))),
});

/**
 * Timed catch standing still: `mass / catch time x course time / (course length x spacing)`.
 *
 * @throws InputError test.nothing-out
 * @example timedCatch({ catches: [{ grossKg: read(2.46), tareKg: read(0) }], catchS: read(20), courseM: read(40), courseS: read(27.5), spacingM: wide(5) }).rateKgPerM2 // 0.0169125
 */
export function timedCatch({ catches, catchS, courseM, courseS, spacingM }: TimedCatch): TestResult {
  requirePositive({ catchS: catchS.si, courseM: courseM.si, courseS: courseS.si, spacingM: spacingM.si });
  const net = sumOfNets(netsOf(catches));
  const outputKgPerM = finite(((net.si / catchS.si) * courseS.si) / courseM.si);
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'time', u: Math.hypot(relative(catchS), relative(courseS)) },
    { of: 'length', u: relative(courseM) },
    { of: 'width', u: relative(spacingM) },
  ];
  return {
    outputKgPerM,
    rateKgPerM2: finite(outputKgPerM / spacingM.si),
    uReadings: combined(sources),
    sources,
    netKg: net.si,
  };
}
