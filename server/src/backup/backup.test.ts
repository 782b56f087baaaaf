import { createHash } from 'node:crypto';
import { createWriteStream, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import request from 'supertest';
import { v7 } from 'uuid';
import { ZipFile } from 'yazl';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connectionFile, openDatabase, stopDatabase } from '../../../scripts/lib/database.mjs';
import { openSequelize, readConnection, type Connection } from '../database.ts';
import { migrate, MIGRATION_NAMES, pendingSteps } from '../migrations/index.ts';
import { DocumentRow } from '../models/index.ts';
import { seedDemo } from '../services/demo.ts';
import { databaseFolder, openHarness, type Harness } from '../testing/harness.ts';
import { sampleWrite } from '../testing/jobs.ts';
import { FORMAT, type Manifest } from './format.ts';
import { keepBefore, keepToday } from './keep.ts';
import { openArchive } from './read.ts';
import { installationOf } from '../services/installation.ts';
import { checkArchive, restoreArchive } from './restore.ts';
import { writeBackup } from './write.ts';

const folder = mkdtempSync(join(tmpdir(), 'steady-backup-'));
const file = (name: string) => join(folder, name);
let harness: Harness;
let connection: Connection;

beforeAll(async () => {
  harness = await openHarness();
  connection = readConnection(connectionFile(databaseFolder()));
});
afterAll(async () => {
  await harness.close();
  rmSync(folder, { recursive: true, force: true });
});

/** An archive of these entries, with a manifest that fits them unless another one is given. */
async function archiveOf(
  name: string,
  entries: Record<string, string>,
  more: Partial<Manifest> | string = {},
) {
  const zip = new ZipFile();
  for (const [entry, text] of Object.entries(entries)) zip.addBuffer(Buffer.from(text), entry);
  const files = Object.entries(entries).map(([entry, text]) => ({
    table: entry.replace(/^rows\/|\.jsonl$/g, ''),
    name: entry,
    rows: text.split('\n').length - 1,
    bytes: Buffer.byteLength(text),
    sha256: createHash('sha256').update(text).digest('hex'),
  }));
  const told = { format: FORMAT, formatVersion: 1, madeAt: '2026-04-18T06:00:00.000Z', schema: MIGRATION_NAMES.at(-1), files }; // prettier-ignore
  zip.addBuffer(Buffer.from(typeof more === 'string' ? more : JSON.stringify({ ...told, ...more })), 'manifest.json'); // prettier-ignore
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(file(name)));
  return file(name);
}
const row = `${JSON.stringify({ id: v7(), name: 'Crew', isDemo: false })}\n`;

