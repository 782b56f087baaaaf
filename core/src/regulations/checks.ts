import { message } from '../messages/message.ts';
import { inForm, NUTRIENTS } from '../need/nutrients.ts';
import { evaluateSoilTest, youngestTestOf, type SoilTestInput } from '../need/soilTest.ts';
import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { RateUnit } from '../products/product.ts';
import { delivered } from '../products/wanted.ts';
import { operator, term, word, type Term, type Working } from '../working/working.ts';
import type { WorksheetAnswer } from '../worksheet/answer.ts';
import type { RuleFactsInput } from '../worksheet/worksheetInput.ts';
import { yearsBetween } from '../fields/days.ts';
import { earlier } from './earlier.ts';
import type { SoFar } from '../need/soFar.ts';
import { checkClosed, checkLeastDays, checkTimes } from './dateChecks.ts';
import { checkInterval, checkLabel, checkSpray } from './labelChecks.ts';
import { holdsOn, RULE_KINDS, type RuleResult } from './rules.ts';
import {
  capCheck,
  SLACK,
  standing,
  withSymbol,
  type DoneBefore,
  type PlannedJob,
  type RuleCheck,
  type RuleFacts,
  type SoilFacts,
  type Standing,
} from './standing.ts';

/** One rule of the crew, held against the facts. */
function checkRule(rule: RuleResult, facts: RuleFacts, unit: MassPerAreaUnit): RuleCheck {
  const { input, limit } = rule;
  const { product, portions, soFar } = facts;
  const portionSi = facts.rateSi / portions;
  const { id, kind } = input;
  const nutrient = RULE_KINDS[kind].ofNutrient ? input.nutrient : 'N';
  const { symbol } = NUTRIENTS[nutrient];
  const ruled = message(`checks.rule.${kind}`, { nutrient: message(`kinds.nutrient.${nutrient}`) });
  const amount = (role: string, si: number | null, origin: Term['origin'] = 'computed') =>
    term(role, si === null ? null : withSymbol(showQuantity(si, unit), symbol), { origin });
  switch (kind) {
    case 'most-at-once': {
      const value = delivered(product, nutrient, portionSi);
      return capCheck({ id, rule: ruled, parts: [amount('portion', value)], value, before: 0, limit, unit, symbol, perPortion: true }, portions); // prettier-ignore
    }
    case 'most-in-a-year': {
      const value = delivered(product, nutrient, facts.rateSi);
      const before = earlier(soFar, nutrient);
      const sum = value === null ? null : before + value;
      const parts = [amount('before', before, 'typed'), word(message('working.soFar')), operator('+'), amount('this', value), operator('='), amount('sum', sum)]; // prettier-ignore
      return capCheck({ id, rule: ruled, parts, value, before, limit, unit, symbol, perPortion: false }, portions); // prettier-ignore
    }
    case 'quick-nitrogen': {
      const nitrogen = delivered(product, 'N', portionSi);
      const quick = product.slowShare === null ? null : 1 - product.slowShare;
      const value = nitrogen === 0 ? 0 : nitrogen === null || quick === null ? null : nitrogen * quick;
      const share = quick === null ? null : { number: showExact(quick * 100, 4), unit: '%' };
      const parts = [amount('portion', nitrogen), operator('×'), term('quick', share, { of: message('working.quick'), origin: 'label' }), operator('='), amount('quickN', value)]; // prettier-ignore
      return capCheck({ id, rule: ruled, parts, value, before: 0, limit, unit, symbol, perPortion: true }, portions); // prettier-ignore
    }
    case 'slow-share':
      return checkSlowShare(rule, facts);
    case 'soil-test':
      return checkSoilTest(rule, facts, unit);
    case 'least-days':
      return checkLeastDays(rule, facts);
    case 'times-in-a-year':
      return checkTimes(rule, facts);
    case 'closed':
      return checkClosed(rule, facts);
    default:
      return kind satisfies never;
  }
}

