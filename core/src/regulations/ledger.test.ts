import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankProduct, evaluateProduct, type ProductInput } from '../products/index.ts';
import { speak } from '@steady-scatter/words/everything';
import { blankLimits } from '../products/index.ts';
import type { LedgerRow } from '../season/index.ts';
import { allowedOn, blankRule, checkRules, doneOn, evaluateRuleSet, ledgerOf, nextAllowedDay, noSums, plusSums, soFarOn, sumsOver, yearOf, type RuleFacts, type RuleInput } from './index.ts'; // prettier-ignore

const NONE = { N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 };
const line = (root: string, onDay: string, kgN: number, more: Partial<LedgerRow> = {}): LedgerRow => ({
  root, subject: 'j', runId: 'r', onDay, startedAt: `${onDay}T08:00:00.000Z`, site: 's', area: 'a', areaKey: 'a', areaName: 'Bandstand lawn', siteName: 'Lake front',
  by: 'R. Fenn', productKey: 'lake feed', productName: 'Lake feed', lot: '', machine: '', areaM2: 100, amountSi: kgN / 0.24, meantSi: null, isWeighed: true, isRound: false, isVoid: false,
  nutrients: { ...NONE, N: kgN }, quickNKg: kgN / 2, aiKg: 0, saltKg: 0, chlorideKg: 0, cents: 100, ...more,
}); // prettier-ignore

describe('the ledger', () => {
  it('adds up by area and month, void ones left out, on the ground that was treated', () => {
    const rows = [line('a', '2026-04-18', 0.4), line('b', '2026-04-20', 0.2, { areaM2: 50 }), line('c', '2026-06-01', 0.3, { cents: null }), line('d', '2026-06-02', 9, { isVoid: true }), line('e', '2026-06-03', 1, { areaKey: 'b', areaName: 'Slipway' })]; // prettier-ignore
    const [lawn, slip] = ledgerOf(rows);
    expect(lawn!.months.map(({ month, count, perM2 }) => [month, count, perM2.N])).toEqual([['2026-04', 2, 0.008], ['2026-06', 1, 0.003]]); // prettier-ignore
    expect(lawn).toMatchObject({ lastDay: '2026-06-01', products: [{ key: 'lake feed', count: 3, lastDay: '2026-06-01' }] }); // prettier-ignore
    expect(sumsOver(lawn!.months)).toMatchObject({ count: 3, cents: 200, withoutPrice: 1, kg: { N: expect.closeTo(0.9, 9) } }); // prettier-ignore
    expect(soFarOn([lawn!, slip!])).toEqual([{ nutrient: 'N', kgPerM2: expect.closeTo(0.011, 9) }]);
  });

  it('is the sum of its records less what is void, in any order', () => {
    const rows = fc.array(fc.record({ day: fc.integer({ min: 1, max: 28 }), month: fc.integer({ min: 1, max: 12 }), kg: fc.integer({ min: 0, max: 500 }), area: fc.constantFrom('a', 'b', 'c'), isVoid: fc.boolean() }), { maxLength: 30 }); // prettier-ignore
    fc.assert(
      fc.property(rows, (said) => {
        const two = (n: number) => String(n).padStart(2, '0');
        const lines = said.map(({ day, month, kg, area, isVoid }, index) => line(`r${index}`, `2026-${two(month)}-${two(day)}`, kg / 1000, { areaKey: area, isVoid })); // prettier-ignore
        const sum = (of: readonly LedgerRow[]) => of.filter((each) => !each.isVoid).reduce((all, { nutrients }) => all + nutrients.N, 0); // prettier-ignore
        const areas = ledgerOf(lines);
        const total = areas.map(({ months }) => sumsOver(months)).reduce(plusSums, noSums());
        expect(total.kg.N).toBeCloseTo(sum(lines), 9);
        expect(total.count).toBe(lines.filter(({ isVoid }) => !isVoid).length);
        const turned = ledgerOf(lines.toReversed());
        expect(turned.map(({ areaKey, lastDay }) => [areaKey, lastDay])).toEqual(areas.map(({ areaKey, lastDay }) => [areaKey, lastDay])); // prettier-ignore
      }),
      { seed: 21, numRuns: 80 },
    );
  });

  it.each([
    ['2026-04-18', '01-01', '2026-01-01', '2026-12-31'],
    ['2026-02-10', '07-01', '2025-07-01', '2026-06-30'],
    ['2026-07-01', '07-01', '2026-07-01', '2027-06-30'],
    ['2028-02-29', '03-01', '2027-03-01', '2028-02-29'],
  ])('%s in a year that starts on %s: %s to %s', (day, start, from, to) => {
    expect(yearOf(day, start)).toEqual({ from, to });
  });
  it('a year cannot start on a day that most years do not have', () => {
    expect(() => yearOf('2026-04-18', '02-29')).toThrow('season.unreadable');
    expect(() => yearOf('2026-04-18', 'spring')).toThrow('season.unreadable');
  });
});

