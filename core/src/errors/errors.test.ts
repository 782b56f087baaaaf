import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { readGrade, readQuantity } from '../index.ts';
import { toResult, InputError, suggestion, ERROR_CODES } from './index.ts';

const SOURCES = readdirSync(join(import.meta.dirname, '..'), { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.endsWith('codes.ts'))
  .map((file) => readFileSync(join(import.meta.dirname, '..', file), 'utf8'))
  .join('\n');

it.each(ERROR_CODES)('%s is thrown somewhere in core', (code) => {
  expect(SOURCES).toContain(`'${code}'`);
});

it('fills every brace of a sentence, and shortens what is long', () => {
  const error = new InputError('grade.run-together', {
    field: 'grade',
    input: '9'.repeat(500),
    hint: '24-0-8',
  });
  expect(speak(error.sentence)).not.toMatch(/[{}]/);
  expect(speak(error.sentence).length).toBeLessThan(200);
  expect(error).toMatchObject({ code: 'grade.run-together', field: 'grade', hint: '24-0-8' });
});

it.each([
  ['240-8', '24-0-8', () => readGrade('240-8', '')],
  ['0,5 kg', '0.5 kg', () => readQuantity('0,5 kg', { kind: 'mass', bareUnit: null, field: '' })],
  ['4 oz', '4 fl oz', () => readQuantity('4 oz', { kind: 'volume', bareUnit: null, field: '' })],
  ['lots', null, () => readGrade('lots', '')],
])('suggests for %s: %s', (input, instead, read) => {
  expect(suggestion(toResult<unknown>(read).error!, input)).toBe(instead);
});
