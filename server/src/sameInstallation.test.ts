import { randomUUID } from 'node:crypto';
import { INSTALLATION_HEADER } from '@steady-scatter/contract';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { installationOf } from './services/installation.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleWrite } from './testing/jobs.ts';

const installation = randomUUID();
let harness: Harness;
beforeAll(async () => {
  harness = await openHarness({ installation });
});
afterAll(() => harness.close());

const write = (meant?: string) => {
  const asked = request(harness.app).put(`/api/jobs/${randomUUID()}`);
  return (meant === undefined ? asked : asked.set(INSTALLATION_HEADER, meant)).send(sampleWrite());
};

it('every answer tells which installation it is of, one that refuses too', async () => {
  for (const path of ['/api/health', '/api/jobs', '/api/jobs/nothing', '/api/nowhere'])
    expect((await request(harness.app).get(path)).get(INSTALLATION_HEADER)).toBe(installation);
});

it('what is meant for this one, or says nothing, is stored', async () => {
  await write(installation).expect(200);
  await write().expect(200);
});

it('what is meant for another one is refused, and nothing is stored', async () => {
  const before = (await request(harness.app).get('/api/jobs')).body.total as number;
  const refused = await write(randomUUID()).expect(409);
  expect(refused.body.type).toBe('/problems/other-installation');
  expect((await request(harness.app).get('/api/jobs')).body.total).toBe(before);
});

it('a database has one id, however often it is brought up to date', async () => {
  const first = await installationOf(harness.sequelize);
  expect(first).toMatch(/^[0-9a-f-]{36}$/);
  const again = await openHarness();
  expect(await installationOf(again.sequelize)).toBe(first);
  await again.close();
});
