import fc from 'fast-check';
import { expect, it } from 'vitest';
import { dayText } from './dayText.ts';

it.each([
  ['2026-04-18', '18 Apr 2026'],
  ['', ''],
  [' ', ''],
  ['x', '“x”, which is no day'],
  ['2026-02-31x', '“2026-02-31x”, which is no day'],
])('%j reads %j', (day, text) => expect(dayText(day)).toBe(text));

it('never throws, whatever was typed', () => {
  fc.assert(fc.property(fc.string(), (input) => typeof dayText(input) === 'string'));
});
