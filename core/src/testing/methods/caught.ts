import { netOf, type Reading } from '../uncertainty.ts';
import { ofEachRow, swath, type Method } from './method.ts';
import { overLength, type TestResult, type Width } from './result.ts';

/** What was caught on a tarp or swept off a smooth floor over a length. Also the tray hung under a drop spreader. */
export interface Caught {
  readonly grossKg: Reading;
  readonly tareKg: Reading;
  readonly lengthM: Reading;
  /** Drop spreader: the hopper, or taped ground that was covered evenly. Rotary, all of the throw caught: the pass spacing. */
  readonly widthM: Width;
  readonly passes: number;
}

/**
 * A catch over a length: `(gross - tare) / (length x width x passes)`.
 *
 * @throws InputError test.nothing-out when the full container is not heavier than the empty one
 * @example caught({ grossKg: read(1.92), tareKg: read(0.74), lengthM: read(6), widthM: wide(4), passes: 1 }).rateSi // 0.0491667
 */
export const caught = ({ grossKg, tareKg, lengthM, widthM, passes }: Caught): TestResult =>
  overLength(netOf(grossKg, tareKg, 'tare'), lengthM, widthM, passes);

/** What was caught over a strip, from readings and as a line: for whatever it was caught in. */
export const CAUGHT_OVER_STRIP: Pick<Method, 'work' | 'line'> = {
  work: ({ gross, tare: empty, length, passes }, basis) => ({
    ...ofEachRow(
      caught({ grossKg: gross!, tareKg: empty!, lengthM: length!, widthM: swath(basis), passes: passes!.si }),
      basis,
    ),
    outlets: null,
  }),
  line: ({ net, ground }) => [...net('gross', 'tare'), ...ground('length')],
};
