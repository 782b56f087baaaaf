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
  words: 'weigh back over a strip',
  how: 'Weigh the filled machine, spread a measured strip at working pace, weigh it again. Start back, open at the line, shut at the line, walk on.',
  needs: ['a scale that carries the machine', 'a tape', 'a watch', 'ground that may take the product'],
  planned: 'strip',
  steps: {
    before: 'Gate shut. Weigh the machine as it stands, product in it.',
    walk: WALKED,
    after: 'Weigh the machine again, with what is left in it.',
    called: { before: 'Weigh in' },
  },
  fields: () => [
    mass('in', 'Weight before', '48.60 lb', 'before'),
    LENGTH,
    PASSES,
    WALK_TIME,
    mass('left', 'Weight after', '44.95 lb', 'after', { mayBeNone: true }),
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
    if (tools.scale !== 'machine') return no('It takes a scale that carries the machine.');
    if (!tools.ground) return no('It takes a fresh strip of ground that may have the product.');
    return [6, 'The machine runs as it does at work, wind or not, and two weighings are all it takes.'];
  },
};
