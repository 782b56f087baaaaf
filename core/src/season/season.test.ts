import { speak } from '@steady-scatter/words/everything';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { message } from '../messages/message.ts';
import {
  blankApplication,
  blankStorm,
  blankWinter,
  evaluateApplication,
  evaluateStorm,
  evaluateWinter,
  machineLoads,
  rowsWithin,
  saltBy,
  saltOf,
  savingAgainst,
  splitByPlan,
  winterOn,
  yearBefore,
  type ApplicationInput,
  type DoneRow,
  type SeasonRow,
} from './index.ts';
import { SEASON_COLUMNS, seasonTable } from './seasonTable.ts';

const blank = blankApplication('metric');
const salted = (more: Partial<ApplicationInput> = {}, deicer: Partial<ApplicationInput['product']['deicer']> = {}): ApplicationInput => ({
  ...blank,
  areaName: 'Church lot',
  size: { text: '400', unit: 'm2' },
  product: { ...blank.product, name: 'Rock salt', deicer: { ...blank.product.deicer, salt: 'sodium-chloride', ...deicer } },
  amount: { text: '6', unit: 'kg', from: 'weighed' },
  ...more,
}); // prettier-ignore
const swept = (text: string) => ({ swept: { text, unit: 'kg', to: 'reused' } }) as const;
const row = (onDay: string, subject: string, input: ApplicationInput): SeasonRow => ({ id: `${onDay}${subject}`, subject, onDay, input }); // prettier-ignore
const codes = (input: ApplicationInput) => evaluateApplication(input).errors.map(({ code, field }) => [code, field]); // prettier-ignore

describe('an application', () => {
  it('is what went out, what stayed, and the salt and the chloride in that', () => {
    const read = evaluateApplication(salted(swept('1'), { purity: '95' }));
    expect(read).toMatchObject({ areaM2: 400, amountSi: 6, sweptSi: 1, onGroundSi: 5, achievedSi: 0.015, errors: [] }); // prettier-ignore
    expect(read.saltKg).toBeCloseTo(4.75, 9);
    // 4.75 kg of salt, 60.66 % of it chloride.
    expect(read.chlorideKg).toBeCloseTo(2.88135, 9);
  });

  it('of brine counts the salt by its strength and the density of that', () => {
    const liquid = salted(
      { product: { ...salted().product, kind: 'liquid-deicer', deicer: { salt: 'sodium-chloride', purity: '', strength: '20', limit: blank.product.deicer.limit } }, amount: { text: '100', unit: 'L', from: 'weighed' } },
    ); // prettier-ignore
    expect(evaluateApplication(liquid).saltKg).toBeCloseTo(100 * 1.14779 * 0.2, 9);
    const unknown = { ...liquid, product: { ...liquid.product, deicer: { ...liquid.product.deicer, salt: 'magnesium-chloride' as const } } }; // prettier-ignore
    expect(evaluateApplication(unknown)).toMatchObject({ saltKg: null, chlorideKg: null });
    const dense = { ...unknown, product: { ...unknown.product, density: '1.17' } };
    expect(evaluateApplication(dense).chlorideKg).toBeCloseTo(100 * 1.17 * 0.2 * 0.7447, 6);
    const strong = { ...liquid, product: { ...liquid.product, deicer: { ...liquid.product.deicer, strength: '40' } } }; // prettier-ignore
    expect(evaluateApplication(strong).saltKg).toBeNull();
  });

  it('of fertilizer has no salt', () =>
    expect(evaluateApplication(salted({ product: { ...salted().product, kind: 'dry-fertilizer' } }))).toMatchObject({ saltKg: null, chlorideKg: null, onGroundSi: 6 })); // prettier-ignore

  it('says what is wrong at its field', () => {
    expect(codes(blank)).toEqual([['area-name.empty', 'areaName'], ['number.empty', 'amount.text']]); // prettier-ignore
    expect(codes(salted(swept('7')))).toEqual([['application.swept', 'swept.text']]);
    expect(codes(salted({ amount: { text: '-6', unit: 'kg', from: 'weighed' } }))).toEqual([['quantity.not-positive', 'amount.text']]); // prettier-ignore
    expect(codes(salted({ until: 'later' }))).toEqual([['application.until', 'until']]);
    expect(codes(salted({ weather: { ...blank.weather, pavement: '25' } }))).toEqual([['pavement.slip', 'weather.pavement']]); // prettier-ignore
    expect(codes(salted({}, { purity: 'pure' })).map(([, field]) => field)).toEqual(['product.deicer.purity']); // prettier-ignore
    expect(codes(salted({ rate: { text: '15 L', unit: 'g/m2' } }))[0]?.[1]).toBe('rate.text');
  });

  it('that does not count, or of no known size, is told as that', () => {
    expect(evaluateApplication(salted({ void: 'Wrong lot' })).isVoid).toBe(true);
    expect(evaluateApplication(salted({ size: { text: '', unit: 'm2' } })).achievedSi).toBeNull();
  });
});

