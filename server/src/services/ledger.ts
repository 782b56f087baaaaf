import type { LedgerQuery } from '@steady-scatter/contract';
import type { LedgerArea, LedgerSums } from '@steady-scatter/core/regulations';
import { LEDGER_NUTRIENTS, type LedgerNutrient } from '@steady-scatter/core/need';
import { QueryTypes, type Sequelize } from 'sequelize';
import type { Actor } from '../actor.ts';
import { APPLIED_TABLE, kgColumn } from '../models/applied.ts';

const onEach = (column: string): string => `SUM(IF(areaM2 > 0, \`${column}\` / areaM2, 0))`;

/** Sums of each month of each area: kg, and kg on each square metre that was treated. */
const MONTHS = [
  'areaKey', 'MAX(site) AS site', 'MAX(area) AS area', 'MAX(areaName) AS areaName', 'MAX(siteName) AS siteName', 'MAX(onDay) AS lastDay',
  'COUNT(*) AS count', `${onEach('quickNKg')} AS quickNPerM2`, 'SUM(aiKg) AS aiKg', 'SUM(saltKg) AS saltKg',
  'SUM(chlorideKg) AS chlorideKg', 'SUM(IFNULL(cents, 0)) AS cents', 'SUM(cents IS NULL) AS withoutPrice',
  ...LEDGER_NUTRIENTS.flatMap((nutrient) => [`SUM(\`${kgColumn(nutrient)}\`) AS kg${nutrient}`, `${onEach(kgColumn(nutrient))} AS per${nutrient}`]),
].join(', '); // prettier-ignore

const PRODUCTS = 'areaKey, productKey, MAX(productName) AS name, COUNT(*) AS count, MAX(onDay) AS lastDay, SUM(IF(areaM2 > 0, amountSi / areaM2, 0)) AS siPerM2'; // prettier-ignore

type Row = Readonly<Record<string, string | number | null>>;

/** What of the ledger's lines is asked for. */
function whereOf({ crewId }: Actor, { from, to, areas, site, without }: LedgerQuery) {
  const where = [
    'crewId = :crewId',
    'onDay BETWEEN :from AND :to',
    areas && 'areaKey IN (:areas)',
    site && 'site = :site',
    without && 'subject <> :without',
  ];
  return {
    sql: where.filter(Boolean).join(' AND '),
    replacements: { crewId, from, to, areas, site, without },
  };
}

/** The statements that the ledger asks, for whoever wants to see how the database answers them. */
export function ledgerStatements(actor: Actor, query: LedgerQuery) {
  const { sql, replacements } = whereOf(actor, query);
  return {
    months: `SELECT ${MONTHS}, ${query.by === 'month' ? 'SUBSTR(onDay, 1, 7)' : "''"} AS month FROM ${APPLIED_TABLE} WHERE ${sql} GROUP BY areaKey${query.by === 'month' ? ', month ORDER BY areaKey, month' : ''}`, // prettier-ignore
    products: `SELECT ${PRODUCTS}${query.areas ? ', GROUP_CONCAT(onDay ORDER BY onDay) AS days' : ''} FROM ${APPLIED_TABLE} WHERE ${sql} GROUP BY areaKey, productKey`,
    replacements,
  };
}

const each = (row: Row, prefix: string): Record<LedgerNutrient, number> =>
  Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [nutrient, Number(row[`${prefix}${nutrient}`])])) as Record<LedgerNutrient, number>; // prettier-ignore

const sumsOf = (row: Row): LedgerSums & { month: string } => ({
  month: String(row['month']),
  count: Number(row['count']),
  perM2: each(row, 'per'),
  quickNPerM2: Number(row['quickNPerM2']),
  kg: each(row, 'kg'),
  aiKg: Number(row['aiKg']),
  saltKg: Number(row['saltKg']),
  chlorideKg: Number(row['chlorideKg']),
  cents: Number(row['cents']),
  withoutPrice: Number(row['withoutPrice']),
});

/** The day of each application, where they were asked for. */
const daysOf = ({ days }: Row): string[] => (typeof days === 'string' ? days.split(',') : []);

type Growing = { -readonly [Key in keyof LedgerArea]: Key extends 'months' | 'products' ? LedgerArea[Key][number][] : LedgerArea[Key] }; // prettier-ignore

const place = (a: LedgerArea): string => [a.siteName, a.areaName, a.areaKey].join('\n');

/** The ledger between two days: sums over the applications as they stand, made when it is asked for. */
export async function readLedger(sequelize: Sequelize, actor: Actor, query: LedgerQuery): Promise<LedgerArea[]> {
  const { months, products, replacements } = ledgerStatements(actor, query);
  const how = { replacements, type: QueryTypes.SELECT } as const;
  const [byMonth, byProduct] = await Promise.all([sequelize.query<Row>(months, how), sequelize.query<Row>(products, how)]);
  const areas = new Map<string, Growing>();
  for (const row of byMonth) {
    const areaKey = String(row['areaKey']);
    const lastDay = String(row['lastDay']);
    const known = areas.get(areaKey);
    if (known) known.months.push(sumsOf(row));
    else areas.set(areaKey, { areaKey, area: String(row['area']), site: String(row['site']), areaName: String(row['areaName']), siteName: String(row['siteName']), lastDay, months: [sumsOf(row)], products: [] });
    if (known && known.lastDay < lastDay) known.lastDay = lastDay;
  }
  for (const row of byProduct)
    areas.get(String(row['areaKey']))?.products.push({ key: String(row['productKey']), name: String(row['name']), count: Number(row['count']), lastDay: String(row['lastDay']), days: daysOf(row), siPerM2: Number(row['siPerM2']) });
  for (const { products: own } of areas.values()) own.sort((a, b) => a.key.localeCompare(b.key));
  return [...areas.values()].toSorted((a, b) => place(a).localeCompare(place(b)));
} // prettier-ignore
