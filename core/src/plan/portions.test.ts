import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysApart, daysLater, daysUntil } from '../fields/days.ts';
import {
  blankApplication,
  blankPlan,
  blankProduct,
  catchUp,
  halfAfterLook,
  ledgerRow,
  movePortions,
  planBook,
  plannedPortions,
  planNeeds,
  portionGroups,
  portionsFor,
  portionStates,
  shareOut,
  twicePlanned,
  UNITS,
  type PortionInput,
} from '../index.ts';

const lakeFeed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8', package: { size: '40', unit: 'lb' as const }, price: '30' }; // prettier-ignore
const AREAS = ['a', 'b', 'c'].map((area) => ({ site: 's', area, siteName: 'Lake front', areaName: area, areaM2: 500 })); // prettier-ignore
const LB = UNITS['lb/1000 ft2'].toSi;
let next = 0;
const idOf = () => `id${String((next += 1)).padStart(6, '0')}`;
const portionOn = (area: string, onDay: string, amount = '0.8'): PortionInput => ({ id: idOf(), site: 's', area, siteName: 'Lake front', areaName: area, product: 'p', productName: 'Lake feed', nutrient: 'N', amount, unit: 'lb/1000 ft2', onDay, hold: '', why: '', job: '' }); // prettier-ignore
const recordOn = (area: string, onDay: string, root: string) =>
  ledgerRow({ root, startedAt: `${onDay}T09:00:00.000Z`, saidAt: `${onDay}T09:00:00.000Z`, subject: 'j', input: { ...blankApplication('us'), onDay, area, areaName: area, size: { text: '5000', unit: 'ft2' }, product: { ...blankApplication('us').product, name: 'lake  FEED', kind: 'dry-fertilizer', grade: '24-0-8' }, amount: { text: '16', unit: 'lb', from: 'weighed' } } }); // prettier-ignore

const area = fc.constantFrom('a', 'b', 'c');
const day = fc.integer({ min: 0, max: 200 }).map((at) => daysLater('2026-03-01', at));
const portions = fc.array(fc.tuple(area, day), { maxLength: 12 }).map((all) => all.map(([of, on]) => portionOn(of, on))); // prettier-ignore
const records = fc.array(fc.tuple(area, day), { maxLength: 12 }).map((all) => all.map(([of, on], index) => recordOn(of, on, `r${index}`))); // prettier-ignore
const planned = (all: readonly PortionInput[]) => plannedPortions(all, [{ id: 'p', input: lakeFeed }], AREAS);
const freeBook = (all: readonly PortionInput[]) => planBook({ rules: [], rulesOn: new Map(), rows: [], planned: planned(all), soilTests: [], yearStart: '01-01' }); // prettier-ignore

describe('which record was which portion', () => {
  it('each record is one portion at most, of the same area, within two weeks; and none that could be is left over', () => {
    fc.assert(
      fc.property(portions, records, (all, rows) => {
        const states = portionStates(all, rows, '2026-07-01');
        const done = all.flatMap((portion) => {
          const { root } = states.get(portion.id)!;
          return root === null ? [] : [{ portion, row: rows.find((row) => row.root === root)! }];
        });
        expect(new Set(done.map(({ row }) => row.root)).size).toBe(done.length);
        for (const { portion, row } of done) {
          expect(row.areaKey).toBe(portion.area);
          expect(daysApart(portion.onDay, row.onDay)).toBeLessThanOrEqual(14);
        }
        const used = new Set(done.map(({ row }) => row.root));
        const open = all.filter(({ id }) => states.get(id)!.state !== 'done');
        for (const row of rows.filter(({ root }) => !used.has(root)))
          expect(open.some((each) => each.area === row.areaKey && daysApart(each.onDay, row.onDay) <= 14)).toBe(false); // prettier-ignore
      }),
      { seed: 21, numRuns: 150 },
    );
  });

  it('whatever the order in which records and portions come', () => {
    fc.assert(
      fc.property(portions, records, (all, rows) => {
        const told = (of: ReturnType<typeof portionStates>) => all.map(({ id }) => of.get(id)!.state);
        const own = told(portionStates(all, rows, '2026-07-01'));
        expect(told(portionStates(all.toReversed(), rows.toReversed(), '2026-07-01'))).toEqual(own);
      }),
      { seed: 22, numRuns: 80 },
    );
  });
});

