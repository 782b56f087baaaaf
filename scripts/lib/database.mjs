// The private database: a MariaDB server of the project's own, in the data folder, on loopback alone.
// No system service; started detached with its own session, found by what it was started with.
import { spawn } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { accountsSql } from './accounts.mjs';
import { databasePlaces } from './places.mjs';
import { writePrivately } from './privateFile.mjs';
import { tryRun } from './run.mjs';
import { say } from './say.mjs';
import { makeTables, takeRestored } from './tables.mjs';
import { canReach, giveTo, systemUser } from './systemUser.mjs';

const LONGEST_SOCKET_PATH = 107;
const START_SECONDS = 60;
/** A server that cannot write any more does not end by itself; what it had acknowledged stands in its log. */
const STOP_SECONDS = 8;
/** Below this the database server cannot be sure to start, bytes. */
const MIN_ROOM = 32 * 2 ** 20;
/** A log that has grown past this is put aside at the next start, bytes. */
const LONGEST_LOG = 5 * 2 ** 20;
/** @typedef {import('./systemUser.mjs').SystemUser} SystemUser */

/**
 * @typedef {object} Connection
 * @property {number} port
 * @property {string} socket
 * @property {string} database
 * @property {string} user
 * @property {string} password
 */

/** @param {string} folder the file that tells the server how to reach the database */
export const connectionFile = (folder) => databasePlaces(folder).connection;

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
 * @param {SystemUser | null} user
 */
function writeSettings(folder, connection, durable, user) {
  const places = databasePlaces(folder);
  for (const own of [places.files, places.work]) {
    mkdirSync(own, { recursive: true, mode: 0o700 });
    giveTo(user, own);
  }
  const lines = [
    '[mariadbd]',
    `datadir=${places.rows}`,
    `socket=${connection.socket}`,
    `pid-file=${places.pid}`,
    `log-error=${places.log}`,
    `port=${connection.port}`,
    // Its own: a database server that starts clears the working tables of all others that share the place, and they crash.
    `tmpdir=${places.work}`,
    'bind-address=127.0.0.1',
    'skip-name-resolve',
    // Nobody reads or writes files of this machine through the database.
    'local-infile=OFF',
    `secure-file-priv=${places.files}`,
    'character-set-server=utf8mb4',
    'collation-server=utf8mb4_unicode_ci',
    'default-time-zone=+00:00',
    'sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO,NO_ZERO_DATE,NO_ZERO_IN_DATE',
    'innodb_log_file_size=32M',
    'innodb_buffer_pool_size=64M',
    `innodb_flush_log_at_trx_commit=${durable ? 1 : 0}`,
    ...(durable ? [] : ['innodb_flush_method=nosync', 'innodb_doublewrite=OFF', 'sync_frm=OFF']),
    'performance_schema=OFF',
  ];
  writePrivately(places.settings, `${lines.join('\n')}\n`, user);
  const client = ['[client]', `user=${connection.user}`, `password=${connection.password}`, `socket=${connection.socket}`]; // prettier-ignore
  writePrivately(places.client, `${client.join('\n')}\n`, user);
}

/**
 * The id of the server process that runs on this folder, or null: found by what it was started with, since one that was started a
 * moment ago has no pid file yet.
 * @param {string} folder
 */
export function runningPid(folder) {
  const { settings } = databasePlaces(folder);
  for (const entry of readdirSync('/proc')) {
    if (!/^\d+$/.test(entry)) continue;
    try {
      const [command, ...asked] = readFileSync(`/proc/${entry}/cmdline`, 'utf8').split('\0');
      if (command?.endsWith('mariadbd') && asked.includes(`--defaults-file=${settings}`))
        return Number(entry);
    } catch {
      // It ended meanwhile.
    }
  }
  return null;
}

/** @param {string} folder */
const answers = async (folder) =>
  (await tryRun('mariadb', [`--defaults-file=${databasePlaces(folder).client}`, '-e', 'SELECT 1'])).code ===
  0;

/** @param {number} pid one that has ended and waits to be fetched does not count */
const isAlive = (pid) =>
  existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8') !== '';

/** @param {number} pid @param {SystemUser | null} user */
const runsAs = (pid, user) => statSync(`/proc/${pid}`).uid === (user?.uid ?? process.getuid?.());

/**
 * Stops the server process that runs on a folder, if one does.
 * @param {string} folder
 * @param {'SIGTERM' | 'SIGKILL'} [signal] SIGKILL only to try what a crash does
 */
export async function stopDatabase(folder, signal = 'SIGTERM') {
  const pid = runningPid(folder);
  if (pid === null) return;
  process.kill(pid, signal);
  for (let tries = 0; isAlive(pid) && tries < STOP_SECONDS * 20; tries += 1) await wait(50);
  if (isAlive(pid)) process.kill(pid, 'SIGKILL');
  while (isAlive(pid)) await wait(50);
}

