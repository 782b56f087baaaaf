import { message, type Message } from '../messages/message.ts';
import { showQuantity, type DisplayValue } from '../quantities/show.ts';
import type { RateUnit } from '../products/product.ts';
import type { ProductResult } from '../products/evaluateProduct.ts';
import { term, word, type Join, type Term, type Working } from '../working/working.ts';
import type { SoFar } from '../need/soFar.ts';

/** What rules are held against: a product rate on a day, in portions, after what was put down before. */
export interface RuleFacts {
  readonly onDay: string;
  readonly product: ProductResult;
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
  /** What was spread on the same ground already: days of the crew's year and the last before it. */
  readonly done: readonly DoneBefore[];
  /** What lies there of this product already in the year, kg/m2 or L/m2. */
  readonly beforeSi: number;
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

/** An application on the same ground, before. */
export interface DoneBefore {
  readonly onDay: string;
  readonly isSameProduct: boolean;
  /** It lies in the crew's year. */
  readonly isInYear: boolean;
}

/** How one rule stands. */
export interface RuleCheck {
  readonly id: string;
  /** The rule as it is said. */
  readonly rule: Message;
  /** unknown: the label does not say what the rule asks about. */
  readonly state: 'kept' | 'broken' | 'unknown';
  readonly working: Working;
  /** By how much it is broken; null unless it is. */
  readonly overBy: (DisplayValue & { readonly of?: Message }) | null;
  /** The share of this rate that the rule allows, below 1 when it is broken; null where no lower rate would keep it. */
  readonly mostShare: number | null;
  /** Fewest portions in which the whole would keep it; null where splitting does not help. */
  readonly portionsNeeded: number | null;
  /** Days between two portions that would keep it; null where that does not help. */
  readonly daysNeeded: number | null;
}

export type Standing = Pick<RuleCheck, 'state' | 'overBy' | 'mostShare' | 'portionsNeeded' | 'daysNeeded'>;

export const standing = (state: RuleCheck['state'], more: Partial<Standing> = {}): Standing => ({
  state,
  overBy: null,
  mostShare: state === 'broken' ? null : 1,
  portionsNeeded: null,
  daysNeeded: null,
  ...more,
});

/** Rounding in the last digits of a division is no breach. */
export const SLACK = 1 + 1e-9;

interface Cap {
  readonly id: string;
  readonly rule: Message;
  readonly parts: readonly (Term | Join)[];
  readonly value: number | null;
  /** What was there before this rate. */
  readonly before: number;
  readonly limit: number;
  readonly unit: RateUnit;
  readonly symbol: string;
  readonly perPortion: boolean;
}

export const withSymbol = ({ number, unit }: DisplayValue, symbol: string): DisplayValue => ({
  number,
  unit: symbol === '' ? unit : unit.replace(' /', ` ${symbol} /`),
});

/** A limit on an amount: kept, or broken by so much, with the share of the rate that would keep it. */
export function capCheck(cap: Cap, portions: number): RuleCheck {
  const { id, rule, parts, value, before, limit, unit, symbol, perPortion } = cap;
  const shown = (si: number) => withSymbol(showQuantity(si, unit), symbol);
  const working: Working = {
    id,
    label: rule,
    parts: [
      ...parts,
      word(message('working.ofAtMost')),
      term('limit', shown(limit), { origin: 'typed', strong: true }),
    ],
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
