import { EVENTS, KINDS, kindOf, type DocumentWrite, type Kind } from '@steady-scatter/contract';
import { InputError } from '@steady-scatter/core/errors';
import { renamed, type Json } from '@steady-scatter/core/fields';
import { manyOf, oneOf } from '@steady-scatter/words/things';
import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as z from 'zod';
import { createApp } from './app.ts';
import { openArchive } from './backup/read.ts';
import { writeBackup } from './backup/write.ts';
import { storedOf } from './checking/stored.ts';
import { readConnection } from './database.ts';
import { connectionFile } from '../../scripts/lib/database.mjs';
import { DocumentRow } from './models/index.ts';
import { summaryModel } from './models/summaries.ts';
import { invalid } from './problems/invalid.ts';
import { projectAll } from './services/projections.ts';
import { databaseFolder, openHarness, type Harness } from './testing/harness.ts';
import { sampleJob, writeOf } from './testing/jobs.ts';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

/** A kind that nobody needs: where a bin stands and how full it is, in its third version. */
const bins = kindOf({
  name: 'bins',
  path: '/api/bins',
  schema: z.object({
    name: z.string().max(40),
    fillPercent: z.string(),
    site: z.string(),
    colour: z.string(),
  }),
  upgrades: [
    { adds: [], upgrade: (earlier) => renamed(earlier, { full: 'fillPercent' }) },
    { adds: ['colour'], upgrade: (earlier) => ({ ...earlier, colour: 'green' }) },
  ],
  evaluate: ({ fillPercent }) => {
    const fill = fillPercent === '' ? null : Number(fillPercent);
    return { fill, errors: Number.isNaN(fill) ? [new InputError('percent.unreadable', { field: 'fillPercent', hint: '25 %' })] : [] }; // prettier-ignore
  },
  columns: {
    fill: { type: 'si', schema: z.number().nullable() },
    site: { type: 'id', schema: z.string() },
    isFull: { type: 'flag', schema: z.boolean() },
  },
  sort: '-fill',
  summarise: ({ site }, { fill }) => ({ fill, site, isFull: fill === 100 }),
  nameOf: ({ name }) => name,
  textsOf: ({ colour }) => [colour],
  linksOf: ({ site }) => (site === '' ? [] : [site]),
}) as unknown as Kind;

const input = (more: object = {}) => ({
  name: 'North bin',
  fillPercent: '40',
  site: '',
  colour: 'blue',
  ...more,
});
const written = (of: Json | object, version = 0, schemaVersion = 3): DocumentWrite => ({ version, schemaVersion, input: of as Json }); // prettier-ignore

