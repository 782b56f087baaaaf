import { speak } from '@steady-scatter/words/everything';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ChartLine } from '../testing/index.ts';
import {
  amountFor,
  blankGuide,
  evaluateGuide,
  GUIDE_PRODUCTS,
  guideRulers,
  guideTable,
  lookUpGuide,
  planNight,
  readGuideTable,
  settingForBand,
  totalFor,
  TREATMENTS,
  TRENDS,
  type GuideInput,
  type GuideLineInput,
} from './index.ts';

const seed = { seed: 20_261 };
const MAX_PASSES = 3;

/** Marks whose rates rise. */
const charts = fc
  .array(fc.double({ min: 0.0005, max: 0.02, noNaN: true }), { minLength: 1, maxLength: 8 })
  .map((steps) => steps.map((_, index): ChartLine => ({ mark: { label: String(index + 1), opening: index + 1 }, rateSi: steps.slice(0, index + 1).reduce((sum, step) => sum + step, 0), tested: true }))); // prettier-ignore
const bands = fc
  .tuple(
    fc.double({ min: 0.001, max: 0.2, noNaN: true }),
    fc.double({ min: 1, max: 3, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
  ) // prettier-ignore
  .map(([low, times, share]) => ({ low, high: low * times, chosen: low + share * low * (times - 1) }));

describe('a setting for a band', () => {
  it('puts down what lies in the band, in few passes, at a pace near that of the chart', () => {
    fc.assert(
      fc.property(charts, bands, fc.boolean(), (chart, band, isByTime) => {
        const found = settingForBand(chart, band, isByTime);
        if (!found) return;
        expect(found.rateSi).toBeGreaterThanOrEqual(band.low * (1 - 1e-9));
        expect(found.rateSi).toBeLessThanOrEqual(band.high * (1 + 1e-9));
        expect(found.passes).toBeLessThanOrEqual(MAX_PASSES);
        expect(chart).toContain(found.line);
        // What really comes out: the mark's rate, in so many passes, at that pace.
        expect((found.line.rateSi * found.passes) / found.paceFactor).toBeCloseTo(found.rateSi, 9);
        if (!isByTime) expect(found.paceFactor).toBe(1);
      }),
      seed,
    );
  });

  it('is a plain mark wherever one lies in the band, and the nearest of those', () => {
    fc.assert(
      fc.property(charts, bands, fc.boolean(), (chart, band, isByTime) => {
        const within = chart.filter(({ rateSi }) => rateSi >= band.low && rateSi <= band.high);
        fc.pre(within.length > 0);
        const found = settingForBand(chart, band, isByTime)!;
        expect([found.passes, found.paceFactor]).toEqual([1, 1]);
        const off = (rateSi: number) => Math.abs(rateSi / band.chosen - 1);
        for (const { rateSi } of within)
          expect(off(found.rateSi)).toBeLessThanOrEqual(off(rateSi) * (1 + 1e-9));
      }),
      seed,
    );
  });

  it('a wider band is served where a narrower one is', () => {
    fc.assert(
      fc.property(charts, bands, (chart, band) => {
        fc.pre(settingForBand(chart, band, false) !== null);
        expect(settingForBand(chart, { ...band, low: band.low * 0.9, high: band.high * 1.1 }, false)).not.toBeNull(); // prettier-ignore
      }),
      seed,
    );
  });
});

const degrees = fc.integer({ min: -25, max: 5 });
const lines = fc
  .array(
    fc.record({
      from: degrees,
      width: fc.integer({ min: 1, max: 12 }),
      situation: fc.constantFrom('Frost', 'Light snow', 'Ice; "black"'),
      trend: fc.constantFrom('any' as const, ...TRENDS),
      treatment: fc.constantFrom('any' as const, ...TREATMENTS),
      product: fc.constantFrom(...GUIDE_PRODUCTS),
      low: fc.integer({ min: 1, max: 20 }),
      more: fc.integer({ min: 0, max: 20 }),
      advice: fc.constantFrom('', 'Plow first', 'a,b\n"c"'),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((many) => many.map(({ from, width, low, more, ...line }, index): GuideLineInput => ({ ...line, id: `l${index}`, cold: String(from), warm: String(Math.min(from + width, 14)), low: String(low), high: String(low + more) }))); // prettier-ignore
const guideOf = (of: readonly GuideLineInput[]): GuideInput => ({ ...blankGuide('metric', ['v', 'x'], '2026-11-01'), name: 'Any', versions: [{ id: 'v', fromDay: '2026-11-01', note: '', lines: [...of] }] }); // prettier-ignore
const SALT = { salt: 'sodium-chloride', share: 1, limitC: null } as const;

describe('a guide', () => {
  it('goes out as a table and comes back the same, line by line', () => {
    fc.assert(
      fc.property(lines, (of) => {
        const guide = guideOf(of);
        let at = -1;
        const back = readGuideTable(guideTable(guide, guide.versions[0]!, speak), guide, () => `l${(at += 1)}`, speak); // prettier-ignore
        expect(back).toEqual(of);
      }),
      seed,
    );
  });

  it('gives a line of the case that is asked for, and the same one whatever the order of its lines', () => {
    fc.assert(
      fc.property(lines, degrees, fc.constantFrom(...TRENDS), fc.constantFrom(...TREATMENTS), (of, degC, trend, treatment) => {
        const read = evaluateGuide(guideOf(of)).versions[0]!.lines;
        const asked = { trend, treatment, situation: 'FROST ', product: 'dry' } as const;
        const { line } = lookUpGuide(read, degC, asked);
        const turned = lookUpGuide(read.toReversed(), degC, asked).line;
        expect(turned?.coldC).toEqual(line?.coldC);
        if (!line) return;
        expect([line.product, line.situation]).toEqual(['dry', 'Frost']);
        expect(['any', trend]).toContain(line.trend);
        expect(['any', treatment]).toContain(line.treatment);
        expect(degC).toBeGreaterThanOrEqual(line.coldC!);
        expect(degC).toBeLessThanOrEqual(line.warmC!);
      }),
      seed,
    ); // prettier-ignore
  });

  it('every line stands on a ruler', () => {
    fc.assert(
      fc.property(lines, (of) => {
        const read = evaluateGuide(guideOf(of)).versions[0]!.lines;
        const drawn = new Set(guideRulers(read).flatMap(({ bands: own }) => own.map(({ line }) => line.id)));
        expect(drawn).toEqual(new Set(read.map(({ id }) => id)));
      }),
      seed,
    );
  });

  it('the rate of a night lies in the range of its line: falling at least as high as steady, rising no higher', () => {
    fc.assert(
      fc.property(lines, degrees, (of, pavementC) => {
        const anyTrend = of.map((line) => Object.assign({}, line, { trend: 'any' as const }));
        const read = evaluateGuide(guideOf(anyTrend)).versions[0]!.lines;
        const plan = (trend: (typeof TRENDS)[number]) => planNight(read, SALT, { pavementC, trend, situation: 'Frost', treatment: 'after', product: 'dry', share: null }); // prettier-ignore
        const [rising, steady, falling] = TRENDS.map((trend) => plan(trend));
        if (!steady!.answer.line) return;
        const { low, high } = steady!.answer.line.rate!;
        expect(rising!.rateSi).toBe(low);
        expect(falling!.rateSi).toBe(high);
        expect(steady!.rateSi).toBeCloseTo((low + high) / 2, 12);
      }),
      seed,
    );
  });
});

describe('what areas take', () => {
  const area = fc.record({ areaM2: fc.option(fc.double({ min: 0.5, max: 1e5, noNaN: true })), isByHand: fc.boolean() }); // prettier-ignore
  const LOADS = { packageSi: 25, fillSi: 30, scoopKg: 0.9 };

  it('one by one is what they take together, and packages and fills hold it', () => {
    fc.assert(
      fc.property(fc.array(area, { maxLength: 12 }), fc.double({ min: 0.001, max: 0.1, noNaN: true }), (areas, rate) => {
        const total = totalFor(areas, rate, LOADS);
        const each = areas.map((one) => amountFor(one, rate, LOADS));
        const sum = each.reduce((all, one) => all + (one?.amountSi ?? 0), 0);
        expect(total.amountSi).toBeCloseTo(sum, 6);
        expect(total.packages! * LOADS.packageSi).toBeGreaterThanOrEqual(total.amountSi * (1 - 1e-8));
        expect((total.packages! - 1) * LOADS.packageSi).toBeLessThan(Math.max(total.amountSi, 1e-9));
        const byHand = areas.reduce((all, one, index) => all + (one.isByHand ? (each[index]?.amountSi ?? 0) : 0), 0);
        expect(total.fills! * LOADS.fillSi).toBeGreaterThanOrEqual((total.amountSi - byHand) * (1 - 1e-6) - 1e-6);
      }),
      seed,
    ); // prettier-ignore
  });
});
