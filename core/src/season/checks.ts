import { NUTRIENTS } from '../need/nutrients.ts';
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
  /** Day of the latest soil test of this ground; null: none. */
  readonly soilTestDay: string | null;
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
}

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
  if (value === null) return { ...base, state: 'unknown', overBy: null, mostShare: 1, portionsNeeded: null };
  const over = before + value - limit;
  if (before + value <= limit * SLACK || value === 0)
    return { ...base, state: 'kept', overBy: null, mostShare: 1, portionsNeeded: null };
  const needed = perPortion && limit > 0 ? Math.ceil((value * portions) / limit / SLACK) : null;
  return {
    ...base,
    state: 'broken',
    overBy: shown(over),
    mostShare: Math.max(0, limit - before) / value,
    portionsNeeded: needed,
  };
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
      return checkSoilTest(rule, facts);
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
  const base = { id: typed.id, rule, working: { id: typed.id, label: rule, parts }, portionsNeeded: null };
  if (!feeds || (slowShare !== null && slowShare >= limit))
    return { ...base, state: 'kept', overBy: null, mostShare: 1 };
  if (slowShare === null) return { ...base, state: 'unknown', overBy: null, mostShare: 1 };
  return { ...base, state: 'broken', overBy: percent(limit - slowShare), mostShare: null };
}

function checkSoilTest({ typed, limit }: RuleReading, facts: RuleFacts): RuleCheck {
  const rule = `${RULE_KINDS['soil-test'].words} ${showExact(limit, 3)} years old`;
  const phosphate = putDown(facts.product, 'P2O5', facts.rateSi) ?? 0;
  const age = facts.soilTestDay === null ? null : yearsBetween(facts.soilTestDay, facts.onDay);
  const parts =
    phosphate <= 0
      ? [word('puts down no phosphorus')]
      : age === null
        ? [word('no soil test is given')]
        : [word('the soil test is'), term('age', { number: showNumber(Math.max(age, 0), 2), unit: 'years old' }, { strong: true })]; // prettier-ignore
  const base = { id: typed.id, rule, working: { id: typed.id, label: rule, parts }, portionsNeeded: null };
  const kept = phosphate <= 0 || (age !== null && age < limit && age >= 0);
  if (kept) return { ...base, state: 'kept', overBy: null, mostShare: 1 };
  const overBy =
    age === null || age < 0 ? null : { number: showNumber(age - limit, 2), unit: 'years too old' };
  return { ...base, state: 'broken', overBy, mostShare: null };
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
];

/**
 * As checkRules, for a worksheet on a day; none before the sheet has a rate.
 *
 * @param soilTestDay as on the sheet: empty for none
 * @param onDay day of the first portion, year-month-day
 */
export function checkSheet(
  rules: readonly RuleReading[],
  { reading, numbers, units }: WorksheetAnswer,
  { soilTestDay }: RuleFactsTyped,
  onDay: string,
): RuleCheck[] {
  const { product, split, soFar } = reading;
  if (numbers.rateSi === null) return [];
  const facts = {
    onDay,
    product,
    rateSi: numbers.rateSi,
    portions: split?.portions ?? 1,
    soFar,
    soilTestDay: soilTestDay === '' ? null : soilTestDay,
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
  const broken = checks.filter(({ state }) => state === 'broken');
  const needed = broken.flatMap(({ portionsNeeded }) => portionsNeeded ?? []);
  return broken.length > 0 && needed.length === broken.length ? Math.max(...needed) : null;
}
