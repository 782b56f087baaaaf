import { expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { message } from '../messages/index.ts';
import { toResult } from '../errors/index.ts';
import { readDay, readName } from './index.ts';

it('reads names and days', () => {
  expect(readName('  Spring  feed ', 'name', message('errors.example.job'))).toBe('Spring feed');
  expect(readDay('2028-02-29', 'onDay')).toBe('2028-02-29');
});

it.each(['', 'today', '2026-02-30', '2026-13-01', '0026-01-01', '2026-1-1'])(
  'refuses the day %s',
  (input) => {
    expect(toResult(() => readDay(input, 'onDay')).error).toMatchObject({
      code: 'date.unreadable',
      hint: '2026-04-18',
    });
  },
);

it('refuses empty and endless names', () => {
  expect(speak(toResult(() => readName(' ', 'name', message('errors.example.job'))).error!.sentence)).toBe(
    'Give it a name, for example Spring feed, lake front.',
  );
  expect(
    toResult(() => readName('x'.repeat(10_000), 'name', message('errors.example.job'))).error?.code,
  ).toBe('text.too-long');
});
