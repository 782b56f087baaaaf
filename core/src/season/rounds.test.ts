import { speak } from '@steady-scatter/words/everything';
import { expect, it } from 'vitest';
import {
  blankApplication,
  doneRows,
  nextRound,
  roundsOf,
  roundToDo,
  seasonTable,
  type ApplicationRow,
} from './index.ts';

const at = (minute: number) => `2026-12-31T23:${String(minute).padStart(2, '0')}:00.000Z`;
const row = (id: string, minute: number, more: { first?: string; round?: string; areaName?: string; kg?: string; kind?: 'dry-deicer' | 'liquid-deicer'; void?: string; until?: string } = {}): ApplicationRow => {
  const { first = null, round = '1', areaName = 'Lot', kg = '5', kind = 'dry-deicer', void: why = '', until = '' } = more;
  const blank = blankApplication('metric');
  return { id, first, occurredAt: at(minute), subject: 's', input: { ...blank, round, areaName, until, void: why, product: { ...blank.product, kind }, amount: { text: kg, unit: kind === 'dry-deicer' ? 'kg' : 'L', from: 'planned' } } };
}; // prettier-ignore

it('a correction says anew what was done, when it was done', () => {
  const [done, ...more] = doneRows([row('b', 40, { first: 'a', kg: '4' }), row('a', 10)]);
  expect(more).toEqual([]);
  expect(done).toMatchObject({
    root: 'a',
    startedAt: at(10),
    saidAt: at(40),
    input: { amount: { text: '4' } },
  });
});

it('rounds are put together from everybody’s rows, over midnight, and what is void counts no more', () => {
  const rows = [
    row('a', 10, { until: '2027-01-01T00:20:00.000Z' }),
    row('b', 20, { areaName: 'Walk', kg: '2' }),
    row('c', 50, { round: '2', kind: 'liquid-deicer', kg: '30' }),
    row('d', 55, { round: '2', areaName: 'Walk', void: 'Twice' }),
    row('e', 5, { round: '10' }),
  ];
  const rounds = roundsOf(doneRows(rows));
  expect(rounds.map(({ round, dryKg, liquidL }) => [round, dryKg, liquidL])).toEqual([['1', 7, 0], ['2', 0, 30], ['10', 5, 0]]); // prettier-ignore
  expect(rounds[0]).toMatchObject({ from: at(10), until: '2027-01-01T00:20:00.000Z' });
  expect(nextRound(rounds)).toBe('11');
  expect(nextRound([])).toBe('1');
  // Of round 10 one area of two is done; of round 2 the walk does not count.
  expect(roundToDo(rounds, 2)).toEqual({ round: '10', isBegun: true });
  expect(roundToDo(rounds, 1)).toEqual({ round: '11', isBegun: false });
  expect(roundToDo(rounds.slice(0, 2), 2)).toEqual({ round: '2', isBegun: true });
});

it('a correction whose first row did not come yet stands by itself', () =>
  expect(doneRows([row('b', 40, { first: 'a' })])).toMatchObject([{ root: 'a', startedAt: at(40) }]));

it('as a table says each area of each round, at the place where it was', () => {
  const rows = doneRows([row('a', 10, { until: '2027-01-01T00:20:00.000Z', kg: '1234.5' }), row('b', 20, { void: 'Twice' })]);
  const [head, first, second] = seasonTable(rows, (id) => `storm ${id}`, (moment) => moment.slice(0, 16).replace('T', ' '), speak);
  const of = (cells: string[], name: string) => cells[head!.indexOf(name)];
  expect(['Storm', 'Day', 'Start', 'End', 'Area', 'Amount', 'Salt, kg'].map((name) => of(first!, name))).toEqual(['storm s', '2026-12-31', '23:10', '00:20', 'Lot', '1234.5', '']);
  expect(of(second!, 'Does not count')).toBe('Twice');
}); // prettier-ignore
