import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankDeicer, blankProduct, chlorideOf, DEICER_SALT_IDS, DEICER_SALTS, evaluateDeicer, evaluateProduct } from '../products/index.ts'; // prettier-ignore
import { productUpgrades } from '../products/productUpgrades.ts';
import type { ChartLine } from '../testing/index.ts';
import {
  amountFor,
  BRINE_SALT_IDS,
  blankGuide,
  colderDeicers,
  evaluateGuide,
  fateOnPavement,
  looksLikeAir,
  planNight,
  readPavement,
  scaleAtRest,
  servedLines,
  settingForBand,
  stationNow,
  strongest,
  totalFor,
  type StationReading,
} from './index.ts';

const SALT = { salt: 'sodium-chloride', share: 1, limitC: -9 } as const;
const GUIDE = evaluateGuide({
  ...blankGuide('metric', ['v', 'a'], '2026-11-01'),
  name: 'Town',
  versions: [{ id: 'v', fromDay: '2026-11-01', note: '', lines: [{ ...blankGuide('metric', ['v', 'a'], '').versions[0]!.lines[0]!, situation: 'Frost', cold: '-9', warm: '-2', low: '10', high: '20' }] }],
}).versions[0]!.lines; // prettier-ignore
const FROST = { situation: 'Frost', treatment: 'before', product: 'dry', trend: 'steady', share: null, pavementC: -5 } as const; // prettier-ignore

describe('a night', () => {
  it('falling takes the high end, rising the low one, unless somebody chose', () => {
    const rate = (more: object) => planNight(GUIDE, SALT, { ...FROST, ...more }).rateSi;
    expect([rate({}), rate({ trend: 'falling' }), rate({ trend: 'rising' })]).toEqual([0.015, 0.02, 0.01]);
    expect(rate({ trend: 'falling', share: 'low' })).toBe(0.01);
    const own = GUIDE.map((line) => Object.assign({}, line, { trend: 'falling' as const }));
    expect(planNight(own, SALT, { ...FROST, trend: 'falling' })).toMatchObject({ rateSi: 0.015, share: 'middle', isShareByTrend: true }); // prettier-ignore
  });

  it('says what holds: 15 g/m2 of sodium chloride at 23 °F', () => {
    const { fate, holdsM } = planNight(GUIDE, SALT, FROST);
    expect(fate).toBe('holds');
    expect(holdsM).toBeCloseTo(0.000175377, 9);
  });

  it('says what the product cannot do, by its limit, by its curve, or that nothing is known', () => {
    const fate = (deicer: object, pavementC = -12, form: 'dry' | 'liquid' = 'dry') => fateOnPavement({ ...SALT, ...deicer }, form, 0.015, pavementC).fate; // prettier-ignore
    expect(fate({})).toBe('limit');
    expect(fate({}, -9)).toBe('holds');
    expect(fate({ limitC: null }, -25)).toBe('cold');
    expect(fate({ limitC: null, salt: 'magnesium-chloride' })).toBe('unknown');
    expect(fate({ limitC: null, share: null })).toBe('unknown');
    expect(fate({}, 0)).toBe('thaws');
    expect(fate({ limitC: null, share: 0.05 }, -5, 'liquid')).toBe('freezes');
    expect(fate({ limitC: null, share: 0.233 }, -5, 'liquid')).toBe('holds');
    expect(fate({ limitC: null, share: 0.233 }, -30, 'liquid')).toBe('cold');
  });

  it('a guide without a line, or with nothing to put down, gives no rate', () => {
    expect(planNight(GUIDE, SALT, { ...FROST, pavementC: -20 })).toMatchObject({ rateSi: null, fate: 'limit' }); // prettier-ignore
    expect(planNight(GUIDE.map((line) => Object.assign({}, line, { rate: null })), SALT, FROST)).toMatchObject({ rateSi: null });
  }); // prettier-ignore

  it('names what works where another one does not, the one that reaches just far enough first', () => {
    const shelf = [{ name: 'Rock', limitC: -9 }, { name: 'Blend', limitC: -15 }, { name: 'Flake', limitC: -25 }, { name: 'Sand', limitC: null }]; // prettier-ignore
    expect(colderDeicers(shelf, -14).map(({ name }) => name)).toEqual(['Blend', 'Flake']);
  });

  it('property: more product never holds less water, and colder pavement never more', () => {
    const rates = fc.double({ min: 0.001, max: 0.1, noNaN: true });
    const cold = fc.double({ min: -20, max: -0.1, noNaN: true });
    const held = (rate: number, degC: number) => fateOnPavement({ ...SALT, limitC: null }, 'dry', rate, degC).holdsM!; // prettier-ignore
    fc.assert(
      fc.property(rates, rates, cold, cold, (a, b, one, other) => {
        expect(held(Math.max(a, b), one)).toBeGreaterThanOrEqual(held(Math.min(a, b), one));
        expect(held(a, Math.min(one, other))).toBeLessThanOrEqual(held(a, Math.max(one, other)));
      }),
      { seed: 3 },
    );
  });

  it('what is near the air and far from the pavement was read in the air', () => {
    expect(looksLikeAir(-6, -6.1, -3.9)).toBe(true);
    expect(looksLikeAir(-4, -6.1, -3.9)).toBe(false);
    // Where both are alike nobody can tell.
    expect(looksLikeAir(-4.2, -4.1, -3.9)).toBe(false);
  });

  it('pavement that no winter has is a slip of the unit', () => {
    expect(readPavement('23', 'degF', 'x')).toBeCloseTo(-5, 9);
    expect(() => readPavement('25', 'degC', 'x')).toThrow('pavement.slip');
    expect(() => readPavement('-70 F', 'degC', 'x')).toThrow('pavement.slip');
  });
});

