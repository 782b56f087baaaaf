import { KINDS } from '@steady-scatter/contract';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DocumentRow, LinkRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleLabel, sampleWrite } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const put = (id: string, body: object) => request(harness.app).put(`/api/jobs/${id}`).send(body);
const get = (path: string) => request(harness.app).get(path);
const lines = async (
  app: Express,
): Promise<{ id: string; name: string; totalM2: number; amountSi: number }[]> =>
  (await request(app).get('/api/jobs?limit=200').expect(200)).body.items;

describe('keeping a job', () => {
  it('gives back what was typed, and lists what it comes to', async () => {
    const id = v7();
    const write = sampleWrite();
    const kept = await put(id, write).expect(200);
    expect(kept.body).toMatchObject({
      id,
      version: 1,
      isSample: false,
      input: write.input,
    });
    const row = await DocumentRow.findByPk(id);
    expect(row).toMatchObject({
      crewId: harness.crewId,
      kind: 'jobs',
      schemaVersion: KINDS.jobs.schemaVersion,
    });
    const { amountSi, totalM2 } = (await lines(harness.app)).find((line) => line.id === id)!;
    expect(totalM2).toBeCloseTo(2356 * 0.3048 ** 2 + 330, 9);
    expect(amountSi).toBeCloseTo(((0.8 * 0.45359237) / 92.90304 / 0.24) * totalM2, 12);
  });

  it('takes a repeated write as the same write', async () => {
    const id = v7();
    const write = sampleWrite();
    const answers = [await put(id, write), await put(id, write), await put(id, write)];
    expect(answers.map(({ status, body }) => [status, body.version])).toEqual([[200, 1], [200, 1], [200, 1]]); // prettier-ignore
    const change = { ...write, version: 1, input: { ...write.input, name: 'Later feed' } };
    expect((await put(id, change)).body.version).toBe(2);
    expect((await put(id, change)).body.version).toBe(2);
  });

  it.each([1, 2, 3, 4])('takes writes of the same new job at the same moment, time %i', async () => {
    const id = v7();
    const write = sampleWrite();
    const answers = await Promise.all(Array.from({ length: 6 }, () => put(id, write)));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    expect(await DocumentRow.count({ where: { id } })).toBe(1);
    expect((await lines(harness.app)).filter((line) => line.id === id)).toHaveLength(1);
  });

  it('refuses a change of something that changed meanwhile, and shows what stands there', async () => {
    const id = v7();
    await put(id, sampleWrite());
    const theirs = (await put(id, sampleWrite({ version: 1, name: 'Theirs' })).expect(200)).body;
    const mine = await put(id, sampleWrite({ version: 1, name: 'Mine' })).expect(409);
    expect(mine.body).toMatchObject({ status: 409, type: '/problems/changed-elsewhere', theirs });
    expect((await get(`/api/jobs/${id}`)).body.input.name).toBe('Theirs');
  });

  it('keeps an incomplete sheet, but no change of a job that never was', async () => {
    await put(v7(), sampleWrite({}, { product: sampleLabel({ grade: '' }), areas: [] })).expect(200);
    await put(v7(), sampleWrite({ version: 3 })).expect(404);
  });
});

describe('the list', () => {
  it('shows the latest day first, with the amounts that the sheet works out', async () => {
    const { app } = await openListCrew();
    const body = await lines(app);
    expect(body.map(({ name }) => name)).toEqual(['Fall', 'Spring feed']);
    expect(body[1]).toMatchObject({
      need: '0.8 lb N / 1000 ft²',
      product: '24-0-8',
      areas: 2,
      amountUnit: 'lb',
      areaUnit: 'ft2',
    });
    expect(body[1]!.amountSi).toBeCloseTo(
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
    expect(await lines(other)).toEqual([]);
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
  expect((await lines(harness.app)).map((line) => line.id)).not.toContain(id);
  await put(id, sampleWrite({ version: 1 })).expect(409);
  expect((await request(harness.app).post(`/api/jobs/${id}/restore`).expect(200)).body).toEqual(kept);
  expect((await request(harness.app).post(`/api/jobs/${id}/restore`).expect(200)).body).toEqual(kept);
});

it('the list tells the days of its portions, and finds it by the ground and the rules that it leans on', async () => {
  const [id, ruleSet] = [v7(), v7()];
  const ground = { site: v7(), area: v7() };
  const area = { id: v7(), name: 'Bandstand lawn', size: '2356 ft2', unit: 'ft2', from: ground } as const;
  const split = { portions: '2', everyDays: '28', directions: 'two' } as const;
  const rules = { setId: ruleSet, soilTest: '', soilTestDay: '', soFar: [], unit: 'lb/1000 ft2' } as const;
  await put(id, sampleWrite({}, { split, rules, areas: [area] })).expect(200);
  for (const leansOn of [ground.site, ground.area, ruleSet, `${v7()},${ground.area}`]) {
    const { items } = (await get(`/api/jobs?filter=uses:${leansOn}`).expect(200)).body;
    expect(items).toMatchObject([{ id, days: ['2026-04-18', '2026-05-16'], areaNames: ['Bandstand lawn'], ruleSet }]);
  }
  await put(id, sampleWrite({ version: 1 }, { areas: [] })).expect(200);
  expect(await LinkRow.count({ where: { fromId: id } })).toBe(0);
}); // prettier-ignore
