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
});

const [crewId, jobId, productId] = [v7(), v7(), v7()];

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

/** Every statement in the long run, some of them in the daily one. */
const STEP = process.env['STEADY_SOAK'] ? 1 : 7;

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

it('killed between any two statements, the next start goes on to the same database', async () => {
  await firstVersion();
  await migrate(sequelize);
  const wanted = await whole();
  const inputs = wanted.documents.map(({ input }) => JSON.parse(String(input)) as object);
  expect(inputs).toMatchObject([{ worksheet: { need: { amount: '0.8' }, product: { grade: '24-0-8' } } }, { grade: '24-0-8' }]); // prettier-ignore
  let kills = 0;
  for (;;) {
    // Each kill is of a database of its own, one after the other.
    // oxlint-disable no-await-in-loop
    await firstVersion();
    if (!(await killedAt(kills))) break;
    await migrate(sequelize);
    expect(await whole(), `killed before statement ${kills + 1}`).toEqual(wanted);
    kills += STEP;
  }
  expect(kills).toBeGreaterThan(30);
}, 180_000);
