import { finite } from '../errors/preconditions.ts';
import { daysLater } from '../fields/days.ts';
import { grouped } from '../fields/grouped.ts';
import { nameKey } from '../fields/nameKey.ts';
import { LEDGER_NUTRIENTS } from '../need/ledgerNutrients.ts';
import { deliveredAtRate } from '../need/productRate.ts';
import type { SoFar } from '../need/soFar.ts';
import { UNITS, type MassPerAreaUnit } from '../quantities/units.ts';
import { checkRules, soilFactsFor, type SheetFacts } from '../regulations/checks.ts';
import { yearOf } from '../regulations/ledger.ts';
import type { RuleResult } from '../regulations/rules.ts';
import type { DoneBefore, RuleCheck } from '../regulations/standing.ts';
import type { LedgerRow } from '../season/ledgerRow.ts';
import type { PlannedPortion } from './planned.ts';

/** What portions are held against. */
export interface PlanFacts {
  readonly rules: readonly RuleResult[];
  /** In place of those, on the sites that are named by their ids. */
  readonly rulesOn: ReadonlyMap<string, readonly RuleResult[]>;
  /** Records of the ground, in any order. */
  readonly rows: readonly LedgerRow[];
  /** What is planned and not spread yet, on the same ground by whatever plan. */
  readonly planned: readonly PlannedPortion[];
  readonly soilTests: SheetFacts['soilTests'];
  /** Month-day on which the crew's year begins. */
  readonly yearStart: string;
}

/** The same, found by the area. */
export interface PlanBook extends Pick<PlanFacts, 'rules' | 'rulesOn' | 'soilTests' | 'yearStart'> {
  readonly rowsOf: ReadonlyMap<string, readonly LedgerRow[]>;
  readonly plannedOf: ReadonlyMap<string, readonly PlannedPortion[]>;
}

/**
 * Opens the book: what was spread and what is planned, area by area.
 *
 * @example planBook({ rules: [], rulesOn: new Map(), rows: [], planned: [], soilTests: [], yearStart: '01-01' }).rowsOf.size // 0
 */
export const planBook = ({ rows, planned, ...rest }: PlanFacts): PlanBook => ({
  ...rest,
  rowsOf: grouped(rows.filter(({ isVoid }) => !isVoid), ({ areaKey }) => areaKey),
  plannedOf: grouped(planned, ({ input }) => input.area),
}); // prettier-ignore

/** What one planned portion brings of each nutrient, kg/m2. */
function bringsOf({ product, rateSi }: PlannedPortion): SoFar[] {
  if (!product?.grade || rateSi === null || product.kgPerSi === null) return [];
  return deliveredAtRate(rateSi * product.kgPerSi, product.grade);
}

/** What lies on the ground of a portion before it, by records and by what is planned for earlier days. */
function beforeOn({ input }: PlannedPortion, onDay: string, book: PlanBook) {
  const year = yearOf(onDay, book.yearStart);
  const isInYear = (day: string) => day >= year.from && day <= year.to;
  const key = nameKey(input.productName);
  const rows = book.rowsOf.get(input.area) ?? [];
  const others = (book.plannedOf.get(input.area) ?? []).filter((each) => each.input.id !== input.id);
  const isEarlier = (each: PlannedPortion) => each.input.onDay < onDay || (each.input.onDay === onDay && each.input.id < input.id);
  const earlier = others.filter((each) => isInYear(each.input.onDay) && isEarlier(each));
  const inYear = rows.filter((row) => isInYear(row.onDay));
  const lies = inYear.flatMap(({ nutrients, areaM2 }) =>
    areaM2 > 0 ? LEDGER_NUTRIENTS.flatMap((nutrient) => (nutrients[nutrient] > 0 ? [{ nutrient, kgPerM2: finite(nutrients[nutrient] / areaM2) }] : [])) : [],
  );
  const sameRows = inYear.filter(({ productKey }) => productKey === key);
  const sameEarlier = earlier.filter((each) => nameKey(each.input.productName) === key);
  const done: DoneBefore[] = [
    ...rows.map((row) => ({ onDay: row.onDay, isSameProduct: row.productKey === key, isInYear: isInYear(row.onDay) })),
    ...others.map((each) => ({ onDay: each.input.onDay, isSameProduct: nameKey(each.input.productName) === key, isInYear: earlier.includes(each) })),
  ];
  return {
    soFar: [...lies, ...earlier.flatMap(bringsOf)],
    done,
    beforeSi: finite(sameRows.reduce((sum, { amountSi, areaM2 }) => sum + (areaM2 > 0 ? amountSi / areaM2 : 0), 0) + sameEarlier.reduce((sum, { rateSi }) => sum + (rateSi ?? 0), 0)),
  };
} // prettier-ignore

const massUnit = ({ input }: PlannedPortion): MassPerAreaUnit =>
  UNITS[input.unit].kind === 'massPerArea' ? (input.unit as MassPerAreaUnit) : 'kg/ha';

/**
 * How the rules and the label stand for a portion on a day; nothing while its rate is not known.
 *
 * @param onDay year-month-day
 * @example checkPortion(portion, '2026-05-16', book).filter(({ state }) => state === 'broken') // []
 */
export function checkPortion(portion: PlannedPortion, onDay: string, book: PlanBook): RuleCheck[] {
  const { product, rateSi, input } = portion;
  if (product === null || rateSi === null) return [];
  const facts = {
    ...beforeOn(portion, onDay, book),
    onDay,
    product,
    rateSi,
    portions: 1,
    everyDays: null,
    others: [],
    mixPerM2: null,
    soilTest: soilFactsFor(book.soilTests, [{ site: input.site, area: input.area }]),
  };
  const rate = product.form === 'liquid' ? 'L/ha' : massUnit(portion);
  return checkRules(book.rulesOn.get(input.site) ?? book.rules, facts, { need: massUnit(portion), rate });
}

/** What another day could mend: what a lower amount would keep is no matter of days. */
const isOfDays = ({ state, mostShare }: RuleCheck): boolean => state === 'broken' && mostShare === null;

/**
 * The day nearest to the one wished for on which all of these portions may be spread: the later one of two that are as near.
 *
 * @param span first and last day that may be looked at, year-month-day
 * @returns null where there is none in the span
 * @example nearestAllowedDay([], '2026-05-16', { from: '2026-01-01', to: '2026-12-31' }, book) // '2026-05-16'
 */
export function nearestAllowedDay(
  portions: readonly PlannedPortion[],
  wish: string,
  { from, to }: { readonly from: string; readonly to: string },
  book: PlanBook,
): string | null {
  const start = wish < from ? from : wish > to ? to : wish;
  const isFree = (day: string) =>
    day >= from && day <= to && portions.every((each) => !checkPortion(each, day, book).some(isOfDays));
  for (let apart = 0; ; apart += 1) {
    const [later, sooner] = [daysLater(start, apart), daysLater(start, -apart)];
    if (later > to && sooner < from) return null;
    if (isFree(later)) return later;
    if (isFree(sooner)) return sooner;
  }
}
