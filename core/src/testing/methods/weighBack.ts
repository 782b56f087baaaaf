import { message } from '../../messages/message.ts';
import { netOf, type Reading } from '../uncertainty.ts';
import { LENGTH, mass, no, ofEachRow, PASSES, swath, WALK_TIME, WALKED, type Method } from './method.ts';
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
 * @example weighBack({ inKg: read(18), leftKg: read(14.35), lengthM: read(60), widthM: wide(9), runs: 1 }).rateSi // 0.006759
 */
export const weighBack = ({ inKg, leftKg, lengthM, widthM, runs }: WeighBack): TestResult =>
  overLength(netOf(inKg, leftKg, 'left'), lengthM, widthM, runs);

/** The machine is weighed before and after a strip. */
export const weighBackMethod: Method = {
  how: message('methods.weigh-back.how'),
  needs: ['machineScale', 'tape', 'watch', 'ground'],
  planned: 'strip',
  steps: {
    before: message('methods.weigh-back.before'),
    walk: WALKED,
    after: message('methods.weigh-back.after'),
    called: { before: message('methods.moment.weighIn') },
  },
  fields: () => [
    mass('in', message('readings.weightBefore'), '48.60 lb', 'before'),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('left', message('readings.weightAfter'), '44.95 lb', 'after', { mayBeNone: true }),
  ],
  work: ({ in: inKg, left, length, passes }, basis) => ({
    ...ofEachRow(
      weighBack({ inKg: inKg!, leftKg: left!, lengthM: length!, widthM: swath(basis), runs: passes!.si }),
      basis,
    ),
    outlets: null,
  }),
  line: ({ net, ground }) => [...net('in', 'left'), ...ground('length')],
  suits({ tools }) {
    if (tools.scale !== 'machine') return no(message('methods.why.machineScale'));
    if (!tools.ground) return no(message('methods.why.freshStrip'));
    return [6, message('methods.why.asAtWork')];
  },
};