describe('a setting for a band', () => {
  const chart = ([['6', 0.01], ['7', 0.03], ['8', 0.05]] as const).map(([label, rateSi], index): ChartLine => ({ mark: { label, opening: index + 1 }, rateSi, tested: true })); // prettier-ignore
  const band = (low: number, high: number) => ({ low, chosen: (low + high) / 2, high });
  const told = (found: ReturnType<typeof settingForBand>) => found && `${found.line.mark.label} ×${found.passes} at ${found.paceFactor.toFixed(2)}`; // prettier-ignore

  it('is the mark in it that is nearest', () =>
    expect(told(settingForBand(chart, band(0.009, 0.039), true))).toBe('7 ×1 at 1.00'));
  it('between marks is another pace where pace acts, else several passes', () => {
    // 7 puts down 0.03; a quarter faster 0.024.
    expect(told(settingForBand(chart, { low: 0.023, chosen: 0.024, high: 0.025 }, true))).toBe('7 ×1 at 1.25');
    expect(settingForBand(chart, { low: 0.019, chosen: 0.02, high: 0.021 }, false)).toMatchObject({ passes: 2, rateSi: 0.02, line: { mark: { label: '6' } } });
    expect(told(settingForBand(chart, { low: 0.019, chosen: 0.02, high: 0.021 }, true))).toBe('6 ×2 at 1.00');
  }); // prettier-ignore
  it('of a guide: which mark serves which line, in whatever the chart counts', () => {
    const lines = GUIDE.flatMap((line) => [line, Object.assign({}, line, { id: 'b', rate: { low: 0.2, high: 0.3 } }), Object.assign({}, line, { id: 'c', rate: null })]); // prettier-ignore
    const onGround = { chart, dimension: 'massPerArea', widthM: 2, tolerance: 0.05 } as const;
    const served = servedLines(lines, 'dry', onGround, false);
    expect(served.map(({ line, found }) => [line.id, told(found)])).toEqual([['a', '6 ×1 at 1.00'], ['b', null]]); // prettier-ignore
    // On each metre of lane 2 m wide: 0.03 kg is 0.015 kg/m2.
    const onLane = { ...onGround, dimension: 'massPerLaneLength' } as const;
    expect(told(servedLines(lines, 'dry', onLane, false)[0]!.found)).toBe('7 ×1 at 1.00');
    expect(servedLines(lines, 'dry', { ...onLane, widthM: null }, false)[0]!.found).toBeNull();
    expect(servedLines(lines, 'liquid', onGround, false)).toEqual([]);
  });
  it('that nothing reaches is none', () => {
    expect(settingForBand(chart, band(0.3, 0.4), true)).toBeNull();
    expect(settingForBand([], band(0.3, 0.4), true)).toBeNull();
    expect(() => settingForBand(chart, { low: 0, chosen: 1, high: 2 }, true)).toThrow('number.unusable');
  });
});

describe('a station', () => {
  const now = Date.parse('2026-12-04T03:00:00.000Z');
  const every = (minutes: number, count: number, value: (at: number) => number): StationReading[] =>
    Array.from({ length: count }, (_, index) => ({ of: 'pavement', value: value(index), at: new Date(now - (count - 1 - index) * minutes * 60_000).toISOString() })); // prettier-ignore

  it('tells the last reading and where it is going', () => {
    // Half a degree in ten minutes is three in an hour.
    expect(stationNow(every(10, 12, (at) => -0.5 * at), 'pavement', now)).toMatchObject({ value: -5.5, trend: 'falling', perHour: expect.closeTo(-3, 9) }); // prettier-ignore
    expect(
      stationNow(
        every(10, 12, (at) => 0.1 * at),
        'pavement',
        now,
      )?.trend,
    ).toBe('rising');
    expect(
      stationNow(
        every(10, 12, (at) => 0.02 * at),
        'pavement',
        now,
      )?.trend,
    ).toBe('steady');
  });
  it('tells no trend from too little, and nothing of what is old or of something else', () => {
    expect(stationNow(every(5, 3, () => -5), 'pavement', now)).toMatchObject({ value: -5, trend: null }); // prettier-ignore
    expect(stationNow(every(10, 12, () => -5), 'pavement', now + 31 * 60_000)).toBeNull(); // prettier-ignore
    expect(stationNow(every(10, 12, () => -5), 'air', now)).toBeNull(); // prettier-ignore
  });
  it('property: a straight line is told with its slope, whatever else is read', () => {
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), fc.double({ min: -20, max: 5, noNaN: true }), (slope, start) => {
        const found = stationNow([...every(10, 13, (at) => start + (slope * at) / 6), { of: 'air', value: 99, at: new Date(now).toISOString() }], 'pavement', now)!; // prettier-ignore
        expect(found.perHour).toBeCloseTo(slope, 6);
      }),
      { seed: 5 },
    ); // prettier-ignore
  });
  it('a scale counts once it rests', () => {
    const scale = (...values: number[]): StationReading[] => values.map((value, index) => ({ of: 'scale', value, at: new Date(now + index).toISOString() })); // prettier-ignore
    expect(scaleAtRest(scale(1, 2, 2, 2))).toBe(2);
    expect(scaleAtRest(scale(2, 2, 2.01))).toBeNull();
    expect(scaleAtRest(scale(2, 2))).toBeNull();
  });
});

