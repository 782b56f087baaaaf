import { expect, it, vi } from 'vitest';
import { once } from './kind.ts';

it('what is checked and then stored is worked out once', () => {
  const work = vi.fn(({ name }: { name: string }) => name.length);
  const lengthOf = once(work);
  const input = { name: 'Lawn' };
  expect([lengthOf(input), lengthOf(input)]).toEqual([4, 4]);
  expect(work).toHaveBeenCalledTimes(1);
  expect(lengthOf({ name: 'Lawn' })).toBe(4);
  expect(work).toHaveBeenCalledTimes(2);
});
