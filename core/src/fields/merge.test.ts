import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differencesBetween, merged, type Side } from './index.ts';

const area = (id: string, size: string) => ({ id, name: id, size: { text: size, unit: 'ft2' } });
const base = { name: 'Spring feed', need: { amount: '1', unit: 'lb/acre' }, areas: [area('a', '10'), area('b', '20')] }; // prettier-ignore
type Thing = typeof base;

describe('differences', () => {
  it('finds none between equals', () =>
    expect(differencesBetween(base, base, structuredClone(base))).toEqual([]));

  it('tells who changed what, a text and its unit as one, items by their ids', () => {
    const mine: Thing = { ...base, need: { amount: '2', unit: 'lb/acre' }, areas: [area('b', '21'), area('a', '10')] }; // prettier-ignore
    const theirs: Thing = { ...base, name: 'Late feed', areas: [area('a', '11'), area('b', '22'), area('c', '5')] }; // prettier-ignore
    expect(differencesBetween(base, mine, theirs)).toEqual([
      { path: 'name', mine: 'Spring feed', theirs: 'Late feed', changedBy: 'theirs' },
      { path: 'need', mine: { amount: '2', unit: 'lb/acre' }, theirs: base.need, changedBy: 'mine' },
      { path: 'areas.#a.size', mine: area('a', '10').size, theirs: area('a', '11').size, changedBy: 'theirs' },
      { path: 'areas.#b.size', mine: area('b', '21').size, theirs: area('b', '22').size, changedBy: 'both' },
      { path: 'areas.#c', mine: undefined, theirs: area('c', '5'), changedBy: 'theirs' },
    ]); // prettier-ignore
  });

  it('takes every difference as one of both where the beginning is not known', () =>
    expect(differencesBetween(undefined, { a: '1' }, { a: '2' })).toMatchObject([{ changedBy: 'both' }]));

  it('takes lists whose items have no ids, or one twice, as one value', () => {
    expect(differencesBetween([], { l: ['a'] }, { l: ['b'] })).toMatchObject([{ path: 'l' }]);
    const twice = [area('a', '1'), area('a', '2')];
    expect(differencesBetween([], { l: twice }, { l: [area('a', '1')] })).toMatchObject([{ path: 'l' }]);
  });
});

describe('merging', () => {
  it('two changes of different values both stay when each side is taken where it changed something', () => {
    const mine: Thing = { ...base, name: 'Mine', areas: [area('a', '10'), area('b', '21')] };
    const theirs: Thing = { ...base, need: { amount: '2', unit: 'kg/ha' }, areas: [area('c', '1'), area('a', '10'), area('b', '20')] }; // prettier-ignore
    const side = new Map(
      differencesBetween(base, mine, theirs).map(({ path, changedBy }) => [path, changedBy]),
    );
    expect(merged(mine, theirs, (path) => (side.get(path) === 'theirs' ? 'theirs' : 'mine'))).toEqual({
      name: 'Mine',
      need: { amount: '2', unit: 'kg/ha' },
      areas: [area('c', '1'), area('a', '10'), area('b', '21')],
    });
  });

  it('an item that one side removed goes or stays as that side is taken', () => {
    const theirs: Thing = { ...base, areas: [area('a', '10')] };
    expect(merged(base, theirs, () => 'theirs')).toEqual(theirs);
    expect(merged(base, theirs, () => 'mine')).toEqual(base);
  });
});

const item = fc.record({ id: fc.constantFrom('a', 'b', 'c'), name: fc.constantFrom('', 'x'), size: fc.record({ text: fc.constantFrom('1', '2'), unit: fc.constantFrom('m', 'ft') }) }); // prettier-ignore
const thing = fc.record({ name: fc.constantFrom('A', 'B'), list: fc.uniqueArray(item, { selector: ({ id }) => id }), marks: fc.array(fc.constantFrom('m', 'n'), { maxLength: 2 }), deep: fc.record({ on: fc.boolean(), by: fc.constantFrom(null, 'c') }) }); // prettier-ignore

it('a merge differs from a side in just what was taken from the other', () => {
  fc.assert(
    fc.property(thing, thing, thing, fc.func(fc.constantFrom<Side>('mine', 'theirs')), (start, mine, theirs, choose) => {
      const all = differencesBetween(start, mine, theirs);
      const paths = (side: Side) => all.map(({ path }) => path).filter((path) => choose(path) === side).toSorted();
      const one = merged(mine, theirs, choose);
      expect(differencesBetween(start, mine, one).map(({ path }) => path).toSorted()).toEqual(paths('theirs'));
      expect(differencesBetween(start, one, theirs).map(({ path }) => path).toSorted()).toEqual(paths('mine'));
    }),
    { seed: 4104, numRuns: 500 },
  );
}); // prettier-ignore
