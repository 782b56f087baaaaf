import { daysLater } from '../fields/days.ts';
import { finite } from '../errors/preconditions.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { ProductResult, RateUnit } from '../products/index.ts';
import { checkRules, mostAllowedShare } from './checks.ts';
import type { RuleResult } from './rules.ts';
import type { RuleCheck, RuleFacts } from './standing.ts';

/** What is still allowed of a product on some ground. */
export interface Allowed {
  /** kg/m2 or L/m2 at once; null: nothing limits it. 0: none, whatever the amount. */
  readonly mostSi: number | null;
  /** The nearest day on which it is allowed, from the one asked for on; null: none in two years. */
  readonly onDay: string | null;
  /** What stands against it on the day that was asked for. */
  readonly broken: readonly RuleCheck[];
}

type Before = Pick<RuleFacts, 'soFar' | 'done' | 'beforeSi' | 'soilTest'>;
const UNITS: { readonly need: MassPerAreaUnit; readonly rate: RateUnit } = { need: 'kg/m2', rate: 'kg/m2' };
/** More than anybody spreads at once, kg/m2: every cap is passed by it, so that its share says what each leaves. */
const A_LOT = 1;
/** As little as makes no cap: what is broken by it is broken by any amount. */
const A_LITTLE = 1e-9;
const LAST_DAY = 731;

const factsOf = (product: ProductResult, onDay: string, rateSi: number, before: Before): RuleFacts => ({ ...before, onDay, product, rateSi, portions: 1, everyDays: null, others: [], mixPerM2: null }); // prettier-ignore

/** A lower rate would keep it. */
const isCap = ({ mostShare }: RuleCheck): boolean => mostShare !== null;

/**
 * The nearest day, from one on, on which a product is allowed in some amount: no closed date, far enough from what was spread, in a season
 * of no rule that it cannot keep.
 *
 * @param from year-month-day
 * @example nextAllowedDay([], evaluateProduct(lakeFeed), '2026-04-18', { soFar: [], done: [], beforeSi: 0, soilTest: null }) // '2026-04-18'
 */
export function nextAllowedDay(rules: readonly RuleResult[], product: ProductResult, from: string, before: Before): string | null {
  for (let later = 0; later <= LAST_DAY; later += 1) {
    const day = daysLater(from, later);
    const checks = checkRules(rules, factsOf(product, day, A_LITTLE, before), UNITS);
    if (!checks.some((check) => check.state === 'broken' && !isCap(check))) return day;
  }
  return null;
} // prettier-ignore

/**
 * What rules and label still allow of a product on a day: the most at once, and the nearest day on which it may be spread at all.
 *
 * @param onDay year-month-day
 * @example allowedOn([], evaluateProduct(blankProduct('dry-fertilizer', 'us')), '2026-04-18', { soFar: [], done: [], beforeSi: 0, soilTest: null }).mostSi // null
 */
export function allowedOn(rules: readonly RuleResult[], product: ProductResult, onDay: string, before: Before): Allowed {
  const none = checkRules(rules, factsOf(product, onDay, A_LITTLE, before), UNITS).filter(({ state }) => state === 'broken');
  const caps = checkRules(rules, factsOf(product, onDay, A_LOT, before), UNITS).filter((check) => check.state === 'broken' && isCap(check));
  const forbidden = none.some((check) => !isCap(check));
  const mostSi = forbidden ? 0 : caps.length === 0 ? null : finite(A_LOT * mostAllowedShare(caps));
  return { mostSi, onDay: nextAllowedDay(rules, product, onDay, before), broken: none };
} // prettier-ignore
