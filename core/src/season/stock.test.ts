import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluateStockMove, lotCameAt, stockOf, type StockMoveInput } from './index.ts';

const move = (what: StockMoveInput['what'], packages: string, more: Partial<StockMoveInput> = {}): StockMoveInput => ({ what, packages, lot: '', price: '', by: '', note: '', void: '', ...more }); // prettier-ignore
const row = (day: number, input: StockMoveInput, id = `r${day}`, first: string | null = null) => ({ id, first, occurredAt: `2026-04-${String(day).padStart(2, '0')}T08:00:00.000Z`, input }); // prettier-ignore
const used = (day: number, si: number) => ({
  at: `2026-04-${String(day).padStart(2, '0')}T12:00:00.000Z`,
  si,
});

describe('what is on the shelf', () => {
  it('the last count, what came after it, less what was thrown away and spread after it', () => {
    const rows = [
      row(1, move('counted', '6.5')),
      row(3, move('received', '4')),
      row(9, move('disposed', '0.5')),
    ];
    // 40 lb bags, 18.14 kg: 3 of them went out, one before the count.
    expect(stockOf(rows, [used(5, 36.2873896), { at: '2026-03-30T12:00:00.000Z', si: 18.1436948 }], 18.1436948)).toMatchObject({ packages: 8, received: 4, disposed: 0.5, used: 2 }); // prettier-ignore
  });

  it('without a count all that is known is added up; nothing said is nothing known', () => {
    expect(stockOf([row(3, move('received', '4'))], [], null)).toMatchObject({ packages: 4, countedAt: '' });
    expect(stockOf([], [used(3, 5)], 20)).toBeNull();
  });

  it('more used than came is below nothing, and says so by its sign', () => {
    expect(stockOf([row(1, move('counted', '1'))], [used(2, 40)], 20)!.packages).toBe(-1);
  });

  it('a slip that was taken back counts no more, and one said anew counts once', () => {
    const slip = row(3, move('received', '40'));
    const back = row(4, move('received', '40', { void: 'A slip' }), 'v', 'r3');
    const anew = row(5, move('received', '4'), 'n', 'r3');
    expect(stockOf([row(1, move('counted', '2')), slip, back], [], null)!.packages).toBe(2);
    expect(stockOf([row(1, move('counted', '2')), slip, anew], [], null)!.packages).toBe(6);
  });

  it('does not hang on the order in which rows came', () => {
    const kinds = fc.constantFrom('counted', 'received', 'disposed');
    const moves = fc.uniqueArray(fc.record({ day: fc.integer({ min: 1, max: 28 }), kind: kinds, count: fc.integer({ min: 1, max: 40 }) }), { selector: ({ day }) => day, maxLength: 12, minLength: 1 }); // prettier-ignore
    fc.assert(
      fc.property(moves, fc.integer(), (said, seed) => {
        const rows = said.map(({ day, kind, count }) => row(day, move(kind, String(count))));
        const shuffled = rows.toSorted((a, b) => ((a.id.length * 7919 + Number(a.id.slice(1)) * seed) % 97) - ((Number(b.id.slice(1)) * seed) % 97)); // prettier-ignore
        expect(stockOf(shuffled, [used(10, 12)], 4)).toEqual(stockOf(rows, [used(10, 12)], 4));
      }),
      { seed: 7, numRuns: 80 },
    );
  });
});

it.each([
  [move('received', ''), 'number.empty'],
  [move('received', '0'), 'count.unreadable'],
  [move('counted', 'some'), 'count.unreadable'],
])('%j is refused', (input, code) => {
  expect(evaluateStockMove(input).errors.map((error) => error.code)).toEqual([code]);
});
it('none at all may be counted', () => {
  expect(evaluateStockMove(move('counted', '0'))).toEqual({ packages: 0, errors: [] });
});

describe('when a lot came', () => {
  const lot = 'LF-2604';

  it('is its first receipt, however its name is written; a lot that nobody named came at no time', () => {
    const rows = [row(9, move('received', '2', { lot })), row(3, move('received', '4', { lot: ' lf-2604' })), row(1, move('received', '4', { lot: 'X' })), row(2, move('counted', '9', { lot }))]; // prettier-ignore
    expect(lotCameAt(rows, lot)).toBe('2026-04-03T08:00:00.000Z');
    expect(lotCameAt(rows, 'LF-2605')).toBe('');
    expect(lotCameAt(rows, '  ')).toBe('');
  });

  it('is not one that was taken back; one said anew came when it was first said', () => {
    const slip = row(3, move('received', '4', { lot }));
    expect(lotCameAt([slip, row(5, move('received', '4', { lot, void: 'A slip' }), 'v', 'r3')], lot)).toBe(
      '',
    );
    expect(lotCameAt([slip, row(5, move('received', '6', { lot }), 'n', 'r3')], lot)).toBe(
      '2026-04-03T08:00:00.000Z',
    );
  });
});
