import { blankSoilTest } from '@steady-scatter/core/need';
import { blankRule } from '@steady-scatter/core/season';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { JobAreaRow, JobRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleLabel, sampleWrite } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const put = (id: string, body: object) => request(harness.app).put(`/api/jobs/${id}`).send(body);
const get = (path: string) => request(harness.app).get(path);

describe('keeping a job', () => {
  it('gives back what was typed, and stores SI beside it', async () => {
    const id = v7();
    const write = sampleWrite();
    const kept = await put(id, write).expect(200);
    expect(kept.body).toMatchObject({
      id,
      version: 1,
      isSample: false,
      name: 'Spring feed',
      onDay: '2026-04-18',
      worksheet: write.worksheet,
    });
    const row = await JobRow.findByPk(id, { include: [{ model: JobAreaRow, as: 'areas' }] });
    expect(row?.crewId).toBe(harness.crewId);
    expect(row?.needSi).toBeCloseTo((0.8 * 0.45359237) / 92.90304, 15);
    expect(row?.packageSi).toBeCloseTo(18.1436948, 10);
    expect(row?.areas?.map((area) => [area.position, area.areaM2, area.crewId])).toEqual([
      [0, expect.closeTo(2356 * 0.3048 ** 2, 9), harness.crewId],
      [1, 330, harness.crewId],
    ]);
  });

  it('takes a repeated write as the same write', async () => {
    const id = v7();
    const write = sampleWrite();
    const answers = [await put(id, write), await put(id, write), await put(id, write)];
    expect(answers.map(({ status, body }) => [status, body.version])).toEqual([[200, 1], [200, 1], [200, 1]]); // prettier-ignore
    const change = { ...write, version: 1, name: 'Later feed' };
    expect((await put(id, change)).body.version).toBe(2);
    expect((await put(id, change)).body.version).toBe(2);
    expect(await JobAreaRow.count({ where: { jobId: id } })).toBe(2);
  });

  it.each([1, 2, 3, 4])('takes writes of the same new job at the same moment, time %i', async () => {
    const id = v7();
    const write = sampleWrite();
    const answers = await Promise.all(Array.from({ length: 6 }, () => put(id, write)));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    expect(await JobRow.count({ where: { id } })).toBe(1);
    expect(await JobAreaRow.count({ where: { jobId: id } })).toBe(2);
  });

  it('refuses a change of something that changed meanwhile, and shows what stands there', async () => {
    const id = v7();
    await put(id, sampleWrite());
    const theirs = (await put(id, sampleWrite({ version: 1, name: 'Theirs' })).expect(200)).body;
    const mine = await put(id, sampleWrite({ version: 1, name: 'Mine' })).expect(409);
    expect(mine.body).toMatchObject({ status: 409, type: '/problems/changed-elsewhere', theirs });
    expect((await get(`/api/jobs/${id}`)).body.name).toBe('Theirs');
  });

  it('keeps an incomplete sheet, but no change of a job that never was', async () => {
    await put(v7(), sampleWrite({}, { product: sampleLabel({ grade: '' }), areas: [] })).expect(200);
    await put(v7(), sampleWrite({ version: 3 })).expect(404);
  });
});

describe('the list', () => {
  it('shows the latest day first, with the amounts that the sheet works out', async () => {
    const { app } = await openListCrew();
    const { body } = await request(app).get('/api/jobs').expect(200);
    expect(body.map(({ name }: { name: string }) => name)).toEqual(['Fall', 'Spring feed']);
    expect(body[1]).toMatchObject({
      need: '0.8 lb N on each 1000 ft²',
      product: '24-0-8',
      areas: 2,
      units: { amount: 'lb', area: 'ft2' },
    });
    expect(body[1].amountSi).toBeCloseTo(
      ((0.8 * 0.45359237) / 92.90304 / 0.24) * (2356 * 0.3048 ** 2 + 330),
      12,
    );
  });

  async function openListCrew() {
    const app = await harness.otherCrew();
    await request(app).put(`/api/jobs/${v7()}`).send(sampleWrite()).expect(200);
    await request(app)
      .put(`/api/jobs/${v7()}`)
      .send(sampleWrite({ name: 'Fall', onDay: '2026-09-08' }))
      .expect(200);
    return { app };
  }

  it('shows a crew its own jobs only', async () => {
    const id = v7();
    await put(id, sampleWrite());
    const other = await harness.otherCrew();
    expect((await request(other).get('/api/jobs')).body).toEqual([]);
    await request(other).get(`/api/jobs/${id}`).expect(404);
    await request(other).delete(`/api/jobs/${id}`).expect(404);
    await request(other)
      .put(`/api/jobs/${id}`)
      .send(sampleWrite({ version: 1 }))
      .expect(404);
    await request(other).put(`/api/jobs/${id}`).send(sampleWrite()).expect(409);
  });
});