describe('what is moved, shared and halved', () => {
  it('moving some leaves all others the same objects, and the number of portions', () => {
    fc.assert(
      fc.property(portions, day, (all, to) => {
        const some = new Set(all.slice(0, Math.ceil(all.length / 2)).map(({ id }) => id));
        const moved = movePortions(all, some, to);
        expect(moved).toHaveLength(all.length);
        for (const [at, each] of moved.entries())
          if (some.has(each.id)) expect(each).toEqual({ ...all[at]!, onDay: to });
          else expect(each).toBe(all[at]);
      }),
      { seed: 23, numRuns: 80 },
    );
  });

  it('halves bring what the whole brought, and the later half waits for a look', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (hundredths) => {
        const [first, second] = halfAfterLook([portionOn('a', '2026-04-18', String(hundredths / 100))], new Set([`id${String(next).padStart(6, '0')}`]), 28, idOf); // prettier-ignore
        expect(Number(first!.amount) + Number(second!.amount)).toBeCloseTo(hundredths / 100, 4);
        expect([first!.hold, second!.hold]).toEqual(['', 'look']);
      }),
      { seed: 24, numRuns: 60 },
    );
  });

  it('what was missed and shared out is not lost: the rest bring it together', () => {
    const all = ['2026-04-18', '2026-05-18', '2026-06-18', '2026-07-18'].map((on) => portionOn('a', on, '0.6')); // prettier-ignore
    for (const missed of [0, 1, 2]) {
      const open = new Set(all.slice(missed + 1).map(({ id }) => id));
      const shared = shareOut(all, new Set([all[missed]!.id]), open);
      expect(shared.reduce((sum, { amount }) => sum + Number(amount), 0)).toBeCloseTo(2.4, 2);
    }
    // What cannot be read stays as it was typed.
    const odd = [{ ...all[0]!, amount: 'much' }, all[1]!];
    expect(shareOut(odd, new Set([odd[0]!.id]), new Set([odd[1]!.id]))).toEqual(odd);
  });

  it('catching up keeps the distances, moves nothing that was spread, and nothing beyond the end', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 14, max: 60 }), (late, every) => {
        const all = [0, 1, 2, 3].map((at) => portionOn('a', daysLater('2026-04-01', at * every)));
        const today = daysLater('2026-04-01', late);
        const open = new Set(all.map(({ id }) => id));
        const next = catchUp({ ...blankPlan('x', { from: '2026-01-01', to: '2026-12-31' }), portions: all }, [planned(all)[0]!], open, today, freeBook(all)); // prettier-ignore
        expect(next[0]!.onDay).toBe(today);
        for (let index = 1; index < next.length; index += 1) expect(daysUntil(next[index - 1]!.onDay, next[index]!.onDay)).toBe(every); // prettier-ignore
        const onlyFirst = catchUp({ ...blankPlan('x', { from: '2026-01-01', to: '2026-12-31' }), portions: all }, [planned(all)[0]!], new Set([all[0]!.id]), today, freeBook(all)); // prettier-ignore
        expect(onlyFirst.slice(1)).toEqual(all.slice(1));
      }),
      { seed: 25, numRuns: 60 },
    );
    const all = [portionOn('a', '2026-11-20')];
    const after = catchUp({ portions: all, toDay: '2026-11-30' }, planned(all), new Set([all[0]!.id]), '2026-12-05', freeBook(all)); // prettier-ignore
    expect(after).toEqual(all);
  });
});

describe('what it takes', () => {
  it('amounts are those of each area added up; what is bought and there is enough, and one package less is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 0, max: 6 }), (times, stock) => {
        const all = portionsFor({ ground: AREAS, product: { id: 'p', name: 'Lake feed' }, nutrient: 'N', totalSi: 0.7 * LB * times, unit: 'lb/1000 ft2', times, firstDay: '2026-04-01', everyDays: 21 }, idOf); // prettier-ignore
        const [line] = planNeeds(planned(all), [{ id: 'p', input: { ...lakeFeed, stock: String(stock) } }]);
        const own = planned(all).reduce((sum, { amountSi }) => sum + amountSi!, 0);
        expect(line!.amountSi).toBeCloseTo(own, 9);
        const packs = own / (40 * 0.45359237);
        expect(stock + line!.order!.buy).toBeGreaterThanOrEqual(packs - 1e-9);
        if (line!.order!.buy > 0) expect(stock + line!.order!.buy - 1).toBeLessThan(packs);
      }),
      { seed: 26, numRuns: 60 },
    );
  });
});

describe('what goes together', () => {
  it('every portion is in one group, and all of a group are alike', () => {
    fc.assert(
      fc.property(portions, (all) => {
        const groups = portionGroups(all);
        expect(groups.flatMap((group) => group.portions).map(({ id }) => id).toSorted()).toEqual(all.map(({ id }) => id).toSorted()); // prettier-ignore
        for (const { portions: own } of groups) expect(new Set(own.map(({ onDay, productName, hold }) => `${onDay} ${productName} ${hold}`)).size).toBe(1); // prettier-ignore
        expect(groups.map((group) => group.portions[0]!.onDay)).toEqual(groups.map((group) => group.portions[0]!.onDay).toSorted()); // prettier-ignore
      }),
      { seed: 27, numRuns: 80 },
    );
    const two = [portionOn('a', '2026-04-18'), portionOn('b', '2026-04-18')];
    expect(portionGroups(two, ({ area: of }) => of)).toHaveLength(2);
  });

  it('another product, another area, or three weeks apart is not planned twice', () => {
    const own = [portionOn('a', '2026-04-18')];
    const others = [{ ...portionOn('a', '2026-04-18'), productName: 'Potash' }, portionOn('b', '2026-04-18'), portionOn('a', '2026-05-09')]; // prettier-ignore
    expect(twicePlanned(own, [{ name: 'Town', portions: others }])).toEqual([]);
    expect(twicePlanned(own, [{ name: 'Town', portions: [portionOn('a', '2026-05-02')] }])).toHaveLength(1);
  });
});
