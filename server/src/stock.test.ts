import { EVENTS, KINDS, type StockLine } from '@steady-scatter/contract';
import { blankProduct } from '@steady-scatter/core/products';
import {
  blankApplication,
  doneRows,
  ledgerRow,
  type ApplicationInput,
  type ApplicationRow,
} from '@steady-scatter/core/season';
import { blankWalk } from '@steady-scatter/core/runSheet';
import { blankSite } from '@steady-scatter/core/ground';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { AppliedRow } from './models/applied.ts';
import { projectApplied } from './services/applied.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleJob } from './testing/jobs.ts';

let harness: Harness;
let app: Express;
let product: string;
let site: string;
let feed: string;
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
});
afterAll(() => harness.close());

const put = (path: string, id: string, schemaVersion: number, input: object) => request(app).put(`${path}/${id}`).send({ version: 0, schemaVersion, input }).expect(200); // prettier-ignore
beforeEach(async () => {
  [product, site, feed] = [v7(), v7(), `Lake feed ${v7()}`];
  await put('/api/products', product, KINDS.products.schemaVersion, { ...blankProduct('dry-fertilizer', 'us'), name: feed, grade: '24-0-8', package: { size: '40', unit: 'lb' } }); // prettier-ignore
  await put('/api/sites', site, KINDS.sites.schemaVersion, { ...blankSite(v7(), 'us'), name: 'Lake front' });
});

const append = (event: 'stockMoves' | 'applications', subject: string, input: object, more: { id?: string; first?: string | null; occurredAt?: string } = {}) =>
  request(app).post(EVENTS[event].path).send({ id: v7(), first: null, occurredAt: '2026-04-18T08:00:00.000Z', ...more, subject, schemaVersion: EVENTS[event].schemaVersion, input }); // prettier-ignore
const move = (what: string, packages: string) => ({
  what,
  packages,
  lot: '',
  price: '',
  by: '',
  note: '',
  void: '',
});
const spread = (more: Partial<ApplicationInput> = {}): ApplicationInput => ({
  ...blankApplication('us'),
  runId: v7(),
  onDay: '2026-04-18',
  areaName: 'Bandstand lawn',
  size: { text: '3000', unit: 'ft2' },
  product: { ...blankApplication('us').product, kind: 'dry-fertilizer', name: feed, grade: '24-0-8' },
  amount: { text: '10', unit: 'lb', from: 'weighed' },
  ...more,
});
const stock = async () => ((await request(app).get('/api/stock').expect(200)).body as StockLine[]).find((line) => line.product === product); // prettier-ignore

describe('what is on the shelf', () => {
  it('is what was counted less what was spread since, whatever the product was typed like', async () => {
    expect(await stock()).toBeUndefined();
    await append('stockMoves', product, move('counted', '6.5'), { occurredAt: '2026-03-01T08:00:00.000Z' }).expect(200); // prettier-ignore
    await append('applications', site, spread({ product: { ...spread().product, name: `  ${feed.toUpperCase()} ` } })).expect(200); // prettier-ignore
    await append('applications', site, spread(), { occurredAt: '2026-02-01T08:00:00.000Z' }).expect(200);
    expect(await stock()).toMatchObject({ packages: 6.25, used: 0.25 });
  });

  it('what was typed on a label that came in a file is a count of that day', async () => {
    const [id, name] = [v7(), `From a file ${v7()}`];
    await put('/api/products', id, KINDS.products.schemaVersion, { ...blankProduct('dry-fertilizer', 'us'), name, stock: '3' }); // prettier-ignore
    const { body } = await request(app).get('/api/stock').expect(200);
    expect((body as StockLine[]).find((line) => line.product === id)).toMatchObject({ packages: 3 });
  });

  it('a movement that cannot be read is refused at its field', async () => {
    const { body } = await append('stockMoves', product, move('received', 'many')).expect(400);
    expect(body.errors[0]).toMatchObject({ path: ['input', 'packages'] });
  });
});

describe("the ledger's lines", () => {
  const lines = () =>
    AppliedRow.findAll({ where: { crewId: harness.crewId, site }, raw: true, order: ['root'] });
  it('follow a correction and what is void, in whatever order they come', async () => {
    const [root, later] = [v7(), v7()];
    const said = spread({ site });
    await append('applications', site, { ...said, amount: { text: '12', unit: 'lb', from: 'weighed' } }, { id: later, first: root, occurredAt: '2026-04-18T09:00:00.000Z' }).expect(200); // prettier-ignore
    expect(await lines()).toMatchObject([{ root, amountSi: expect.closeTo(5.44310844, 6) }]);
    await append('applications', site, said, { id: root }).expect(200);
    expect(await lines()).toMatchObject([{ root, amountSi: expect.closeTo(5.44310844, 6) }]);
    await append('applications', site, { ...said, void: 'Wrong lot' }, { first: root, occurredAt: '2026-04-18T10:00:00.000Z' }).expect(200); // prettier-ignore
    expect(await lines()).toEqual([]);
  });

  it('are those that are made from nothing, and what core works out', async () => {
    const rows: ApplicationRow[] = [];
    for (let index = 0; index < 12; index += 1) {
      const first = index % 4 === 3 ? rows[index - 2]!.id : null;
      const row = { id: v7(), first, subject: site, occurredAt: `2026-04-18T08:${String(index).padStart(2, '0')}:00.000Z`, input: spread({ site, amount: { text: String(5 + index), unit: 'lb', from: 'weighed' }, void: index === 7 ? 'slip' : '' }) }; // prettier-ignore
      rows.push(row);
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      await append('applications', site, row.input, row).expect(200);
    }
    const kept = await lines();
    const worked = doneRows(rows).map(ledgerRow).filter(({ isVoid }) => !isVoid); // prettier-ignore
    expect(kept).toHaveLength(worked.length);
    for (const line of worked) expect(kept.find((each) => each.root === line.root)).toMatchObject({ amountSi: expect.closeTo(line.amountSi, 9), kgN: expect.closeTo(line.nutrients.N, 9) }); // prettier-ignore
    await projectApplied(`anew ${v7()}`);
    expect(await lines()).toEqual(kept);
    await projectApplied('test');
  });

  it('one that two devices send twice is there once', async () => {
    const id = v7();
    const said = spread({ site });
    const both = await Promise.all([append('applications', site, said, { id }), append('applications', site, said, { id })]); // prettier-ignore
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
    expect(await lines()).toHaveLength(1);
  });
});

it('a walked run is gone once its record is there', async () => {
  const [walk, job] = [v7(), v7()];
  await put('/api/jobs', job, KINDS.jobs.schemaVersion, sampleJob());
  await put('/api/walks', walk, KINDS.walks.schemaVersion, blankWalk({ job, holder: 'a' }, 'us'));
  await append('applications', job, spread({ runId: walk })).expect(200);
  await request(app).get(`/api/walks/${walk}`).expect(404);
});
