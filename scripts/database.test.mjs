import { spawn } from 'node:child_process';
import { chmodSync, cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connectionFile, openDatabase, stopDatabase } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { run, tryRun } from './lib/run.mjs';
import { systemUser } from './lib/systemUser.mjs';

const parent = mkdtempSync(join(tmpdir(), 'steady-db-'));
const folder = join(parent, 'data');
const isRoot = userInfo().uid === 0;
const user = systemUser();
/** Whom the database runs as, and lets in as its administrator. */
const administrator = user?.name ?? userInfo().username;
if (user) chmodSync(parent, 0o755);
const connectionOf = (/** @type {string} */ of) => JSON.parse(readFileSync(connectionFile(of), 'utf8'));

/** Asks as the application of a folder. */
const ask = (/** @type {string} */ sql, of = folder) => tryRun('mariadb', [`--defaults-file=${join(of, 'client.cnf')}`, '-N', '-e', sql]); // prettier-ignore
/** Asks as the administrator, by the socket. */
const keep = (/** @type {string} */ sql) => run('mariadb', ['--no-defaults', `--socket=${connectionOf(folder).socket}`, `--user=${administrator}`, '-N', '-e', sql], { ...user && { uid: user.uid, gid: user.gid } }); // prettier-ignore

beforeAll(async () => {
  await ensureDebian('mariadb');
  await openDatabase(folder, { durable: false });
  await ask('CREATE TABLE steady.kept (what TEXT); INSERT INTO steady.kept VALUES ("a season")');
}, 120_000);

afterAll(async () => {
  await stopDatabase(folder);
  rmSync(parent, { recursive: true, force: true });
});

describe('who may use the database', () => {
  it('the application, and an administrator by the socket alone', async () => {
    const accounts = await keep("SELECT CONCAT(user, '@', host, ' ', plugin) FROM mysql.user ORDER BY 1");
    expect(accounts.trim().split('\n').toSorted()).toEqual(
      [
        'mariadb.sys@localhost mysql_native_password',
        'steady_app@127.0.0.1 mysql_native_password',
        'steady_app@localhost mysql_native_password',
        `${administrator}@localhost unix_socket`,
      ].toSorted(),
    );
    expect(connectionOf(folder).password).toHaveLength(32);
  });

  it.each(['127.0.0.1', '::1', 'localhost'])(
    'root has no way in over %s without a password',
    async (host) => {
      const { port } = connectionOf(folder);
      const { code } = await tryRun('mariadb', ['--no-defaults', '--protocol=tcp', `--host=${host}`, `--port=${port}`, '--user=root', '-e', 'SELECT 1']); // prettier-ignore
      expect(code).not.toBe(0);
    },
  );

  it.runIf(isRoot)(
    'another user of the machine is not let in by the socket, whoever he says he is',
    async () => {
      // Even where the folder stood open to him.
      chmodSync(folder, 0o755);
      const { socket } = connectionOf(folder);
      const by = (/** @type {string} */ name) => tryRun('setpriv', ['--reuid=65534', '--regid=65534', '--clear-groups', 'mariadb', '--no-defaults', `--socket=${socket}`, `--user=${name}`, '-e', 'SELECT 1']); // prettier-ignore
      for (const name of ['root', 'nobody', 'steady_app', administrator])
        expect((await by(name)).output).toContain('Access denied');
      const { code } = await tryRun('setpriv', ['--reuid=65534', '--regid=65534', '--clear-groups', 'cat', connectionFile(folder)]); // prettier-ignore
      expect(code).not.toBe(0);
      chmodSync(folder, 0o700);
    },
  );

  it('the application reaches its own tables only, and no files', async () => {
    expect((await ask('SELECT * FROM mysql.user')).output).toContain('denied');
    expect((await ask("SELECT 1 INTO OUTFILE '/tmp/steady-out'")).output).toContain('denied');
    expect((await ask("LOAD DATA LOCAL INFILE '/etc/hostname' INTO TABLE steady.kept")).code).not.toBe(0);
    expect((await ask("GRANT SELECT ON steady.* TO 'x'@'localhost'")).code).not.toBe(0);
    expect((await keep('SELECT @@secure_file_priv, @@local_infile')).trim()).toBe(
      `${join(folder, 'files')}/\t0`,
    );
  });

  it('what holds a password is readable by its owner alone, and what the accounts were made by is gone', () => {
    for (const file of ['connection.json', 'client.cnf', 'my.cnf'])
      expect([file, statSync(join(folder, file)).mode & 0o777]).toEqual([file, 0o600]);
    expect(existsSync(join(folder, 'accounts.sql'))).toBe(false);
  });
});

