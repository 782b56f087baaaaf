import type { SeasonLine, SeasonSite } from '@steady-scatter/core/plan';
import { describe, expect, it } from 'vitest';
import { lineCells, reportHeadings, reportRows, reportUnits, siteTables } from './reportTable.ts';

const NONE = { N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 };
const NO_CAPS = { N: null, P2O5: null, K2O: null, S: null, Ca: null, Mg: null, Fe: null };
const SUMS = { count: 2, saltKg: 0, chlorideKg: 0, saltBeforeKg: 0, chlorideBeforeKg: 0, cents: 0, withoutPrice: 0, ratio: null, cv: null }; // prettier-ignore
const line = (more: Partial<SeasonLine> = {}): SeasonLine => ({ ...SUMS, areaKey: 'a', areaName: 'Lawn', delivered: NONE, before: NONE, planned: null, caps: NO_CAPS, centsPerM2: null, ...more }); // prettier-ignore
const site = (lines: readonly SeasonLine[], more: Partial<SeasonSite> = {}): SeasonSite => ({ ...SUMS, siteName: 'Lake front', lines, ...more }); // prettier-ignore
const metric = reportUnits(false);
const cells = (more: Partial<SeasonLine>) => Object.fromEntries(lineCells(line(more), metric).map((cell, index) => [reportHeadings(metric)[index]!, cell])); // prettier-ignore

describe('the cells of a report', () => {
  it('as many as there are headings, whatever stands in them', () => {
    expect(lineCells(line(), metric)).toHaveLength(reportHeadings(metric).length);
    expect(new Set(reportHeadings(metric)).size).toBe(reportHeadings(metric).length);
  });

  it('what was spread in the unit of the report; what is over a cap or short of the plan warns', () => {
    const over = cells({ delivered: { ...NONE, N: 0.02 }, caps: { ...NO_CAPS, N: 0.018 }, planned: { ...NONE, N: 0.02 } }); // prettier-ignore
    expect(over['N, kg / ha']).toEqual({ text: '200', warns: 'over its cap' });
    expect([over['N planned']!.text, over['N cap']!.text]).toEqual(['200', '180']);
    const short = cells({ delivered: { ...NONE, N: 0.002 }, planned: { ...NONE, N: 0.02, K2O: 0.005 } });
    expect(short['N, kg / ha']).toMatchObject({ warns: 'less than planned' });
    expect(short['K₂O, kg / ha']).toEqual({ text: '0', warns: 'less than planned' });
    expect(cells({ delivered: { ...NONE, N: 0.0191 }, planned: { ...NONE, N: 0.02 } })['N, kg / ha']!.warns).toBeUndefined(); // prettier-ignore
  });

  it('a cap is told where there is something of it; none at all is a cap too', () => {
    expect(cells({ caps: { ...NO_CAPS, N: 0.018 } })['N cap']!.text).toBe('');
    expect(cells({ delivered: { ...NONE, P2O5: 0.001 }, caps: { ...NO_CAPS, P2O5: 0 } })).toMatchObject({ 'P₂O₅ cap': { text: '0' }, 'P₂O₅, kg / ha': { warns: 'over its cap' } }); // prettier-ignore
  });

  it('a tenth heavy is as much as goes without a word; cost, evenness and salt as they are', () => {
    expect(cells({ ratio: 1.104 })['Spread / meant']).toEqual({ text: '1.10' });
    expect(cells({ ratio: 1.13 })['Spread / meant']!.warns).toBeTruthy();
    expect(cells({ ratio: 0.88 })['Spread / meant']!.warns).toBeTruthy();
    const all = cells({ cents: 12_345, centsPerM2: 0.5, cv: 0.0634, saltKg: 12.5, chlorideBeforeKg: 3.21 });
    expect([all['Cost'], all['Cost per ha'], all['Unevenness'], all['Salt, kg'], all['Chloride last year, kg']].map((cell) => cell!.text)).toEqual(['123.45', '50.00', '6.3 %', '12.5', '3.21']); // prettier-ignore
  });
});

describe('the tables of a site', () => {
  it('without salt there is one, and columns in which nothing stands are left out', () => {
    const [spread, ...more] = siteTables(site([line({ delivered: { ...NONE, N: 0.01 } })]), metric);
    expect(more).toEqual([]);
    expect(spread!.headings).toEqual(['Area', 'Times', 'N, kg / ha']);
    expect(spread!.rows).toHaveLength(1);
  });

  it('salt has one of its own, of the areas that got some, with the whole site under several', () => {
    const salted = [line({ areaName: 'Lot', saltKg: 5 }), line({ areaKey: 'b', areaName: 'Lawn' })];
    const [spread, salt] = siteTables(site(salted, { saltKg: 5 }), metric);
    expect(spread!.rows.map(([name]) => name!.text)).toEqual(['Lot', 'Lawn', 'The whole site']);
    expect(salt!.rows.map((row) => row.map(({ text }) => text))).toEqual([['Lot', '5.00'], ['The whole site', '5.00']]); // prettier-ignore
  });

  it('a spreadsheet has every column, and the site on each row', () => {
    const rows = reportRows([site([line()]), site([line({ areaName: 'Yard' })], { siteName: '' })], metric);
    expect(rows.map(([name, area]) => `${name} ${area}`)).toEqual(['Site Area', 'Lake front Lawn', 'Without a site Yard']); // prettier-ignore
    expect(new Set(rows.map((row) => row.length)).size).toBe(1);
  });
});