function checkSlowShare({ input, limit }: RuleResult, { product, rateSi }: RuleFacts): RuleCheck {
  const rule = message('checks.rule.slow-share');
  const feeds = (delivered(product, 'N', rateSi) ?? 0) > 0;
  const { slowShare } = product;
  const percent = (share: number | null) =>
    share === null ? null : { number: showExact(share * 100, 4), unit: '%' };
  const parts = feeds
    ? [
        term('slow', percent(slowShare), { origin: 'label' }),
        word(message('working.slowOfAtLeast')),
        term('limit', percent(limit), { origin: 'typed', strong: true }),
      ]
    : [word(message('working.noNitrogen'))];
  const base = { id: input.id, rule, working: { id: input.id, label: rule, parts } };
  if (!feeds || (slowShare !== null && slowShare >= limit)) return { ...base, ...standing('kept') };
  if (slowShare === null) return { ...base, ...standing('unknown') };
  return { ...base, ...standing('broken', { overBy: percent(limit - slowShare) }) };
}

/** Phosphorus only with a soil test that is young enough, and no more of it than the test asks for. */
function checkSoilTest({ input, limit }: RuleResult, facts: RuleFacts, unit: MassPerAreaUnit): RuleCheck {
  const rule = message('checks.soilTest', { years: limit });
  const phosphate = delivered(facts.product, 'P2O5', facts.rateSi) ?? 0;
  const { soilTest } = facts;
  const check = (parts: Working['parts'], how: Standing): RuleCheck => ({ id: input.id, rule, working: { id: input.id, label: rule, parts }, ...how }); // prettier-ignore
  if (phosphate <= 0) return check([word(message('working.noPhosphorus'))], standing('kept'));
  if (soilTest === null) return check([word(message('working.noSoilTest'))], standing('broken'));
  const age = yearsBetween(soilTest.day, facts.onDay);
  const told = [word(message('working.soilTestIs')), term('age', { number: showNumber(Math.max(age, 0), 2), unit: '' }, { of: message('working.yearsOld'), strong: true })]; // prettier-ignore
  if (age < 0) return check(told, standing('broken'));
  if (age >= limit) return check(told, standing('broken', { overBy: { number: showNumber(age - limit, 2), unit: '', of: message('working.yearsTooOld') } })); // prettier-ignore
  const wanted = soilTest.phosphateKgPerM2;
  if (wanted === undefined) return check(told, standing('kept'));
  if (wanted === null) return check([...told, word(message('working.saysNothing'))], standing('broken'));
  const { symbol } = NUTRIENTS.P2O5;
  const amount = (role: string, si: number) => term(role, withSymbol(showQuantity(si, unit), symbol));
  const parts = [...told, word(message('working.andThisDelivers'), 'stop'), amount('this', phosphate), word(message('working.ofNeed'), 'stop'), amount('wanted', wanted)]; // prettier-ignore
  if (phosphate <= wanted * SLACK) return check(parts, standing('kept'));
  return check(parts, standing('broken', { overBy: amount('over', phosphate - wanted).shown, mostShare: wanted / phosphate })); // prettier-ignore
}

/**
 * Holds the crew's rules, and the label's own limits, against a product rate. Rules out of season are left out.
 *
 * @param rules the rules as read
 * @param facts the rate, its day and portions, what was put down before
 * @param units nutrients in `need`, the product in `rate`
 * @returns one check for each rule that holds on the day, in their order, the label's last
 * @example checkRules(evaluateRuleSet(townRules).rules, { onDay: '2026-04-18', product: label, rateSi: 0.05, portions: 1, soFar: [], soilTest: null, everyDays: null, others: [], done: [], beforeSi: 0, mixPerM2: null }, { need: 'lb/1000 ft2', rate: 'lb/1000 ft2' })[0].state // 'broken': more than 1 lb N on each 1000 ft2
 */
export const checkRules = (
  rules: readonly RuleResult[],
  facts: RuleFacts,
  units: { readonly need: MassPerAreaUnit; readonly rate: RateUnit },
): RuleCheck[] => [
  // Closed dates are held against the day of each portion.
  ...rules.filter((rule) => rule.input.kind === 'closed' || holdsOn(rule, facts.onDay)).map((rule) => checkRule(rule, facts, units.need)), // prettier-ignore
  ...checkLabel(facts, units.rate),
  ...checkInterval(facts),
  ...checkSpray(facts),
];

