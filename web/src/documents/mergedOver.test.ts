import { expect, it } from 'vitest';
import { mergedOver } from './mergedOver.ts';

const base = { mode: 'a', looked: '5', rows: [['1']], notes: '' };

it('two changes of one moment both stand', () => {
  const first = { ...base, looked: '' };
  const second = { ...base, mode: 'b' };
  expect(mergedOver(base, second, mergedOver(base, first, base))).toEqual({ ...base, mode: 'b', looked: '' });
});

it('of the same field the later change stands; what neither touched is the same object', () => {
  const now = { ...base, looked: '6' };
  const merged = mergedOver(base, { ...base, looked: '7' }, now);
  expect(merged.looked).toBe('7');
  expect(merged.rows).toBe(base.rows);
});

it('a change from what stands is taken as it is', () => {
  const change = { ...base, notes: 'x' };
  expect(mergedOver(base, change, base)).toBe(change);
});
