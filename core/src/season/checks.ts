import { inForm, NUTRIENTS } from '../need/nutrients.ts';
import { readSoilTest, type SoilTestTyped } from '../need/soilTest.ts';
import { showExact, showNumber, showQuantity, type Shown } from '../quantities/show.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { RateUnit } from '../shelf/product.ts';
import type { ProductReading } from '../shelf/readProduct.ts';
import { putDown } from '../shelf/wanted.ts';
import { operator, term, word, type Join, type Term, type Working } from '../working/working.ts';
import type { WorksheetAnswer } from '../worksheet/answer.ts';
import type { SoFar } from '../worksheet/readings.ts';
import type { RuleFactsTyped } from '../worksheet/typed.ts';
import { yearsBetween } from './days.ts';
import { portionDays } from './portions.ts';
import { earlier } from './earlier.ts';
import { holdsOn, RULE_KINDS, type RuleReading } from './rules.ts';

/** What rules are held against: a product rate on a day, in portions, after what was put down before. */
export interface RuleFacts {
  readonly onDay: string;
  readonly product: ProductReading;
  /** All portions together: kg/m2, or L/m2 for a liquid; above 0. */
  readonly rateSi: number;
  readonly portions: number;
  readonly soFar: readonly SoFar[];
  /** The soil test that this goes by; null: none. */
  readonly soilTest: SoilFacts | null;
  /** Days between two portions; null: not said. */
  readonly everyDays: number | null;
  /** What else is planned on the same ground. */
  readonly others: readonly PlannedJob[];
  /** Finished mix, L/m2; null: nothing is mixed with water, or it is not known. */
  readonly mixPerM2: number | null;
}

/** What a soil test says of phosphorus: the most that is wanted of it. */
export interface SoilFacts {
  readonly day: string;
  /** kg/m2 of P2O5, 0: none is wanted; null: it says nothing of it; undefined: only its day is known. */
  readonly phosphateKgPerM2: number | null | undefined;
}

/** Another job on the same ground. */
export interface PlannedJob {
  readonly name: string;
  /** Days of its portions, year-month-day. */
  readonly days: readonly string[];
  readonly isSameProduct: boolean;
}

/** How one rule stands. */
export interface RuleCheck {
  readonly id: string;
  /** The rule in words. */
  readonly rule: string;
  /** unknown: the label does not say what the rule asks about. */
  readonly state: 'kept' | 'broken' | 'unknown';
  readonly working: Working;
  /** By how much it is broken; null unless it is. */
  readonly overBy: Shown | null;
  /** The share of this rate that the rule allows, below 1 when it is broken; null where no lower rate would keep it. */
  readonly mostShare: number | null;
  /** Fewest portions in which the whole would keep it; null where splitting does not help. */
  readonly portionsNeeded: number | null;
  /** Days between two portions that would keep it; null where that does not help. */
  readonly daysNeeded: number | null;
}

type Standing = Pick<RuleCheck, 'state' | 'overBy' | 'mostShare' | 'portionsNeeded' | 'daysNeeded'>;

const standing = (state: RuleCheck['state'], more: Partial<Standing> = {}): Standing => ({
  state,
  overBy: null,
  mostShare: state === 'broken' ? null : 1,
  portionsNeeded: null,
  daysNeeded: null,
  ...more,
});

/** Rounding in the last digits of a division is no breach. */
const SLACK = 1 + 1e-9;

interface Cap {
  readonly id: string;
  readonly rule: string;
  readonly parts: readonly (Term | Join)[];
  readonly value: number | null;
  /** What was there before this rate. */
  readonly before: number;
  readonly limit: number;
  readonly unit: RateUnit;
  readonly symbol: string;
  readonly perPortion: boolean;
}

const withSymbol = ({ number, unit }: Shown, symbol: string): Shown => ({
  number,
  unit: symbol === '' ? unit : unit.replace(' /', ` ${symbol} /`),
});

/** A limit on an amount: kept, or broken by so much, with the share of the rate that would keep it. */
function capCheck(cap: Cap, portions: number): RuleCheck {
  const { id, rule, parts, value, before, limit, unit, symbol, perPortion } = cap;
  const shown = (si: number) => withSymbol(showQuantity(si, unit), symbol);
  const working: Working = {
    id,
    label: rule,
    parts: [...parts, word('of at most'), term('limit', shown(limit), { origin: 'typed', strong: true })],
  };
  const base = { id, rule, working };
  if (value === null) return { ...base, ...standing('unknown') };
  const over = before + value - limit;
  if (before + value <= limit * SLACK || value === 0) return { ...base, ...standing('kept') };
  const count = perPortion && limit > 0 ? Math.ceil((value * portions) / limit / SLACK) : null;
  // More portions than days in a year are no answer.
  const needed = count !== null && count <= 366 ? count : null;
  const mostShare = Math.max(0, limit - before) / value;
  return { ...base, ...standing('broken', { overBy: shown(over), mostShare, portionsNeeded: needed }) };
}

