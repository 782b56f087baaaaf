import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankApplication, doneRows, lotsOf, type StockMoveInput } from '../index.ts';

const LB = 0.45359237;
const move = (id: string, day: string, what: StockMoveInput['what'], packages: string, more: Partial<StockMoveInput> & { first?: string } = {}) => {
  const { first = null, ...input } = more;
  return { id, first, occurredAt: `${day}T08:00:00.000Z`, input: { what, packages, lot: 'LF-2604', price: '', by: 'R. Fenn', note: '', void: '', ...input } };
}; // prettier-ignore
const spread = (id: string, day: string, pounds: string, lot = 'lf-2604 ', more: object = {}) => ({
  id,
  first: null,
  subject: 'j',
  occurredAt: `${day}T09:00:00.000Z`,
  input: { ...blankApplication('us'), onDay: day, areaName: 'Lawn', siteName: 'Lake front', product: { ...blankApplication('us').product, name: 'Lake feed', kind: 'dry-fertilizer' as const, lot }, amount: { text: pounds, unit: 'lb' as const, from: 'weighed' as const }, ...more }, // prettier-ignore
});

describe('the path of a lot', () => {
  const moves = [move('a', '2026-03-20', 'received', '10'), move('b', '2026-05-02', 'disposed', '0.5'), move('c', '2026-04-01', 'counted', '9')]; // prettier-ignore
  const uses = doneRows([spread('u', '2026-04-18', '20'), spread('v', '2026-06-15', '60'), spread('w', '2026-06-16', '5', 'LF-2701')]); // prettier-ignore

  it('from its delivery over where it was spread to what is left, in packages', () => {
    const [other, own] = lotsOf(moves, uses, 40 * LB);
    expect(own).toMatchObject({ lot: 'LF-2604', received: 10, used: 2, disposed: 0.5, left: 7.5 });
    expect(own!.steps.map(({ what, left }) => [what, left])).toEqual([['received', 10], ['spread', 9.5], ['disposed', 9], ['spread', 7.5]]); // prettier-ignore
    expect(own!.steps[1]!.row!.input.areaName).toBe('Lawn');
    // It was used and nobody said that it came.
    expect(other).toMatchObject({ lot: 'LF-2701', received: 0, left: -0.125 });
  });

  it('without the size of a package nothing is said of what is left', () => {
    expect(lotsOf(moves, uses, null)[1]).toMatchObject({ received: 10, used: null, left: null });
  });

  it('what was taken back, and a record that does not count, are in none of it; a correction counts as it says', () => {
    const back = [...moves, move('d', '2026-05-03', 'disposed', '0.5', { first: 'b', void: 'A slip' })];
    expect(lotsOf(back, doneRows([spread('u', '2026-04-18', '20', 'LF-2604', { void: 'Wrong lot' })]), 40 * LB)).toMatchObject([{ disposed: 0, used: 0, left: 10 }]); // prettier-ignore
    const more = [...moves, move('d', '2026-05-03', 'received', '12', { first: 'a' })];
    expect(lotsOf(more, [], 40 * LB)[0]).toMatchObject({ received: 12, left: 11.5 });
  });

  it('it does not hang on the order in which rows came, and what came is what was used, thrown away and is left', () => {
    const rows = [spread('u', '2026-04-18', '20'), spread('v', '2026-06-15', '60'), spread('w', '2026-06-16', '5')];
    fc.assert(
      fc.property(fc.shuffledSubarray(moves, { minLength: 3 }), fc.shuffledSubarray(rows, { minLength: 3 }), (some, done) => {
        const [lot] = lotsOf(some, doneRows(done), 40 * LB);
        expect(lot).toEqual(lotsOf(moves, doneRows(rows), 40 * LB)[0]);
        expect(lot!.received).toBeCloseTo(lot!.used! + lot!.disposed + lot!.left!, 9);
      }),
      { seed: 3, numRuns: 40 },
    );
  }); // prettier-ignore
});
