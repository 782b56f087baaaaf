import { message, type Message } from '../messages/message.ts';
import { requirePositive } from '../errors/preconditions.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import { UNITS, type MassUnit } from '../quantities/units.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { areaUnitFor } from '../fields/size.ts';
import { bandOfRun, type RunResult } from './readRun.ts';
import { COVERAGE, leastNet, type UncertainOf } from './uncertainty.ts';

/** What rules a band beside the weighing. */
type Ruling = Exclude<UncertainOf, 'weighing'> | 'timing';

/** What makes the band of a run wider than the tolerance, and what would help. */
export type Coarse =
  | {
      readonly because: 'weighing';
      readonly stepKg: number;
      readonly netSi: number;
      /** Catch at least so much, kg. */
      readonly leastKg: number;
    }
  | { readonly because: Ruling };

/**
 * Why one run says too little; null where its readings are good enough. The weighing is named when it alone is coarser than the
 * tolerance: `2 sqrt(2) r / sqrt(12) / net`; else the largest of the others.
 *
 * @param tolerance share of the rate
 * @example coarseness(reading.runs[0], 0.001).because // 'weighing'
 */
export function coarseness(run: RunResult, tolerance: number): Coarse | null {
  const { worked } = run;
  if (!worked || worked.rateSi === 0 || bandOfRun(run) <= tolerance) return null;
  const weighing = worked.sources.find(({ of }) => of === 'weighing')?.u ?? 0;
  if (COVERAGE * weighing > tolerance && worked.stepKg !== null)
    return {
      because: 'weighing',
      stepKg: worked.stepKg,
      netSi: worked.netSi,
      leastKg: leastNet(worked.stepKg, tolerance),
    };
  const timing = Math.sqrt(Math.max(0, bandOfRun(run) ** 2 - (COVERAGE * worked.uReadings) ** 2)) / COVERAGE;
  const others: { of: Ruling; u: number }[] = [
    { of: 'timing', u: timing },
    { of: 'pace', u: run.pace?.u ?? 0 },
    ...worked.sources.flatMap(({ of, u }) => (of === 'weighing' ? [] : [{ of, u }])),
  ];
  return { because: others.toSorted((one, other) => other.u - one.u)[0]!.of };
}

/**
 * Two figures, rounded up: what is asked for must not be too little.
 *
 * @example showLeast(1.234, 'kg') // '1.3 kg'
 */
export function showLeast(kg: number, unit: MassUnit): string {
  requirePositive({ kg });
  const value = fromSi(kg, unit);
  const step = 10 ** (Math.floor(Math.log10(value)) - 1);
  return `${showExact(Math.ceil(value / step - 1e-9) * step, 2)} ${UNITS[unit].symbol}`;
}

/**
 * What is told of it.
 *
 * @example coarseRemark(reading.runs[0], 0.05, calibration) // null: the scale is fine enough
 */
export function coarseRemark(
  run: RunResult,
  tolerance: number,
  calibration: CalibrationInput,
): Message | null {
  const coarse = coarseness(run, tolerance);
  if (!coarse || !run.worked) return null;
  const band = bandOfRun(run);
  const { unit } = calibration.target;
  const [low = '', high = ''] = [1 - band, 1 + band].map((share) => showQuantity(Math.max(0, run.worked!.rateSi * share), unit, 2).number); // prettier-ignore
  if (coarse.because !== 'weighing') return message('coarse.ruled', { why: message(`coarse.by.${coarse.because}`), low, high }); // prettier-ignore
  const mass = (kg: number, figures: number) => {
    const { number, unit: symbol } = showQuantity(kg, calibration.units.mass, figures);
    return `${number} ${symbol}`;
  };
  const { stepKg, netSi, leastKg } = coarse;
  const least = showLeast(leastKg, calibration.units.mass);
  const facts = { step: mass(stepKg, 1), net: mass(netSi, 2), low, high, least };
  const isTaped = calibration.runs.some(({ id, method }) => id === run.id && method === 'taped');
  if (!isTaped) return message('coarse.weighing', facts);
  // On taped ground as much more falls as it is larger, or covered again.
  const areaUnit = areaUnitFor(calibration.units.length);
  const area = showQuantity(leastKg / run.worked.rateSi, areaUnit, 2);
  return message('coarse.taped', { ...facts, area: `${area.number} ${area.unit}`, times: Math.ceil(leastKg / netSi) }); // prettier-ignore
}