/** What a sheet is held against besides what stands on it. */
export interface SheetFacts {
  /** Day of the first portion, year-month-day. */
  readonly onDay: string;
  /** Soil tests of the crew: the sheet names one. */
  readonly soilTests: readonly { readonly id: string; readonly input: SoilTestInput }[];
  /** What else is planned on the same ground. */
  readonly others: readonly PlannedJob[];
  /** What was spread on it before, by the records. */
  readonly log?: GroundLog;
}

/** What the records say of the ground of a sheet. */
export interface GroundLog {
  readonly soFar: readonly SoFar[];
  readonly done: readonly DoneBefore[];
  readonly beforeSi: number;
}

const NO_LOG: GroundLog = { soFar: [], done: [], beforeSi: 0 };

/** The soil test that a sheet goes by, and what it asks for of phosphorus. */
function soilFactsOf(
  { soilTest, soilTestDay }: Pick<RuleFactsInput, 'soilTest' | 'soilTestDay'>,
  tests: SheetFacts['soilTests'],
): SoilFacts | null {
  const test = tests.find(({ id }) => id === soilTest)?.input;
  if (!test) return soilTestDay === '' ? null : { day: soilTestDay, phosphateKgPerM2: undefined };
  const stated = evaluateSoilTest(test).needs.find(({ nutrient }) => nutrient === 'P' || nutrient === 'P2O5');
  return {
    day: test.onDay,
    phosphateKgPerM2: stated ? inForm(stated.kgPerM2, stated.nutrient, 'P2O5') : null,
  };
}

/**
 * What the youngest soil test of some ground says; null: there is none of it.
 *
 * @example soilFactsFor([], [{ site: 's', area: 'a' }]) // null
 */
export function soilFactsFor(
  tests: SheetFacts['soilTests'],
  ground: readonly { readonly site: string; readonly area: string }[],
): SoilFacts | null {
  const last = youngestTestOf(tests, ground);
  return last ? soilFactsOf({ soilTest: last.id, soilTestDay: '' }, tests) : null;
}

/**
 * As checkRules, for a worksheet on a day; none before the sheet has a rate.
 *
 * @example checkSheet([], answer, sheet.rules, { onDay: '2026-04-18', soilTests: [], others: [] }) // []
 */
export function checkSheet(
  rules: readonly RuleResult[],
  { reading, numbers, units }: WorksheetAnswer,
  input: RuleFactsInput,
  { onDay, soilTests, others, log = NO_LOG }: SheetFacts,
): RuleCheck[] {
  const { product, split, soFar } = reading;
  if (numbers.rateSi === null) return [];
  const facts = {
    onDay,
    product,
    rateSi: numbers.rateSi,
    portions: split.portions,
    everyDays: split.everyDays,
    // What was typed stands for ground and work that no record knows.
    soFar: [...soFar, ...log.soFar],
    done: log.done,
    beforeSi: log.beforeSi,
    soilTest: soilFactsOf(input, soilTests),
    others,
    mixPerM2: numbers.mix?.perM2 ?? null,
  };
  return checkRules(rules, facts, { need: units.delivered, rate: units.rate });
}

/**
 * The share of the rate that keeps every rule that a lower rate can keep: 1 when none is broken, 0 when nothing is
 * allowed.
 *
 * @example mostAllowedShare([]) // 1
 */
export const mostAllowedShare = (checks: readonly RuleCheck[]): number =>
  checks.reduce((least, { mostShare }) => Math.min(least, mostShare ?? 1), 1);

/**
 * The fewest portions that keep every broken rule; null where none is broken or splitting does not keep them all.
 *
 * @example fewestPortions([]) // null
 */
export function fewestPortions(checks: readonly RuleCheck[]): number | null {
  // How far apart portions go is another question.
  const broken = checks.filter(({ state, daysNeeded, id }) => state === 'broken' && daysNeeded === null && !id.startsWith('label.interval') && id !== 'label.carrier'); // prettier-ignore
  const needed = broken.flatMap(({ portionsNeeded }) => portionsNeeded ?? []);
  return broken.length > 0 && needed.length === broken.length ? Math.max(...needed) : null;
}

/**
 * Days between two portions that keep every rule on them; null where none is broken or not said.
 *
 * @example daysNeeded([]) // null
 */
export function daysNeeded(checks: readonly RuleCheck[]): number | null {
  const needed = checks.flatMap((check) => check.daysNeeded ?? []);
  return needed.length === 0 ? null : Math.max(...needed);
}
