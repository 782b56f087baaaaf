import { expect, it } from 'vitest';
import { HAND_WEIGHTS, unitChoices } from './unitChoices.ts';

it('shows each unit by its symbol, in the order given', () => {
  expect(unitChoices(['ft2', 'kg/ha'])).toEqual([
    { id: 'ft2', label: 'ft²' },
    { id: 'kg/ha', label: 'kg / ha' },
  ]);
  expect(unitChoices(HAND_WEIGHTS).map(({ label }) => label)).toEqual(['lb', 'oz', 'kg', 'g']);
});
