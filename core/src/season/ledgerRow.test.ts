import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { nameKey } from '../fields/index.ts';
import { blankProduct } from '../products/index.ts';
import { blankApplication, dayOfRow, ledgerRow, logColumns, logReport, looksDue, looksSeen, logTable, readLogRow, type ApplicationInput, type LogColumn } from './index.ts'; // prettier-ignore

const label = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8', slowShare: '50', package: { size: '40', unit: 'lb' as const }, price: '31.80' }; // prettier-ignore
const record = (more: Partial<ApplicationInput> = {}): ApplicationInput => ({
  ...blankApplication('us'),
  onDay: '2026-04-18',
  by: 'R. Fenn',
  siteName: 'Lake front',
  areaName: 'Bandstand lawn',
  size: { text: '3000', unit: 'ft2' },
  surface: 'turf',
  product: { ...blankApplication('us').product, kind: 'dry-fertilizer', name: 'Lake feed', grade: '24-0-8' },
  label,
  rate: { text: '3.3333333333', unit: 'lb/1000 ft2' },
  amount: { text: '10', unit: 'lb', from: 'weighed' },
  ...more,
});
const row = (input: ApplicationInput, root = 'a', startedAt = '2026-04-18T08:00:00.000Z') => ({ root, startedAt, saidAt: startedAt, subject: 'j', input }); // prettier-ignore

describe('a line of the ledger', () => {
  it('10 lb of 24-0-8, half of its nitrogen slow, 31.80 for 40 lb', () => {
    const line = ledgerRow(row(record()));
    expect(line.nutrients).toMatchObject({ N: expect.closeTo(1.0886217, 6), P2O5: 0, K2O: expect.closeTo(0.3628739, 6) }); // prettier-ignore
    expect(line.quickNKg).toBeCloseTo(0.5443108, 6);
    expect(line.cents).toBeCloseTo(795, 6);
    expect(line.meantSi).toBeCloseTo(4.5359237, 6);
    expect(line).toMatchObject({ areaKey: 'name bandstand lawn', productKey: 'lake feed', isWeighed: true, isRound: false }); // prettier-ignore
  });

  it('elemental phosphorus and potassium count in their oxide form', () => {
    const line = ledgerRow(row(record({ product: { ...record().product, grade: '10 N, 5 P, 8 K' } })));
    const oxide = ledgerRow(row(record({ product: { ...record().product, grade: '10-11.457-9.637' } })));
    for (const nutrient of ['N', 'P2O5', 'K2O'] as const)
      if (line.nutrients.P2O5 > 0) expect(line.nutrients[nutrient]).toBeCloseTo(oxide.nutrients[nutrient], 3);
  });

  it('active ingredient by the label, no price no cost, what was swept up is not on the ground', () => {
    const carrier = { ...blankProduct('granular-carrier', 'us'), name: 'Carrier', load: '0.43' };
    const swept = record({ label: carrier, product: { ...record().product, kind: 'granular-carrier', grade: '' }, swept: { text: '4', unit: 'lb', to: 'reused' } }); // prettier-ignore
    expect(ledgerRow(row(swept))).toMatchObject({ aiKg: expect.closeTo(0.0117027, 6), cents: null });
  });
});

it('a report adds up by site, by person and in all; what is void is in none', () => {
  const rows = [
    row(record()),
    row(record({ siteName: 'School', by: 'J. Alder' }), 'b'),
    row(record({ void: 'Wrong' }), 'c'),
  ];
  const { all, sites, people } = logReport(rows);
  expect(all).toMatchObject({ count: 2, areaM2: expect.closeTo(557.418, 2) });
  expect(sites.map(({ name, count }) => [name, count])).toEqual([['Lake front', 1], ['School', 1]]); // prettier-ignore
  expect(people.map(({ name }) => name)).toEqual(['J. Alder', 'R. Fenn']);
  expect(all.nutrients.find(({ nutrient }) => nutrient === 'N')!.kg).toBeCloseTo(2 * 1.0886217, 6);
  expect(sites.reduce((sum, part) => sum + part.areaM2, 0)).toBeCloseTo(all.areaM2, 9);
});

