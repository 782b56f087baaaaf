import { EVENTS, KINDS } from '@steady-scatter/contract';
import { blankSite } from '@steady-scatter/core/ground';
import { ledgerOf, sumsOver, type LedgerArea } from '@steady-scatter/core/regulations';
import {
  blankApplication,
  doneRows,
  ledgerRow,
  type ApplicationInput,
  type ApplicationRow,
} from '@steady-scatter/core/season';
import { seeded } from '@steady-scatter/core/width';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openHarness, type Harness } from './testing/harness.ts';

let harness: Harness;
let app: Express;
const [SITE, LAWN, BANK, JOB] = [v7(), v7(), v7(), v7()];
const rows: ApplicationRow[] = [];
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
  await request(app).put(`/api/sites/${SITE}`).send({ version: 0, schemaVersion: KINDS.sites.schemaVersion, input: { ...blankSite(v7(), 'us'), name: 'Lake front' } }).expect(200); // prettier-ignore
  const number = seeded(21);
  for (let index = 0; index < 30; index += 1) {
    const month = 1 + Math.floor(number() * 12);
    const onDay = `${2025 + (index % 2)}-${String(month).padStart(2, '0')}-${String(1 + Math.floor(number() * 28)).padStart(2, '0')}`; // prettier-ignore
    const first = index % 6 === 5 ? rows[index - 3]!.id : null;
    const input = said({ onDay, area: index % 3 === 0 ? BANK : LAWN, areaName: index % 3 === 0 ? 'Slipway bank' : 'Bandstand lawn', amount: { text: String(5 + Math.floor(number() * 20)), unit: 'lb', from: 'weighed' }, void: index === 7 ? 'slip' : '' }); // prettier-ignore
    const row = { id: v7(), first, subject: SITE, occurredAt: `2025-01-01T08:00:${String(index).padStart(2, '0')}.000Z`, input }; // prettier-ignore
    rows.push(row);
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    await request(app).post('/api/applications').send({ ...row, schemaVersion: EVENTS.applications.schemaVersion }).expect(200); // prettier-ignore
  }
});
afterAll(() => harness.close());

const said = (more: Partial<ApplicationInput>): ApplicationInput => ({
  ...blankApplication('us'),
  runId: v7(),
  site: SITE,
  siteName: 'Lake front',
  size: { text: '3000', unit: 'ft2' },
  product: { ...blankApplication('us').product, kind: 'dry-fertilizer', name: 'Lake feed', grade: '24-0-8' },
  ...more,
});
const ledger = async (query: string) => (await request(app).get(`/api/ledger?${query}`).expect(200)).body as LedgerArea[]; // prettier-ignore
/** The same in core; the days of applications are told of areas that are asked for. */
const inCore = (from: string, to: string, areas?: string[]) =>
  ledgerOf(doneRows(rows).map(ledgerRow).filter(({ onDay, areaKey }) => onDay >= from && onDay <= to && (!areas || areas.includes(areaKey))))
    .map((area) => Object.assign(area, { products: area.products.map((each) => Object.assign(each, { days: areas ? each.days : [] })) })); // prettier-ignore

/** Sums of doubles in another order differ in their last digits. */
const rounded = (areas: readonly LedgerArea[]): unknown =>
  JSON.parse(JSON.stringify(areas), (_, value: unknown) => (typeof value === 'number' ? Number(value.toPrecision(9)) : value)); // prettier-ignore

it.each([
  ['a year of all areas', '2026-01-01', '2026-12-31', undefined],
  ['all years of one area', '2020-01-01', '2029-12-31', [LAWN]],
  ['a year that starts in July', '2025-07-01', '2026-06-30', undefined],
])('%s is what core adds up of the records, corrections and what is void among them', async (_, from, to, areas) => {
  const found = await ledger(`by=month&from=${from}&to=${to}${areas ? `&areas=${areas.join()}` : ''}`);
  expect(rounded(found)).toEqual(rounded(inCore(from, to, areas)));
  expect(found.length).toBeGreaterThan(0);
  // All the days together are the sum of their months.
  const whole = await ledger(`from=${from}&to=${to}${areas ? `&areas=${areas.join()}` : ''}`);
  expect(rounded(whole)).toEqual(rounded(found.map((area) => Object.assign({}, area, { months: [{ month: '', ...sumsOver(area.months) }] }))));
}); // prettier-ignore

it('leaves out what was recorded for the job that is planned, and other crews', async () => {
  expect(await ledger(`from=2020-01-01&to=2029-12-31&without=${SITE}`)).toEqual([]);
  expect(await ledger(`from=2020-01-01&to=2029-12-31&without=${JOB}`)).toHaveLength(2);
  const other = await harness.otherCrew();
  expect((await request(other).get('/api/ledger?from=2020-01-01&to=2029-12-31').expect(200)).body).toEqual(
    [],
  );
});

it('a correction that comes late frees what it took', async () => {
  const before = await ledger(`from=2026-01-01&to=2026-12-31&areas=${LAWN}`);
  const taken = rows.find(({ first, input }) => first === null && input.area === LAWN && input.onDay.startsWith('2026') && input.void === '' && !rows.some((each) => each.first !== null && each.input === input))!; // prettier-ignore
  const row = { id: v7(), first: taken.id, subject: SITE, occurredAt: '2025-06-01T08:00:00.000Z', schemaVersion: EVENTS.applications.schemaVersion, input: { ...taken.input, void: 'Other crew' } }; // prettier-ignore
  await request(app).post('/api/applications').send(row).expect(200);
  const sum = (areas: LedgerArea[]) => areas.flatMap(({ months }) => months).reduce((all, { count }) => all + count, 0); // prettier-ignore
  const after = await ledger(`from=2026-01-01&to=2026-12-31&areas=${LAWN}`);
  expect(sum(after)).toBeLessThan(sum(before));
});

it.each(['from=2026-01-01', 'from=1 May&to=2026-12-31', 'from=2026-02-30&to=2026-12-31'])('%s is refused', async (query) => {
  await request(app).get(`/api/ledger?${query}`).expect(400);
}); // prettier-ignore
