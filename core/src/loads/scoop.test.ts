import { expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { workingText } from '../working/index.ts';
import { inScoops, evaluateScoop, scoopLine, type ScoopInput } from './index.ts';

const scoop = (more: Partial<ScoopInput> = {}): ScoopInput => ({
  name: 'red scoop',
  tare: '0.2 lb',
  weighings: ['1.9', '2.1', '', '2.0'],
  unit: 'lb',
  ...more,
});

it('takes the tare off each weighing, and shows how they scatter', () => {
  const { reading, errors } = evaluateScoop(scoop(), 'scoop');
  expect(errors).toEqual([]);
  expect(reading!.meanKg / 0.45359237).toBeCloseTo(1.8, 12);
  expect(reading!.scatter).toBeCloseTo(0.1 / 1.8, 12);
  expect(workingText(scoopLine(reading!, scoop()), speak)).toBe(
    '( 1.9 lb + 2.1 lb + 2.0 lb ) ÷ 3 − 0.2 lb = 1.80 lb scatter 5.6 %',
  );
  expect(workingText(inScoops(18 * 0.45359237, 'lb', reading!, scoop()), speak)).toBe(
    '18.0 lb ÷ 1.80 lb = 10.0 scoops with red scoop',
  );
});

it('one weighing shows no scatter; none is no scoop; ounces count as ounces', () => {
  const one = evaluateScoop(scoop({ tare: '', weighings: ['12 oz'] }), 'scoop').reading;
  expect(one).toMatchObject({ scatter: null, meanKg: expect.closeTo(0.75 * 0.45359237, 12) });
  expect(evaluateScoop(scoop({ weighings: [''] }), 'scoop')).toEqual({ reading: null, errors: [] });
});

it('refuses a full scoop that is not heavier than the empty one, at its field', () => {
  const { reading, errors } = evaluateScoop(scoop({ weighings: ['1.9', '0.2'] }), 'product.scoop');
  expect(reading).toBeNull();
  expect(errors).toMatchObject([{ code: 'scoop.not-over-tare', field: 'product.scoop.weighings.1' }]);
  expect(speak(errors[0]!.sentence)).toContain('more than 0.2 lb');
});
