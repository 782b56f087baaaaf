import { grouped } from '../fields/grouped.ts';
import { InputError } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
import { daysLater, isDayOfYear } from '../fields/days.ts';
import type { SoFar } from '../need/soFar.ts';
import { LEDGER_NUTRIENTS, type LedgerNutrient } from '../need/ledgerNutrients.ts';
import type { LedgerRow } from '../season/ledgerRow.ts';
import type { DoneBefore } from './standing.ts';

/** Sums over applications on one area. On each square metre: of the ground that was treated, which is the most that lies anywhere. */
export interface LedgerSums {
  readonly count: number;
  readonly perM2: Readonly<Record<LedgerNutrient, number>>;
  readonly quickNPerM2: number;
  readonly kg: Readonly<Record<LedgerNutrient, number>>;
  readonly aiKg: number;
  readonly saltKg: number;
  readonly chlorideKg: number;
  /** Hundredths, of those that have a price. */
  readonly cents: number;
  readonly withoutPrice: number;
}

/** What of a product lies on an area. */
export interface LedgerProduct {
  readonly key: string;
  readonly name: string;
  readonly count: number;
  readonly lastDay: string;
  /** The day of each application, in their order; none where all areas are told at once: that would cost more than the rest. */
  readonly days: readonly string[];
  /** kg or L on each square metre. */
  readonly siPerM2: number;
}

/** One area in the ledger, over the days that were asked for. */
export interface LedgerArea {
  readonly areaKey: string;
  readonly area: string;
  readonly site: string;
  readonly areaName: string;
  readonly siteName: string;
  readonly lastDay: string;
  readonly months: readonly (LedgerSums & { readonly month: string })[];
  readonly products: readonly LedgerProduct[];
}

const zeros = (): Record<LedgerNutrient, number> => ({ N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 });

const NOTHING: LedgerSums = { count: 0, perM2: zeros(), quickNPerM2: 0, kg: zeros(), aiKg: 0, saltKg: 0, chlorideKg: 0, cents: 0, withoutPrice: 0 }; // prettier-ignore

const each = (of: (nutrient: LedgerNutrient) => number): Record<LedgerNutrient, number> =>
  Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [nutrient, finite(of(nutrient))])) as Record<LedgerNutrient, number>; // prettier-ignore

/**
 * Two sums together.
 *
 * @example plusSums(noSums(), noSums()).count // 0
 */
export const plusSums = (a: LedgerSums, b: LedgerSums): LedgerSums => ({
  count: a.count + b.count,
  perM2: each((nutrient) => a.perM2[nutrient] + b.perM2[nutrient]),
  quickNPerM2: finite(a.quickNPerM2 + b.quickNPerM2),
  kg: each((nutrient) => a.kg[nutrient] + b.kg[nutrient]),
  aiKg: finite(a.aiKg + b.aiKg),
  saltKg: finite(a.saltKg + b.saltKg),
  chlorideKg: finite(a.chlorideKg + b.chlorideKg),
  cents: finite(a.cents + b.cents),
  withoutPrice: a.withoutPrice + b.withoutPrice,
});

/**
 * Nothing at all.
 *
 * @example noSums().count // 0
 */
export const noSums = (): LedgerSums => NOTHING;

/** One application as sums. */
function sumsOf({ areaM2, nutrients, quickNKg, aiKg, saltKg, chlorideKg, cents }: LedgerRow): LedgerSums {
  const per = (kg: number) => (areaM2 > 0 ? kg / areaM2 : 0);
  return { count: 1, perM2: each((nutrient) => per(nutrients[nutrient])), quickNPerM2: finite(per(quickNKg)), kg: nutrients, aiKg, saltKg, chlorideKg, cents: cents ?? 0, withoutPrice: cents === null ? 1 : 0 }; // prettier-ignore
}

function productsOf(rows: readonly LedgerRow[]): LedgerProduct[] {
  const found = new Map<string, LedgerProduct>();
  for (const { productKey, productName, onDay, amountSi, areaM2 } of rows) {
    const before = found.get(productKey);
    const siPerM2 = (before?.siPerM2 ?? 0) + (areaM2 > 0 ? amountSi / areaM2 : 0);
    const days = [...(before?.days ?? []), onDay].toSorted();
    found.set(productKey, { key: productKey, name: before?.name ?? productName, count: days.length, lastDay: days.at(-1)!, days, siPerM2: finite(siPerM2) }); // prettier-ignore
  }
  return [...found.values()].toSorted((a, b) => a.key.localeCompare(b.key));
}

