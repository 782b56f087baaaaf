import { netOf, type Reading } from '../uncertainty.ts';
import { overLength, type TestResult, type Width } from './result.ts';

/** A strip spread on the ground, the machine weighed before and after. */
export interface WeighBack {
  /** Gross or net, both the same way: the tare falls out. */
  readonly inKg: Reading;
  readonly leftKg: Reading;
  readonly lengthM: Reading;
  readonly widthM: Width;
  readonly runs: number;
}

/**
 * Weigh-back over a strip: `(in - left) / (length x width x runs)`.
 *
 * @throws InputError test.nothing-out when the machine did not get lighter
 * @example weighBack({ inKg: read(18), leftKg: read(14.35), lengthM: read(60), widthM: wide(9), runs: 1 }).rateKgPerM2 // 0.006759
 */
export const weighBack = ({ inKg, leftKg, lengthM, widthM, runs }: WeighBack): TestResult =>
  overLength(netOf(inKg, leftKg, 'left'), lengthM, widthM, runs);
