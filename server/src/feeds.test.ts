import { KINDS, type Feed } from '@steady-scatter/contract';
import { blankPlan, portionsFor } from '@steady-scatter/core/plan';
import type { Express } from 'express';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FeedRow } from './models/index.ts';
import { withoutSecret } from './routes/calendar.ts';
import { openHarness, type Harness } from './testing/harness.ts';

let harness: Harness;
let app: Express;
beforeAll(async () => {
  harness = await openHarness();
  ({ app } = harness);
});
afterAll(() => harness.close());

const year = new Date().getUTCFullYear();
const lawn = { site: v7(), area: v7(), siteName: 'Lake front', areaName: 'Lawn', areaM2: 700 };
const planOf = (productName: string, firstDay = `${year}-12-30`) => ({
  ...blankPlan(`Plan ${productName}`, { from: `${year}-01-01`, to: `${year + 1}-12-31` }),
  portions: portionsFor({ ground: [lawn], product: { id: v7(), name: productName }, nutrient: 'N', totalSi: 0.004, unit: 'lb/1000 ft2', times: 2, firstDay, everyDays: 28 }, v7), // prettier-ignore
});
const save = (id: string, input: object) => request(app).put(`/api/plans/${id}`).send({ version: 0, schemaVersion: KINDS.plans.schemaVersion, input }); // prettier-ignore
const made = async (name: string) => (await request(app).post('/api/feeds').send({ name }).expect(200)).body as { id: string; path: string }; // prettier-ignore

describe('plans', () => {
  it('are kept, listed with what they hold, and found by their product', async () => {
    const id = v7();
    await save(id, planOf('Sorrel feed')).expect(200);
    const list = await request(app).get('/api/plans').query({ q: 'Sorrel' }).expect(200);
    expect(list.body.items[0]).toMatchObject({ id, portions: 2, areas: 1, fromDay: `${year}-01-01` });
  });

  it('one whose portion lies outside of it is refused, with its field', async () => {
    const answer = await save(v7(), planOf('Late feed', `${year + 2}-01-05`)).expect(400);
    expect(answer.body.errors[0]).toMatchObject({
      path: ['input', 'portions', 0, 'onDay'],
      code: 'plan.outside',
    });
  });
});

describe('an address for calendars', () => {
  it('tells the plans to whoever has it, and is read by nobody else', async () => {
    await save(v7(), planOf('Feed of the feed')).expect(200);
    const { path } = await made('Foreman');
    const answer = await request(app).get(path).expect(200);
    expect(answer.headers['content-type']).toBe('text/calendar; charset=utf-8');
    expect(answer.headers['cache-control']).toBe('private, no-store');
    expect(answer.text).toContain('Feed of the feed on Lake front');
    await request(app).get(path.replace(/.(?=\.ics)/, (sign) => (sign === 'A' ? 'B' : 'A'))).expect(404); // prettier-ignore
    await request(app).get('/calendar/short.ics').expect(404);
    await request(app).post(path).expect(404);
  });

  it('keeps no secret: a hash in the database, none in the list, none in a log', async () => {
    const { id, path } = await made('Office');
    const secret = path.replace(/.*\/|\.ics/g, '');
    const row = await FeedRow.findByPk(id);
    expect(row!.secretHash).toMatch(/^[0-9a-f]{64}$/);
    expect(JSON.stringify(row)).not.toContain(secret);
    expect(JSON.stringify((await request(app).get('/api/feeds')).body)).not.toContain(secret);
    expect(withoutSecret(path)).toBe('/calendar/…');
    expect(withoutSecret('/api/plans')).toBe('/api/plans');
  });

  it('is told when it was read, and leads nowhere once it is taken back', async () => {
    const { id, path } = await made('Board');
    const found = async () => ((await request(app).get('/api/feeds')).body as Feed[]).find((each) => each.id === id); // prettier-ignore
    expect((await found())!.readAt).toBeNull();
    await request(app).get(path).expect(200);
    expect((await found())!.readAt).not.toBeNull();
    await request(app).delete(`/api/feeds/${id}`).expect(204);
    await request(app).get(path).expect(404);
    await request(app).delete(`/api/feeds/${id}`).expect(404);
    expect(await found()).toBeUndefined();
  });

  it('is of one crew: another neither sees it nor takes it back, and its plans are in no other’s calendar', async () => {
    const { id } = await made('Ours');
    const other = await harness.otherCrew();
    expect((await request(other).get('/api/feeds')).body).toEqual([]);
    await request(other).delete(`/api/feeds/${id}`).expect(404);
    const { path } = (await request(other).post('/api/feeds').send({ name: 'Theirs' }).expect(200)).body as { path: string }; // prettier-ignore
    expect((await request(app).get(path).expect(200)).text).not.toContain('Feed of the feed');
  });

  it('what was deleted, and what lies more than a year back, is not in it', async () => {
    const [gone, old] = [v7(), v7()];
    await save(gone, planOf('Gone feed')).expect(200);
    await request(app).delete(`/api/plans/${gone}`).expect(204);
    const past = { ...planOf('Old feed'), fromDay: `${year - 3}-01-01`, toDay: `${year - 3}-12-31` };
    await save(old, { ...past, portions: past.portions.map((each) => Object.assign(each, { onDay: `${year - 3}-05-01` })) }).expect(200); // prettier-ignore
    const { text } = await request(app)
      .get((await made('Board')).path)
      .expect(200);
    expect(text).not.toMatch(/Gone feed|Old feed/);
  });

  it('asks who it is for', async () => {
    await request(app).post('/api/feeds').send({ name: ' ' }).expect(400);
  });
});

it('whoever asks too often has to wait', async () => {
  let status = 0;
  for (let index = 0; index < 40 && status !== 429; index += 1)
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    ({ status } = await request(app).get('/calendar/none.ics'));
  expect(status).toBe(429);
});
