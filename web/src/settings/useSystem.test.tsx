import { expect, it } from 'vitest';
import { blankForm } from '../sheet/sheetForms.ts';
import { preferredSystem } from './useSystem.ts';

it('goes by the first unit that is preferred', () => {
  expect(preferredSystem(null, null)).toBe('us');
  expect(preferredSystem(null, 'ha')).toBe('metric');
  expect(preferredSystem('acre', 'kg/ha')).toBe('us');
});

it('a new sheet goes by the unit of rates before that of areas', () => {
  expect(blankForm({ rate: 'kg/ha', amount: null, area: 'acre' }).worksheet.need.unit).toBe('kg/ha');
  expect(blankForm({ rate: null, amount: null, area: 'm2' }).worksheet.need.unit).toBe('kg/ha');
  expect(blankForm({ rate: null, amount: 'kg', area: null }).worksheet.need.unit).toBe('lb/1000 ft2');
});