describe('a kind costs its entry', () => {
  let app: Express;
  beforeAll(async () => {
    const { sequelize, crewId: homeCrewId } = harness;
    await projectAll(sequelize, 'test', [bins]);
    const check = async (_: unknown, body: Uint8Array) => {
      const { version, ...of } = JSON.parse(new TextDecoder().decode(body)) as DocumentWrite;
      try {
        return { version, documents: [{ id: null, ...storedOf(bins, of) }] };
      } catch (error) {
        throw invalid(error as z.ZodError);
      }
    };
    app = createApp({
      sequelize,
      homeCrewId,
      logger: pino({ level: 'silent' }),
      webRoot: null,
      kinds: [bins],
      check,
    });
  });
  const put = (id: string, body: object) => request(app).put(`/api/bins/${id}`).send(body);
  const list = async (query = '') => (await request(app).get(`/api/bins?${query}`).expect(200)).body;

  it('and is stored, listed, sorted, filtered, found, deleted, restored', async () => {
    const [low, high, none, site] = [v7(), v7(), v7(), v7()];
    await put(low, written(input({ name: 'Low', fillPercent: '5', site }))).expect(200);
    await put(high, written(input({ name: 'High', fillPercent: '100' }))).expect(200);
    await put(none, written(input({ name: 'Nobody looked', fillPercent: '' }))).expect(200);
    const ids = ({ items }: { items: { id: string }[] }) => items.map(({ id }) => id);
    expect(ids(await list())).toEqual([high, low, none]);
    expect(ids(await list('sort=fill'))).toEqual([none, low, high]);
    expect(ids(await list('filter=isFull:true'))).toEqual([high]);
    expect(ids(await list('filter=fill>=1&filter=fill<=50'))).toEqual([low]);
    expect(ids(await list(`filter=uses:${site}`))).toEqual([low]);
    expect(ids(await list('q=LOOK+blue'))).toEqual([none]);
    expect((await list('q=look')).items[0]).toMatchObject({
      isReadable: true,
      fill: null,
      isFull: false,
      site: '',
    });
    await request(app).delete(`/api/bins/${low}`).expect(204);
    expect(ids(await list())).toEqual([high, none]);
    await request(app).post(`/api/bins/${low}/restore`).expect(200);
    expect(ids(await list(`filter=uses:${site}`))).toEqual([low]);
  });

  it('and refuses what core cannot read, at its field', async () => {
    const { body } = await put(v7(), written(input({ fillPercent: 'half' })));
    expect(body.errors).toMatchObject([{ path: ['input', 'fillPercent'], code: 'percent.unreadable' }]);
  });

  it('and what earlier versions stored is upgraded when it is read', async () => {
    const id = v7();
    await DocumentRow.create({ id, crewId: harness.crewId, kind: 'bins', version: 7, schemaVersion: 1, isSample: false, input: '{"name":"Old bin","full":"12","site":""}', deletedAt: null }); // prettier-ignore
    const { body } = await request(app).get(`/api/bins/${id}`).expect(200);
    expect(body).toMatchObject({ version: 7, schemaVersion: 3, input: { name: 'Old bin', fillPercent: '12', colour: 'green' } }); // prettier-ignore
    expect(JSON.parse((await request(app).get(`/api/bins/${id}/raw`)).body.raw)).toHaveProperty('full', '12');
  });

  it('and a write of an earlier version leaves what it does not know', async () => {
    const id = v7();
    await put(id, written(input({ colour: 'red' }))).expect(200);
    const { body } = await put(id, written({ name: 'North bin', full: '60', site: '' }, 1, 1)).expect(200);
    expect(body).toMatchObject({ version: 2, input: { fillPercent: '60', colour: 'red' } });
  });

  it('and its list is made anew where another program, or another shape, made it', async () => {
    const model = summaryModel(harness.sequelize, bins);
    await model.update({ name: 'wrong' }, { where: {} });
    await projectAll(harness.sequelize, 'test', [bins]);
    expect(await model.count({ where: { name: 'wrong' } })).toBeGreaterThan(0);
    await projectAll(harness.sequelize, 'another', [bins]);
    expect(await model.count({ where: { name: 'wrong' } })).toBe(0);
    expect((await list('q=Old+bin')).items).toMatchObject([{ fill: 12, version: 7 }]);
  });

  it('and it is in the archive, as what it says', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'steady-bins-'));
    await writeBackup(readConnection(connectionFile(databaseFolder())), join(folder, 'all.zip'));
    const archive = await openArchive(join(folder, 'all.zip'));
    const names = [];
    for await (const { kind, input: of } of archive.rowsOf('documents')) if (kind === 'bins') names.push((of as { name: string }).name); // prettier-ignore
    archive.close();
    expect(names).toContain('Old bin');
    rmSync(folder, { recursive: true });
  });
});

