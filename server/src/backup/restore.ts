import type { Connection as Talk } from 'mariadb';
import { say } from '@steady-scatter/words/server';
import { openSequelize, readConnection } from '../database.ts';
import { MIGRATION_NAMES, migrate } from '../migrations/index.ts';
import { defineModels } from '../models/index.ts';
import { JSON_COLUMNS, LEFT_OUT, UnfitArchive } from './format.ts';
import { openArchive, type Archive } from './read.ts';
import { tablesOf, talkTo } from './write.ts';

const AT_ONCE = 100;

type Row = Record<string, unknown>;

const valueOf = (column: string, value: unknown): unknown =>
  JSON_COLUMNS.has(column) && typeof value === 'object' && value !== null ? JSON.stringify(value) : value;

const columnsOf = async (talk: Talk, table: string): Promise<Set<string>> =>
  new Set((await talk.query<{ Field: string }[]>(`SHOW COLUMNS FROM \`${table}\``)).map((it) => it.Field));

async function fill(talk: Talk, archive: Archive, table: string, expected: number): Promise<void> {
  const known = await columnsOf(talk, table);
  let waiting: Row[] = [];
  let done = 0;
  const insert = async () => {
    const [first] = waiting;
    if (!first) return;
    const columns = Object.keys(first);
    if (!waiting.every((row) => Object.keys(row).join() === columns.join()) || !columns.every((it) => known.has(it)))
      throw new UnfitArchive(say('server.backup.columns', { table })); // prettier-ignore
    const place = `(${columns.map(() => '?').join(', ')})`;
    await talk.query(
      `INSERT INTO \`${table}\` (${columns.map((it) => `\`${it}\``).join(', ')}) VALUES ${waiting.map(() => place).join(', ')}`,
      waiting.flatMap((row) => columns.map((column) => valueOf(column, row[column]))),
    );
    done += waiting.length;
    waiting = [];
  };
  for await (const row of archive.rowsOf(table)) {
    waiting.push(row);
    if (waiting.length === AT_ONCE) await insert();
  }
  await insert();
  if (done !== expected)
    throw new UnfitArchive(say('server.backup.rows', { table, found: done, expected })); // prettier-ignore
}

/**
 * Looks an archive through.
 *
 * @throws UnfitArchive with the sentence that says why it cannot be restored
 */
export async function checkArchive(file: string): Promise<void> {
  const { manifest, close } = await openArchive(file);
  close();
  if (!MIGRATION_NAMES.includes(manifest.schema))
    throw new UnfitArchive(say('server.backup.later')); // prettier-ignore
}

/**
 * Fills a new, empty database with the rows of an archive: its tables are made as they were when the archive was, the rows put in, and
 * all of it brought up to date. The archive was looked through before.
 *
 * @throws UnfitArchive with the sentence that says why it cannot be restored
 */
export async function restoreArchive(connectionFile: string, file: string): Promise<void> {
  const archive = await openArchive(file);
  const connection = readConnection(connectionFile);
  const sequelize = openSequelize(connection);
  try {
    const { schema, files } = archive.manifest;
    defineModels(sequelize);
    await migrate(sequelize, schema);
    const talk = await talkTo(connection);
    try {
      const tables = new Set(await tablesOf(talk, connection.database));
      await talk.query('SET foreign_key_checks = 0');
      for (const { table, rows } of files) {
        if (!tables.has(table) || LEFT_OUT.has(table))
          throw new UnfitArchive(say('server.backup.table', { table })); // prettier-ignore
        // oxlint-disable-next-line no-await-in-loop -- one table after the other
        await fill(talk, archive, table, rows);
      }
    } finally {
      await talk.end();
    }
    await migrate(sequelize);
  } catch (error) {
    if (error instanceof UnfitArchive) throw error;
    const [said = ''] = String(error instanceof Error ? error.message : error).split('\n');
    throw new UnfitArchive(say('server.backup.failed', { why: said }), { cause: error });
  } finally {
    archive.close();
    await sequelize.close();
  }
}
