// The private database: a MariaDB server of the project's own, in the data folder, on loopback alone.
// No system service; started detached with its own session, stopped by its pid file.
import { spawn } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { run, tryRun } from './run.mjs';
import { say } from './say.mjs';

const LONGEST_SOCKET_PATH = 107;
const START_SECONDS = 60;
const isRoot = process.getuid?.() === 0;

/**
 * @typedef {object} Connection
 * @property {number} port
 * @property {string} socket
 * @property {string} database
 * @property {string} user
 * @property {string} password
 * @property {string} rootPassword
 */

/** @param {string} folder */
const placesIn = (folder) => ({
  rows: join(folder, 'mariadb'),
  settings: join(folder, 'my.cnf'),
  pid: join(folder, 'mariadb.pid'),
  log: join(folder, 'mariadb.log'),
  root: join(folder, 'root.cnf'),
  connection: join(folder, 'connection.json'),
});

/** @param {string} folder the file that tells the server how to reach the database */
export const connectionFile = (folder) => placesIn(folder).connection;

/** @param {string} folder */
function socketPath(folder) {
  const near = join(folder, 'mariadb.sock');
  if (near.length <= LONGEST_SOCKET_PATH) return near;
  return join(tmpdir(), `steady-${createHash('sha256').update(folder).digest('hex').slice(0, 12)}.sock`);
}

/**
 * A port that nothing listens on: the wanted one if it is free.
 * @param {number} wanted 0 for any
 * @returns {Promise<number>}
 */
export function freePort(wanted) {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', () => (wanted === 0 ? reject(new Error('No free port')) : resolve(freePort(0))));
    probe.listen(wanted, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : wanted));
    });
  });
}

/**
 * @param {string} folder
 * @param {Connection} connection
 * @param {boolean} durable false trades safety at a power cut for speed: tests only
 */
function writeSettings(folder, connection, durable) {
  const places = placesIn(folder);
  const lines = [
    '[mariadbd]',
    `datadir=${places.rows}`,
    `socket=${connection.socket}`,
    `pid-file=${places.pid}`,
    `log-error=${places.log}`,
    `port=${connection.port}`,
    'bind-address=127.0.0.1',
    'skip-name-resolve',
    'character-set-server=utf8mb4',
    'collation-server=utf8mb4_unicode_ci',
    'default-time-zone=+00:00',
    'sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO,NO_ZERO_DATE,NO_ZERO_IN_DATE',
    'innodb_log_file_size=32M',
    'innodb_buffer_pool_size=64M',
    `innodb_flush_log_at_trx_commit=${durable ? 1 : 0}`,
    'performance_schema=OFF',
  ];
  writeFileSync(places.settings, `${lines.join('\n')}\n`, { mode: 0o600 });
  const client = [
    '[client]',
    'user=root',
    `password=${connection.rootPassword}`,
    `socket=${connection.socket}`,
  ];
  writeFileSync(places.root, `${client.join('\n')}\n`, { mode: 0o600 });
}

/** The id of the server process that runs on this folder, or null. */
function runningPid(/** @type {string} */ folder) {
  const { pid: file, settings } = placesIn(folder);
  if (!existsSync(file)) return null;
  const pid = Number(readFileSync(file, 'utf8').trim());
  try {
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
    return command.includes('mariadbd') && command.includes(settings) ? pid : null;
  } catch {
    return null;
  }
}

/** @param {string} folder */
const answers = async (folder) =>
  (await tryRun('mariadb', [`--defaults-file=${placesIn(folder).root}`, '-e', 'SELECT 1'])).code === 0;

/** @param {number} pid */
function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

/**
 * Stops the server process that runs on a folder, if one does.
 * @param {string} folder
 * @param {'SIGTERM' | 'SIGKILL'} [signal] SIGKILL only to try what a crash does
 */
