import { toResult, InputError } from '../errors/InputError.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import { readName } from '../fields/heading.ts';

/** Kinds of rule, with the words for each and what its number is. */
export const RULE_KINDS = {
  'most-at-once': { words: 'most at once', number: 'rate', ofNutrient: true },
  'most-in-a-year': { words: 'most in a year', number: 'rate', ofNutrient: true },
  'quick-nitrogen': { words: 'most quick nitrogen at once', number: 'rate', ofNutrient: false },
  'slow-share': { words: 'least slow share of the nitrogen', number: 'percent', ofNutrient: false },
  'soil-test': { words: 'phosphorus only with a soil test under', number: 'years', ofNutrient: false },
} as const;

export type RuleKind = keyof typeof RULE_KINDS;
export const RULE_KIND_IDS = Object.keys(RULE_KINDS) as RuleKind[];

/** One rule as typed. The season is month-day to month-day, over new year too; empty: the whole year. */
export interface RuleInput {
  readonly id: string;
  readonly kind: RuleKind;
  readonly nutrient: Nutrient;
  /** A rate, a percentage, or years: as the kind says. */
  readonly amount: string;
  readonly from: string;
  readonly to: string;
}

/** The rules of one place, as the crew typed them in. */
export interface RuleSetInput {
  readonly name: string;
  /** Where they come from: the code, the contract, the advice. */
  readonly source: string;
  readonly unit: MassPerAreaUnit;
  readonly rules: readonly RuleInput[];
}

/** A rule as read: `limit` in kg/m2, as a fraction, or in years. */
export interface RuleResult {
  readonly typed: RuleInput;
  readonly limit: number;
  readonly season: { readonly from: string; readonly to: string } | null;
}

export interface RuleSetResult {
  readonly rules: readonly RuleResult[];
  readonly errors: readonly InputError[];
}

/** An empty set with one rule to begin with. */
export const blankRuleSet = (unit: MassPerAreaUnit, firstId: string): RuleSetInput => ({
  name: '',
  source: '',
  unit,
  rules: [blankRule(firstId)],
});

export const blankRule = (id: string): RuleInput => ({
  id,
  kind: 'most-at-once',
  nutrient: 'N',
  amount: '',
  from: '',
  to: '',
});

const isMonthDay = (text: string): boolean => {
  if (!/^\d\d-\d\d$/.test(text)) return false;
  // A leap year, so that 02-29 counts as a day.
  const time = Date.parse(`2024-${text}T00:00:00Z`);
  return Number.isFinite(time) && new Date(time).toISOString().slice(5, 10) === text;
};

function readLimit({ kind, amount }: RuleInput, unit: MassPerAreaUnit, field: string): number {
  const { number } = RULE_KINDS[kind];
  if (number === 'rate') {
    if (/^\s*0+(\.0*)?\s*$/.test(amount)) return 0;
    return readPositive(amount, { kind: 'massPerArea', bareUnit: unit, field }, 'The limit').si;
  }
  const { value } = toResult(() => readNumber(amount.replace('%', ''), field));
  const most = number === 'percent' ? 100 : 50;
  if (value === null || value < 0 || value > most) {
    const code = number === 'percent' ? 'percent.unreadable' : 'count.unreadable';
    throw new InputError(code, { field, hint: number === 'percent' ? '25 %' : '3' });
  }
  return number === 'percent' ? value / 100 : value;
}

function readSeason({ from, to }: RuleInput, path: string): RuleResult['season'] {
  if (from === '' && to === '') return null;
  for (const [name, text] of [
    ['from', from],
    ['to', to],
  ] as const) {
    // prettier-ignore
    if (!isMonthDay(text))
      throw new InputError('season.unreadable', { field: `${path}.${name}`, typed: text || 'nothing', hint: '04-15' });
  }
  return { from, to };
}

/**
 * Reads a set of rules. A rule that cannot be read is left out and named; a rule without a number is an error, since
 * it would seem to protect and does not.
 *
 * @example evaluateRuleSet(typed).rules[0]?.limit // 0.00488 for "1 lb/1000 ft2"
 */
export function evaluateRuleSet({ name, unit, rules }: RuleSetInput): RuleSetResult {
  const named = toResult(() => readName(name, 'name', 'Town rules'));
  const errors = named.error ? [named.error] : [];
  const read = rules.flatMap((typed, at): RuleResult[] => {
    const { value, error } = toResult(() => ({
      typed,
      limit: readLimit(typed, unit, `rules.${at}.amount`),
      season: readSeason(typed, `rules.${at}`),
    }));
    if (error) errors.push(error);
    return value ? [value] : [];
  });
  return { rules: read, errors };
}

/** True when a rule holds on a day, "2026-04-18": in its season, over new year too. */
export function holdsOn({ season }: RuleResult, day: string): boolean {
  if (!season) return true;
  const date = day.slice(5);
  const { from, to } = season;
  return from <= to ? from <= date && date <= to : date >= from || date <= to;
}
