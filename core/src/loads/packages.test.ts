import { expect, it } from 'vitest';
import { toResult } from '../errors/index.ts';
import { countPackages, readPackage } from './index.ts';

it.each([['40', 40], ['40 lb', 40], ['40-lb bag', 40], ['40 lb bags', 40], ['1 lb 8 oz', 1.5]])('reads %s', (input, lb) => {
  expect(readPackage(input, 'lb', 'p').si).toBeCloseTo(lb * 0.45359237, 12);
}); // prettier-ignore

it.each([['0', 'quantity.not-positive'], ['200 t', 'package.too-large'], ['40 ft', 'unit.other-kind']])('refuses %s', (input, code) => {
  expect(toResult(() => readPackage(input, 'lb', 'p')).error?.code).toBe(code);
}); // prettier-ignore

it('rounds up once, but not past a whole number that only rounding errors exceed', () => {
  expect(countPackages(24.666667, 40)).toMatchObject({ whole: 1 });
  expect(countPackages(80.5, 40)).toMatchObject({ whole: 3, leftSi: 39.5, lastShare: 80.5 / 40 - 2 });
  expect(countPackages(0.1 * 3, 0.1)).toMatchObject({ whole: 3, leftSi: 0 });
  expect(countPackages(0, 40)).toEqual({ exact: 0, whole: 0, lastShare: 0, leftSi: 0, wholeAtMost: 0 });
  // A band of the ground may take one more to be sure of.
  expect(countPackages(39, 40, 2)).toMatchObject({ whole: 1, wholeAtMost: 2 });
});
