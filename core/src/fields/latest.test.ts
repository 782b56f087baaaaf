import fc from 'fast-check';
import { expect, it } from 'vitest';
import { latestOf, type AppendedRow } from './latest.ts';

const row = (id: string, time: string, first: string | null = null): AppendedRow => ({
  id,
  first,
  occurredAt: `2026-04-18T${time}:00.000Z`,
});
const ids = (rows: readonly AppendedRow[]) => latestOf(rows).map(({ id }) => id);

it('says nothing of nothing, and each thing once, in the order in which they happened', () => {
  expect(ids([])).toEqual([]);
  expect(ids([row('c', '10:00'), row('a', '08:00'), row('b', '09:00')])).toEqual(['a', 'b', 'c']);
});

it('takes what was said last of a thing, at the place of the first', () => {
  expect(ids([row('a', '08:00'), row('b', '09:00'), row('c', '10:00', 'a'), row('d', '09:30', 'a')])).toEqual(
    ['c', 'b'],
  );
});

it('goes by the id where two happened at one moment', () => {
  expect(ids([row('a', '08:00'), row('c', '09:00', 'a'), row('b', '09:00', 'a')])).toEqual(['c']);
});

it('waits for no first one: what says it anew may come before it', () => {
  expect(ids([row('b', '09:00', 'a')])).toEqual(['b']);
  expect(ids([row('b', '09:00', 'a'), row('c', '08:30')])).toEqual(['c', 'b']);
  expect(ids([row('b', '09:00', 'a'), row('c', '08:30'), row('a', '08:00')])).toEqual(['b', 'c']);
});

it('a row that names one that is not the first itself speaks of the same thing; a ring of them speaks of something', () => {
  expect(ids([row('a', '08:00'), row('b', '09:00', 'a'), row('c', '10:00', 'b')])).toEqual(['c']);
  expect(ids([row('c', '10:00', 'b'), row('a', '08:00'), row('b', '09:00', 'a'), row('d', '11:00')])).toEqual(['c', 'd']);
  expect(ids([row('a', '08:00', 'b'), row('b', '09:00', 'a')]).length).toBeGreaterThan(0);
}); // prettier-ignore

/** The same by looking for the latest of each thing on its own, and placing it by counting what comes before. */
function latestOneByOne(rows: readonly AppendedRow[]): string[] {
  const later = (a: AppendedRow, b: AppendedRow) => `${a.occurredAt} ${a.id}` > `${b.occurredAt} ${b.id}`;
  const things = [...new Set(rows.map(({ id, first }) => first ?? id))].map((thing) => {
    const said = rows.filter(({ id, first }) => (first ?? id) === thing);
    const earliest = said.reduce((a, b) => (later(a, b) ? b : a));
    return {
      last: said.reduce((a, b) => (later(b, a) ? b : a)),
      start: said.find(({ id }) => id === thing) ?? earliest,
    };
  });
  return things
    .map(({ last, start }) => ({
      id: last.id,
      place: things.filter((other) => later(start, other.start)).length,
    }))
    .toSorted((a, b) => a.place - b.place)
    .map(({ id }) => id);
}

const anyRows = fc
  .uniqueArray(
    fc.record({
      id: fc.integer({ min: 0, max: 30 }),
      hour: fc.integer({ min: 10, max: 14 }),
      of: fc.option(fc.integer({ min: 0, max: 30 })),
    }),
    { selector: ({ id }) => id, maxLength: 14 },
  )
  .map((drawn) => {
    // A row says a first one anew, never one that is itself said anew.
    const firsts = new Set(drawn.filter(({ of }) => of === null).map(({ id }) => id));
    return drawn
      .filter(
        ({ id, of }) =>
          of === null || (of !== id && (firsts.has(of) || !drawn.some((each) => each.id === of))),
      )
      .map(({ id, hour, of }) => row(String(100 + id), `${hour}:00`, of === null ? null : String(100 + of)));
  });

it('is the same in whatever order rows came, with some of them twice', () => {
  fc.assert(
    fc.property(
      anyRows.chain((rows) =>
        fc.tuple(fc.constant(rows), fc.shuffledSubarray([...rows, ...rows], { minLength: 2 * rows.length })),
      ),
      ([rows, came]) => {
        const once = [...new Map(came.map((each) => [each.id, each])).values()];
        expect(ids(once)).toEqual(ids(rows));
        expect(ids(came)).toEqual(ids(rows));
        expect(ids(rows)).toEqual(latestOneByOne(rows));
      },
    ),
    { seed: 20260418, numRuns: 500 },
  );
});
