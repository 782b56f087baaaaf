import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createConnection, type Connection as Talk } from 'mariadb';
import { ZipFile } from 'yazl';
import type { Connection } from '../database.ts';
import { FORMAT, FORMAT_VERSION, JSON_COLUMNS, LEFT_OUT, MANIFEST, type Manifest } from './format.ts';

/** Every entry carries the same day, so that the same rows make the same bytes. */
const SAME_DAY = { mtime: new Date(Date.UTC(2000, 0, 1)), forceDosTimestamp: true };

type Row = Record<string, unknown>;

/** One row as a line; a text that should be JSON and is not stays a text. */
function lineOf(row: Row): string {
  const shown = Object.entries(row).map(([column, value]) => {
    if (!JSON_COLUMNS.has(column) || typeof value !== 'string') return [column, value];
    try {
      const read: unknown = JSON.parse(value);
      // A text that is a number or a text in JSON would come back as another one.
      return [column, typeof read === 'object' && read !== null ? read : value];
    } catch {
      return [column, value];
    }
  });
  return `${JSON.stringify(Object.fromEntries(shown))}\n`;
}

/** A connection of its own, that sees the rows of one moment whatever is written meanwhile. */
export async function talkTo({ socket, database, user, password }: Connection): Promise<Talk> {
  return createConnection({
    socketPath: socket,
    database,
    user,
    password,
    dateStrings: true,
    bigIntAsNumber: true,
    timezone: '+00:00',
    connectTimeout: 3000,
  });
}

/** What a query answers about the database itself. */
const names = async (talk: Talk, sql: string, values: string[] = []): Promise<string[]> =>
  (await talk.query<{ name: string }[]>(sql, values)).map(({ name }) => name);

export const tablesOf = (talk: Talk, database: string): Promise<string[]> =>
  names(talk, 'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = ? ORDER BY table_name', [database]); // prettier-ignore

/** The last migration that the tables have taken; '' for none. */
const schemaOf = async (talk: Talk): Promise<string> =>
  (await names(talk, 'SELECT name FROM migrations ORDER BY name DESC LIMIT 1'))[0] ?? '';

const primaryKey = (talk: Talk, database: string, table: string): Promise<string[]> =>
  names(talk, "SELECT column_name AS name FROM information_schema.key_column_usage WHERE table_schema = ? AND table_name = ? AND constraint_name = 'PRIMARY' ORDER BY ordinal_position", [database, table]); // prettier-ignore

/** The lines of a table, counted and summed as they pass. */
function linesOf(
  talk: Talk,
  table: string,
  order: readonly string[],
  known: { rows: number; bytes: number; hash: ReturnType<typeof createHash> },
): Readable {
  // prettier-ignore
  async function* lines() {
    for await (const row of talk.queryStream(`SELECT * FROM \`${table}\` ORDER BY ${order.map((column) => `\`${column}\``).join(', ')}`)) {
      const line = Buffer.from(lineOf(row as Row));
      known.rows += 1;
      known.bytes += line.length;
      known.hash.update(line);
      yield line;
    }
  }
  return Readable.from(lines());
}

/** Adds one table to the archive; done when all of it has passed. */
async function addTable(
  zip: ZipFile,
  talk: Talk,
  database: string,
  table: string,
): Promise<Manifest['files'][number]> {
  const name = `rows/${table}.jsonl`;
  const known = { rows: 0, bytes: 0, hash: createHash('sha256') };
  const lines = linesOf(talk, table, await primaryKey(talk, database, table), known);
  const passed = new Promise<void>((resolve, reject) => lines.once('end', resolve).once('error', reject));
  zip.addReadStream(lines, name, { ...SAME_DAY, mode: 0o600 });
  await passed;
  return { table, name, rows: known.rows, bytes: known.bytes, sha256: known.hash.digest('hex') };
}

/**
 * Writes everything that is kept into an archive: whole, or not at all; readable by its owner alone. What is written meanwhile is in
 * it whole or not at all.
 *
 * @param file where it goes; one that is there is replaced
 * @returns what it holds
 */
export async function writeBackup(connection: Connection, file: string): Promise<Manifest> {
  const side = `${file}.unfinished`;
  const talk = await talkTo(connection);
  try {
    await talk.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await talk.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    const zip = new ZipFile();
    const written = pipeline(zip.outputStream, createWriteStream(side, { mode: 0o600 }));
    // Awaited below; a failure before that is told there.
    written.catch(() => undefined);
    const tables = (await tablesOf(talk, connection.database)).filter((table) => !LEFT_OUT.has(table));
    const files: Manifest['files'] = [];
    for (const table of tables) {
      // One connection tells of one moment, so one table after the other.
      // oxlint-disable-next-line no-await-in-loop
      files.push(await Promise.race([addTable(zip, talk, connection.database, table), written.then(() => Promise.reject(new Error('The archive ended too early.')))])); // prettier-ignore
    }
    const told: Manifest = {
      format: FORMAT,
      formatVersion: FORMAT_VERSION,
      madeAt: new Date().toISOString(),
      schema: await schemaOf(talk),
      files,
    };
    zip.addBuffer(Buffer.from(`${JSON.stringify(told, null, 2)}\n`), MANIFEST, { ...SAME_DAY, mode: 0o600 });
    zip.end();
    await written;
    await rename(side, file);
    return told;
  } finally {
    await rm(side, { force: true });
    await talk.end();
  }
}