/** One rule of the crew, held against the facts. */
function checkRule(rule: RuleReading, facts: RuleFacts, unit: MassPerAreaUnit): RuleCheck {
  const { typed, limit } = rule;
  const { product, portions, soFar } = facts;
  const portionSi = facts.rateSi / portions;
  const { id, kind } = typed;
  const nutrient = RULE_KINDS[kind].ofNutrient ? typed.nutrient : 'N';
  const { symbol, name } = NUTRIENTS[nutrient];
  const words = RULE_KINDS[kind].words;
  const amount = (role: string, si: number | null, origin: Term['origin'] = 'computed') =>
    term(role, si === null ? null : withSymbol(showQuantity(si, unit), symbol), { origin });
  switch (kind) {
    case 'most-at-once': {
      const value = putDown(product, nutrient, portionSi);
      return capCheck({ id, rule: `${words}: ${name}`, parts: [amount('portion', value)], value, before: 0, limit, unit, symbol, perPortion: true }, portions); // prettier-ignore
    }
    case 'most-in-a-year': {
      const value = putDown(product, nutrient, facts.rateSi);
      const before = earlier(soFar, nutrient);
      const sum = value === null ? null : before + value;
      const parts = [amount('before', before, 'typed'), word('so far'), operator('+'), amount('this', value), operator('='), amount('sum', sum)]; // prettier-ignore
      return capCheck({ id, rule: `${words}: ${name}`, parts, value, before, limit, unit, symbol, perPortion: false }, portions); // prettier-ignore
    }
    case 'quick-nitrogen': {
      const nitrogen = putDown(product, 'N', portionSi);
      const quick = product.slowShare === null ? null : 1 - product.slowShare;
      const value = nitrogen === 0 ? 0 : nitrogen === null || quick === null ? null : nitrogen * quick;
      const share = quick === null ? null : { number: showExact(quick * 100, 4), unit: '% quick' };
      const parts = [amount('portion', nitrogen), operator('×'), term('quick', share, { origin: 'label' }), operator('='), amount('quickN', value)]; // prettier-ignore
      return capCheck({ id, rule: words, parts, value, before: 0, limit, unit, symbol, perPortion: true }, portions); // prettier-ignore
    }
    case 'slow-share':
      return checkSlowShare(rule, facts);
    case 'soil-test':
      return checkSoilTest(rule, facts, unit);
    default:
      return kind satisfies never;
  }
}

function checkSlowShare({ typed, limit }: RuleReading, { product, rateSi }: RuleFacts): RuleCheck {
  const rule = RULE_KINDS['slow-share'].words;
  const feeds = (putDown(product, 'N', rateSi) ?? 0) > 0;
  const { slowShare } = product;
  const percent = (share: number | null) =>
    share === null ? null : { number: showExact(share * 100, 4), unit: '%' };
  const parts = feeds
    ? [
        term('slow', percent(slowShare), { origin: 'label' }),
        word('slow of at least'),
        term('limit', percent(limit), { origin: 'typed', strong: true }),
      ]
    : [word('puts down no nitrogen')];
  const base = { id: typed.id, rule, working: { id: typed.id, label: rule, parts } };
  if (!feeds || (slowShare !== null && slowShare >= limit)) return { ...base, ...standing('kept') };
  if (slowShare === null) return { ...base, ...standing('unknown') };
  return { ...base, ...standing('broken', { overBy: percent(limit - slowShare) }) };
}

/** Phosphorus only with a soil test that is young enough, and no more of it than the test asks for. */
function checkSoilTest({ typed, limit }: RuleReading, facts: RuleFacts, unit: MassPerAreaUnit): RuleCheck {
  const rule = `${RULE_KINDS['soil-test'].words} ${showExact(limit, 3)} years old`;
  const phosphate = putDown(facts.product, 'P2O5', facts.rateSi) ?? 0;
  const { soilTest } = facts;
  const check = (parts: Working['parts'], how: Standing): RuleCheck => ({ id: typed.id, rule, working: { id: typed.id, label: rule, parts }, ...how }); // prettier-ignore
  if (phosphate <= 0) return check([word('puts down no phosphorus')], standing('kept'));
  if (soilTest === null) return check([word('no soil test is given')], standing('broken'));
  const age = yearsBetween(soilTest.day, facts.onDay);
  const told = [word('the soil test is'), term('age', { number: showNumber(Math.max(age, 0), 2), unit: 'years old' }, { strong: true })]; // prettier-ignore
  if (age < 0) return check(told, standing('broken'));
  if (age >= limit) return check(told, standing('broken', { overBy: { number: showNumber(age - limit, 2), unit: 'years too old' } })); // prettier-ignore
  const wanted = soilTest.phosphateKgPerM2;
  if (wanted === undefined) return check(told, standing('kept'));
  if (wanted === null) return check([...told, word('and says nothing of phosphorus')], standing('broken'));
  const { symbol } = NUTRIENTS.P2O5;
  const amount = (role: string, si: number) => term(role, withSymbol(showQuantity(si, unit), symbol));
  const parts = [...told, word('and this puts down', 'stop'), amount('this', phosphate), word('of a need of', 'stop'), amount('wanted', wanted)]; // prettier-ignore
  if (phosphate <= wanted * SLACK) return check(parts, standing('kept'));
  return check(parts, standing('broken', { overBy: amount('over', phosphate - wanted).shown, mostShare: wanted / phosphate })); // prettier-ignore
}