describe('a weigh-back of several areas', () => {
  it('is weighed back machine by machine, and each product of it alone', () => {
    const of = (machine: string, product: string, more: Partial<ApplicationInput> = {}) => ({ input: salted({ machine: { ...blank.machine, id: machine }, product: { ...salted().product, id: product }, ...more }) }) as DoneRow; // prettier-ignore
    const walk = [of('walk', 'salt'), of('walk', 'salt')];
    const brine = of('trailer', 'brine', { product: { ...salted().product, id: 'brine', kind: 'liquid-deicer' } }); // prettier-ignore
    const flake = of('walk', 'flake');
    const left = [of('', 'salt'), of('walk', 'salt', { void: 'twice' })];
    expect(machineLoads([walk[0]!, brine, ...left, flake, walk[1]!])).toEqual([walk, [brine], [flake]]);
  });

  it('is shared out as planned', () => {
    expect(splitByPlan(30, [10, 20, 30])).toEqual([5, 10, 15]);
    expect(splitByPlan(30, [0, 0])).toEqual([15, 15]);
    expect(splitByPlan(30, [])).toEqual([]);
  });
  it('property: all shares together are the whole, none below nothing', () => {
    const amounts = fc.array(fc.double({ min: 0, max: 1e4, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e5, noNaN: true }), amounts, (total, planned) => {
        const shares = splitByPlan(total, planned);
        expect(shares.reduce((sum, each) => sum + each, 0)).toBeCloseTo(total, 6);
        expect(Math.min(...shares)).toBeGreaterThanOrEqual(-1e-6);
      }),
      { seed: 17 },
    );
  });
});

describe('a storm', () => {
  const storm = { ...blankStorm(), name: 'New year ice', fromDay: '2026-12-31' };
  it('may go over New Year, and not end before it begins', () => {
    expect(evaluateStorm({ ...storm, toDay: '2027-01-01' }).errors).toEqual([]);
    expect(evaluateStorm({ ...storm, toDay: '2026-12-30' }).errors.map(({ field }) => field)).toEqual(['toDay']); // prettier-ignore
    expect(evaluateStorm(blankStorm()).errors.map(({ code }) => code)).toEqual(['name.empty', 'date.unreadable']); // prettier-ignore
  });
});