it('deletes, again without harm, and restores as it was', async () => {
  const id = v7();
  const kept = (await put(id, sampleWrite())).body;
  await request(harness.app).delete(`/api/jobs/${id}`).expect(204);
  await request(harness.app).delete(`/api/jobs/${id}`).expect(204);
  await get(`/api/jobs/${id}`).expect(404);
  expect((await get('/api/jobs')).body.map((job: { id: string }) => job.id)).not.toContain(id);
  await put(id, sampleWrite({ version: 1 })).expect(409);
  expect((await request(harness.app).post(`/api/jobs/${id}/restore`).expect(200)).body).toEqual(kept);
  expect((await request(harness.app).post(`/api/jobs/${id}/restore`).expect(200)).body).toEqual(kept);
});

describe('the list tells what stands in the way of a job', () => {
  const summary = async (id: string) =>
    (await get('/api/jobs').expect(200)).body.find((job: { id: string }) => job.id === id);
  const ground = { site: v7(), area: v7() };
  const area = { id: v7(), name: 'Bandstand lawn', size: '2356 ft2', unit: 'ft2', from: ground } as const;

  it('its ground and the days of its portions', async () => {
    const id = v7();
    const split = { portions: '2', everyDays: '28', directions: 'two' } as const;
    await put(id, sampleWrite({}, { split, areas: [area] })).expect(200);
    expect(await summary(id)).toMatchObject({
      ground: [ground],
      days: ['2026-04-18', '2026-05-16'],
      rulesBroken: 0,
    });
  });

  it('the rules that it breaks: the crew’s own with its soil test, and the label’s', async () => {
    const [setId, soilTest, id] = [v7(), v7(), v7()];
    const rules = [
      { ...blankRule(v7()), amount: '0.7' },
      { ...blankRule(v7()), kind: 'soil-test', amount: '3' },
    ];
    await request(harness.app).put(`/api/rule-sets/${setId}`).send({ version: 0, typed: { name: 'Town', source: '', unit: 'lb/1000 ft2', rules } }).expect(200); // prettier-ignore
    const needs = (P2O5: string) => ({ ...blankSoilTest('lb/1000 ft2', '2025-10-01'), name: 'Lawn', needs: { N: '', P2O5, K2O: '', S: '' } }); // prettier-ignore
    await request(harness.app).put(`/api/soil-tests/${soilTest}`).send({ version: 0, typed: needs('0') }).expect(200); // prettier-ignore
    const held = { setId, soilTest, soilTestDay: '', soFar: [], unit: 'lb/1000 ft2' } as const;
    const product = sampleLabel({ grade: '24-2-8', labelRate: { low: '', high: '3', mostAtOnce: '', mostPerYear: '', unit: 'lb/1000 ft2' } }); // prettier-ignore
    await put(id, sampleWrite({}, { rules: held, product })).expect(200);
    expect((await summary(id)).rulesBroken).toBe(3);
    // The laboratory's sheet was read again: some phosphate is wanted after all.
    await request(harness.app).put(`/api/soil-tests/${soilTest}`).send({ version: 1, typed: needs('0.5') }).expect(200); // prettier-ignore
    expect((await summary(id)).rulesBroken).toBe(2);
  });
});