describe('an archive', () => {
  it('is readable without this program: JSON to a line, what was typed as it was typed', async () => {
    const id = v7();
    await request(harness.app)
      .put(`/api/jobs/${id}`)
      .send(sampleWrite({ name: 'In the archive' }))
      .expect(200);
    await writeBackup(connection, file('whole.zip'));
    const archive = await openArchive(file('whole.zip'));
    const documents = [];
    for await (const document of archive.rowsOf('documents')) documents.push(document);
    archive.close();
    expect(documents.find((document) => document['id'] === id)).toMatchObject({ kind: 'jobs', input: { name: 'In the archive', worksheet: { need: { nutrient: 'N', amount: '0.8' } } } }); // prettier-ignore
    expect(statSync(file('whole.zip')).mode & 0o777).toBe(0o600);
    expect(readdirSync(folder).filter((name) => name.endsWith('.unfinished'))).toEqual([]);
  });

  it('holds no password, no token of a device, and nothing of the installation', async () => {
    const { files } = await writeBackup(connection, file('secrets.zip'));
    expect(files.map(({ table }) => table)).not.toContain('devices');
    expect(files.map(({ table }) => table)).not.toContain('migrations');
    expect(readFileSync(file('secrets.zip')).includes(Buffer.from(connection.password))).toBe(false);
  });

  it('is of one moment, whatever is written meanwhile: each job with its areas, all or none', async () => {
    const ended = new AbortController();
    const write = async () => {
      while (!ended.signal.aborted) await request(harness.app).put(`/api/jobs/${v7()}`).send(sampleWrite());
    };
    const writers = [write(), write()];
    for (let index = 0; index < 5; index += 1) {
      await writeBackup(connection, file('busy.zip'));
      const archive = await openArchive(file('busy.zip'));
      const areas = new Map<unknown, number>();
      for await (const { jobId } of archive.rowsOf('jobAreas')) areas.set(jobId, (areas.get(jobId) ?? 0) + 1);
      for await (const { id } of archive.rowsOf('jobs')) expect(areas.get(id)).toBe(2);
      archive.close();
    }
    ended.abort();
    await Promise.all(writers);
  });

  it.each([
    ['no zip at all', async () => { writeFileSync(file('text'), 'hello'); return file('text'); }, 'This is no backup'],
    ['cut', async () => { await writeBackup(connection, file('full.zip')); writeFileSync(file('cut.zip'), readFileSync(file('full.zip')).subarray(0, -300)); return file('cut.zip'); }, 'backup'],
    ['empty', async () => { writeFileSync(file('empty'), ''); return file('empty'); }, 'This is no backup'],
    ['of something else', () => archiveOf('other.zip', { 'rows/crews.jsonl': row }, '{"format":"other"}'), 'This is no backup'],
    ['with a manifest that is none', () => archiveOf('garbled.zip', { 'rows/crews.jsonl': row }, '{'), 'its manifest cannot be read'],
    ['with more than it names', () => archiveOf('more.zip', { 'rows/crews.jsonl': row, 'rows/extra.jsonl': row }, { files: [] }), 'other files than its manifest names'],
    ['changed', () => archiveOf('changed.zip', { 'rows/crews.jsonl': row }, { files: [{ table: 'crews', name: 'rows/crews.jsonl', rows: 1, bytes: row.length, sha256: '0'.repeat(64) }] }), 'is not as it was written'],
    ['of a later version', () => archiveOf('later.zip', { 'rows/crews.jsonl': row }, { schema: '999-later' }), 'made by a later version'],
    ['a bomb', () => archiveOf('bomb.zip', { 'rows/crews.jsonl': ' '.repeat(60_000_000) }), 'far more than it holds'],
  ] as const)('that is %s is refused whole', async (_, make, why) => {
    await expect(checkArchive(await make())).rejects.toThrow(why);
  }); // prettier-ignore

  it('with a path that climbs is refused', async () => {
    const good = await archiveOf('climbing.zip', { 'rows/crews.jsonl': row });
    const bytes = readFileSync(good);
    const climbing = Buffer.from(
      bytes.toString('latin1').replaceAll('rows/crews.jsonl', '../../crews.json'),
      'latin1',
    );
    writeFileSync(good, climbing);
    await expect(checkArchive(good)).rejects.toThrow('cannot be unpacked');
  });
});