/** The label's range of spray volume: less mix scorches, more runs off. */
function checkSpray({ product, mixPerM2 }: RuleFacts): RuleCheck[] {
  const { carrierLow, carrierHigh } = product;
  if (mixPerM2 === null || (carrierLow === null && carrierHigh === null)) return [];
  const rule = 'by the label: spray volume';
  const of = (role: string, si: number, origin: Term['origin'] = 'computed') => term(role, showQuantity(si, 'L/ha'), { origin }); // prettier-ignore
  const ends = [carrierLow, carrierHigh].flatMap((si) => (si === null ? [] : [si]));
  const parts = [of('mix', mixPerM2), word('of at least', 'stop'), ...ends.flatMap((si, at) => [...(at > 0 ? [word('and at most', 'stop')] : []), of(`limit.${at}`, si, 'label')])]; // prettier-ignore
  const short = carrierLow === null ? 0 : carrierLow - mixPerM2;
  const over = carrierHigh === null ? 0 : mixPerM2 - carrierHigh;
  const off = Math.max(short, over);
  const isKept = off <= Math.max(...ends) * 1e-9;
  return [{ id: 'label.carrier', rule, working: { id: 'label.carrier', label: rule, parts }, ...(isKept ? standing('kept') : standing('broken', { overBy: showQuantity(off, 'L/ha') })) }]; // prettier-ignore
}

const DAY_MS = 86_400_000;
const daysApart = (a: string, b: string): number =>
  Math.round(Math.abs(Date.parse(a) - Date.parse(b)) / DAY_MS);

/** The label's least days between two applications: between the portions, and to what else goes on the same ground. */
function checkInterval(facts: RuleFacts): RuleCheck[] {
  const least = facts.product.leastIntervalDays;
  if (least === null || least <= 0) return [];
  const rule = 'by the label: least days between two applications';
  const days = (role: string, count: number, strong = false) => term(role, { number: showExact(count), unit: count === 1 ? 'day' : 'days' }, { strong }); // prettier-ignore
  const check = (id: string, parts: Working['parts'], how: Standing): RuleCheck => ({ id, rule, working: { id, label: rule, parts }, ...how }); // prettier-ignore
  const atLeast = [word('apart, at least'), days('limit', least, true)];
  const broken = (apart: number, daysNeeded: number | null) => standing('broken', { overBy: days('short', least - apart).shown, daysNeeded }); // prettier-ignore
  const own = (): RuleCheck[] => {
    const { portions, everyDays } = facts;
    if (portions < 2) return [];
    if (everyDays === null) return [check('label.interval', [word('how far apart the portions go is not said'), ...atLeast.slice(1)], standing('unknown', { daysNeeded: least }))]; // prettier-ignore
    return [check('label.interval', [word('portions'), days('apart', everyDays), ...atLeast], everyDays >= least ? standing('kept') : broken(everyDays, least))]; // prettier-ignore
  };
  const planned = portionDays(facts.onDay, facts.portions, facts.everyDays);
  const beside = facts.others.flatMap(({ name, days: theirs, isSameProduct }, at): RuleCheck[] => {
    const apart = Math.min(...planned.flatMap((day) => theirs.map((other) => daysApart(day, other))));
    if (!(apart < least)) return [];
    const parts = [word(`“${name}” on the same ground`), days('apart', apart), ...atLeast];
    return [check(`label.interval.${at}`, parts, isSameProduct ? broken(apart, null) : standing('unknown'))];
  });
  return [...own(), ...beside];
}