it('works in a place of its own, so that no other database server that starts clears its working tables', async () => {
  expect((await keep('SELECT @@tmpdir')).trim()).toBe(join(folder, 'tmp'));
  expect(statSync(join(folder, 'tmp')).mode & 0o777).toBe(0o700);
});

describe('no row is lost', () => {
  const rows = async (of = folder) => (await ask('SELECT what FROM steady.kept', of)).output.trim();

  it.each([
    ['missing', null],
    ['empty', ''],
    ['cut', '{"port": 33'],
    ['a list', '[]'],
    ['of another shape', '{"port": "x", "password": 7}'],
    ['with a port that is none', '{"port": 99999999, "password": "x"}'],
  ])('by a connection file that is %s', async (_, text) => {
    await stopDatabase(folder);
    rmSync(connectionFile(folder));
    if (text !== null) writeFileSync(connectionFile(folder), text);
    await openDatabase(folder, { durable: false });
    expect(await rows()).toBe('a season');
  });

  it('by a running database whose connection file is gone', async () => {
    rmSync(connectionFile(folder));
    await openDatabase(folder, { durable: false });
    expect(await rows()).toBe('a season');
  });

  it('by copying the folder while it is stopped', async () => {
    const copy = join(parent, 'copy');
    await stopDatabase(folder);
    cpSync(folder, copy, { recursive: true });
    await Promise.all([openDatabase(folder, { durable: false }), openDatabase(copy, { durable: false })]);
    expect([await rows(), await rows(copy)]).toEqual(['a season', 'a season']);
    await stopDatabase(copy);
  });

  it('by killing it: it starts again, and whoever used it finds his way back', async () => {
    const { password } = connectionOf(folder);
    await stopDatabase(folder, 'SIGKILL');
    await openDatabase(folder, { durable: false });
    expect(await rows()).toBe('a season');
    expect(connectionOf(folder).password).toBe(password);
  });
});

it('the accounts of an earlier version are put right', async () => {
  const old = join(parent, 'old');
  mkdirSync(old, { mode: 0o700 });
  await run('mariadb-install-db', ['--no-defaults', `--datadir=${join(old, 'mariadb')}`, `--tmpdir=${old}`, ...(isRoot ? ['--user=root'] : []), '--auth-root-authentication-method=normal']); // prettier-ignore
  writeFileSync(join(old, 'root.cnf'), '[client]\npassword=old\n');
  await openDatabase(old, { durable: false });
  const { port } = connectionOf(old);
  const { output } = await tryRun('mariadb', ['--no-defaults', '--host=127.0.0.1', `--port=${port}`, '--user=root', '-e', 'SELECT 1']); // prettier-ignore
  expect(output).toContain('Access denied');
  expect((await ask('SELECT 1', old)).output.trim()).toBe('1');
  expect(existsSync(join(old, 'root.cnf'))).toBe(false);
  await stopDatabase(old);
}, 60_000);

it.each([200, 900])(
  'a first start killed after %i ms starts the next time',
  async (ms) => {
    const first = join(parent, `first-${ms}`);
    const child = spawn(process.execPath, ['-e', `import(${JSON.stringify(join(import.meta.dirname, 'lib', 'database.mjs'))}).then((it) => it.openDatabase(${JSON.stringify(first)}))`], { detached: true, stdio: 'ignore' }); // prettier-ignore
    await wait(ms);
    try {
      process.kill(-(child.pid ?? 0), 'SIGKILL');
    } catch {
      // It was done already.
    }
    await openDatabase(first, { durable: false });
    expect((await ask('SELECT 1', first)).output.trim()).toBe('1');
    await stopDatabase(first);
  },
  60_000,
);