describe('restoring', () => {
  const own = mkdtempSync(join(tmpdir(), 'steady-restore-'));
  /** An empty database. */
  async function empty(): Promise<Connection> {
    await stopDatabase(own);
    rmSync(own, { recursive: true, force: true });
    await openDatabase(own, { durable: false });
    return readConnection(connectionFile(own));
  }
  async function installationAt(connection: Connection): Promise<string> {
    const sequelize = openSequelize(connection);
    try {
      return await installationOf(sequelize);
    } finally {
      await sequelize.close();
    }
  }
  afterAll(async () => {
    await stopDatabase(own);
    rmSync(own, { recursive: true, force: true });
  });

  it('brings an older archive up to date, and a backup of it is the same to the byte as one of what was backed up', async () => {
    const older = await empty();
    const sequelize = openSequelize(older);
    await migrate(sequelize);
    await sequelize.close();
    const whole = await openHarness({}, own);
    await seedDemo(whole.sequelize);
    await whole.close();
    const installed = await installationAt(older);
    const before = await writeBackup(older, file('before.zip'));
    const target = await empty();
    await restoreArchive(connectionFile(own), file('before.zip'));
    // What waits on a device for the rows of before is not for these.
    expect(await installationAt(target)).not.toBe(installed);
    const after = await writeBackup(target, file('after.zip'));
    expect({ ...after, madeAt: '' }).toEqual({ ...before, madeAt: '' });
  }, 60_000);

  it('brings back what cannot be read as it stands, and lists it as such', async () => {
    const source = await empty();
    const whole = await openHarness({}, own);
    const { crewId, sequelize } = whole;
    const texts = ['{"name":"Torn"', '"a text"', '7', 'null', '{"name":"Odd"}', ''];
    const rows = texts.map((input) => ({ id: v7(), crewId, kind: 'rigs', version: 1, schemaVersion: 2, isSample: false, input, deletedAt: null })); // prettier-ignore
    await DocumentRow.bulkCreate(rows);
    await sequelize.close();
    const { files } = await writeBackup(source, file('odd.zip'));
    expect(files.map(({ table }) => table)).toEqual(['crews', 'documents', 'events', 'photos']);
    await empty();
    await restoreArchive(connectionFile(own), file('odd.zip'));
    const back = await openHarness({ homeCrewId: crewId }, own);
    const stored = await DocumentRow.findAll({ order: [['id', 'ASC']] });
    expect(stored.map(({ input }) => input)).toEqual(texts);
    const { items } = (await request(back.app).get('/api/rigs').expect(200)).body;
    expect(items).toHaveLength(texts.length);
    expect(items.every(({ isReadable }: { isReadable: boolean }) => !isReadable)).toBe(true);
    await back.close();
  }, 60_000);

  it('brings an archive of an earlier version up to date', async () => {
    const older = await empty();
    const sequelize = openSequelize(older);
    await migrate(sequelize, '008-width-tests');
    const [crewId, id, now] = [v7(), v7(), '2026-04-18 08:00:00.000'];
    const insert = (table: string, values: Record<string, unknown>) => sequelize.getQueryInterface().bulkInsert(table, [values]); // prettier-ignore
    await insert('crews', { id: crewId, name: 'Crew', isDemo: false, createdAt: now, updatedAt: now });
    await insert('rigs', { id, crewId, version: 4, isSample: false, name: 'Red', typed: '{"name":"Red"}', si: '{}', createdAt: now, updatedAt: now, deletedAt: null }); // prettier-ignore
    await sequelize.close();
    expect(await writeBackup(older, file('older.zip'))).toMatchObject({ schema: '008-width-tests' });
    await empty();
    await restoreArchive(connectionFile(own), file('older.zip'));
    const brought = await openHarness({ homeCrewId: crewId }, own);
    expect(await pendingSteps(brought.sequelize)).toEqual([]);
    const { body } = await request(brought.app).get(`/api/rigs/${id}`).expect(200);
    expect(body).toMatchObject({ version: 4, input: { name: 'Red', outlets: { count: '' } } });
    await brought.close();
  }, 60_000);

  describe('an archive that cannot be', () => {
    beforeAll(empty);
    it.each([
      ['rows of a table that is not there', { 'rows/nowhere.jsonl': row }, 'no such table'],
      ['devices that would be trusted', { 'rows/devices.jsonl': row }, 'no such table'],
      [
        'a column that is not there',
        { 'rows/crews.jsonl': row.replace('isDemo', 'isAdmin') },
        'other columns',
      ],
      ['a row that is a list', { 'rows/crews.jsonl': '[1]\n' }, 'is none'],
    ])('refuses %s', async (_, entries, why) => {
      await expect(
        restoreArchive(connectionFile(own), await archiveOf('wrong.zip', entries)),
      ).rejects.toThrow(why);
    });
  });
});

describe('what is kept by itself', () => {
  it('one archive a day, the last fourteen', async () => {
    const data = mkdtempSync(join(folder, 'data-'));
    for (let day = 1; day <= 16; day += 1)
      await keepToday(connection, data, new Date(Date.UTC(2026, 3, day, 5)));
    await keepToday(connection, data, new Date(Date.UTC(2026, 3, 16, 22)));
    const kept = readdirSync(join(data, 'backups')).toSorted();
    expect(kept).toHaveLength(14);
    expect([kept[0], kept.at(-1)]).toEqual([
      'steady-scatter-2026-04-03.zip',
      'steady-scatter-2026-04-16.zip',
    ]);
  });

  it('one before the tables take a step', async () => {
    const data = mkdtempSync(join(folder, 'data-'));
    const before = await keepBefore(connection, data, '010-next');
    expect(before).toMatch(/before-010-next-\d{4}-\d\d-\d\d\.zip$/);
    await checkArchive(before);
    expect(existsSync(before)).toBe(true);
  });
});

it('a backup is handed over to whoever may read, and taken in at the machine itself alone', async () => {
  const out = await request(harness.app).get('/api/backup').buffer(true).parse((response, done) => {
    const pieces: Buffer[] = [];
    response.on('data', (piece: Buffer) => pieces.push(piece)).on('end', () => done(null, Buffer.concat(pieces)));
  }).expect(200); // prettier-ignore
  expect(out.headers['content-disposition']).toMatch(/steady-scatter-\d{4}-\d\d-\d\d\.zip/);
  writeFileSync(file('handed.zip'), out.body as Buffer);
  await checkArchive(file('handed.zip'));
  await request(harness.app).get('/api/backup').set('Host', 'elsewhere.example').expect(401);
  await request(harness.app).post('/api/restore').set('Via', '1.1 proxy').send('x').expect(401);
  // Not where nobody would start it anew.
  await request(harness.app).post('/api/restore').type('application/zip').send('x').expect(404);
});
