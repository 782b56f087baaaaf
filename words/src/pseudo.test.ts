import { IntlMessageFormat } from 'intl-messageformat';
import { expect, it } from 'vitest';
import { EN } from './en/catalogue.ts';
import { pseudo } from './pseudo.ts';

const said = (message: string, values = {}) =>
  String(new IntlMessageFormat(pseudo(message), 'en').format(values));

it('is accented, and longer by two fifths', () => {
  expect(said('Save test run')).toBe('Sávéö téstöö rúñö');
  for (const messages of Object.values(EN))
    for (const text of Object.values<string>(messages))
      if (!/[{<]/.test(text) && text.length > 10) {
        const words = text.replace(/\s/g, '').length;
        expect(said(text).length / text.length).toBeGreaterThan(1 + (0.4 * words - 1) / text.length - 1e-9);
      }
});

it('takes what the message takes', () => {
  expect(said('{count, plural, one {# run of {machine}} other {# runs of {machine}}}', { count: 2, machine: 'Red' })).toBe('2 rúñsö ófö Red'); // prettier-ignore
  expect(said('Saved “{name}”.', { name: 'North lawn' })).toContain('North lawn');
});
