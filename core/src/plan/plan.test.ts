import { speak } from '@steady-scatter/words/everything';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import {
  blankApplication,
  blankPlan,
  blankProduct,
  blankRule,
  blankRuleSet,
  blankSoilTest,
  catchUp,
  checkPortion,
  evaluatePlan,
  evaluateRuleSet,
  halfAfterLook,
  ledgerRow,
  movePortions,
  nearestAllowedDay,
  nextYearsPlan,
  planBook,
  planCalendar,
  plannedPortions,
  planNeeds,
  portionGroups,
  portionsFor,
  portionStates,
  shareOut,
  twicePlanned,
  UNITS,
  type LedgerRow,
  type PlanFacts,
  type PlannedNeed,
  type PortionInput,
  type RuleInput,
} from '../index.ts';

const lakeFeed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8', package: { size: '40', unit: 'lb' as const }, price: '30', stock: '1' }; // prettier-ignore
const ids = () => {
  let at = 0;
  return () => `00000000-0000-7000-8000-${String((at += 1)).padStart(12, '0')}`;
};
const FT2 = UNITS.ft2.toSi;
const lawn = { site: 's1', area: 'a1', siteName: 'Lake front', areaName: 'Lawn', areaM2: 7400 * FT2 };
const bank = { ...lawn, area: 'a2', areaName: 'Bank', areaM2: 2600 * FT2 };
const LB = UNITS['lb/1000 ft2'].toSi;
const need: PlannedNeed = { ground: [lawn], product: { id: 'p', name: 'Lake feed' }, nutrient: 'N', totalSi: 3.2 * LB, unit: 'lb/1000 ft2', times: 4, firstDay: '2026-04-18', everyDays: 42 }; // prettier-ignore
const portions = portionsFor(need, ids());
const planOf = (own: readonly PortionInput[]) => ({ ...blankPlan('2026', { from: '2026-01-01', to: '2026-12-31' }), portions: own }); // prettier-ignore
const plannedOf = (own: readonly PortionInput[]) => plannedPortions(own, [{ id: 'p', input: lakeFeed }], [lawn, bank]); // prettier-ignore

const rulesOf = (...rules: Partial<RuleInput>[]) => evaluateRuleSet({ ...blankRuleSet('lb/1000 ft2', 'r'), name: 'Town', rules: rules.map((rule, index) => Object.assign(blankRule(`r${index}`), rule)) }).rules; // prettier-ignore
const spread = (onDay: string, pounds: string, more: Partial<LedgerRow> = {}): LedgerRow => ({
  ...ledgerRow({
    root: `${onDay}${pounds}`,
    startedAt: `${onDay}T10:00:00.000Z`,
    saidAt: `${onDay}T10:00:00.000Z`,
    subject: 'j',
    input: { ...blankApplication('us'), onDay, area: 'a1', areaName: 'Lawn', size: { text: '7400', unit: 'ft2' }, surface: 'turf', product: { ...blankApplication('us').product, name: 'Lake feed', kind: 'dry-fertilizer', grade: '24-0-8' }, amount: { text: pounds, unit: 'lb', from: 'weighed' }, label: lakeFeed }, // prettier-ignore
  }),
  ...more,
});
const bookOf = (own: readonly PortionInput[], facts: Partial<PlanFacts> = {}) => planBook({ rules: [], rulesOn: new Map(), rows: [], planned: plannedOf(own), soilTests: [], yearStart: '01-01', ...facts }); // prettier-ignore
const broken = (own: readonly PortionInput[], at: number, facts: Partial<PlanFacts> = {}, onDay = own[at]!.onDay) =>
  checkPortion(plannedOf(own)[at]!, onDay, bookOf(own, facts)).filter(({ state }) => state === 'broken').map(({ rule }) => speak(rule)); // prettier-ignore

