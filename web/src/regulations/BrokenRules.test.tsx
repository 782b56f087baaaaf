import { jobs } from '@steady-scatter/contract';
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { keepDemo, keepList, onSheet, plainSheet, sampleSheet } from '../testing/inApp.tsx';
import BrokenRules from './BrokenRules.tsx';

beforeEach(() => keepDemo());
const told = vi.fn();
const open = (start: Parameters<typeof onSheet>[1], address?: string) =>
  onSheet(<BrokenRules onCount={told} />, start, address);
const rule = (text: RegExp) => screen.queryByText(text);

it('says nothing while every rule is kept, and counts none', () => {
  open(plainSheet());
  expect(screen.queryByRole('alert')).toBeNull();
  expect(told).toHaveBeenLastCalledWith(0);
});

it('a soil test that wants no phosphorus stands at the answer', () => {
  open(sampleSheet('School pitch, after top dressing'));
  expect(screen.getByRole('alert').textContent).toContain(
    'phosphorus only with a soil test under 4 years old',
  );
  expect(screen.getByRole('alert').textContent).toContain('Choose another product');
  expect(told).toHaveBeenLastCalledWith(1);
});

it('the most that is allowed is one act away, and can be taken back', async () => {
  const { person, answer, worksheet } = open(plainSheet({}, { labelRate: { low: '', high: '3', mostAtOnce: '', mostPerYear: '', unit: 'lb/1000 ft2' } })); // prettier-ignore
  expect(rule(/by 0\.333 lb/)).not.toBeNull();
  await person.click(screen.getByRole('button', { name: /^Use the most allowed: 0\.72/ }));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(answer().numbers.rateSi).toBeCloseTo(3 * (0.45359237 / 92.90304), 6);
  await person.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(worksheet().need.amount).toBe('0.8');
});

it('a split takes as many portions as it needs, as far apart as the label asks', async () => {
  const { person, worksheet } = open(plainSheet({}, { leastIntervalDays: '35', labelRate: { low: '', high: '1.5', mostAtOnce: '', mostPerYear: '', unit: 'lb/1000 ft2' } })); // prettier-ignore
  await person.click(screen.getByRole('button', { name: 'Split in 3' }));
  expect(worksheet().split).toMatchObject({ portions: '3', everyDays: '35' });
  expect(screen.queryByRole('alert')).toBeNull();
});

it('portions closer than the label allows are put further apart', async () => {
  const split = { portions: '2', everyDays: '14', directions: 'one' as const };
  const { person, worksheet } = open(plainSheet({ split }, { leastIntervalDays: '28' }));
  await person.click(screen.getByRole('button', { name: 'Put 28 days between' }));
  expect(worksheet().split).toMatchObject({ portions: '2', everyDays: '28' });
  expect(screen.queryByRole('alert')).toBeNull();
});

const ground = { site: 'lake', area: 'lawn' };
const job = (id: string, more: object = {}) => ({
  id,
  isReadable: true,
  name: 'March feed',
  product: '24-0-8',
  days: ['2026-04-04'],
  ...more,
});
/** What the server lists of what lies on the same ground. */
const onSameGround = (lines: readonly object[]) =>
  keepList(jobs, { filter: ['uses:lawn'], limit: 200 }, lines);
const onGround = () => plainSheet({ areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2', from: ground }] }, { leastIntervalDays: '28' }); // prettier-ignore

it('another job with the product on the same ground, too near', () => {
  onSameGround([job('other')]);
  open(onGround());
  expect(screen.getByRole('alert').textContent).toContain('least days between two applications, by 14 days');
});

it.each([
  ['the job itself', [job('this')]],
  ['other ground', []],
  ['long enough before', [job('other', { days: ['2026-03-01'] })]],
  ['another product', [job('other', { product: '0-0-50' })]],
])('is not broken by %s', (_, lines) => {
  onSameGround(lines);
  open(onGround(), '/jobs/this');
  expect(screen.queryByRole('alert')).toBeNull();
});