describe('a row that cannot be read', () => {
  const put = (id: string, body: object) => request(harness.app).put(`/api/rigs/${id}`).send(body);
  const machine = JSON.stringify({ name: 'Odd one', kind: 'push-rotary' });
  const good = async () => {
    const id = v7();
    const rig = { name: 'Red spreader', hopper: { size: '50', unit: 'lb' } };
    await put(id, { version: 0, schemaVersion: 1, input: rig }).expect(200);
    return (await request(harness.app).get(`/api/rigs/${id}`)).body.input as Json;
  };

  it.each([
    ['too few fields', 2, machine],
    ['a field of another type', 2, JSON.stringify({ name: 7 })],
    ['text that is no JSON', 2, '{"name":'],
    ['a list in place of a machine', 1, '[]'],
    ['nothing', 1, 'null'],
    ['a later version', 9, machine],
  ])('with %s is listed as such, handed over raw, repaired by a write, and breaks nothing', async (_, schemaVersion, stored) => {
    const [whole, id] = [await good(), v7()];
    const { sequelize, crewId } = harness;
    await DocumentRow.create({ id, crewId, kind: 'rigs', version: 1, schemaVersion, isSample: false, input: stored, deletedAt: null });
    await projectAll(sequelize, v7());
    const { items } = (await request(harness.app).get('/api/rigs?limit=200').expect(200)).body;
    expect(items.find((line: { id: string }) => line.id === id)).toMatchObject({ isReadable: false });
    expect(items.some(({ isReadable }: { isReadable: boolean }) => isReadable)).toBe(true);
    const read = await request(harness.app).get(`/api/rigs/${id}`).expect(500);
    expect(read.body.type).toBe('/problems/unreadable-document');
    expect((await request(harness.app).get(`/api/rigs/documents?ids=${id}`)).body).toEqual({ documents: [], unreadable: [id] });
    expect((await request(harness.app).get(`/api/rigs/${id}/raw`).expect(200)).body).toMatchObject({ kind: 'rigs', schemaVersion, raw: stored });
    await request(harness.app).delete(`/api/rigs/${id}`).expect(204);
    await request(harness.app).post(`/api/rigs/${id}/restore`).expect(500);
    await put(id, writeOf('rigs', whole, 1)).expect(200);
    const after = (await request(harness.app).get('/api/rigs?limit=200').expect(200)).body.items;
    expect(after.find((line: { id: string }) => line.id === id)).toMatchObject({ isReadable: true, name: 'Red spreader' });
  }); // prettier-ignore

  it('with a field too many is read without it, and a write with one is refused', async () => {
    const whole = await good();
    const id = v7();
    const { crewId } = harness;
    await DocumentRow.create({ id, crewId, kind: 'rigs', version: 1, schemaVersion: 2, isSample: false, input: JSON.stringify({ ...whole, wings: 2 }), deletedAt: null }); // prettier-ignore
    expect((await request(harness.app).get(`/api/rigs/${id}`).expect(200)).body.input).toEqual(whole);
    const { body } = await put(v7(), writeOf('rigs', { ...whole, hopper: { size: '', unit: 'lb', lid: 'red' } })).expect(400);
    expect(body.errors).toMatchObject([{ path: ['input', 'hopper', 'lid'], code: 'body.unrecognized_keys' }]);
  }); // prettier-ignore

  it('and a write by a later version is refused with the reason', async () => {
    const { body } = await put(v7(), {
      ...writeOf('rigs', await good()),
      schemaVersion: KINDS.rigs.schemaVersion + 1,
    }).expect(422);
    expect(body.type).toBe('/problems/later-version');
  });
});

