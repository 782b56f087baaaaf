import { message } from '../messages/message.ts';
import { readCount, readPercent } from '../fields/counts.ts';
import * as z from 'zod';
import { toResult, InputError } from '../errors/InputError.ts';
import { NUTRIENT_IDS } from '../need/nutrients.ts';
import { readPositive } from '../quantities/quantity.ts';
import { systemOf, type MassPerAreaUnit } from '../quantities/units.ts';
import { filledIn, textIn, type UpgradeStep } from '../fields/upgrade.ts';
import { isDayOfYear } from '../fields/days.ts';
import { readName } from '../fields/heading.ts';
import {
  blankLimits,
  conditionLimits,
  evaluateLimits,
  type LimitsResult,
} from '../products/conditionLimits.ts';
import { massRateUnit, notes, text, type InputOf } from '../fields/schema.ts';

/** Kinds of rule, with what the number of each is. */
export const RULE_KINDS = {
  'most-at-once': { number: 'rate', ofNutrient: true },
  'most-in-a-year': { number: 'rate', ofNutrient: true },
  'quick-nitrogen': { number: 'rate', ofNutrient: false },
  'slow-share': { number: 'percent', ofNutrient: false },
  'soil-test': { number: 'years', ofNutrient: false },
  'least-days': { number: 'days', ofNutrient: false },
  'times-in-a-year': { number: 'count', ofNutrient: false },
  closed: { number: 'none', ofNutrient: false },
} as const;

export type RuleKind = keyof typeof RULE_KINDS;
export const RULE_KIND_IDS = Object.keys(RULE_KINDS) as RuleKind[];

/** One rule as typed. The season is month-day to month-day, over new year too; empty: the whole year. */
const ruleInput = z.object({
  id: z.uuid(),
  kind: z.enum(RULE_KIND_IDS),
  nutrient: z.enum(NUTRIENT_IDS),
  /** A rate, a percentage, or years: as the kind says. */
  amount: text,
  from: text,
  to: text,
});
export type RuleInput = InputOf<typeof ruleInput>;

/** The rules of one place, as the crew typed them in. */
export const ruleSetInput = z.object({
  name: text,
  /** Where they come from: the code, the contract, the advice. */
  source: notes,
  unit: massRateUnit,
  rules: z.array(ruleInput).max(60),
  /** What the crew does not go out in, whatever the product. */
  limits: conditionLimits,
});
export type RuleSetInput = InputOf<typeof ruleSetInput>;

/** A rule as read: `limit` in kg/m2, as a fraction, in years or days, or a count; 0 for dates that are closed. */
export interface RuleResult {
  readonly input: RuleInput;
  readonly limit: number;
  readonly season: { readonly from: string; readonly to: string } | null;
}

export interface RuleSetResult {
  readonly rules: readonly RuleResult[];
  readonly limits: LimitsResult;
  readonly errors: readonly InputError[];
}

/**
 * An empty set with one rule to begin with.
 *
 * @example blankRuleSet('kg/ha', 'r').rules.length // 1
 */
export const blankRuleSet = (unit: MassPerAreaUnit, firstId: string): RuleSetInput => ({
  name: '',
  source: '',
  unit,
  rules: [blankRule(firstId)],
  limits: blankLimits(systemOf(unit)),
});

/**
 * A rule as it begins: the most at once, of N.
 *
 * @example blankRule('r').kind // 'most-at-once'
 */
export const blankRule = (id: string): RuleInput => ({
  id,
  kind: 'most-at-once',
  nutrient: 'N',
  amount: '',
  from: '',
  to: '',
});

function readLimit({ kind, amount }: RuleInput, unit: MassPerAreaUnit, field: string): number {
  const { number } = RULE_KINDS[kind];
  if (number === 'rate') {
    if (/^\s*0+(\.0*)?\s*$/.test(amount)) return 0;
    return readPositive(amount, { kind: 'massPerArea', bareUnit: unit, field }, message('errors.what.limit'))
      .si;
  }
  if (number === 'none') return 0;
  if (number === 'days') return readCount(amount, { field, hint: '28', most: 366, isPositive: true });
  if (number === 'count') return readCount(amount, { field, hint: '4', most: 366 });
  if (number === 'percent') return readPercent(amount, { field, hint: '25 %' });
  return readCount(amount, { field, hint: '3', most: 50 });
}

function readSeason({ kind, from, to }: RuleInput, path: string): RuleResult['season'] {
  // Closed the whole year is a slip: its days are what it is about.
  if (from === '' && to === '' && kind !== 'closed') return null;
  for (const [name, text] of [
    ['from', from],
    ['to', to],
  ] as const) {
    // prettier-ignore
    if (!isDayOfYear(text))
      throw new InputError('season.unreadable', { field: `${path}.${name}`, input: text || message('errors.nothing'), hint: '04-15' });
  }
  return { from, to };
}

/**
 * Reads a set of rules. A rule that cannot be read is left out and named; a rule without a number is an error, since
 * it would seem to protect and does not.
 *
 * @example evaluateRuleSet(townRules).rules[0].limit // 0.00488 for "1 lb/1000 ft2"
 */
export function evaluateRuleSet({ name, unit, rules, limits: typed }: RuleSetInput): RuleSetResult {
  const named = toResult(() => readName(name, 'name', message('errors.example.ruleSet')));
  const errors = named.error ? [named.error] : [];
  const read = rules.flatMap((input, index): RuleResult[] => {
    const { value, error } = toResult(() => ({
      input,
      limit: readLimit(input, unit, `rules.${index}.amount`),
      season: readSeason(input, `rules.${index}`),
    }));
    if (error) errors.push(error);
    return value ? [value] : [];
  });
  const limits = evaluateLimits(typed, 'limits');
  errors.push(...limits.errors);
  return { rules: read, limits, errors };
}

/**
 * True when a rule holds on a day, "2026-04-18": in its season, over new year too.
 *
 * @example holdsOn({ season: null }, '2026-04-18') // true
 */
export function holdsOn({ season }: RuleResult, day: string): boolean {
  if (!season) return true;
  const date = day.slice(5);
  const { from, to } = season;
  return from <= to ? from <= date && date <= to : date >= from || date <= to;
}

/** Before runs were walked, a set said nothing of the weather. */
export const ruleSetUpgrades: readonly UpgradeStep[] = [
  {
    adds: ['limits'],
    upgrade: (earlier) => filledIn({ limits: blankLimits(/kg|g/.test(textIn(earlier, 'unit')) ? 'metric' : 'us') }, earlier), // prettier-ignore
  },
];