describe('a plan as it is made and read', () => {
  it('splits a need into equal portions, so many days apart, on each area', () => {
    const two = portionsFor({ ...need, ground: [lawn, bank] }, ids());
    expect(two).toHaveLength(8);
    expect(portions.map(({ onDay, amount }) => [onDay, amount])).toEqual([['2026-04-18', '0.8'], ['2026-05-30', '0.8'], ['2026-07-11', '0.8'], ['2026-08-22', '0.8']]); // prettier-ignore
    // 0.8 lb N from 24-0-8 on 7400 ft2 is 24.666667 lb.
    expect(plannedOf(portions)[0]!.amountSi! / 0.45359237).toBeCloseTo(24.666667, 6);
    expect(() => portionsFor({ ...need, times: 2000 }, ids())).toThrow();
  });

  it('says which portion is wrong and what would be right', () => {
    const bad = [{ ...portions[0]!, amount: 'much' }, { ...portions[1]!, onDay: '2027-02-01' }, { ...portions[2]!, onDay: '2026-02-30' }]; // prettier-ignore
    const { errors, needs } = evaluatePlan(planOf(bad));
    expect(errors.map(({ field, code }) => [field, code])).toEqual([
      ['portions.0.amount', 'quantity.unreadable'],
      ['portions.1.onDay', 'plan.outside'],
      ['portions.2.onDay', 'date.unreadable'],
    ]);
    expect(needs.size).toBe(2);
    expect(evaluatePlan({ ...planOf([]), toDay: '2030-01-01' }).errors[0]!.code).toBe('plan.long');
  });

  it('what is no longer there is not known, and nothing else is lost', () => {
    const [gone] = plannedPortions(portions, [], [bank]);
    expect(gone).toMatchObject({ product: null, ground: null, rateSi: null, amountSi: null });
    expect(checkPortion(gone!, '2026-04-18', bookOf(portions))).toEqual([]);
  });
});

describe('held against rules, records and each other', () => {
  it('a yearly cap takes what lies there and what is planned before: the fourth is over it', () => {
    const rules = rulesOf({ kind: 'most-in-a-year', amount: '3' });
    expect(portions.map((_, index) => broken(portions, index, { rules }))).toEqual([[], [], [], ['most nitrogen in a year']]); // prettier-ignore
    // 24.67 lb of 24-0-8 lies there already: then the third is over it too.
    expect(broken(portions, 2, { rules, rows: [spread('2026-03-20', '24.67')] })).toHaveLength(1);
    expect(broken(portions, 2, { rules, rows: [spread('2025-12-20', '24.67')] })).toEqual([]);
    // A correction frees the cap: what does not count is in nothing.
    expect(broken(portions, 2, { rules, rows: [spread('2026-03-20', '24.67', { isVoid: true })] })).toEqual([]); // prettier-ignore
  });

  it('rules of one site hold there in place of the others', () => {
    const rules = rulesOf({ kind: 'most-at-once', amount: '0.5' });
    const rulesOn = new Map([['s1', rulesOf({ kind: 'most-at-once', amount: '1' })]]);
    expect([broken(portions, 0, { rules }).length, broken(portions, 0, { rules, rulesOn }).length]).toEqual([1, 0]); // prettier-ignore
  });

  it('the crew’s own year decides what counts together', () => {
    const rules = rulesOf({ kind: 'most-in-a-year', amount: '3' });
    expect(broken(portions, 3, { rules, yearStart: '07-01' })).toEqual([]);
  });

  it('least days hold against records and against what is planned, on either side', () => {
    const rules = rulesOf({ kind: 'least-days', amount: '28' });
    expect(broken(portions, 1, { rules }, '2026-05-15')).toEqual(['least days between two applications']);
    expect(broken(portions, 1, { rules }, '2026-05-16')).toEqual([]);
    expect(broken(portions, 1, { rules }, '2026-06-14')).toEqual(['least days between two applications']);
    expect(broken(portions, 1, { rules, rows: [spread('2026-06-20', '20')] })).toHaveLength(1);
  });

  it('times in a year count what is planned before, not after', () => {
    const rules = rulesOf({ kind: 'times-in-a-year', amount: '3' });
    expect(portions.map((_, index) => broken(portions, index, { rules }).length)).toEqual([0, 0, 0, 1]);
  });

  it('the nearest allowed day, on either side, over New Year and on a leap day', () => {
    const rules = rulesOf({ kind: 'closed', from: '12-15', to: '02-28' });
    const book = bookOf([portions[0]!], { rules });
    const near = (wish: string, span = { from: '2027-01-01', to: '2028-12-31' }) => nearestAllowedDay([plannedOf(portions)[0]!], wish, span, book); // prettier-ignore
    expect(near('2028-01-10')).toBe('2027-12-14');
    expect(near('2028-02-20')).toBe('2028-02-29');
    expect(near('2027-02-20')).toBe('2027-03-01');
    expect(near('2027-02-20', { from: '2027-01-01', to: '2027-02-25' })).toBeNull();
  });

  it('phosphorus goes by the soil test of that ground', () => {
    const rules = rulesOf({ kind: 'soil-test', amount: '3' });
    const withP = plannedPortions(portions, [{ id: 'p', input: { ...lakeFeed, grade: '15-5-10' } }], [lawn]);
    const test = { id: 't', input: { ...blankSoilTest('kg/ha', '2026-03-02'), name: 'Lawn', site: 's1', area: 'a1', needs: { N: '', P2O5: '90', K2O: '', S: '' } } }; // prettier-ignore
    const state = (soilTests: PlanFacts['soilTests']) => checkPortion(withP[0]!, '2026-04-18', bookOf([], { rules, soilTests }))[0]!.state; // prettier-ignore
    expect([state([]), state([test])]).toEqual(['broken', 'kept']);
  });

  it('what two people planned alike is told', () => {
    const theirs = [{ ...portions[0]!, id: 'q', onDay: '2026-04-25' }, { ...portions[0]!, id: 'r', area: 'a2' }]; // prettier-ignore
    expect(twicePlanned(portions, [{ name: 'Town', portions: theirs }])).toEqual([{ id: portions[0]!.id, plan: 'Town', onDay: '2026-04-25' }]); // prettier-ignore
  });
});

