import { expect, it } from 'vitest';
import { blankSoilTest, evaluateSoilTest, type SoilTestInput } from './index.ts';

const soil = (more: Partial<SoilTestInput>): SoilTestInput => ({
  ...blankSoilTest('kg/ha', '2026-03-02'),
  name: 'Pitch',
  ...more,
});

it('keeps what is not stated apart from what is not wanted, in the form of the sheet', () => {
  const needs = { N: '90', P2O5: '0', K2O: '1 lb/1000 ft2', S: '' };
  expect(evaluateSoilTest(soil({ needs, form: 'elemental', ph: '6.3' }))).toEqual({
    needs: [
      { nutrient: 'N', kgPerM2: expect.closeTo(0.009, 15) },
      { nutrient: 'P', kgPerM2: 0 },
      { nutrient: 'K', kgPerM2: expect.closeTo(0.45359237 / 92.90304, 12) },
    ],
    ph: 6.3,
    errors: [],
  });
});

it.each<[Partial<SoilTestInput>, string, string]>([
  [{ name: ' ' }, 'name', 'name.empty'],
  [{ onDay: '2026-13-01' }, 'onDay', 'date.unreadable'],
  [{ needs: { N: '-5', P2O5: '', K2O: '', S: '' } }, 'needs.N', 'count.unreadable'],
  [{ needs: { N: '2 kg/m2', P2O5: '', K2O: '', S: '' } }, 'needs.N', 'need.too-large'],
  [{ ph: '62' }, 'ph', 'ph.unreadable'],
])('refuses %j', (more, field, code) => {
  expect(evaluateSoilTest(soil(more)).errors).toMatchObject([{ field, code }]);
});
