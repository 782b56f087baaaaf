import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, request } from 'node:http';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ensureBuilt } from './lib/build.mjs';
import { freePort, stopDatabase } from './lib/database.mjs';
import { databasePid, startInstance, until } from './lib/instance.mjs';
import { WEB_ROOT } from './lib/places.mjs';
import { systemUser } from './lib/systemUser.mjs';
import { listOf } from './soak/jobs.mjs';

const parent = mkdtempSync(join(tmpdir(), 'steady-start-'));
const user = systemUser();
if (user) chmodSync(parent, 0o755);
const folder = join(parent, 'data');
let port = 0;

beforeAll(async () => {
  await ensureBuilt();
  port = await freePort(0);
}, 240_000);

afterAll(async () => {
  await stopDatabase(folder);
  rmSync(parent, { recursive: true, force: true });
});

/** @param {readonly string[]} [args] @param {NodeJS.ProcessEnv} [env] */
const start = (args, env) => startInstance({ folder, port, args, env });

/** @param {number} pid */
const isRunning = (pid) =>
  existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8') !== '';

it('builds what people use, whoever asks for the build', () => {
  const assets = join(WEB_ROOT, 'assets');
  const scripts = readdirSync(assets).filter((file) => file.endsWith('.js'));
  const source = scripts.map((file) => readFileSync(join(assets, file), 'utf8')).join('');
  expect(source.length).toBeGreaterThan(100_000);
  expect(source).not.toContain('Download the React DevTools');
});

it('starts from nothing, survives kill -9, adopts the orphan database, moves ports, sets data aside, stops cleanly', async () => {
  const first = await start();
  expect(first.address).toBe(`http://localhost:${port}`);
  expect(statSync(join(folder, 'connection.json')).mode & 0o777).toBe(0o600);
  const jobs = await listOf(first.address, 'jobs');
  expect(jobs.length).toBeGreaterThan(5);
  await fetch(`${first.address}/api/jobs/${jobs[0]?.id}`, { method: 'DELETE' });

  const runsAs = user?.uid ?? process.getuid?.();
  for (const pid of [first.child.pid, databasePid(folder)]) expect(statSync(`/proc/${pid}`).uid).toBe(runsAs);

  const second = await start();
  expect(await second.ended).toBe(1);
  expect(second.said()).toContain(`already runs on this data folder: ${first.address}`);

  const orphan = databasePid(folder);
  first.child.kill('SIGKILL');
  await first.ended;
  expect(isRunning(orphan)).toBe(true);

  const neighbour = createServer().listen(port, '127.0.0.1');
  const third = await start();
  expect(third.said()).toContain('took it over');
  expect(third.said()).toContain(`Port ${port} is taken`);
  expect(databasePid(folder)).toBe(orphan);
  expect(await listOf(third.address, 'jobs')).toHaveLength(jobs.length - 1);
  third.child.kill('SIGTERM');
  expect(await third.ended).toBe(0);
  expect(isRunning(orphan)).toBe(false);
  neighbour.close();

  const alone = await start();
  process.kill(databasePid(folder), 'SIGKILL');
  await until(() => alone.said().includes('being brought back'));
  const down = await fetch(`${alone.address}/api/jobs`);
  expect([down.status, down.headers.get('retry-after')]).toEqual([503, '2']);
  expect(await (await fetch(`${alone.address}/api/health`)).json()).toMatchObject({ status: 503, database: 'down', disk: 'ok' }); // prettier-ignore
  await until(() => alone.said().includes('The database is back'));
  expect(await listOf(alone.address, 'jobs')).toHaveLength(jobs.length - 1);
  const last = databasePid(folder);
  // Whoever listened is gone: it ends well all the same.
  alone.child.stdout.destroy();
  alone.child.kill('SIGTERM');
  expect(await alone.ended).toBe(0);
  expect(isRunning(last)).toBe(false);

  const fresh = await start(['--fresh']);
  expect(fresh.said()).toContain('Moved the old data to');
  expect(await listOf(fresh.address, 'jobs')).toHaveLength(jobs.length);
  expect(readdirSync(parent).filter((name) => name.startsWith(`${basename(folder)}-`))).toHaveLength(1);
  fresh.child.kill('SIGINT');
  expect(await fresh.ended).toBe(0);
}, 120_000);

it('with HOST it prints a code for the network, and lets nobody in by another name without it', async () => {
  const running = await start([], { HOST: '0.0.0.0', PUBLIC_URL: 'http://yard.example:4310/' });
  const code = /asked once for this code: (\d{4} \d{4})/;
  for (let tries = 0; tries < 50 && !code.test(running.said()); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 100));
  const [, told] = code.exec(running.said()) ?? [];
  const by = new URL(running.address).port;
  /** @param {string} path @param {string} host @returns {Promise<{ status: number, body: string }>} */
  const ask = (path, host) =>
    new Promise((resolve, reject) => {
      request({ host: '127.0.0.1', port: by, path, headers: { Host: host } }, (answer) => {
        let body = '';
        answer.on('data', (chunk) => (body += chunk));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
      })
        .on('error', reject)
        .end();
    });
  expect((await ask('/api/jobs', 'yard.example')).status).toBe(401);
  const own = JSON.parse((await ask('/api/here', `localhost:${by}`)).body);
  expect(own).toMatchObject({ trusted: true, code: told, publicUrl: 'http://yard.example:4310' });
  running.child.kill('SIGTERM');
  await running.ended;
}, 120_000);

it('a PUBLIC_URL that is no address is refused before anything starts', async () => {
  const { ended, said } = await start([], { PUBLIC_URL: 'yard' });
  expect(await ended).not.toBe(0);
  expect(said()).toContain('it has to be an address such as http://');
}, 30_000);
