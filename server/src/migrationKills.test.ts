import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes, type Sequelize } from 'sequelize';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { connectionFile, openDatabase, stopDatabase } from '../../scripts/lib/database.mjs';
import { openSequelize, readConnection } from './database.ts';
import { migrate } from './migrations/index.ts';

const folder = mkdtempSync(join(tmpdir(), 'steady-kills-'));
let sequelize: Sequelize;
beforeAll(async () => {
  await openDatabase(folder, { durable: false });
  sequelize = openSequelize(readConnection(connectionFile(folder)));
});
afterAll(async () => {
  await sequelize.close();
  await stopDatabase(folder);
  rmSync(folder, { recursive: true, force: true });
});

const COLUMNS = `SELECT table_name, column_name, column_type, is_nullable, column_key FROM information_schema.columns WHERE table_schema = 'steady' ORDER BY 1, 2`;
const INDEXES = `SELECT table_name, index_name, seq_in_index, column_name FROM information_schema.statistics WHERE table_schema = 'steady' ORDER BY 1, 2, 3`;
const TRIGGERS = `SELECT trigger_name, event_manipulation, action_statement FROM information_schema.triggers WHERE trigger_schema = 'steady' ORDER BY 1`;
const select = (sql: string) => sequelize.query<Record<string, unknown>>(sql, { type: QueryTypes.SELECT });
const whole = async () => ({
  columns: await select(COLUMNS),
  indexes: await select(INDEXES),
  triggers: await select(TRIGGERS),
  documents: await select('SELECT id, kind, version, schemaVersion, input FROM documents ORDER BY id'),
  events: await select('SELECT id, kind, subjectId, occurredAt, input FROM events ORDER BY id'),
});

const [crewId, jobId, productId, calibrationId] = [v7(), v7(), v7(), v7()];

/** An empty database that the first version has been at, with a job and a product in it. */
async function firstVersion(): Promise<void> {
  await sequelize.query('DROP DATABASE steady');
  await sequelize.query('CREATE DATABASE steady CHARACTER SET utf8mb4');
  await sequelize.query('USE steady');
  await migrate(sequelize, '003-products');
  const now = '2026-04-18 08:00:00.000';
  const insert = (table: string, values: Record<string, unknown>) =>
    sequelize.getQueryInterface().bulkInsert(table, [values]);
  await insert('crews', { id: crewId, name: 'Crew', isDemo: false, createdAt: now, updatedAt: now });
  const kept = { crewId, version: 1, isSample: false, createdAt: now, updatedAt: now, deletedAt: null };
  await insert('jobs', { ...kept, id: jobId, name: 'Spring feed', onDay: '2026-04-18', nutrient: 'N', needTyped: '0.8', needUnit: 'lb/1000 ft2', needKgPerM2: 0.0039, gradeTyped: '24-0-8', packageTyped: '40', packageUnit: 'lb', packageKg: 18.14, coverageTyped: '', coverageUnit: 'ft2' }); // prettier-ignore
  await insert('products', { ...kept, id: productId, kind: 'dry-fertilizer', name: 'Lake feed', typed: JSON.stringify({ name: 'Lake feed', grade: '24-0-8' }), packageSi: 18.14, densityKgPerL: null, priceCents: 3180, stockPackages: 2 }); // prettier-ignore
}

/** The version before test runs stood on their own, with a calibration that has two, and one that is being made. */
async function beforeTestRuns(): Promise<void> {
  await firstVersion();
  await migrate(sequelize, '012-events');
  const now = '2026-04-18 08:00:00.000';
  const run = (id: string, step: string) => ({ id, onDay: '2026-04-10', setting: '8', method: 'catch', readings: { gross: '2' }, step, excluded: '' }); // prettier-ignore
  const input = JSON.stringify({ name: 'Red', units: { mass: 'kg', length: 'm' }, runs: [run('a', ''), run('b', ''), run('c', 'walk')] }); // prettier-ignore
  await sequelize.getQueryInterface().bulkInsert('documents', [{ id: calibrationId, crewId, kind: 'calibrations', version: 1, schemaVersion: 2, isSample: false, input, createdAt: now, updatedAt: now, deletedAt: null, changedByUser: null, changedByDevice: null }]); // prettier-ignore
}

/** Every statement in the long run, some of them in the daily one. */
const STEP = process.env['STEADY_SOAK'] ? 1 : 60;

class Killed extends Error {}

/** Migrates, and is killed before the statement of that number; false: it was done before. */
async function killedAt(statement: number): Promise<boolean> {
  const query = sequelize.query.bind(sequelize);
  let left = statement;
  const killing = (...asked: Parameters<typeof query>) => {
    left -= 1;
    return left < 0 ? Promise.reject(new Killed()) : query(...asked);
  };
  try {
    sequelize.query = killing as typeof sequelize.query;
    await migrate(sequelize);
    return false;
  } catch (error) {
    if (error instanceof Killed || (error as { cause?: unknown }).cause instanceof Killed) return true;
    throw error;
  } finally {
    sequelize.query = query;
  }
}

/** Kills it before every `step`-th statement, each time from a database of its own; how far that went. */
async function killAt(start: () => Promise<void>, step: number, wanted: unknown): Promise<number> {
  for (let kills = 0; ; kills += step) {
    // One after the other.
    // oxlint-disable no-await-in-loop
    await start();
    if (!(await killedAt(kills))) return kills;
    await migrate(sequelize);
    expect(await whole(), `killed before statement ${kills + 1}`).toEqual(wanted);
  }
}

it('killed between any two statements, the next start goes on to the same database', async () => {
  await firstVersion();
  await migrate(sequelize);
  const wanted = await whole();
  const inputs = wanted.documents.map(({ input }) => JSON.parse(String(input)) as object);
  expect(inputs).toMatchObject([{ worksheet: { need: { amount: '0.8' }, product: { grade: '24-0-8' } } }, { grade: '24-0-8' }]); // prettier-ignore
  expect(await killAt(firstVersion, STEP, wanted)).toBeGreaterThan(120);
}, 180_000);

it('and so it does while test runs are taken out of their calibration', async () => {
  await beforeTestRuns();
  await migrate(sequelize);
  const wanted = await whole();
  expect(wanted.events).toHaveLength(2);
  expect(new Set(wanted.documents.map(({ kind }) => kind))).toEqual(new Set(['calibrations', 'jobs', 'openRuns', 'products'])); // prettier-ignore
  expect(await killAt(beforeTestRuns, STEP === 1 ? 1 : 4, wanted)).toBeGreaterThan(4);
}, 180_000);