/**
 * The ledger of applications as they stand: each area with its months and products. What does not count is in none of it.
 *
 * @param rows of the days that are asked for, in any order
 * @example ledgerOf([]) // []
 */
export function ledgerOf(rows: readonly LedgerRow[]): LedgerArea[] {
  const areas = grouped(rows.filter(({ isVoid }) => !isVoid), ({ areaKey }) => areaKey); // prettier-ignore
  return [...areas].map(([areaKey, own]): LedgerArea => {
    const last = own.toSorted((a, b) => a.onDay.localeCompare(b.onDay)).at(-1)!;
    const months = new Map<string, LedgerSums>();
    for (const row of own) months.set(row.onDay.slice(0, 7), plusSums(months.get(row.onDay.slice(0, 7)) ?? NOTHING, sumsOf(row)));
    return {
      areaKey,
      area: last.area,
      site: last.site,
      areaName: last.areaName,
      siteName: last.siteName,
      lastDay: last.onDay,
      months: [...months].map(([month, sums]) => Object.assign({ month }, sums)).toSorted((a, b) => a.month.localeCompare(b.month)),
      products: productsOf(own),
    };
  }).toSorted((a, b) => a.siteName.localeCompare(b.siteName) || a.areaName.localeCompare(b.areaName) || a.areaKey.localeCompare(b.areaKey));
} // prettier-ignore

/**
 * All months of an area together.
 *
 * @example sumsOver([]).count // 0
 */
export const sumsOver = (months: readonly LedgerSums[]): LedgerSums => months.reduce(plusSums, NOTHING);

/**
 * The crew's own year that a day lies in: from the day it starts to the day before it starts again.
 *
 * @param day year-month-day
 * @param start month-day; 29 February is no start, since most years have none
 * @throws InputError season.unreadable
 * @example yearOf('2026-02-10', '07-01') // { from: '2025-07-01', to: '2026-06-30' }
 */
export function yearOf(day: string, start: string): { readonly from: string; readonly to: string } {
  if (!isDayOfYear(start) || start === '02-29') throw new InputError('season.unreadable', { field: 'yearStart', input: start, hint: '07-01' }); // prettier-ignore
  const year = Number(day.slice(0, 4)) - (day.slice(5) < start ? 1 : 0);
  const of = (at: number) => `${String(at).padStart(4, '0')}-${start}`;
  return { from: of(year), to: daysLater(of(year + 1), -1) };
}

/**
 * What lies on ground already, as rules take it: of each nutrient the most that lies on any of the areas.
 *
 * @example soFarOn([]) // []
 */
export function soFarOn(areas: readonly LedgerArea[]): SoFar[] {
  const sums = areas.map(({ months }) => sumsOver(months).perM2);
  return LEDGER_NUTRIENTS.flatMap((nutrient): SoFar[] => {
    const kgPerM2 = Math.max(0, ...sums.map((perM2) => perM2[nutrient]));
    return kgPerM2 > 0 ? [{ nutrient, kgPerM2 }] : [];
  });
}

/**
 * What was spread on ground before, as rules take it: every day of every application, whatever the product. What counts as times in a year
 * is that of the area that has most of the product.
 *
 * @param areas of the year and of as long before it as intervals reach back
 * @param productKey the product that is asked about
 * @param yearFrom first day of the crew's year
 * @example doneOn([], 'lake feed', '2026-01-01') // []
 */
export function doneOn(areas: readonly LedgerArea[], productKey: string, yearFrom: string): DoneBefore[] {
  const inYear = ({ products }: LedgerArea) =>
    products.filter(({ key }) => key === productKey).flatMap(({ days }) => days.filter((day) => day >= yearFrom));
  const most = areas.toSorted((a, b) => inYear(b).length - inYear(a).length)[0];
  return areas.flatMap((area) =>
    area.products.flatMap(({ key, days }) =>
      days.map((onDay) => ({ onDay, isSameProduct: key === productKey, isInYear: onDay >= yearFrom && (key !== productKey || area === most) })),
    ),
  );
} // prettier-ignore