describe('records as a table', () => {
  it('what is written out is read in again', () => {
    const [headings, line] = logTable([row(record({ note: 'Bank last' }))], () => '2026-04-18 08:00', speak);
    const columns = logColumns(headings!, speak);
    const cells = Object.fromEntries(columns.map((column, index) => [column, line![index]])) as Partial<Record<LogColumn, string>>; // prettier-ignore
    const read = readLogRow(cells, { today: '2026-05-01', system: 'us', runId: 'r' });
    expect(read.errors).toEqual([]);
    expect(read).toMatchObject({ onDay: '2026-04-18', time: '08:00' });
    expect(read.input).toMatchObject({ areaName: 'Bandstand lawn', siteName: 'Lake front', by: 'R. Fenn', amount: { text: '10', unit: 'lb', from: 'weighed' }, note: 'Bank last' }); // prettier-ignore
  });

  it.each([
    [{ day: '18.4.2026' }, 'date.unreadable'],
    [{ day: '2026-05-02' }, 'date.future'],
    [{ time: '25:00' }, 'time.unreadable'],
    [{ area: '' }, 'area-name.empty'],
    [{ size: '' }, 'number.empty'],
    [{ product: '' }, 'name.empty'],
    [{ amount: 'lots' }, 'quantity.unreadable'],
  ])('%j is not taken in', (wrong, code) => {
    const cells = { day: '2026-04-18', area: 'Pitch', size: '5000', product: 'Feed', amount: '20', ...wrong };
    const { errors } = readLogRow(cells, { today: '2026-05-01', system: 'us', runId: 'r' });
    expect(errors.map((error) => error.code)).toContain(code);
  });

  it('litres make it a liquid, and what a spreadsheet would run is text', () => {
    const { input } = readLogRow({ day: '2026-04-18', area: "'=A1", size: '100', sizeUnit: 'm2', product: 'Feed', amount: '2', amountUnit: 'L' }, { today: '2026-05-01', system: 'metric', runId: 'r' }); // prettier-ignore
    expect(input).toMatchObject({
      areaName: '=A1',
      product: { kind: 'liquid-fertilizer' },
      amount: { unit: 'L' },
    });
  });
});

describe('looking again', () => {
  const on = (day: string, more: Partial<ApplicationInput> = {}) => row(record({ onDay: day, ...more }), day, `${day}T08:00:00.000Z`); // prettier-ignore
  it('two to four weeks later, the last of an area, and not once it was seen', () => {
    const rows = [on('2026-04-18'), on('2026-05-20')];
    expect(looksDue(rows, new Set(), '2026-05-25').map(({ onDay, state }) => [onDay, state])).toEqual([['2026-05-20', 'soon']]); // prettier-ignore
    expect(looksDue(rows, new Set(), '2026-06-05')[0]).toMatchObject({ state: 'due', from: '2026-06-03', to: '2026-06-17' }); // prettier-ignore
    expect(looksDue(rows, new Set(), '2026-06-20')[0]).toMatchObject({ state: 'late' });
    expect(looksDue(rows, new Set(['2026-05-20']), '2026-06-05')).toEqual([]);
    expect(looksDue(rows, new Set(), '2026-08-05')).toEqual([]);
    expect(looksDue([on('2026-05-20', { round: '1' }), on('2026-05-20', { void: 'x' })], new Set(), '2026-06-05')).toEqual([]); // prettier-ignore
  });
  it('what was seen stands by product, days after it', () => {
    const look = { application: '2026-04-18', area: '', areaName: 'B', productName: 'Lake feed', onDay: '2026-05-06', by: '', rating: '4' as const, note: '', photos: [], void: '' }; // prettier-ignore
    const seen = looksSeen([{ id: 'l', first: null, occurredAt: '2026-05-06T08:00:00.000Z', subject: 'j', input: look }], [on('2026-04-18')]); // prettier-ignore
    expect(seen[0]).toMatchObject({ afterDays: 18, row: { root: '2026-04-18' } });
    expect(looksSeen([{ id: 'l', first: null, occurredAt: 'x', subject: 'j', input: { ...look, void: 'slip' } }], [])).toEqual([]); // prettier-ignore
  });
  it('the day is the one that was said, whatever the clock of the moment', () => {
    expect(dayOfRow(row(record({ onDay: '2026-10-25' }), 'a', '2026-10-26T01:30:00.000Z'))).toBe(
      '2026-10-25',
    );
    expect(dayOfRow(row(record({ onDay: '' })))).toBe('2026-04-18');
    expect(nameKey('  LAKE  feed ')).toBe('lake feed');
  });
});
