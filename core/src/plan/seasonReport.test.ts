import { describe, expect, it } from 'vitest';
import {
  blankProduct,
  blankRule,
  blankRuleSet,
  evaluateRuleSet,
  plannedPortions,
  portionsFor,
  seasonReport,
  UNITS,
  type LedgerRow,
  type SeasonFacts,
} from '../index.ts';

const LB = UNITS['lb/1000 ft2'].toSi;
const NONE = { N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 };
const row = (root: string, onDay: string, more: Partial<LedgerRow> = {}): LedgerRow => ({
  root, subject: 'j', runId: 'r', onDay, startedAt: `${onDay}T08:00:00.000Z`, site: 's', area: 'a', areaKey: 'a', areaName: 'Lawn', siteName: 'Lake front', by: '',
  productKey: 'feed', productName: 'Feed', lot: '', machine: '', areaM2: 100, amountSi: 10.5, meantSi: 10, isWeighed: true, isRound: false, isVoid: false,
  nutrients: { ...NONE, N: 0.4, K2O: 0.1 }, quickNKg: 0, aiKg: 0, saltKg: 0, chlorideKg: 0, cents: 500, ...more,
}); // prettier-ignore
const year = { from: '2026-01-01', to: '2026-12-31' };
const feed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Feed', grade: '24-0-8' };
const ground = (area: string, areaName: string) => ({ site: 's', area, siteName: 'Lake front', areaName, areaM2: 100 }); // prettier-ignore
let next = 0;
const planned = plannedPortions(
  portionsFor({ ground: [ground('a', 'Lawn'), ground('b', 'Bank')], product: { id: 'p', name: 'Feed' }, nutrient: 'N', totalSi: 1.6 * LB, unit: 'lb/1000 ft2', times: 2, firstDay: '2026-04-18', everyDays: 30 }, () => String((next += 1))), // prettier-ignore
  [{ id: 'p', input: feed }],
  [ground('a', 'Lawn'), ground('b', 'Bank')],
);
const cap = evaluateRuleSet({ ...blankRuleSet('lb/1000 ft2', 'r'), name: 'Town', rules: [{ ...blankRule('r'), kind: 'most-in-a-year', amount: '3' }, { ...blankRule('q'), kind: 'most-in-a-year', amount: '2.5' }] }).rules; // prettier-ignore
const of = (rows: readonly LedgerRow[], more: Partial<SeasonFacts> = {}) => seasonReport({ year, rows, planned, rulesOn: () => cap, cvOf: () => null, ...more }); // prettier-ignore

describe('the report of a season', () => {
  it('of each area: spread, planned, the strictest cap, last year; what was planned and never spread is there too', () => {
    const [site] = of([row('a', '2026-04-18'), row('b', '2026-05-20'), row('c', '2025-06-01'), row('d', '2024-06-01')]); // prettier-ignore
    const [bank, lawn] = site!.lines;
    expect(lawn!.delivered.N).toBeCloseTo(0.008, 12);
    expect(lawn!.before.N).toBeCloseTo(0.004, 12);
    expect(lawn!.planned!.N / LB).toBeCloseTo(1.6, 9);
    expect(lawn!.planned!.K2O / LB).toBeCloseTo((1.6 / 24) * 8, 9);
    expect(lawn!.caps.N! / LB).toBeCloseTo(2.5, 9);
    expect(lawn!.caps.K2O).toBeNull();
    expect(bank).toMatchObject({ areaName: 'Bank', count: 0, centsPerM2: null, ratio: null });
  });

  it('what does not count is in none of it, and the order of records does not matter', () => {
    const rows = [row('a', '2026-04-18'), row('b', '2026-05-20', { isVoid: true }), row('c', '2026-07-01')];
    expect(of(rows)[0]!.count).toBe(2);
    expect(of(rows.toReversed())).toEqual(of(rows));
  });

  it('accuracy of what was weighed, evenness over the ground, cost on each square metre, salt against last year', () => {
    const rows = [row('a', '2026-04-18'), row('b', '2026-05-20', { areaM2: 300, amountSi: 33, meantSi: 30 }), row('c', '2026-06-20', { isWeighed: false, amountSi: 99, cents: null }), row('d', '2026-01-20', { saltKg: 5, chlorideKg: 3 }), row('e', '2025-01-20', { saltKg: 8, chlorideKg: 5 })]; // prettier-ignore
    const [site] = of(rows, { cvOf: (root) => ({ a: 0.1, b: 0.2 })[root] ?? null });
    // (10.5 + 33 + 10.5) / (10 + 30 + 10); (0.1 x 100 + 0.2 x 300) / 400.
    expect(site!.ratio).toBeCloseTo(54 / 50, 12);
    expect(site!.cv).toBeCloseTo(0.175, 12);
    expect(site).toMatchObject({
      cents: 1500,
      withoutPrice: 1,
      saltKg: 5,
      saltBeforeKg: 8,
      chlorideBeforeKg: 5,
    });
    expect(site!.lines.find(({ areaName }) => areaName === 'Lawn')!.centsPerM2).toBeCloseTo(5 + 500 / 300 + 5, 9); // prettier-ignore
  });

  it('a year that begins in July takes its own days, and the twelve months before', () => {
    const rows = [
      row('a', '2026-06-30'),
      row('b', '2026-07-01'),
      row('c', '2027-06-30'),
      row('d', '2025-07-01'),
    ];
    const [site] = of(rows, { year: { from: '2026-07-01', to: '2027-06-30' }, planned: [] });
    expect(site!.count).toBe(2);
    expect(site!.lines[0]!.before.N).toBeCloseTo(0.008, 12);
  });
});