describe('what a site takes', () => {
  const LOADS = { packageSi: 25, fillSi: 30, scoopKg: 0.9 };
  it('in kg, in scoops by hand, in packages and fills rounded up once', () => {
    expect(amountFor({ areaM2: 400, isByHand: false }, 0.015, LOADS)).toEqual({ amountSi: 6, scoops: null });
    expect(amountFor({ areaM2: 30, isByHand: true }, 0.015, LOADS)!.scoops).toBeCloseTo(0.5, 9);
    expect(amountFor({ areaM2: null, isByHand: true }, 0.015, LOADS)).toBeNull();
    const areas = [{ areaM2: 4000, isByHand: false }, { areaM2: 400, isByHand: true }, { areaM2: null, isByHand: false }]; // prettier-ignore
    // 4400 m2 take 66 kg, 60 of them by machine.
    expect(totalFor(areas, 0.015, LOADS)).toEqual({ areaM2: 4400, amountSi: 66, packages: 3, fills: 2 });
    expect(totalFor([], 0.015, { packageSi: null, fillSi: null, scoopKg: null })).toEqual({ areaM2: 0, amountSi: 0, packages: null, fills: null }); // prettier-ignore
  });
});

describe('a de-icer', () => {
  const typed = (more: object) => ({ ...blankDeicer('us'), salt: 'sodium-chloride' as const, ...more });
  it('is its salt, how much of it, and the coldest pavement that it works on', () => {
    expect(evaluateDeicer(typed({ purity: '95', limit: { text: '15', unit: 'degF' } }), 'dry')).toMatchObject({ share: 0.95, limitC: expect.closeTo(-9.444444, 5), errors: [] }); // prettier-ignore
    expect(evaluateDeicer(typed({}), 'dry').share).toBe(1);
    expect(evaluateDeicer(typed({}), 'liquid').share).toBeNull();
    expect(evaluateDeicer(typed({ strength: '23.3' }), 'liquid').share).toBeCloseTo(0.233, 9);
  });
  it('says what is wrong: a limit above freezing, a share of nothing', () => {
    const { errors, share } = evaluateDeicer(typed({ purity: '0', limit: { text: '40', unit: 'degF' } }), 'dry'); // prettier-ignore
    expect(errors.map(({ field }) => field)).toEqual(['deicer.purity', 'deicer.limit.text']);
    expect(share).toBeNull();
    const product = { ...blankProduct('dry-deicer', 'us'), name: 'Salt', deicer: typed({ purity: '0' }) };
    expect(evaluateProduct(product).errors.map(({ field }) => field)).toEqual(['deicer.purity']);
  });
  it('that is liquid is no stronger than water makes it: a brine of 40 % salt is a slip', () => {
    const strong = (strength: string, form: 'dry' | 'liquid' = 'liquid') => evaluateDeicer(typed({ strength }), form).errors.map(({ code, field }) => [code, field]); // prettier-ignore
    expect(strong('40')).toEqual([['brine.too-strong', 'deicer.strength']]);
    expect(strong('26')).toEqual([]);
    expect(strong('40', 'dry')).toEqual([]);
    for (const salt of BRINE_SALT_IDS) expect(DEICER_SALTS[salt].strongest).toBe(strongest(salt));
  });
  it('has chloride by its salt', () => {
    const found = DEICER_SALT_IDS.map((salt) => chlorideOf({ salt, share: 0.5 }, 100));
    [30.33, 31.945, 37.235, 0].forEach((kg, index) => expect(found[index]).toBeCloseTo(kg, 9));
    expect(chlorideOf({ salt: null, share: 1 }, 100)).toBeNull();
  });
  it('of an earlier version says nothing, in its own degrees', () => {
    const { upgrade } = productUpgrades.find(({ adds }) => adds.includes('deicer'))!;
    expect(upgrade({ package: { unit: 'kg' } })['deicer']).toMatchObject({
      salt: '',
      limit: { unit: 'degC' },
    });
    expect(upgrade({ package: { unit: 'lb' } })['deicer']).toMatchObject({ limit: { unit: 'degF' } });
  });
});
