import { notInWinter } from '@steady-scatter/core/ground';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { pino } from 'pino';
import { DatabaseError, QueryTypes } from 'sequelize';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connectionFile } from '../../scripts/lib/database.mjs';
import { createApp } from './app.ts';
import { openSequelize, readConnection } from './database.ts';
import { createLog, logged } from './running/log.ts';
import { UnreadableRow } from './services/readStored.ts';
import { databaseFolder, openHarness, type Harness } from './testing/harness.ts';
import { sampleLabel, sampleWrite, writeOf } from './testing/jobs.ts';

let harness: Harness;
const folder = mkdtempSync(join(tmpdir(), 'steady-running-'));
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(async () => {
  await harness.close();
  rmSync(folder, { recursive: true, force: true });
});
const silent = pino({ level: 'silent' });
const put = (id = v7()) => request(harness.app).put(`/api/jobs/${id}`);

describe('what nobody would write is told as the asker’s own doing', () => {
  const json = 'application/json';
  it.each([
    ['a path that cannot be decoded', () => request(harness.app).get('/api/jobs/%E0%A4%A'), 400],
    ['a coding that the body does not have', () => put().set('Content-Encoding', 'gzip').type(json).send('{}'), 400],
    ['a coding that is none', () => put().set('Content-Encoding', 'nonsense').type(json).send('{}'), 415],
    ['a body that is no UTF-8', () => put().type(json).send('"\u00ff'.normalize()), 400],
    ['half a body', () => put().type(json).send('{"version":0,'), 400],
    ['no JSON', () => put().type('text/xml').send('<x/>'), 400],
    ['a packed body that is far larger', () => put().set('Content-Encoding', 'gzip').type(json).serialize((body: unknown) => body as never).send(gzipSync(Buffer.alloc(3_000_000, 32)) as never), 413],
  ])('%s', async (_, ask, status) => {
    const answer = await ask();
    expect([answer.status, answer.type]).toEqual([status, 'application/problem+json']);
  }); // prettier-ignore

  it('a part of the page that is not there any more is a 404', async () => {
    const { sequelize, crewId: homeCrewId } = harness;
    const app = createApp({ sequelize, homeCrewId, logger: silent, webRoot: folder });
    for (const path of ['/assets/gone-12345678.js', '/assets/%E0%A4%A'])
      expect([404, 400]).toContain((await request(app).get(path)).status);
  });

  it('a part of the page goes out as it was packed, and plain to who cannot unpack', async () => {
    const webRoot = mkdtempSync(join(folder, 'web-'));
    mkdirSync(join(webRoot, 'assets'));
    const part = 'export const rate = 0.8;';
    writeFileSync(join(webRoot, 'assets', 'part-12345678.js'), part);
    writeFileSync(join(webRoot, 'assets', 'part-12345678.js.gz'), gzipSync(part));
    const { sequelize, crewId: homeCrewId } = harness;
    const app = createApp({ sequelize, homeCrewId, logger: silent, webRoot });
    for (const coding of ['gzip', 'identity']) {
      const answer = await request(app)
        .get('/assets/part-12345678.js')
        .set('Accept-Encoding', coding)
        .buffer(true)
        .parse((stream, done) => stream.on('data', (text) => done(null, String(text))))
        .expect(200);
      expect([answer.body, answer.type]).toEqual([part, 'text/javascript']);
      expect(answer.headers['content-encoding']).toBe(coding === 'gzip' ? 'gzip' : undefined);
      expect(answer.headers['cache-control']).toContain('immutable');
    }
  });
});

describe('keeping', () => {
  it('twelve who bring new jobs at once all succeed', async () => {
    const bring = async () => {
      const statuses = [];
      for (let index = 0; index < 8; index += 1) statuses.push((await put().send(sampleWrite())).status);
      return statuses;
    };
    const all = await Promise.all(Array.from({ length: 12 }, bring));
    expect(new Set(all.flat())).toEqual(new Set([200]));
  });

  it('the same new job from twelve at once is kept once', async () => {
    const id = v7();
    const write = sampleWrite();
    const answers = await Promise.all(Array.from({ length: 12 }, () => put(id).send(write)));
    expect(answers.map(({ status, body }) => [status, body.version])).toEqual(answers.map(() => [200, 1]));
  });

  it('the same batch of products from many at once is taken once, and refused to nobody', async () => {
    const products = Array.from({ length: 20 }, (_, index) => ({ id: v7(), input: { ...sampleLabel(), name: `Pail ${index}` } })); // prettier-ignore
    const bring = () =>
      request(harness.app).post('/api/products/batch').send({ schemaVersion: 2, documents: products });
    const answers = await Promise.all(Array.from({ length: 8 }, bring));
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 204));
    const ids = new Set(products.map(({ id }) => id));
    const shelf = (await request(harness.app).get('/api/products?q=Pail')).body.items as { id: string }[];
    expect(shelf.filter(({ id }) => ids.has(id))).toHaveLength(20);
  });

  it('a nought below nought is a nought, so that the same write twice is harmless', async () => {
    const input = { name: 'Yard', notes: '', place: { lat: '', lon: '' }, pace: { line: '', unit: 'm', walks: [], wheel: '' }, areas: [] }; // prettier-ignore
    const part = { id: 'p', kind: 'rectangle', cut: false, lengths: ['3', '4'], unit: 'm', by: 'tape', within: '', at: { x: 0, y: 0, turn: 0 } }; // prettier-ignore
    const area = { id: v7(), name: 'Lawn', surface: 'turf', slope: 'level', treated: true, layoutMode: 'placed', parts: [part], edges: [], rows: { spacing: '', own: '', per: 'ha', count: '', length: '', unit: 'm' }, shownIn: 'm2', winter: notInWinter(), notes: '' }; // prettier-ignore
    const body = JSON.stringify(writeOf('sites', { ...input, areas: [area] })).replace('"x":0', '"x":-0');
    const write = (id: string) =>
      request(harness.app).put(`/api/sites/${id}`).type('application/json').send(body);
    const id = v7();
    expect((await write(id)).body.version).toBe(1);
    expect((await write(id)).body.version).toBe(1);
  });

  it('an id that another crew has is told at once', async () => {
    const id = v7();
    await request(await harness.otherCrew()).put(`/api/jobs/${id}`).send(sampleWrite()).expect(200); // prettier-ignore
    expect((await put(id).send(sampleWrite())).body.type).toBe('/problems/id-taken');
  });
});

