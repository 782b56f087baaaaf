import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import {
  answerWorksheet,
  AS_TYPED,
  blankLimits,
  blankProduct,
  blankWorksheet,
  lessNeed,
  termText,
  toSi,
  workingText,
  type ProductInput,
  type WorksheetInput,
} from '../index.ts';
import { blankSoilTest, type SoilTestInput } from '../need/index.ts';
import {
  blankRule,
  checkSheet,
  daysNeeded,
  fewestPortions,
  holdsOn,
  labelRange,
  mixLimits,
  mostAllowedShare,
  portionsOf,
  evaluateRuleSet,
  type RuleKind,
  type PlannedJob,
  type RuleInput,
} from './index.ts';

const rule = (kind: RuleKind, amount: string, more: Partial<RuleInput> = {}): RuleInput => ({
  ...blankRule(`${kind}-${amount}`),
  kind,
  amount,
  ...more,
});
const rulesOf = (...rules: RuleInput[]) =>
  evaluateRuleSet({ name: 'Town', source: '', unit: 'lb/1000 ft2', rules, limits: blankLimits('us') }).rules;

const label = (more: Partial<ProductInput> = {}): ProductInput => ({
  ...blankProduct('dry-fertilizer', 'us'),
  grade: '24-0-8',
  slowShare: '50',
  ...more,
});
const sheet = (more: Partial<WorksheetInput> = {}, product = label()): WorksheetInput => ({
  ...blankWorksheet('us', 'a'),
  need: { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
  product,
  areas: [{ id: 'a', name: 'Lawn', size: '7400', unit: 'ft2' }],
  ...more,
});
const check = (rules: RuleInput[], input: WorksheetInput, onDay = '2026-04-18') => {
  const answer = answerWorksheet(input, AS_TYPED);
  return {
    answer,
    checks: checkSheet(rulesOf(...rules), answer, input.rules, { onDay, soilTests: [], others: [] }),
  };
};
const facts = (more: Partial<WorksheetInput['rules']>): Pick<WorksheetInput, 'rules'> => ({
  rules: { setId: '', soilTest: '', soilTestDay: '', soFar: [], unit: 'lb/1000 ft2', ...more },
});

describe('rules held against a sheet', () => {
  it.each<[string, RuleInput, Partial<WorksheetInput>, Partial<ProductInput>, object]>([
    ['at once, kept', rule('most-at-once', '1'), {}, {}, { state: 'kept', overBy: null, mostShare: 1 }],
    ['at once, just at it', rule('most-at-once', '0.8'), {}, {}, { state: 'kept' }],
    ['at once, over', rule('most-at-once', '0.5'), {}, {}, { state: 'broken', overBy: { number: '0.300', unit: 'lb N / 1000 ft²' }, portionsNeeded: 2 }],
    ['at once, in portions', rule('most-at-once', '0.5'), { split: { portions: '2', everyDays: '', directions: 'one' } }, {}, { state: 'kept' }],
    ['of potash', rule('most-at-once', '0.2', { nutrient: 'K2O' }), {}, {}, { state: 'broken', overBy: { number: '0.0667', unit: 'lb K₂O / 1000 ft²' } }],
    ['of elemental K from an oxide label', rule('most-at-once', '0.23', { nutrient: 'K' }), {}, {}, { state: 'kept' }],
    ['none at all', rule('most-at-once', '0'), {}, {}, { state: 'broken', mostShare: 0, portionsNeeded: null }],
    ['in a year, portions do not help', rule('most-in-a-year', '2'), { ...facts({ soFar: [{ nutrient: 'N', amount: '1.5' }] }), split: { portions: '4', everyDays: '', directions: 'one' } }, {}, { state: 'broken', overBy: { number: '0.300', unit: 'lb N / 1000 ft²' }, portionsNeeded: null }],
    ['in a year, used up', rule('most-in-a-year', '2'), facts({ soFar: [{ nutrient: 'N', amount: '2.5' }] }), {}, { state: 'broken', mostShare: 0 }],
    ['in a year, before in another form', rule('most-in-a-year', '0.5', { nutrient: 'K2O' }), facts({ soFar: [{ nutrient: 'K', amount: '0.3' }] }), {}, { state: 'broken' }],
    ['quick nitrogen', rule('quick-nitrogen', '0.3'), {}, {}, { state: 'broken', overBy: { number: '0.100', unit: 'lb N / 1000 ft²' }, mostShare: 0.75 }],
    ['quick nitrogen, label silent', rule('quick-nitrogen', '0.3'), {}, { slowShare: '' }, { state: 'unknown' }],
    ['slow share', rule('slow-share', '60 %'), {}, {}, { state: 'broken', overBy: { number: '10', unit: '%' }, mostShare: null }],
    ['slow share, label silent', rule('slow-share', '25'), {}, { slowShare: '' }, { state: 'unknown' }],
    ['soil test, no phosphorus', rule('soil-test', '3'), {}, {}, { state: 'kept' }],
    ['soil test, none', rule('soil-test', '3'), {}, { grade: '10-10-10' }, { state: 'broken', overBy: null, mostShare: null }],
    ['soil test, young', rule('soil-test', '3'), facts({ soilTestDay: '2024-04-18' }), { grade: '10-10-10' }, { state: 'kept' }],
    ['soil test, old', rule('soil-test', '3'), facts({ soilTestDay: '2022-10-18' }), { grade: '10-10-10' }, { state: 'broken', overBy: { number: '0.50', of: { id: 'working.yearsTooOld' } } }],
    ['soil test, of tomorrow', rule('soil-test', '3'), facts({ soilTestDay: '2027-01-01' }), { grade: '10-10-10' }, { state: 'broken' }],
  ])('%s', (_, one, more, product, expected) => {
    const [found] = check([one], sheet(more, label(product))).checks;
    const close = 'mostShare' in expected && typeof expected.mostShare === 'number' ? { mostShare: expect.closeTo(expected.mostShare, 9) } : {};
    expect(found).toMatchObject({ ...expected, ...close });
  }); // prettier-ignore

  it('writes each as a line, and leaves out what is not in season', () => {
    const rules = [rule('most-in-a-year', '2'), rule('slow-share', '25', { from: '09-01', to: '02-28' })];
    const { checks } = check(rules, sheet(facts({ soFar: [{ nutrient: 'N', amount: '0.7' }] })));
    expect(checks.map(({ working }) => workingText(working, speak))).toEqual([
      '0.700 lb N / 1000 ft² so far + 0.800 lb N / 1000 ft² = 1.50 lb N / 1000 ft² of at most 2.00 lb N / 1000 ft²',
    ]);
    expect(check(rules, sheet(), '2026-12-31').checks).toHaveLength(2);
  });

  it('holds the label’s own limits too, for a liquid by volume', () => {
    const labelRate = { low: '', high: '60', mostAtOnce: '', mostPerYear: '65', unit: 'L/ha' as const };
    const liquid = label({ kind: 'liquid-fertilizer', grade: '28-0-0', density: { text: '1.28', unit: 'kg/L' }, labelRate }); // prettier-ignore
    const input = sheet({ need: { nutrient: 'N', amount: '25', unit: 'kg/ha' } }, liquid);
    const { checks } = check([], input);
    expect(
      checks.map(({ rule: ruled, overBy }) => [speak(ruled), overBy && `${overBy.number} ${overBy.unit}`]),
    ).toEqual([
      ['by the label: most at once', '9.75 L / ha'],
      ['by the label: most in a year', '4.75 L / ha'],
    ]);
    expect(check([], sheet({ need: { nutrient: 'N', amount: '', unit: 'kg/ha' } })).checks).toEqual([]);
  });

  it('with the most that is allowed every rule is kept that a lower rate can keep', () => {
    const limits = fc.record({ once: fc.integer({ min: 1, max: 200 }), year: fc.integer({ min: 1, max: 400 }), quick: fc.integer({ min: 1, max: 200 }), before: fc.integer({ min: 0, max: 300 }), need: fc.integer({ min: 1, max: 500 }), portions: fc.integer({ min: 1, max: 4 }) }); // prettier-ignore
    let broken = 0;
    fc.assert(
      fc.property(limits, ({ once, year, quick, before, need, portions }) => {
        const rules = [rule('most-at-once', String(once / 100)), rule('most-in-a-year', String(year / 100)), rule('quick-nitrogen', String(quick / 100))]; // prettier-ignore
        const input = sheet({
          need: { nutrient: 'N', amount: String(need / 100), unit: 'lb/1000 ft2' },
          split: { portions: String(portions), everyDays: '', directions: 'one' },
          ...facts({ soFar: [{ nutrient: 'N', amount: String(before / 100) }] }),
        });
        const { answer, checks } = check(rules, input);
        const share = mostAllowedShare(checks);
        expect(share === 1).toBe(checks.every(({ state }) => state !== 'broken'));
        if (share === 1 || share < 0.01) return;
        broken += 1;
        const less = lessNeed(answer, input, share)!;
        const after = check(rules, { ...input, need: { ...input.need, amount: less } });
        expect(after.checks.map(({ state }) => state)).toEqual(['kept', 'kept', 'kept']);
        expect(after.answer.reading.need!.si).toBeGreaterThan(answer.reading.need!.si * share * 0.998);
      }),
      { seed: 5150, numRuns: 300 },
    );
    expect(broken).toBeGreaterThan(50);
  });
});

it.each([
  ['03-01', '05-31', '2026-05-31', true],
  ['03-01', '05-31', '2026-06-01', false],
  ['11-15', '02-28', '2026-12-24', true],
  ['11-15', '02-28', '2026-02-28', true],
  ['11-15', '02-28', '2026-03-01', false],
])('a season from %s to %s on %s: %s', (from, to, day, held) => {
  expect(holdsOn(rulesOf(rule('most-at-once', '1', { from, to }))[0]!, day)).toBe(held);
});

it.each([
  [rule('most-at-once', ''), 'number.empty', 'rules.0.amount'],
  [rule('slow-share', '120'), 'percent.unreadable', 'rules.0.amount'],
  [rule('soil-test', 'long'), 'count.unreadable', 'rules.0.amount'],
  [rule('most-at-once', '1', { from: '02-30', to: '03-01' }), 'season.unreadable', 'rules.0.from'],
  [rule('most-at-once', '1', { from: '02-01', to: '' }), 'season.unreadable', 'rules.0.to'],
])('refuses %j', (one, code, field) => {
  const { rules, errors } = evaluateRuleSet({
    name: 'Town',
    source: '',
    unit: 'kg/ha',
    rules: [one],
    limits: blankLimits('metric'),
  });
  expect(rules).toEqual([]);
  expect(errors).toMatchObject([{ code, field }]);
});

it('puts the whole down in equal portions, each with its day, amount and nutrients', () => {
  const input = sheet({ split: { portions: '3', everyDays: '28', directions: 'one' } });
  const answer = answerWorksheet(input, AS_TYPED);
  const portions = portionsOf(answer.reading.split, '2026-02-14', answer);
  expect(portions.map(({ onDay }) => onDay)).toEqual(['2026-02-14', '2026-03-14', '2026-04-11']);
  expect(workingText(portions[1]!.working, speak)).toBe('24.7 lb ÷ 3 = 8.22 lb at 1.11 lb / 1000 ft²');
  expect(portions[1]!.delivers.map(({ shown, symbol }) => `${shown.number} ${symbol}`)).toEqual([
    '0.267 N',
    '0.0889 K₂O',
  ]);
  const amount = portions[1]!.working.parts.find(
    (part) => part.type === 'term' && part.role === 'portion.amount',
  );
  expect(amount?.type === 'term' && termText(amount, speak)).toBe('8.22 lb');
  expect(
    portionsOf({ portions: 2, everyDays: null, directions: 1 }, '2026-02-14', answer)[1]?.onDay,
  ).toBeNull();
});

it('leaves a mix what the rules leave open', () => {
  const rules = rulesOf(rule('most-at-once', '1'), rule('most-in-a-year', '3', { nutrient: 'K2O' }), rule('quick-nitrogen', '0.7'), rule('slow-share', '25'), rule('soil-test', '3')); // prettier-ignore
  const lb = (value: number) => expect.closeTo(toSi(value, 'lb/1000 ft2'), 12);
  const before = [{ nutrient: 'K2O' as const, kgPerM2: toSi(1, 'lb/1000 ft2') }];
  expect(mixLimits(rules, '2026-04-18', '', before)).toMatchObject({
    caps: [
      { nutrient: 'N', kgPerM2: lb(1) },
      { nutrient: 'K2O', kgPerM2: lb(2) },
      { nutrient: 'P2O5', kgPerM2: 0 },
    ],
    quickCap: lb(0.7),
    slowFloor: 0.25,
  });
  expect(mixLimits(rules, '2026-04-18', '2025-04-18', []).caps).toHaveLength(2);
});

describe('a soil test is a limit on phosphorus', () => {
  const soilTest = (more: Partial<SoilTestInput>) => ({
    id: 'test',
    input: { ...blankSoilTest('lb/1000 ft2', '2025-04-18'), name: 'Lawn', ...more },
  });
  const held = (
    test: Partial<SoilTestInput>,
    kind: Partial<WorksheetInput['rules']> = { soilTest: 'test' },
  ) => {
    const input = { ...sheet({}, label({ grade: '10-10-10' })), ...facts(kind) };
    const answer = answerWorksheet(input, AS_TYPED);
    const given = { onDay: '2026-04-18', soilTests: [soilTest(test)], others: [] };
    return checkSheet(rulesOf(rule('soil-test', '3')), answer, input.rules, given)[0]!;
  };
  const needs = (P2O5: string) => ({ needs: { N: '', P2O5, K2O: '', S: '' } });

  it('that wants none lets none down', () => {
    expect(held(needs('0'))).toMatchObject({ state: 'broken', mostShare: 0, portionsNeeded: null });
  });
  it('that wants less lets so much down', () => {
    expect(held(needs('0.2'))).toMatchObject({ state: 'broken', mostShare: expect.closeTo(0.25, 9), overBy: { number: '0.600', unit: 'lb P₂O₅ / 1000 ft²' } }); // prettier-ignore
    expect(held(needs('0.8')).state).toBe('kept');
  });
  it('in elemental form is turned into the oxide of the label', () => {
    expect(held({ ...needs('0.35'), form: 'elemental' }).state).toBe('kept');
    expect(held({ ...needs('0.34'), form: 'elemental' }).state).toBe('broken');
  });
  it('that says nothing of phosphorus allows none', () => {
    expect(held(needs(''))).toMatchObject({ state: 'broken', mostShare: null });
  });
  it('that is too old allows none, whatever it wants', () => {
    expect(held({ ...needs('5'), onDay: '2022-04-18' })).toMatchObject({ state: 'broken', overBy: { of: { id: 'working.yearsTooOld' } } });
  }); // prettier-ignore
  it('known by its day alone is held by its age', () => {
    expect(held(needs('0'), { soilTestDay: '2025-04-18' }).state).toBe('kept');
  });
});

describe('least days between two applications', () => {
  const held = (split: WorksheetInput['split'], others: PlannedJob[] = []) => {
    const input = sheet({ split }, label({ leastIntervalDays: '28' }));
    const given = { onDay: '2026-04-18', soilTests: [], others };
    return checkSheet([], answerWorksheet(input, AS_TYPED), input.rules, given);
  };
  const other = (days: string[], isSameProduct = true): PlannedJob => ({
    name: 'Spring',
    days,
    isSameProduct,
  });
  const twice = (everyDays: string) => ({ portions: '2', everyDays, directions: 'one' as const });

  it.each([
    ['21', 'broken', 28],
    ['28', 'kept', null],
    ['', 'unknown', 28],
  ])('portions %s days apart: %s', (everyDays, state, days) => {
    const checks = held(twice(everyDays));
    expect(checks.map((check) => [check.id, check.state])).toEqual([['label.interval', state]]);
    expect(daysNeeded(checks)).toBe(days);
    expect(fewestPortions(checks)).toBeNull();
  });
  it('another job on the same ground counts from each of its days to each of these', () => {
    const [found, ...more] = held(twice('28'), [other(['2026-06-01'])]).filter(
      ({ id }) => id !== 'label.interval',
    );
    expect(more).toEqual([]);
    expect(found).toMatchObject({
      state: 'broken',
      overBy: { number: '12', of: { id: 'working.days', facts: { count: 12 } } },
      daysNeeded: null,
    });
    expect(workingText(found!.working, speak)).toBe(
      '“Spring” on the same ground 16 days apart, at least 28 days',
    );
  });
  it('of another product it is named and left to the reader', () => {
    expect(held({ portions: '1', everyDays: '', directions: 'one' }, [other(['2026-04-10'], false)])).toMatchObject([{ state: 'unknown' }]);
  }); // prettier-ignore
  it('far enough away it is silent', () => {
    expect(held({ portions: '1', everyDays: '', directions: 'one' }, [other(['2026-03-21', '2026-05-16'])])).toEqual([]);
  }); // prettier-ignore
});

it.each([
  ['0.5', 'broken', '96.3'],
  ['0.75', 'kept', null],
  ['3', 'broken', '52.4'],
])('%s gal of finished mix on 1000 ft2 against a label of 300 to 1170 L/ha: %s', (amount, state, off) => {
  const liquid = label({ kind: 'liquid-fertilizer', grade: '28-0-0', slowShare: '', density: { text: '1.28', unit: 'kg/L' }, carrier: { low: '300', high: '1170', unit: 'L/ha', means: '' } }); // prettier-ignore
  const input = sheet({ carrier: { amount, unit: 'gal/1000 ft2', means: 'mix' } }, liquid);
  const found = check([], input).checks.find(({ id }) => id === 'label.carrier');
  expect([found?.state, found?.overBy?.number ?? null]).toEqual([state, off]);
});

describe('the range of rates that a label states', () => {
  const labelRate = { low: '3', high: '4', mostAtOnce: '', mostPerYear: '', unit: 'lb/1000 ft2' as const };
  const range = (amount: string, portions: string, rate = labelRate) => {
    const input = sheet({ need: { nutrient: 'N', amount, unit: 'lb/1000 ft2' }, split: { portions, everyDays: '', directions: 'one' } }, label({ labelRate: rate })); // prettier-ignore
    return labelRange(answerWorksheet(input, AS_TYPED), input);
  };
  it.each([
    ['0.8', '', null],
    ['0.6', '', 'below'],
    ['1.2', '', 'above'],
    // 6 lb of the product in all are 3 in each of two portions.
    ['1.44', '2', null],
    ['1.44', '', 'above'],
    ['1.2', '2', 'below'],
  ])('%s lb N in %s portions is %s', (amount, portions, off) => {
    expect(range(amount, portions)?.off).toBe(off);
  });
  it('gives the need that would meet each end, of all portions', () => {
    expect(range('0.8', '2')!.ends.map(({ end, need }) => [end, need])).toEqual([
      ['lowest', '1.44 lb'],
      ['highest', '1.92 lb'],
    ]);
  });
  it('is none where the label says nothing; one end is enough', () => {
    expect(range('0.8', '', { ...labelRate, low: '', high: '' })).toBeNull();
    expect(range('0.8', '', { ...labelRate, low: '' })!.ends).toHaveLength(1);
  });
});
