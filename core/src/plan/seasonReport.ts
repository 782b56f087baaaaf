import { daysLater } from '../fields/days.ts';
import { grouped } from '../fields/grouped.ts';
import { finite } from '../errors/preconditions.ts';
import { ledgerForm, LEDGER_NUTRIENTS, type LedgerNutrient } from '../need/ledgerNutrients.ts';
import { inForm } from '../need/nutrients.ts';
import { deliveredAtRate } from '../need/productRate.ts';
import type { RuleResult } from '../regulations/rules.ts';
import type { LedgerRow } from '../season/ledgerRow.ts';
import type { PlannedPortion } from './planned.ts';

/** kg/m2 of each nutrient, of the ground that was treated. */
export type PerNutrient = Readonly<Record<LedgerNutrient, number>>;

/** A span of days, both of them in it. */
interface Span {
  readonly from: string;
  readonly to: string;
}

/** What a season came to on an area, or on all of a site. */
export interface SeasonSums {
  readonly count: number;
  /** kg. */
  readonly saltKg: number;
  readonly chlorideKg: number;
  readonly saltBeforeKg: number;
  readonly chlorideBeforeKg: number;
  /** Hundredths, of what has a price; how many have none. */
  readonly cents: number;
  readonly withoutPrice: number;
  /** What went out over what was meant, of what was weighed: 1 as meant. Null: nothing was. */
  readonly ratio: number | null;
  /** Unevenness between passes, the mean over the ground, as a fraction; null: no tray test tells. */
  readonly cv: number | null;
}

/** One area over a season. */
export interface SeasonLine extends SeasonSums {
  readonly areaKey: string;
  readonly areaName: string;
  readonly delivered: PerNutrient;
  readonly before: PerNutrient;
  /** null: nothing was planned for it. */
  readonly planned: PerNutrient | null;
  /** The strictest cap of the year, kg/m2; null: none. */
  readonly caps: Readonly<Record<LedgerNutrient, number | null>>;
  /** Hundredths on each square metre; null: nothing has a price. */
  readonly centsPerM2: number | null;
}

/** The areas of a site, and the site as a whole. */
export interface SeasonSite extends SeasonSums {
  readonly siteName: string;
  readonly lines: readonly SeasonLine[];
}

export interface SeasonFacts {
  readonly year: Span;
  /** Records of this year and the one before, in any order. */
  readonly rows: readonly LedgerRow[];
  /** What was planned for this year, spread or not. */
  readonly planned: readonly PlannedPortion[];
  /** The rules that hold on a site, by its id. */
  rulesOn(site: string): readonly RuleResult[];
  /** How unevenly a record was spread, by the tray test of its machine at its spacing, as a fraction; null: nobody knows. */
  cvOf(root: string): number | null;
}

const each = <Value>(of: (nutrient: LedgerNutrient) => Value) =>
  Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [nutrient, of(nutrient)])) as Record<LedgerNutrient, Value>; // prettier-ignore

const sum = <Row>(rows: readonly Row[], of: (row: Row) => number): number =>
  finite(rows.reduce((all, row) => all + of(row), 0));

/** The same span a year before: to the day before this one begins. */
const spanBefore = ({ from }: Span): Span => ({
  from: `${String(Number(from.slice(0, 4)) - 1).padStart(4, '0')}${from.slice(4)}`,
  to: daysLater(from, -1),
});

function sumsOf(now: readonly LedgerRow[], before: readonly LedgerRow[], cvOf: SeasonFacts['cvOf']): SeasonSums {
  const weighed = now.filter(({ isWeighed, meantSi }) => isWeighed && meantSi !== null && meantSi > 0);
  const meant = sum(weighed, ({ meantSi }) => meantSi!);
  const even = now.flatMap(({ root, areaM2 }) => {
    const cv = cvOf(root);
    return cv === null || areaM2 <= 0 ? [] : [{ cv, areaM2 }];
  });
  return {
    count: now.length,
    saltKg: sum(now, ({ saltKg }) => saltKg),
    chlorideKg: sum(now, ({ chlorideKg }) => chlorideKg),
    saltBeforeKg: sum(before, ({ saltKg }) => saltKg),
    chlorideBeforeKg: sum(before, ({ chlorideKg }) => chlorideKg),
    cents: sum(now, ({ cents }) => cents ?? 0),
    withoutPrice: now.filter(({ cents }) => cents === null).length,
    ratio: meant > 0 ? finite(sum(weighed, ({ amountSi }) => amountSi) / meant) : null,
    cv: even.length === 0 ? null : finite(sum(even, ({ cv, areaM2 }) => cv * areaM2) / sum(even, ({ areaM2 }) => areaM2)),
  };
} // prettier-ignore

const lying = (rows: readonly LedgerRow[]): PerNutrient =>
  each((nutrient) => sum(rows, ({ areaM2, nutrients }) => (areaM2 > 0 ? nutrients[nutrient] / areaM2 : 0)));

/** What portions bring together, in the forms of the ledger. */
function broughtBy(portions: readonly PlannedPortion[]): PerNutrient {
  const all = portions.flatMap(({ product, rateSi }) =>
    product?.grade && rateSi !== null && product.kgPerSi !== null ? deliveredAtRate(rateSi * product.kgPerSi, product.grade) : [],
  );
  return each((form) =>
    sum(all, ({ nutrient, kgPerM2 }) => {
      return ledgerForm(nutrient) === form ? inForm(kgPerM2, nutrient, form) : 0;
    }),
  );
} // prettier-ignore