/**
 * Starts the database server with the accounts of this start.
 * @param {string} folder
 * @param {Connection} connection
 * @param {SystemUser | null} user
 */
async function launch(folder, connection, user) {
  const { settings, log, pid, accounts } = databasePlaces(folder);
  rmSync(pid, { force: true });
  writePrivately(accounts, accountsSql(connection, user?.name ?? userInfo().username), user);
  if (existsSync(log) && statSync(log).size > LONGEST_LOG) renameSync(log, `${log}.1`);
  const out = openSync(log, 'a', 0o600);
  giveTo(user, log);
  const child = spawn('mariadbd', [`--defaults-file=${settings}`, `--init-file=${accounts}`], {
    detached: true,
    stdio: ['ignore', out, out],
    cwd: '/',
    ...(user && { uid: user.uid, gid: user.gid }),
    env: { ...process.env, PATH: `${process.env['PATH']}:/usr/sbin` },
  });
  child.unref();
  closeSync(out);
  let exited = false;
  child.on('exit', () => (exited = true));
  for (let tries = 0; tries < START_SECONDS * 20; tries += 1) {
    if (exited) break;
    if (existsSync(pid) && (await answers(folder))) {
      rmSync(accounts, { force: true });
      return;
    }
    await wait(50);
  }
  const last = readFileSync(log, 'utf8').split('\n').slice(-12).join('\n');
  throw new Error(`The database did not start. Its log (${log}) ends with:\n${last}`);
}

/**
 * How the database was reached before; nothing of it that cannot be read is needed.
 * @param {string} folder
 * @returns {Partial<Connection> | null}
 */
function earlierConnection(folder) {
  const file = databasePlaces(folder).connection;
  if (!existsSync(file)) return null;
  try {
    const kept = JSON.parse(readFileSync(file, 'utf8'));
    return typeof kept === 'object' && kept !== null && typeof kept.password === 'string' ? kept : null;
  } catch {
    return null;
  }
}

/** A port that a person or an earlier start may have written. */
const isPort = (/** @type {unknown} */ port) => typeof port === 'number' && Number.isInteger(port) && port > 0 && port < 65_536; // prettier-ignore

/** One that was made here: 24 bytes. */
const isPassword = (/** @type {unknown} */ text) => typeof text === 'string' && /^[\w-]{32}$/.test(text);

/**
 * Refuses a folder that the database could not work in.
 * @param {string} folder
 * @param {SystemUser | null} user
 */
function checkFolder(folder, user) {
  if (user && !canReach(user, folder))
    throw new Error(`The user ${user.name}, whom the database runs as, cannot reach ${folder}. Choose another folder with STEADY_DATA.`); // prettier-ignore
  const { bavail, bsize } = statfsSync(folder);
  const free = bavail * bsize;
  if (free < MIN_ROOM)
    throw new Error(`The disk that ${folder} is on has ${Math.floor(free / 2 ** 20)} MB left, and at least ${MIN_ROOM / 2 ** 20} MB are needed to start. Make room, and start again.`); // prettier-ignore
}

/**
 * Makes sure that a database runs on this folder: makes it at the first start, adopts one that an ended start
 * left behind, or starts it. No row is ever deleted here: what cannot be read of how it was reached is set anew.
 * @param {string} folder
 * @param {{ durable?: boolean }} [options]
 */
export async function openDatabase(folder, { durable = true } = {}) {
  const places = databasePlaces(folder);
  const user = systemUser();
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const earlier = earlierConnection(folder);
  const running = runningPid(folder);
  if (running !== null) {
    if (!existsSync(places.restored) && earlier && runsAs(running, user) && (await answers(folder))) {
      say('Found the database of an earlier start still running, and took it over.');
      return;
    }
    say('Found the database of an earlier start in no state to go on with, and stopped it.');
    await stopDatabase(folder);
  }
  checkFolder(folder, user);
  // What an earlier version kept may be root's.
  giveTo(user, folder);
  takeRestored(folder);
  await makeTables(folder, user);
  // Earlier versions kept an administrator's password here.
  rmSync(join(folder, 'root.cnf'), { force: true });
  /** @type {Connection} */
  const connection = {
    port: await freePort(isPort(earlier?.port) ? Number(earlier?.port) : 0),
    socket: socketPath(folder),
    database: 'steady',
    user: 'steady_app',
    // The same as before, so that a server that still runs finds its way back.
    password: isPassword(earlier?.password)
      ? String(earlier?.password)
      : randomBytes(24).toString('base64url'),
  };
  writeSettings(folder, connection, durable, user);
  writePrivately(places.connection, `${JSON.stringify(connection, null, 2)}\n`, user);
  say('Starting the database …');
  await launch(folder, connection, user);
}
