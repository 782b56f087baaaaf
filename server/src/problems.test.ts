import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDatabase, stopDatabase } from '../../scripts/lib/database.mjs';
import { createApp } from './app.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { sampleLabel, sampleWrite } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const put = (body: object) => request(harness.app).put(`/api/jobs/${v7()}`).send(body);

describe('bad bodies', () => {
  it.each([
    ['a size that cannot be read', sampleWrite({}, { areas: [{ id: v7(), name: 'A', size: '5 blorps', unit: 'ft2' }] }), ['input', 'worksheet', 'areas', 0, 'size'], 'unit.unknown'],
    ['an absurd size', sampleWrite({}, { areas: [{ id: v7(), name: 'A', size: '20 000 ha', unit: 'ft2' }] }), ['input', 'worksheet', 'areas', 0, 'size'], 'size.too-large'],
    ['a grade over 100 %', sampleWrite({}, { product: sampleLabel({ grade: '60-30-20' }) }), ['input', 'worksheet', 'product', 'grade'], 'grade.over-100'],
    ['a grade run together', sampleWrite({}, { product: sampleLabel({ grade: '240-8' }) }), ['input', 'worksheet', 'product', 'grade'], 'grade.run-together'],
    ['a grade without the nutrient', sampleWrite({}, { product: sampleLabel({ grade: '0-0-50' }) }), ['input', 'worksheet', 'product', 'grade'], 'grade.lacks'],
    ['an endless number', sampleWrite({}, { need: { nutrient: 'N', amount: '1e309', unit: 'kg/ha' } }), ['input', 'worksheet', 'need', 'amount'], 'number.too-large'],
    ['HTML for a name is a name, a blank is not', sampleWrite({ name: '   ' }), ['input', 'name'], 'name.empty'],
    ['a day that is not in the calendar', sampleWrite({ onDay: '2026-02-30' }), ['input', 'onDay'], 'date.unreadable'],
    ['a made-up unit', sampleWrite({}, { product: sampleLabel({ package: { size: '40', unit: 'stone' as 'lb' } }) }), ['input', 'worksheet', 'product', 'package', 'unit'], 'body.custom'],
    ['an unknown member', sampleWrite({ crewId: 'x' }), ['input', 'crewId'], 'body.unrecognized_keys'],
  ])('%s', async (_, body, path, code) => {
    const { status, body: problem, type } = await put(body);
    expect([status, type]).toEqual([400, 'application/problem+json']);
    expect(problem.errors[0]).toMatchObject({ path, code });
    expect(problem.errors[0].message).not.toMatch(/[{}]/);
    expect(JSON.stringify(problem)).not.toMatch(/node_modules|at .*\.ts|stack/);
  }); // prettier-ignore

  it('keeps what looks like HTML, emoji or SQL as the plain text that it is', async () => {
    const name = `<img src=x onerror=alert(1)> 🌱 '; DROP TABLE jobs;--`;
    expect((await put(sampleWrite({ name })).expect(200)).body.input.name).toBe(name);
  });

  it('refuses ids that are none, JSON that is none, too much, and paths that are none', async () => {
    const { app } = harness;
    expect((await request(app).put('/api/jobs/1').send(sampleWrite())).body.errors[0].path).toEqual(['id']);
    const torn = await request(app)
      .put(`/api/jobs/${v7()}`)
      .set('Content-Type', 'application/json')
      .send('{"name": ');
    expect([torn.status, torn.body.type]).toEqual([400, '/problems/unreadable']);
    const huge = await request(app)
      .put(`/api/jobs/${v7()}`)
      .send({ name: 'x'.repeat(400_000) });
    expect([huge.status, huge.body.type]).toEqual([413, '/problems/too-large']);
    const nowhere = await request(app).get('/api/nowhere');
    expect([nowhere.status, nowhere.type, nowhere.body.detail]).toEqual([
      404,
      'application/problem+json',
      'There is nothing at GET /api/nowhere.',
    ]);
    expect((await request(app).put(`/api/jobs/${v7()}`)).status).toBe(400);
  });
});

describe('failures', () => {
  it.each([['thrown', 'get', ''], ['rejected', 'post', '/restore']] as const)('a %s error is a 500 that tells nothing of the inside', async (_, method, tail) => {
    const broken = createApp({
      sequelize: harness.sequelize,
      homeCrewId: harness.crewId,
      logger: pino({ level: 'silent' }),
      webRoot: null,
      ofDocuments: {
        read: () => {
          throw new Error('thrown with a secret');
        },
        restore: async () => Promise.reject(new Error('rejected with a secret')),
      },
    });
    const answer = await request(broken)[method](`/api/jobs/${v7()}${tail}`);
    expect([answer.status, answer.type]).toEqual([500, 'application/problem+json']);
    expect(answer.text).not.toMatch(/secret|stack|\.ts/);
    expect(answer.body.requestId).toBeTruthy();
  }); // prettier-ignore

  it('a row of ours that cannot be read is our fault, and the log names it', async () => {
    const lines: string[] = [];
    const sink = { write: (line: string) => void lines.push(line) };
    const { sequelize, crewId: homeCrewId } = harness;
    const app = createApp({ sequelize, homeCrewId, logger: pino({}, sink), webRoot: null });
    const [id, other] = [v7(), v7()];
    await request(app).put(`/api/jobs/${id}`).send(sampleWrite()).expect(200);
    await request(app).put(`/api/jobs/${other}`).send(sampleWrite()).expect(200);
    await sequelize.query('UPDATE documents SET input = ? WHERE id = ?', { replacements: ['{"need":', id] });
    const { status, body } = await request(app).get(`/api/jobs/${id}`);
    expect([status, body.type]).toEqual([500, '/problems/unreadable-document']);
    expect(lines.join('')).toContain(id);
    await request(app).get(`/api/jobs/${other}`).expect(200);
    expect((await request(app).get(`/api/jobs/${id}/raw`).expect(200)).body).toMatchObject({
      raw: '{"need":',
    });
  });

  it('carries security headers and no sign of the framework', async () => {
    const { headers } = await request(harness.app).get('/api/health').expect(200);
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['content-security-policy']).toContain("object-src 'none'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

describe('a database that is killed', () => {
  const folder = mkdtempSync(join(tmpdir(), 'steady-kill-'));
  let onItsOwn: Harness;
  beforeAll(async () => {
    await openDatabase(folder);
    onItsOwn = await openHarness({}, folder);
  });
  afterAll(async () => {
    await onItsOwn.close();
    await stopDatabase(folder);
    rmSync(folder, { recursive: true, force: true });
  });

  it('is a 503, and nothing kept is lost when it starts again', async () => {
    const { app } = onItsOwn;
    const id = v7();
    await request(app).put(`/api/jobs/${id}`).send(sampleWrite()).expect(200);
    await stopDatabase(folder, 'SIGKILL');
    for (const path of ['/api/health', '/api/jobs', `/api/jobs/${id}`]) {
      const { status, type } = await request(app).get(path);
      expect([path, status, type]).toEqual([path, 503, 'application/problem+json']);
    }
    await openDatabase(folder);
    const back = await request(app).get('/api/jobs').expect(200);
    expect(back.body.items.map((job: { id: string }) => job.id)).toEqual([id]);
  });
});