describe('how portions stand', () => {
  it('done by the nearest record of that product, each record once, in whatever order they came', () => {
    const rows = [spread('2026-04-20', '24'), spread('2026-05-28', '25'), spread('2026-09-10', '9')];
    const states = (of: readonly LedgerRow[]) => [...portionStates(portions, of, '2026-08-20').values()].map(({ state, doneOn }) => `${state} ${doneOn}`.trim()); // prettier-ignore
    expect(states(rows)).toEqual(['done 2026-04-20', 'done 2026-05-28', 'missed', 'due']);
    expect(states(rows.toReversed())).toEqual(states(rows));
    expect(states([spread('2026-04-20', '24', { isVoid: true })])[0]).toBe('missed');
  });

  it('two portions near one record: the nearer was it; of its own sheet it was it on whatever day', () => {
    const near = [portions[0]!, { ...portions[1]!, onDay: '2026-04-24' }];
    expect([...portionStates(near, [spread('2026-04-23', '24')], '2026-05-30').values()].map(({ state }) => state)).toEqual(['missed', 'done']); // prettier-ignore
    const made = [{ ...portions[0]!, job: 'j' }, near[1]!];
    expect([...portionStates(made, [spread('2026-06-23', '24')], '2026-07-30').values()].map(({ state }) => state)).toEqual(['done', 'missed']); // prettier-ignore
  });

  it('what is held waits, whatever its day', () => {
    const [{ state }] = [...portionStates([{ ...portions[0]!, hold: 'weather', why: 'Rain' }], [], '2026-06-01').values()] as unknown as [{ state: string }]; // prettier-ignore
    expect(state).toBe('held');
  });
});

describe('moving', () => {
  it('there and back leaves everything as it was', () => {
    fc.assert(
      fc.property(
        fc.subarray(portions.map(({ id }) => id)),
        fc.integer({ min: 0, max: 364 }),
        (some, days) => {
          const day = new Date(Date.UTC(2026, 0, 1 + days)).toISOString().slice(0, 10);
          const moved = movePortions(portions, new Set(some), day);
          const back = some.reduce((all, id) => movePortions(all, new Set([id]), portions.find((each) => each.id === id)!.onDay), moved); // prettier-ignore
          expect(back).toEqual(portions);
        },
      ),
      { seed: 7, numRuns: 60 },
    );
  });

  it('wherever a portion is put on its nearest allowed day, no rule on days is broken', () => {
    const rules = rulesOf({ kind: 'least-days', amount: '21' }, { kind: 'closed', from: '06-20', to: '07-05' }); // prettier-ignore
    fc.assert(
      fc.property(fc.nat(3), fc.integer({ min: 0, max: 364 }), (at, days) => {
        const wish = new Date(Date.UTC(2026, 0, 1 + days)).toISOString().slice(0, 10);
        const book = bookOf(portions, { rules });
        const day = nearestAllowedDay([plannedOf(portions)[at]!], wish, { from: '2026-01-01', to: '2026-12-31' }, book); // prettier-ignore
        expect(broken(movePortions(portions, new Set([portions[at]!.id]), day!), at, { rules })).toEqual([]);
      }),
      { seed: 11, numRuns: 40 },
    );
  });

  it('catching up puts what was missed on the next allowed day, and later ones keep their distance', () => {
    const rules = rulesOf({ kind: 'closed', from: '05-01', to: '05-09' });
    const open = new Set(portions.map(({ id }) => id));
    const next = catchUp(planOf(portions), [plannedOf(portions)[0]!], open, '2026-05-02', bookOf(portions, { rules })); // prettier-ignore
    expect(next.map(({ onDay }) => onDay)).toEqual(['2026-05-10', '2026-06-21', '2026-08-02', '2026-09-13']);
    const short = catchUp({ portions, toDay: '2026-08-30' }, [plannedOf(portions)[0]!], open, '2026-05-10', bookOf(portions)); // prettier-ignore
    expect(short.at(-1)!.onDay).toBe('2026-08-22');
  });

  it('or what was missed is given to those that are left, and the whole stays the same', () => {
    const open = new Set(portions.slice(1).map(({ id }) => id));
    const next = shareOut(portions, new Set([portions[0]!.id]), open);
    expect(next.map(({ amount }) => amount)).toEqual(['1.067', '1.067', '1.067']);
    expect(shareOut(portions, new Set([portions[3]!.id]), open)).toEqual(portions);
  });

  it('half now, half after a look: the second waits', () => {
    const [first, second, ...rest] = halfAfterLook(portions, new Set([portions[0]!.id]), 28, () => 'new');
    expect([first!.amount, first!.hold]).toEqual(['0.4', '']);
    expect(second).toMatchObject({ id: 'new', amount: '0.4', hold: 'look', onDay: '2026-05-16' });
    expect(rest).toEqual(portions.slice(1));
  });

  it('next year’s plan has the same days, a leap day the one before it, and no sheets', () => {
    const leap = { ...blankPlan('2028', { from: '2028-01-01', to: '2028-12-31' }), portions: [{ ...portions[0]!, onDay: '2028-02-29', hold: 'weather' as const, why: 'Snow', job: 'j' }] }; // prettier-ignore
    const next = nextYearsPlan(leap, '2029', ids());
    expect(next).toMatchObject({ name: '2029', fromDay: '2029-01-01', toDay: '2029-12-31' });
    expect(next.portions[0]).toMatchObject({ onDay: '2029-02-28', hold: '', why: '', job: '' });
    expect(() => nextYearsPlan({ ...leap, toDay: '' }, '2029', ids())).toThrow();
  });
});

