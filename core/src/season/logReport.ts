import { grouped } from '../fields/grouped.ts';
import { finite } from '../errors/preconditions.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { nameKey } from '../fields/nameKey.ts';
import { LEDGER_NUTRIENTS, type LedgerNutrient } from '../need/ledgerNutrients.ts';
import { ledgerRow, type LedgerRow } from './ledgerRow.ts';
import type { DoneRow } from './rounds.ts';

/** What went out of a product. */
export interface ProductSum {
  readonly name: string;
  readonly isLiquid: boolean;
  readonly count: number;
  /** kg, or L of a liquid. */
  readonly amountSi: number;
}

/** What was put down somewhere, or by somebody, or in all. */
export interface ReportPart {
  /** Empty: it is not said. */
  readonly name: string;
  readonly count: number;
  /** Ground that was treated, each time counted, m2. */
  readonly areaM2: number;
  readonly products: readonly ProductSum[];
  /** kg; those of which there is something. */
  readonly nutrients: readonly { readonly nutrient: LedgerNutrient; readonly kg: number }[];
  readonly saltKg: number;
  readonly chlorideKg: number;
}

/** A report over records: in all, by site, and by whoever spread. */
export interface LogReport {
  readonly all: ReportPart;
  readonly sites: readonly ReportPart[];
  readonly people: readonly ReportPart[];
}

type Read = LedgerRow & { readonly isLiquid: boolean };

const sum = (rows: readonly Read[], of: (row: Read) => number): number =>
  finite(rows.reduce((all, row) => all + of(row), 0));

function partOf(name: string, rows: readonly Read[]): ReportPart {
  const products = [...grouped(rows, ({ productKey }) => productKey).values()].map((own): ProductSum => ({
    name: own[0]!.productName,
    isLiquid: own[0]!.isLiquid,
    count: own.length,
    amountSi: sum(own, ({ amountSi }) => amountSi),
  }));
  return {
    name,
    count: rows.length,
    areaM2: sum(rows, ({ areaM2 }) => areaM2),
    products: products.toSorted((a, b) => a.name.localeCompare(b.name)),
    nutrients: LEDGER_NUTRIENTS.map((nutrient) => ({ nutrient, kg: sum(rows, (row) => row.nutrients[nutrient]) })).filter(({ kg }) => kg > 0),
    saltKg: sum(rows, ({ saltKg }) => saltKg),
    chlorideKg: sum(rows, ({ chlorideKg }) => chlorideKg),
  };
} // prettier-ignore

/**
 * Sums over records for a report; what does not count is left out.
 *
 * @param rows of the days that the report is of
 * @example logReport([]).all.count // 0
 */
export function logReport(rows: readonly DoneRow[]): LogReport {
  const read = rows
    .map((row): Read => ({ ...ledgerRow(row), isLiquid: PRODUCT_KINDS[row.input.product.kind].form === 'liquid' }))
    .filter(({ isVoid }) => !isVoid);
  const by = (keyOf: (row: Read) => string) =>
    [...grouped(read, (row) => nameKey(keyOf(row))).values()]
      .map((own) => partOf(keyOf(own[0]!).trim(), own))
      .toSorted((a, b) => a.name.localeCompare(b.name));
  return { all: partOf('', read), sites: by(({ siteName }) => siteName), people: by(({ by: who }) => who) };
} // prettier-ignore