describe('a winter', () => {
  const winter = { ...blankWinter('metric'), name: 'W', fromDay: '2026-11-01', toDay: '2027-04-15' };
  const rows = [
    row('2026-12-31', 'a', salted(swept('1'))),
    row('2027-01-01', 'a', salted({ areaName: 'Walk', amount: { text: '2', unit: 'kg', from: 'weighed' } })),
    row('2027-01-20', 'b', salted({ void: 'Not done' })),
    row('2026-10-01', 'c', salted()),
  ];
  const within = rowsWithin(rows, winter.fromDay, winter.toDay);

  it('is read with its goal and the habit of before', () => {
    expect(evaluateWinter({ ...winter, goal: { text: '2', unit: 't' }, habit: { text: '50', unit: 'g/m2' } })).toMatchObject({ goalKg: 2000, habitKgPerM2: 0.05, errors: [] }); // prettier-ignore
    expect(evaluateWinter({ ...winter, toDay: '2026-10-01' }).errors.map(({ code }) => code)).toEqual(['winter.ends']); // prettier-ignore
  });

  it('sums what counts, over New Year', () => {
    expect(saltOf(within)).toMatchObject({ rounds: 2, treatedM2: 800, saltKg: 7, sweptKg: 1, unknown: 0 });
    expect(saltBy(within, ({ subject }) => subject).map(({ key, sums }) => [key, sums.saltKg])).toEqual([['a', 7], ['b', 0]]); // prettier-ignore
    expect(saltOf([row('2026-12-01', 'a', salted({}, { salt: '' }))]).unknown).toBe(1);
  });

  it('against the habit of before: 800 m2 at 50 g/m2 are 40 kg, 8 went out', () => {
    expect(savingAgainst(within, 0.05)).toEqual({ rounds: 2, treatedM2: 800, habitKg: 40, usedKg: 8, savedKg: 32, meanKgPerM2: 0.01 }); // prettier-ignore
    expect(savingAgainst([], 0.05)).toBeNull();
  });

  it('is the one that a day lies in', () => {
    expect(winterOn([winter], '2027-01-01')).toBe(winter);
    expect(winterOn([winter], '2027-04-16')).toBeNull();
  });

  it('is held against the one before, as far as it has come', () => {
    expect(yearBefore(winter, '2026-12-20')).toEqual({ fromDay: '2025-11-01', toDay: '2025-12-20' });
    expect(yearBefore(winter, '2028-01-01').toDay).toBe('2026-04-15');
    expect(yearBefore({ fromDay: '2027-11-01', toDay: '2028-03-01' }, '2028-02-29').toDay).toBe('2027-02-28');
  });

  it('property: salt out is salt on the ground and swept up, however it is grouped', () => {
    const amount = fc.integer({ min: 0, max: 900 });
    const one = fc.record({ out: amount, back: amount, day: fc.integer({ min: 10, max: 28 }), site: fc.constantFrom('a', 'b', 'c') }); // prettier-ignore
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), (many) => {
        const some = many.map(({ out, back, day, site }) => row(`2026-12-${day}`, site, salted({ amount: { text: `${out + back}`, unit: 'kg', from: 'weighed' }, ...swept(`${back}`) }, { purity: '90' }))); // prettier-ignore
        const { saltKg, sweptKg } = saltOf(some);
        const out = many.reduce((sum, each) => sum + 0.9 * (each.out + each.back), 0);
        expect(saltKg + sweptKg).toBeCloseTo(out, 6);
        const parts = saltBy(some, ({ subject }) => subject);
        expect(parts.reduce((sum, { sums }) => sum + sums.saltKg, 0)).toBeCloseTo(saltKg, 6);
      }),
      { seed: 23 },
    );
  });
});

describe('a season as a table', () => {
  const done = (input: ApplicationInput, startedAt = '2026-01-13T23:40:00.000Z') => ({ ...row('2026-01-14', 's1', input), startedAt, versions: [], isSaved: true }) as never; // prettier-ignore
  const atPlace = (moment: string) => moment.slice(0, 16).replace('T', ' ');
  const read = (input: ApplicationInput) => {
    const [headings, cells] = seasonTable([done(input)], (id) => `storm ${id}`, atPlace, speak);
    expect(headings).toHaveLength(SEASON_COLUMNS.length);
    return Object.fromEntries(SEASON_COLUMNS.map((column, index) => [column, cells![index]]));
  };

  it('tells of each area what went out, and the salt and the chloride in what stayed', () => {
    expect(
      read(salted({ ...swept('1'), round: '2', by: 'Ida', note: 'thin' }, { purity: '90' })),
    ).toMatchObject(
      { storm: 'storm s1', round: '2', day: '2026-01-13', start: '23:40', end: '', area: 'Church lot', sizeM2: '400', amount: '6', unit: 'kg', swept: '1', saltKg: '4.5', chlorideKg: '2.7297', by: 'Ida', note: 'thin' }, // prettier-ignore
    );
  });

  it('leaves a cell empty where nothing is known, and never says 0 for it', () => {
    const unknown = read(salted({ size: { text: '', unit: 'm2' } }, { salt: '' }));
    expect(unknown).toMatchObject({
      sizeM2: '',
      saltKg: '',
      chlorideKg: '',
      pavement: '',
      trend: '',
      rate: '',
    });
  });

  it('says of a row that does not count why, with its numbers still there', () =>
    expect(read(salted({ void: 'wrong lot', correction: 'wrong lot' }))).toMatchObject({ void: 'wrong lot', amount: '6' })); // prettier-ignore

  it('says a pavement below nought with its sign and unit, and the trend in words', () => {
    const weather = { ...blank.weather, pavement: '-4', unit: 'degC', trend: 'falling' } as never;
    expect(read(salted({ weather }))).toMatchObject({ pavement: '-4 degC', trend: speak(message('kinds.trend.falling')) }); // prettier-ignore
  });
});
