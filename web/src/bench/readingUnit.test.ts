import { expect, it } from 'vitest';
import { readingUnit } from './readingUnit.ts';

const US = { mass: 'lb', length: 'ft' } as const;
it.each([
  ['mass', 'lb'],
  ['length', 'ft'],
  ['area', 'ft²'],
  ['time', 's'],
  ['count', 'times'],
] as const)('a bare %s counts in %s', (kind, unit) => expect(readingUnit({ kind }, US)).toBe(unit));

it('follows the units of the run', () => {
  expect(readingUnit({ kind: 'area' }, { mass: 'kg', length: 'm' })).toBe('m²');
});
