import { message, type Message } from '../messages/message.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';
/** Two spacings that do not belong together. */
export interface Mismatch {
  /** Times the rate that is meant: what was worked out for one spacing, passed at the other. */
  readonly times: number;
}

/** Spacings closer than this count as the same. */
const SAME = 0.03;

/**
 * What comes of rates that were worked out for one spacing and are passed at another: `times = worked out for / passed at`.
 *
 * @param workedM spacing that the rates hold for, m, above 0
 * @param passedM spacing that is passed, m, above 0
 * @returns null where they are the same within 3 %
 * @example mismatchOf(5.4864, 2.7432).times // 2
 */
export function mismatchOf(workedM: number, passedM: number): Mismatch | null {
  requirePositive({ workedM, passedM });
  const times = finite(workedM / passedM);
  return Math.abs(times - 1) <= SAME ? null : { times };
}

/**
 * What is said of a mismatch.
 *
 * @example mismatchRemark({ times: 2 }, '18 ft', '9 ft') // { id: 'lookUp.mismatch', facts: { times: '2.0' } }
 */
export const mismatchRemark = ({ times }: Mismatch, worked: string, passed: string): Message =>
  message('lookUp.mismatch', { worked, passed, times: finite(times).toFixed(times < 0.95 ? 2 : 1) });
