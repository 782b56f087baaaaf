import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysLater } from '../fields/days.ts';
import { monthLater, openingMonth, weeksFrom } from './index.ts';

const month = fc.record({ year: fc.integer({ min: 1990, max: 2150 }), month: fc.integer({ min: 1, max: 12 }) }).map((of) => `${of.year}-${String(of.month).padStart(2, '0')}`); // prettier-ignore

describe('the weeks of a calendar', () => {
  it('begin on the Monday of the week in which the month begins, day after day without a gap', () => {
    expect(weeksFrom('2027-02')[0]).toEqual(['2027-02-01', '2027-02-02', '2027-02-03', '2027-02-04', '2027-02-05', '2027-02-06', '2027-02-07']); // prettier-ignore
    expect(weeksFrom('2028-02').flat()).toContain('2028-02-29');
    fc.assert(
      fc.property(month, (of) => {
        const days = weeksFrom(of).flat();
        expect(days).toHaveLength(91);
        expect(new Date(`${days[0]}T00:00:00Z`).getUTCDay()).toBe(1);
        expect(days.indexOf(`${of}-01`)).toBeLessThan(7);
        expect(days.indexOf(`${of}-01`)).toBeGreaterThanOrEqual(0);
        for (const [at, day] of days.entries()) expect(day).toBe(daysLater(days[0]!, at));
      }),
      { seed: 5, numRuns: 120 },
    );
  });

  it('a month later and a month sooner is the same month, over any number of years', () => {
    fc.assert(
      fc.property(month, fc.integer({ min: -60, max: 60 }), (of, by) => {
        expect(monthLater(monthLater(of, by), -by)).toBe(of);
      }),
      { seed: 6 },
    );
    expect([monthLater('2026-01', -1), monthLater('2026-12', 13)]).toEqual(['2025-12', '2028-01']);
  });

  it('opens where something is to be done next; with nothing left, where the plan begins', () => {
    expect(openingMonth(['2026-09-14', '2026-04-18', '2026-06-15'], '2026-06-01', '2026-01-01')).toBe('2026-06'); // prettier-ignore
    expect(openingMonth(['2026-04-18'], '2026-06-01', '2026-01-01')).toBe('2026-01');
    expect(openingMonth(['2026-06-01'], '2026-06-01', '2026-01-01')).toBe('2026-06');
  });
});