/** The strictest cap of a year on each nutrient. */
function capsOf(rules: readonly RuleResult[]): Record<LedgerNutrient, number | null> {
  return each((form) => {
    const limits = rules.flatMap(({ input: { kind, nutrient }, limit }) => {
      if (kind !== 'most-in-a-year') return [];
      return ledgerForm(nutrient) === form ? [inForm(limit, nutrient, form)] : [];
    });
    return limits.length === 0 ? null : Math.min(...limits);
  });
}

interface OnArea {
  readonly areaKey: string;
  readonly now: readonly LedgerRow[];
  readonly before: readonly LedgerRow[];
  readonly planned: readonly PlannedPortion[];
}

function lineOf({ areaKey, now, before, planned }: OnArea, { rulesOn, cvOf }: SeasonFacts): SeasonLine {
  const last = [...now, ...before].toSorted((a, b) => a.onDay.localeCompare(b.onDay)).at(-1);
  const perM2 = now.flatMap(({ cents, areaM2 }) => (cents === null || areaM2 <= 0 ? [] : [cents / areaM2]));
  return {
    ...sumsOf(now, before, cvOf),
    areaKey,
    areaName: planned[0]?.ground?.areaName ?? last?.areaName ?? planned[0]?.input.areaName ?? '',
    delivered: lying(now),
    before: lying(before),
    planned: planned.length === 0 ? null : broughtBy(planned),
    caps: capsOf(rulesOn(last?.site ?? planned[0]?.input.site ?? '')),
    centsPerM2: perM2.length === 0 ? null : sum(perM2, (cents) => cents),
  };
}

/**
 * What a season came to, site by site and area by area: against its plan, the caps, and the year before. What does not count is in none
 * of it; what was planned and never spread is a line of its own.
 *
 * @returns by the names of sites, then of areas
 * @example seasonReport({ year: { from: '2026-01-01', to: '2026-12-31' }, rows: [], planned: [], rulesOn: () => [], cvOf: () => null }) // []
 */
export function seasonReport(facts: SeasonFacts): SeasonSite[] {
  const { year, rows, planned } = facts;
  const earlier = spanBefore(year);
  const within = ({ from, to }: Span) => rows.filter(({ isVoid, onDay }) => !isVoid && onDay >= from && onDay <= to);
  const [now, before] = [within(year), within(earlier)].map((own) => grouped(own, ({ areaKey }) => areaKey)) as [Map<string, LedgerRow[]>, Map<string, LedgerRow[]>];
  const plans = grouped(planned.filter(({ input: { onDay } }) => onDay >= year.from && onDay <= year.to), ({ input: { area } }) => area);
  const keys = [...new Set([...now.keys(), ...plans.keys()])];
  const areas = keys.map((areaKey): OnArea & { readonly siteName: string } => {
    const [done, portions] = [now.get(areaKey) ?? [], plans.get(areaKey) ?? []];
    return { areaKey, now: done, before: before.get(areaKey) ?? [], planned: portions, siteName: done.at(-1)?.siteName || portions[0]?.input.siteName || '' };
  });
  return [...grouped(areas, ({ siteName }) => siteName)]
    .map(([siteName, own]): SeasonSite => {
      const sums = sumsOf(own.flatMap((area) => area.now), own.flatMap((area) => area.before), facts.cvOf);
      return Object.assign({ siteName, lines: own.map((area) => lineOf(area, facts)).toSorted((a, b) => a.areaName.localeCompare(b.areaName)) }, sums);
    })
    .toSorted((a, b) => a.siteName.localeCompare(b.siteName));
} // prettier-ignore

/** Less of what was planned is told. */
const ENOUGH = 0.9;
/** So far off what was meant goes without a word, percent. */
const NEAR_PERCENT = 10;
/** Rounding in the last digits of a sum is no breach. */
const SLACK = 1 + 1e-9;

/**
 * How a nutrient stands on an area over a season: over its cap, less than was planned, or neither.
 *
 * @example nutrientStanding({ delivered: { N: 2 }, planned: null, caps: { N: 1 } }, 'N') // 'over'
 */
export function nutrientStanding({ delivered, planned, caps }: Pick<SeasonLine, 'delivered' | 'planned' | 'caps'>, nutrient: LedgerNutrient): 'over' | 'short' | 'fine' {
  const [down, meant, cap] = [delivered[nutrient], planned?.[nutrient] ?? 0, caps[nutrient]];
  if (cap !== null && down > cap * SLACK) return 'over';
  return meant > 0 && down < meant * ENOUGH ? 'short' : 'fine';
} // prettier-ignore

/**
 * Whether what went out is further from what was meant than goes without a word: more than a tenth, in whole percent.
 *
 * @param ratio 1 as meant; null: nothing was weighed
 * @example isFarOff(1.13) // true
 */
export const isFarOff = (ratio: number | null): boolean =>
  ratio !== null && Math.abs(Math.round(ratio * 100) - 100) > NEAR_PERCENT;