/** The label's own limits, held against the same facts. */
function checkLabel({ product, rateSi, portions }: RuleFacts, unit: RateUnit): RuleCheck[] {
  const { labelHigh, mostAtOnce, mostPerYear } = product;
  const check = (id: string, rule: string, limit: number | null, value: number, perPortion: boolean) =>
    limit === null
      ? []
      : [capCheck({ id, rule, parts: [term('rate', showQuantity(value, unit))], value, before: 0, limit, unit, symbol: '', perPortion }, portions)]; // prettier-ignore
  return [
    ...check('label.at-once', 'by the label: most at once', mostAtOnce ?? labelHigh, rateSi / portions, true),
    ...check('label.year', 'by the label: most in a year', mostPerYear, rateSi, false),
  ];
}

/**
 * Holds the crew's rules, and the label's own limits, against a product rate. Rules out of season are left out.
 *
 * @param rules the rules as read
 * @param facts the rate, its day and portions, what was put down before
 * @param units nutrients in `need`, the product in `rate`
 * @returns one check for each rule that holds on the day, in their order, the label's last
 * @example
 * checkRules(readRuleSet(typed).rules, facts, units).filter(({ state }) => state === 'broken')
 * // most in a year: nitrogen; 3.2 lb so far + 0.8 lb = 4 lb of at most 3.5 lb; 0.5 lb over; 0.375 of the rate is allowed
 */
export const checkRules = (
  rules: readonly RuleReading[],
  facts: RuleFacts,
  units: { readonly need: MassPerAreaUnit; readonly rate: RateUnit },
): RuleCheck[] => [
  ...rules.filter((rule) => holdsOn(rule, facts.onDay)).map((rule) => checkRule(rule, facts, units.need)),
  ...checkLabel(facts, units.rate),
  ...checkInterval(facts),
  ...checkSpray(facts),
];

/** What a sheet is held against besides what stands on it. */
export interface SheetFacts {
  /** Day of the first portion, year-month-day. */
  readonly onDay: string;
  /** Soil tests of the crew: the sheet names one. */
  readonly soilTests: readonly { readonly id: string; readonly typed: SoilTestTyped }[];
  /** What else is planned on the same ground. */
  readonly others: readonly PlannedJob[];
}

/** The soil test that a sheet goes by, and what it asks for of phosphorus. */
function soilFactsOf(
  { soilTest, soilTestDay }: RuleFactsTyped,
  tests: SheetFacts['soilTests'],
): SoilFacts | null {
  const test = tests.find(({ id }) => id === soilTest)?.typed;
  if (!test) return soilTestDay === '' ? null : { day: soilTestDay, phosphateKgPerM2: undefined };
  const stated = readSoilTest(test).needs.find(({ nutrient }) => nutrient === 'P' || nutrient === 'P2O5');
  return {
    day: test.onDay,
    phosphateKgPerM2: stated ? inForm(stated.kgPerM2, stated.nutrient, 'P2O5') : null,
  };
}

/**
 * As checkRules, for a worksheet on a day; none before the sheet has a rate.
 */
export function checkSheet(
  rules: readonly RuleReading[],
  { reading, numbers, units }: WorksheetAnswer,
  typed: RuleFactsTyped,
  { onDay, soilTests, others }: SheetFacts,
): RuleCheck[] {
  const { product, split, soFar } = reading;
  if (numbers.rateSi === null) return [];
  const facts = {
    onDay,
    product,
    rateSi: numbers.rateSi,
    portions: split.portions,
    everyDays: split.everyDays,
    soFar,
    soilTest: soilFactsOf(typed, soilTests),
    others,
    mixPerM2: numbers.mix?.perM2 ?? null,
  };
  return checkRules(rules, facts, { need: units.delivered, rate: units.rate });
}

/**
 * The share of the rate that keeps every rule that a lower rate can keep: 1 when none is broken, 0 when nothing is
 * allowed.
 */
export const mostAllowedShare = (checks: readonly RuleCheck[]): number =>
  checks.reduce((least, { mostShare }) => Math.min(least, mostShare ?? 1), 1);

/** The fewest portions that keep every broken rule; null where none is broken or splitting does not keep them all. */
export function fewestPortions(checks: readonly RuleCheck[]): number | null {
  // How far apart portions go is another question.
  const broken = checks.filter(({ state, daysNeeded, id }) => state === 'broken' && daysNeeded === null && !id.startsWith('label.interval') && id !== 'label.carrier'); // prettier-ignore
  const needed = broken.flatMap(({ portionsNeeded }) => portionsNeeded ?? []);
  return broken.length > 0 && needed.length === broken.length ? Math.max(...needed) : null;
}

/** Days between two portions that keep every rule on them; null where none is broken or not said. */
export function daysNeeded(checks: readonly RuleCheck[]): number | null {
  const needed = checks.flatMap((check) => check.daysNeeded ?? []);
  return needed.length === 0 ? null : Math.max(...needed);
}