export async function stopDatabase(folder, signal = 'SIGTERM') {
  const pid = runningPid(folder);
  if (pid === null) return;
  process.kill(pid, signal);
  for (let tries = 0; isAlive(pid) && tries < 300; tries += 1) await wait(50);
  if (isAlive(pid)) process.kill(pid, 'SIGKILL');
}

/** @param {string} folder */
async function launch(folder) {
  const { settings, log, pid } = placesIn(folder);
  rmSync(pid, { force: true });
  const out = openSync(log, 'a');
  const child = spawn('mariadbd', [`--defaults-file=${settings}`, ...(isRoot ? ['--user=root'] : [])], {
    detached: true,
    stdio: ['ignore', out, out],
    env: { ...process.env, PATH: `${process.env['PATH']}:/usr/sbin` },
  });
  child.unref();
  closeSync(out);
  let exited = false;
  child.on('exit', () => (exited = true));
  for (let tries = 0; tries < START_SECONDS * 20; tries += 1) {
    if (exited) break;
    if (existsSync(pid) && (await answers(folder))) return;
    await wait(50);
  }
  const last = readFileSync(log, 'utf8').split('\n').slice(-12).join('\n');
  throw new Error(`The database did not start. Its log (${log}) ends with:\n${last}`);
}

/** @param {Connection} connection */
async function createUsers(connection) {
  const { user, password, database, rootPassword } = connection;
  const sql = [
    `CREATE DATABASE \`${database}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;`,
    ...['localhost', '127.0.0.1'].flatMap((host) => [
      `CREATE USER '${user}'@'${host}' IDENTIFIED BY '${password}';`,
      `GRANT ALL PRIVILEGES ON \`${database}\`.* TO '${user}'@'${host}';`,
    ]),
    `SET PASSWORD FOR 'root'@'localhost' = PASSWORD('${rootPassword}');`,
  ];
  await run('mariadb', [`--socket=${connection.socket}`, '--user=root'], { input: sql.join('\n') });
}

/** @param {string} folder */
async function createDatabase(folder) {
  const places = placesIn(folder);
  const secret = () => randomBytes(24).toString('base64url');
  /** @type {Connection} */
  const connection = {
    port: await freePort(0),
    socket: socketPath(folder),
    database: 'steady',
    user: 'steady',
    password: secret(),
    rootPassword: secret(),
  };
  writeSettings(folder, { ...connection, rootPassword: '' }, true);
  const user = isRoot ? ['--user=root'] : [];
  rmSync(places.rows, { recursive: true, force: true });
  await run('mariadb-install-db', [
    `--defaults-file=${places.settings}`,
    ...user,
    '--auth-root-authentication-method=normal',
    '--skip-test-db',
  ]);
  await launch(folder);
  await createUsers(connection);
  writeFileSync(places.connection, `${JSON.stringify(connection, null, 2)}\n`, { mode: 0o600 });
  await stopDatabase(folder);
}

/**
 * Makes sure that a database runs on this folder: makes it at the first start, adopts one that an ended start
 * left behind, or starts it.
 * @param {string} folder
 * @param {{ durable?: boolean }} [options]
 */
export async function openDatabase(folder, { durable = true } = {}) {
  const places = placesIn(folder);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (!existsSync(places.connection)) {
    say('Making a private database …');
    await stopDatabase(folder);
    await createDatabase(folder);
  } else if (runningPid(folder) !== null) {
    if (await answers(folder)) {
      say('Found the database of an earlier start still running, and took it over.');
      return;
    }
    say('Found the database of an earlier start not answering, and stopped it.');
    await stopDatabase(folder);
  }
  /** @type {Connection} */
  const kept = JSON.parse(readFileSync(places.connection, 'utf8'));
  const connection = { ...kept, port: await freePort(kept.port), socket: socketPath(folder) };
  writeFileSync(places.connection, `${JSON.stringify(connection, null, 2)}\n`, { mode: 0o600 });
  writeSettings(folder, connection, durable);
  say('Starting the database …');
  await launch(folder);
}
