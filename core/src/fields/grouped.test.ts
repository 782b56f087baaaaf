import fc from 'fast-check';
import { expect, it } from 'vitest';
import { grouped } from './grouped.ts';

it('every row stands in one group, in its order', () => {
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 9 })), (rows) => {
      const groups = grouped(rows, (n) => n % 3);
      for (const [key, group] of groups) expect(group).toEqual(rows.filter((n) => n % 3 === key));
      expect([...groups.values()].flat()).toHaveLength(rows.length);
    }),
  );
  expect([...grouped(['b', 'a', 'b'], (text) => text).keys()]).toEqual(['b', 'a']);
});