const rules = (...of: Partial<RuleInput>[]) => {
  const read = evaluateRuleSet({ name: 'Town', source: '', unit: 'lb/1000 ft2', limits: blankLimits('us'), rules: of.map((rule, index) => Object.assign(blankRule(`r${index}`), rule)) }); // prettier-ignore
  expect(read.errors).toEqual([]);
  return read.rules;
};
const feed = (more: Partial<ProductInput> = {}) => evaluateProduct({ ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8', slowShare: '50', ...more }); // prettier-ignore
const LB = 0.45359237 / 92.90304;
const facts = (more: Partial<RuleFacts> = {}): RuleFacts => ({ onDay: '2026-06-15', product: feed(), rateSi: 3 * LB, portions: 1, everyDays: null, soFar: [], soilTest: null, others: [], done: [], beforeSi: 0, mixPerM2: null, ...more }); // prettier-ignore
const states = (of: ReturnType<typeof rules>, more: Partial<RuleFacts>) => checkRules(of, facts(more), { need: 'lb/1000 ft2', rate: 'lb/1000 ft2' }).map(({ state }) => state); // prettier-ignore
const done = (onDay: string, isSameProduct = true, isInYear = true) => ({ onDay, isSameProduct, isInYear });

it('every day of every application is known to the rules; times are those of the area that has most', () => {
  const product = (key: string, ...days: string[]) => ({ key, name: key, count: days.length, lastDay: days.at(-1)!, days, siPerM2: 0 }); // prettier-ignore
  const area = (areaKey: string, ...products: ReturnType<typeof product>[]) => ({ areaKey, area: areaKey, site: '', areaName: '', siteName: '', lastDay: '', months: [], products }); // prettier-ignore
  const areas = [area('a', product('feed', '2026-04-18', '2026-09-01')), area('b', product('feed', '2025-12-01', '2026-05-18'), product('iron', '2026-06-10'))]; // prettier-ignore
  const before = doneOn(areas, 'feed', '2026-01-01');
  expect(before).toHaveLength(5);
  expect(before.filter(({ isSameProduct, isInYear }) => isSameProduct && isInYear).map(({ onDay }) => onDay)).toEqual(['2026-04-18', '2026-09-01']); // prettier-ignore
  // A day between two of them is near the earlier one, though it is not the last.
  expect(states(rules({ kind: 'least-days', amount: '21' }), { onDay: '2026-05-01', done: before })).toEqual(['broken']); // prettier-ignore
  expect(states(rules({ kind: 'times-in-a-year', amount: '2' }), { onDay: '2026-10-15', done: before })).toEqual(['broken']); // prettier-ignore
  expect(states(rules({ kind: 'times-in-a-year', amount: '3' }), { onDay: '2026-10-15', done: before })).toEqual(['kept']); // prettier-ignore
});

describe('rules that read the ledger', () => {
  it('closed dates hold over New Year, on the leap day, and for each portion', () => {
    const closed = rules({ kind: 'closed', from: '12-15', to: '03-01' });
    expect(['2026-12-14', '2026-12-15', '2027-01-01', '2028-02-29', '2027-03-01', '2027-03-02'].map((onDay) => states(closed, { onDay })[0])).toEqual(['kept', 'broken', 'broken', 'broken', 'broken', 'kept']); // prettier-ignore
    expect(states(closed, { onDay: '2026-11-20', portions: 2, everyDays: 30 })).toEqual(['broken']);
    expect(evaluateRuleSet({ name: 'T', source: '', unit: 'kg/ha', limits: blankLimits('us'), rules: [{ ...blankRule('r'), kind: 'closed' }] }).errors[0]!.code).toBe('season.unreadable'); // prettier-ignore
  });

  it('least days between two applications, whatever the product', () => {
    const least = rules({ kind: 'least-days', amount: '21' });
    expect(states(least, {})).toEqual(['kept']);
    expect(states(least, { done: [done('2026-05-26', false)] })).toEqual(['broken']);
    expect(states(least, { done: [done('2026-05-25', false)] })).toEqual(['kept']);
    expect(states(least, { portions: 2, everyDays: 14 })).toEqual(['broken']);
  });

  it('times in a year: those of the product, in the crew’s year', () => {
    const times = rules({ kind: 'times-in-a-year', amount: '3' });
    const before = [
      done('2026-04-18'),
      done('2026-05-18'),
      done('2025-09-01', true, false),
      done('2026-03-01', false),
    ];
    expect(states(times, { done: before })).toEqual(['kept']);
    expect(states(times, { done: before, portions: 2, everyDays: 30 })).toEqual(['broken']);
    const [check] = checkRules(times, facts({ done: before, portions: 2, everyDays: 30 }), { need: 'lb/1000 ft2', rate: 'lb/1000 ft2' }); // prettier-ignore
    expect(check!.working.parts.length).toBe(8);
  });

  it('the label’s most in a year takes what lies there of the product', () => {
    const product = feed({
      labelRate: { ...blankProduct('dry-fertilizer', 'us').labelRate, mostPerYear: '15' },
    });
    expect(states([], { product, beforeSi: 11 * LB })).toEqual(['kept']);
    expect(states([], { product, beforeSi: 13 * LB })).toEqual(['broken']);
  });

  it('the label’s least days count from what was spread', () => {
    const product = feed({ leastIntervalDays: '28' });
    const check = checkRules([], facts({ product, done: [done('2026-06-01')] }), { need: 'lb/1000 ft2', rate: 'lb/1000 ft2' }).at(-1)!; // prettier-ignore
    expect(check.state).toBe('broken');
    expect(speak(check.rule)).toMatch(/days/);
  });
});

describe('what is still allowed', () => {
  const set = rules({ kind: 'most-in-a-year', amount: '3.5' }, { kind: 'most-at-once', amount: '1' }, { kind: 'least-days', amount: '21' }, { kind: 'closed', from: '12-15', to: '03-01' }); // prettier-ignore
  it('3.0 of 3.5 lb N are there: half a pound of N is 2.083 lb of 24-0-8', () => {
    const before = {
      soFar: [{ nutrient: 'N' as const, kgPerM2: 3 * LB }],
      done: [],
      beforeSi: 0,
      soilTest: null,
    };
    expect(allowedOn(set, feed(), '2026-06-15', before).mostSi! / LB).toBeCloseTo(0.5 / 0.24, 6);
  });

  it('the nearest day is past the interval and the closed dates', () => {
    const before = { soFar: [], done: [done('2026-12-01')], beforeSi: 0, soilTest: null };
    expect(nextAllowedDay(set, feed(), '2026-12-05', before)).toBe('2027-03-02');
    expect(nextAllowedDay(set, feed(), '2026-06-15', { ...before, done: [done('2026-06-01')] })).toBe(
      '2026-06-22',
    );
    expect(allowedOn(set, feed(), '2026-12-20', before)).toMatchObject({ mostSi: 0, onDay: '2027-03-02' });
    expect(
      nextAllowedDay(rules({ kind: 'times-in-a-year', amount: '0' }), feed(), '2026-06-15', before),
    ).toBeNull();
  });

  it('the most that is allowed passes, and a little more fails', () => {
    const asked = fc.record({ year: fc.integer({ min: 10, max: 60 }), once: fc.integer({ min: 2, max: 20 }), there: fc.integer({ min: 0, max: 9 }), n: fc.integer({ min: 5, max: 46 }) }); // prettier-ignore
    fc.assert(
      fc.property(asked, ({ year, once, there, n }) => {
        const of = rules({ kind: 'most-in-a-year', amount: String(year / 10) }, { kind: 'most-at-once', amount: String(once / 10) }); // prettier-ignore
        const before = { soFar: [{ nutrient: 'N' as const, kgPerM2: (there / 10) * LB }], done: [], beforeSi: 0, soilTest: null }; // prettier-ignore
        const product = feed({ grade: `${n}-0-0` });
        const most = allowedOn(of, product, '2026-06-15', before).mostSi!;
        const broken = (rateSi: number) => states(of, { ...before, product, rateSi }).includes('broken');
        expect(broken(most)).toBe(false);
        expect(broken(most * 1.001)).toBe(true);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
});