describe('what it takes', () => {
  it('amount, packages and money of each product, less what is on the shelf', () => {
    const [line] = planNeeds(plannedOf(portions), [{ id: 'p', input: lakeFeed }]);
    // 4 x 24.666667 lb is 2.466667 bags of 40 lb; one is there, so two are bought.
    expect(line!.amountSi / 0.45359237).toBeCloseTo(98.666667, 5);
    expect(line!.order).toMatchObject({ stock: 1, buy: 2, costCents: 6000 });
    expect(line!.order!.exact).toBeCloseTo(2.466667, 6);
    expect(planNeeds(plannedPortions(portions, [], [lawn]), [])[0]).toMatchObject({ order: null, unknown: 4, name: 'Lake feed' }); // prettier-ignore
  });

  it('what goes on one site on one day is one thing', () => {
    const two = portionsFor({ ...need, ground: [lawn, bank], times: 2 }, ids());
    const groups = portionGroups(two);
    expect(groups.map(({ portions: own }) => own.map(({ areaName }) => areaName))).toEqual([['Lawn', 'Bank'], ['Lawn', 'Bank']]); // prettier-ignore
    const moved = portionGroups(movePortions(two, new Set(groups[0]!.portions.map(({ id }) => id)), '2026-04-25')); // prettier-ignore
    expect(moved[0]!.id).toBe(groups[0]!.id);
  });
});

it('the calendar file is read by another reader as whole days, each once, with what goes where', () => {
  const own = [...portionsFor({ ...need, ground: [lawn, bank], times: 2 }, ids()), { ...portions[0]!, id: 'h', onDay: '2026-12-31', hold: 'look' as const, why: 'Colour, then "half"; or none' }]; // prettier-ignore
  const text = planCalendar([planOf(own)], '2026-11-27T12:00:00.000Z', speak);
  const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each)); // prettier-ignore
  expect(events.map(({ startDate, endDate, summary }) => [String(startDate), String(endDate), summary])).toEqual([
    ['2026-04-18', '2026-04-19', 'Lake feed on Lake front'],
    ['2026-05-30', '2026-05-31', 'Lake feed on Lake front'],
    ['2026-12-31', '2027-01-01', 'Lake feed on Lake front, look first'],
  ]); // prettier-ignore
  expect(events[0]!.description).toBe('1.6 lb / 1000 ft² N on Lawn, Bank.');
  expect(events[2]!.description).toContain('Held: Colour, then "half"; or none.');
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(3);
  expect(text).toMatch(/DTSTAMP:20261127T120000Z\r\n/);
  // Lines are folded at 75 octets, as the format asks.
  expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
});
