import fc from 'fast-check';
import { expect, it } from 'vitest';
import { rowRefills } from './refills.ts';

it('220 kg/ha at rows of 1.5 m: 4.6 kg serves 139.393939 m', () => {
  const { metresPerFill, rowsPerFill, standsAt } = rowRefills({
    kgPerM: 0.033,
    fillKg: 4.6,
    rowM: 60,
    rows: 9,
  });
  expect(metresPerFill).toBeCloseTo(139.393939, 6);
  expect([rowsPerFill, standsAt]).toEqual([2, 'start']);
});

it.each([
  [15, 100, 4, 13.2, 3, 4, 'start'],
  [10.5, 100, 3, 9.9, 4, 3, 'both-ends'],
  [3, 100, 0, 3, 12, 1, 'along-row'],
  [100, 100, 12, 39.6, 1, 12, 'start'],
  [16.5, 100, 5, 16.5, 3, 2, 'both-ends'],
] as const)('%s kg down rows of %s m', (fillKg, rowM, rowsPerFill, loadKg, blocks, lastRows, standsAt) => {
  const found = rowRefills({ kgPerM: 0.033, fillKg, rowM, rows: 12 });
  expect(found).toMatchObject({ rowsPerFill, blocks, lastRows, standsAt });
  expect(found.loadKg).toBeCloseTo(loadKg, 9);
});

it('the blocks add up to the rows, and no load is more than a filling', () => {
  const positive = (max: number) => fc.double({ min: 0.01, max, noNaN: true });
  fc.assert(
    fc.property(positive(0.2), positive(40), positive(300), fc.integer({ min: 1, max: 80 }), (kgPerM, fillKg, rowM, rows) => {
      const { rowsPerFill, blocks, lastRows, loadKg } = rowRefills({ kgPerM, fillKg, rowM, rows });
      expect((blocks - 1) * Math.max(1, rowsPerFill) + lastRows).toBe(rows);
      expect(lastRows).toBeGreaterThan(0);
      expect(loadKg).toBeLessThanOrEqual(fillKg * (1 + 1e-6));
    }),
    { seed: 11 },
  );
}); // prettier-ignore