describe('a list, page by page', () => {
  let app: Express;
  const DAYS = ['2026-04-18', '2026-05-02', '2026-04-18', '2026-03-01'];
  beforeAll(async () => {
    app = await harness.otherCrew();
    const documents = Array.from({ length: 57 }, (_, index) => ({
      id: v7(),
      input: sampleJob({ name: `Job ${(index * 31) % 57}`, onDay: DAYS[index % 4] }, index % 3 === 0 ? { areas: [] } : {}), // prettier-ignore
    }));
    await request(app).post('/api/jobs/batch').send({ schemaVersion: KINDS.jobs.schemaVersion, documents }).expect(204); // prettier-ignore
  });
  const page = async (query: string) => (await request(app).get(`/api/jobs?${query}`).expect(200)).body;
  async function all(query: string) {
    const lines: Json[] = [];
    let cursor = '';
    for (;;) {
      // oxlint-disable-next-line no-await-in-loop -- one page after the other
      const { items, next, total } = await page(`${query}&limit=7${cursor && `&cursor=${cursor}`}`);
      lines.push(...items);
      expect(total).toBe(57);
      if (next === null) return lines;
      cursor = next;
    }
  }

  it.each(['name', '-name', 'onDay', '-onDay', 'totalM2', '-totalM2', 'changedAt', '-areas'])(
    'sorted by %s holds each line once, in order',
    async (sort) => {
      const lines = await all(`sort=${sort}`);
      expect(new Set(lines.map(({ id }) => id)).size).toBe(57);
      const whole = await page(`sort=${sort}&limit=200`);
      expect(lines).toEqual(whole.items);
      const values = lines.map((line) => line[sort.replace('-', '')] ?? -1) as (string | number)[];
      const sorted = values.toSorted((a, b) => (typeof a === 'number' ? a - Number(b) : a.localeCompare(String(b), 'en', { numeric: false }))); // prettier-ignore
      expect(values).toEqual(sort.startsWith('-') ? sorted.toReversed() : sorted);
    },
  );

  it.each([
    ['limit=0', 'limit'],
    ['limit=-1', 'limit'],
    ['limit=10000', 'limit'],
    ['limit=x', 'limit'],
    ['sort=worksheet', 'sort'],
    ['sort=days', 'sort'],
    ['filter=crewId:1', 'filter'],
    ['filter=areas:many', 'filter'],
    ['filter=uses:1', 'filter'],
    ['filter=', 'filter'],
    ['cursor=eyJ', 'cursor'],
    ['offset=3', ''],
  ])('refuses %s with a sentence', async (query, field) => {
    const { status, body } = await request(app).get(`/api/jobs?${query}`);
    expect([status, body.type]).toEqual([400, '/problems/invalid']);
    expect(body.errors[0].path.join('.')).toBe(field);
    expect(body.detail).toMatch(/^[A-Z].*\.$|Unrecognized/);
  });

  it('refuses the end of a page that was sorted otherwise', async () => {
    const { next } = await page('sort=name&limit=3');
    const { body } = await request(app).get(`/api/jobs?sort=onDay&cursor=${next}`).expect(400);
    expect(body.errors[0].path).toEqual(['cursor']);
  });

  it('is searched for what stands there, signs and all', async () => {
    await request(app).put(`/api/jobs/${v7()}`).send(writeOf('jobs', sampleJob({ name: '100 % _done_' }))).expect(200); // prettier-ignore
    for (const q of ['100 %', '_done', '% _'])
      expect((await page(`q=${encodeURIComponent(q)}`)).total).toBe(1);
    expect((await page(`q=${encodeURIComponent('%%')}`)).total).toBe(0);
    const { hits } = (await request(app).get('/api/search?q=bandstand').expect(200)).body;
    expect(hits[0]).toMatchObject({ kind: 'jobs', found: 'Bandstand lawn' });
    await request(app).get('/api/search?q=').expect(400);
  });

  it('is answered compressed', async () => {
    const { headers } = await request(app).get('/api/jobs').set('Accept-Encoding', 'gzip').expect(200);
    expect(headers['content-encoding']).toBe('gzip');
  });
});

it.each([...Object.keys(KINDS), ...Object.keys(EVENTS)])('one and many of %s have a name', (name) => {
  expect(oneOf(name)).toMatch(/^[a-z ]+[^s]$/);
  expect(manyOf(name)).toMatch(/^[a-z ]+s$|^people$/);
});