describe('a full disk', () => {
  const withDisk = (isFull: () => boolean, more = {}) =>
    createApp({ sequelize: harness.sequelize, homeCrewId: harness.crewId, logger: silent, webRoot: null, disk: { isFull }, ...more }); // prettier-ignore

  it('refuses what is to be kept, in a sentence, and goes on reading', async () => {
    const app = withDisk(() => true);
    const refused = await request(app).put(`/api/jobs/${v7()}`).send(sampleWrite()).expect(507);
    expect([refused.type, refused.body.type]).toEqual(['application/problem+json', '/problems/disk-full']);
    expect(refused.body.detail).toContain('Make room there');
    await request(app).get('/api/jobs').expect(200);
    expect((await request(app).get('/api/health').expect(200)).body).toEqual({ status: 'limited', database: 'ok', disk: 'full' }); // prettier-ignore
  });

  it('that becomes full while the database waits for room is answered too', async () => {
    let full = false;
    const app = withDisk(() => full, { ofDocuments: { remove: () => new Promise(() => undefined) } });
    const waiting = request(app).delete(`/api/jobs/${v7()}`).then(({ status }) => status); // prettier-ignore
    setTimeout(() => (full = true), 50);
    expect(await waiting).toBe(507);
  });

  it('told by the database is a 507 as well', async () => {
    const said = Object.assign(new Error('(conn=7, no: 1114) The table is full'), { errno: 1114, sql: 'INSERT INTO jobs VALUES (secret)' }); // prettier-ignore
    const app = withDisk(() => false, { ofDocuments: { remove: () => Promise.reject(new DatabaseError(said as never)) } }); // prettier-ignore
    await request(app).delete(`/api/jobs/${v7()}`).expect(507);
  });
});

describe('the log', () => {
  it('holds nothing of a row: neither what the database says of it nor the statement', () => {
    const said = Object.assign(new Error("Duplicate entry 'Lake front' for key"), { errno: 1062, code: 'ER_DUP_ENTRY', sqlState: '23000', sql: "INSERT INTO jobs VALUES ('Lake front')", parameters: ['Lake front'] }); // prettier-ignore
    const written = JSON.stringify(logged(new DatabaseError(said)));
    expect(written).not.toContain('Lake front');
    expect(written).toContain('ER_DUP_ENTRY');
    expect(JSON.stringify(logged(new Error('no socket')))).toContain('no socket');
    const caused = new Error('It stays as it was.', { cause: new DatabaseError(said) });
    expect(JSON.stringify(logged(caused))).not.toContain('Lake front');
  });

  it('names the row that cannot be read', () => {
    const id = v7();
    const failure = new UnreadableRow('job', id, new Error("Unexpected token in 'Lake front'"));
    expect(logged(failure)).toMatchObject({ why: `The job ${id} is stored in a way that cannot be read.` });
    expect(JSON.stringify(logged(failure))).not.toContain('Lake front');
  });

  it('is put aside when it is large, a few of them stay, and its owner alone reads it', async () => {
    const file = join(folder, 'server.log');
    const { logger, close } = createLog(file);
    for (let index = 0; index < 40; index += 1) {
      logger.info({ pad: 'x'.repeat(1_000_000) }, 'line');
      // oxlint-disable-next-line no-await-in-loop -- as they would come
      await new Promise((resolve) => setTimeout(resolve, 8));
    }
    await close();
    const files = readdirSync(folder).filter((name) => name.includes('server.log') && !name.endsWith('.txt'));
    expect(files.length).toBeGreaterThan(2);
    expect(files.length).toBeLessThanOrEqual(6);
    for (const name of files) expect(statSync(join(folder, name)).size).toBeLessThan(7_000_000);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(existsSync(file) && readFileSync(file, 'utf8')).toContain('line');
  });
});

it('what is asked of the API is stored nowhere on its way, and is framed by nobody', async () => {
  const { headers } = await request(harness.app).get('/api/jobs').expect(200);
  expect(headers['cache-control']).toBe('no-store');
  expect(headers['x-frame-options']).toBe('DENY');
});

it('whether the database answers is not asked behind everything else, which would tell of a busy one that it is down', async () => {
  const connection = readConnection(connectionFile(databaseFolder()));
  const [busy, looking] = [openSequelize(connection, 1), openSequelize(connection, 1)];
  try {
    const status = async (more: { looking?: typeof looking }) => {
      const app = createApp({ sequelize: busy, homeCrewId: harness.crewId, logger: silent, webRoot: null, ...more }); // prettier-ignore
      const asked = busy.query('SELECT SLEEP(2)', { type: QueryTypes.SELECT });
      const { status: told } = await request(app).get('/api/health');
      await asked;
      return told;
    };
    expect(await status({ looking })).toBe(200);
    expect(await status({})).toBe(503);
  } finally {
    await Promise.all([busy.close(), looking.close()]);
  }
});
