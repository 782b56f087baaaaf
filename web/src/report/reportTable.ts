import { moneyText } from '@steady-scatter/core/fields';
import { NUTRIENTS, type LedgerNutrient } from '@steady-scatter/core/need';
import {
  isFarOff,
  nutrientStanding,
  type SeasonLine,
  type SeasonSite,
  type SeasonSums,
} from '@steady-scatter/core/plan';
import { fromSi, showNumber, UNITS, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/report';

/** Nutrients that the report is about. */
export const SHOWN = ['N', 'P2O5', 'K2O'] as const satisfies readonly LedgerNutrient[];

/** Units of the report, by what the person prefers. */
export interface ReportUnits {
  readonly ground: MassPerAreaUnit;
  readonly mass: 'lb' | 'kg';
  /** What a cost is told for: 1000 ft2 or a hectare. */
  readonly areaM2: number;
  readonly areaSymbol: string;
  /** Money with the sign of the crew's currency; none: bare figures, as in a spreadsheet. */
  money?(figures: string): string;
}

export const reportUnits = (isUs: boolean): ReportUnits =>
  isUs
    ? { ground: 'lb/1000 ft2', mass: 'lb', areaM2: UNITS.ft2.toSi * 1000, areaSymbol: '1000 ft²' }
    : { ground: 'kg/ha', mass: 'kg', areaM2: 10_000, areaSymbol: 'ha' };

/** What stands in a cell: a figure, and what it warns of. */
export interface Cell {
  readonly text: string;
  readonly warns?: string;
}

/** Hundredths are as much as a report says. */
const atMostTwo = (value: number): string => (value < 10 ? value.toFixed(2) : plain(showNumber(value, 3)));
const plain = (number: string): string => number.replace(/\s/g, '');
const share = (value: number | null, digits: number): string => (value === null ? '' : (value * (digits === 0 ? 100 : 1)).toFixed(digits === 0 ? 1 : digits)); // prettier-ignore

/** A nutrient's figures: spread, planned, cap, last year. */
function nutrientCells(line: SeasonLine, nutrient: LedgerNutrient, { ground }: ReportUnits): Cell[] {
  const figure = (si: number | null) => (si === null || si === 0 ? '' : atMostTwo(fromSi(si, ground)));
  const [down, planned, cap] = [line.delivered[nutrient], line.planned?.[nutrient] ?? null, line.caps[nutrient]];
  const standing = nutrientStanding(line, nutrient);
  return [
    { text: down === 0 ? (planned ? '0' : '') : figure(down), ...(standing !== 'fine' && { warns: standing === 'over' ? say('report.over') : say('report.short') }) },
    { text: figure(planned) },
    { text: down === 0 && !planned ? '' : cap === 0 ? '0' : figure(cap) },
    { text: figure(line.before[nutrient]) },
  ];
} // prettier-ignore

const moneyOf = (cents: number, { money = String }: ReportUnits): string =>
  money(moneyText(Math.round(cents)));

/** What is told of an area and of a site alike. */
function sumCells(sums: SeasonSums, perArea: string, units: ReportUnits): Cell[] {
  const { cents, ratio, cv, saltKg, chlorideKg, saltBeforeKg, chlorideBeforeKg } = sums;
  const { mass } = units;
  const kg = (si: number) => (si === 0 ? '' : plain(showNumber(fromSi(si, mass), 3)));
  return [
    { text: cents === 0 ? '' : moneyOf(cents, units) },
    { text: perArea },
    { text: share(ratio, 2), ...(isFarOff(ratio) && { warns: say('report.ratio') }) },
    { text: cv === null ? '' : `${share(cv, 0)} %` },
    ...[saltKg, saltBeforeKg, chlorideKg, chlorideBeforeKg].map((si) => ({ text: kg(si) })),
  ];
} // prettier-ignore

/** Headings of the report, without that of the site. */
export function reportHeadings({ ground, mass, areaSymbol }: ReportUnits): string[] {
  const unit = UNITS[mass].symbol;
  return [
    say('report.area'),
    say('report.times'),
    ...SHOWN.flatMap((id) => {
      const nutrient = NUTRIENTS[id].symbol;
      return [
        say('report.down', { nutrient, unit: UNITS[ground].symbol }),
        say('report.planned', { nutrient }),
        say('report.cap', { nutrient }),
        say('report.before', { nutrient }),
      ];
    }),
    say('report.cost'),
    say('report.costPer', { unit: areaSymbol }),
    say('report.ratio'),
    say('report.cv'),
    say('report.salt', { unit }),
    say('report.saltBefore', { unit }),
    say('report.chloride', { unit }),
    say('report.chlorideBefore', { unit }),
  ];
}

/** One area in cells. */
export const lineCells = (line: SeasonLine, units: ReportUnits): Cell[] => [
  { text: line.areaName },
  { text: String(line.count) },
  ...SHOWN.flatMap((nutrient) => nutrientCells(line, nutrient, units)),
  ...sumCells(line, line.centsPerM2 === null ? '' : moneyOf(line.centsPerM2 * units.areaM2, units), units), // prettier-ignore
];

/** A site as a whole in cells: nutrients are told of areas alone. */
export const siteCells = (site: SeasonSite, units: ReportUnits): Cell[] => [
  { text: say('report.all') },
  { text: String(site.count) },
  ...SHOWN.flatMap(() => [{ text: '' }, { text: '' }, { text: '' }, { text: '' }]),
  ...sumCells(site, '', units),
];

/** A table of a site: what it is about, its headings, its rows; the last row is the whole where there are several. */
export interface ReportTable {
  readonly id: 'spread' | 'salt';
  readonly headings: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** Salt has a table of its own: these columns at the end. */
const SALT_COLUMNS = 4;
const isFilled = (cell: Cell | undefined): boolean => (cell?.text ?? '') !== '';

/** What a site came to, in tables; columns in which nothing stands are left out: a summer has no salt. */
export function siteTables(site: SeasonSite, units: ReportUnits): ReportTable[] {
  const headings = reportHeadings(units);
  const lines = site.lines.map((line) => lineCells(line, units));
  const all = [...lines, ...(lines.length > 1 ? [siteCells(site, units)] : [])];
  const salt = headings.length - SALT_COLUMNS;
  const tableOf = (id: ReportTable['id'], columns: readonly number[]): ReportTable[] => {
    const filled = columns.filter((at) => all.some((row) => isFilled(row[at])));
    const rows = all.filter((row) => filled.some((at) => isFilled(row[at])));
    if (filled.length === 0) return [];
    const only = <Value>(row: readonly Value[]) => [0, ...filled].map((at) => row[at]!);
    return [{ id, headings: only(headings), rows: rows.map(only) }];
  };
  const columns = headings.map((_, index) => index).slice(1);
  return [...tableOf('spread', columns.filter((at) => at < salt)), ...tableOf('salt', columns.filter((at) => at >= salt))]; // prettier-ignore
}

/** The same for a spreadsheet: a row for each area, with its site. */
export const reportRows = (sites: readonly SeasonSite[], units: ReportUnits): string[][] => [
  [say('report.site'), ...reportHeadings(units)],
  ...sites.flatMap((site) => site.lines.map((line) => [site.siteName || say('report.unnamed'), ...lineCells(line, units).map(({ text }) => text)])), // prettier-ignore
];
