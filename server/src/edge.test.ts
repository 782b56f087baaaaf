import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createApp } from './app.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleWrite } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const put = (headers: Record<string, string>) =>
  request(harness.app).put(`/api/jobs/${v7()}`).set(headers).send(sampleWrite());

it('takes writes from pages of this address and from clients that are no pages, and from nobody else', async () => {
  await put({}).expect(200);
  await put({ Host: 'localhost:4310', Origin: 'http://localhost:4310' }).expect(200);
  for (const Origin of ['https://elsewhere.example', 'http://localhost:9999', 'null']) {
    const { status, type, body } = await put({ Host: 'localhost:4310', Origin });
    expect([Origin, status, type, body.type]).toEqual([
      Origin,
      403,
      'application/problem+json',
      '/problems/foreign-origin',
    ]);
  }
  await put({ 'Sec-Fetch-Site': 'cross-site' }).expect(403);
  await request(harness.app).get('/api/jobs').set({ Origin: 'https://elsewhere.example' }).expect(200);
});

it('asks those who ask too often to wait', async () => {
  const { sequelize, crewId: homeCrewId } = harness;
  const app = createApp({
    sequelize,
    homeCrewId,
    logger: pino({ level: 'silent' }),
    webRoot: null,
    requestsPerMinute: 3,
  });
  const statuses = [];
  for (let i = 0; i < 5; i += 1) statuses.push((await request(app).get('/api/health')).status);
  expect(statuses).toEqual([200, 200, 200, 429, 429]);
  const refused = await request(app).get('/api/health');
  expect([refused.type, refused.body.detail]).toEqual([
    'application/problem+json',
    'Too many requests at once. Try again in a minute.',
  ]);
});

it('names each request in the header, in the problem and in the log, and logs nothing of what was typed', async () => {
  const lines: string[] = [];
  const sink = new Writable({
    write(chunk: Buffer, _encoding, done) {
      lines.push(chunk.toString());
      done();
    },
  });
  const { sequelize, crewId: homeCrewId } = harness;
  const read = () => Promise.reject(new Error('broken'));
  const app = createApp({
    sequelize,
    homeCrewId,
    logger: pino({}, sink),
    webRoot: null,
    ofDocuments: { read },
  });
  const { headers, body } = await request(app).get(`/api/jobs/${v7()}`).expect(500);
  expect(body.requestId).toBe(headers['x-request-id']);
  expect(lines.filter((line) => line.includes(body.requestId)).length).toBeGreaterThanOrEqual(1);
  expect(lines.join('')).toContain('broken');
  await request(app)
    .put(`/api/jobs/${v7()}`)
    .send(sampleWrite({ name: 'Not for the log' }))
    .expect(200);
  expect(lines.join('')).not.toContain('Not for the log');
});
