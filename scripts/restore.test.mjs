import { chmodSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPromise } from 'yauzl';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ensureBuilt } from './lib/build.mjs';
import { freePort, stopDatabase } from './lib/database.mjs';
import { startInstance, until } from './lib/instance.mjs';
import { ROOT } from './lib/places.mjs';
import { tryRun } from './lib/run.mjs';
import { systemUser } from './lib/systemUser.mjs';
import { listOf } from './soak/jobs.mjs';

const parent = mkdtempSync(join(tmpdir(), 'steady-restore-'));
if (systemUser()) chmodSync(parent, 0o755);
const folder = join(parent, 'data');

beforeAll(() => ensureBuilt(), 240_000);

afterAll(async () => {
  await stopDatabase(folder);
  rmSync(parent, { recursive: true, force: true });
});

/** What each table of an archive holds. @param {string} file */
async function entriesOf(file) {
  const zip = await openPromise(file, { lazyEntries: true });
  /** @type {Record<string, string>} */
  const held = {};
  for await (const entry of zip.eachEntry()) {
    const pieces = [];
    for await (const piece of await zip.openReadStreamPromise(entry)) pieces.push(piece);
    if (entry.fileName !== 'manifest.json') held[entry.fileName] = Buffer.concat(pieces).toString();
  }
  expect(Object.keys(held)).toContain('rows/documents.jsonl');
  return held;
}

it('a backup of a running one is restored over what came after, the page and a second one are the same to the byte', async () => {
  const running = await startInstance({ folder, port: await freePort(0) });
  const jobs = async () => await listOf(running.address, 'jobs');
  const env = { ...process.env, STEADY_DATA: folder };
  const made = (/** @type {string} */ name) => join(parent, name);
  const backup = (/** @type {string} */ name) => tryRun(process.execPath, ['scripts/backup.mjs', made(name)], { cwd: ROOT, env }); // prettier-ignore
  expect(await backup('first.zip')).toMatchObject({ code: 0 });
  expect((await backup('first.zip')).output).toContain('is there already');
  expect(statSync(made('first.zip')).mode & 0o777).toBe(0o600);
  const before = await jobs();
  await fetch(`${running.address}/api/jobs/${before[0]?.id}`, { method: 'DELETE' });
  expect(await jobs()).toHaveLength(before.length - 1);

  const restore = () =>
    tryRun(process.execPath, ['scripts/restore.mjs', made('first.zip')], { cwd: ROOT, env });
  expect((await restore()).output).toContain('Stop it first');
  const body = readFileSync(made('first.zip'));
  const cut = await fetch(`${running.address}/api/restore`, { method: 'POST', body: body.subarray(0, 9000) });
  expect([cut.status, (await cut.json()).detail]).toEqual([
    422,
    expect.stringContaining('Nothing was changed'),
  ]);
  expect((await fetch(`${running.address}/api/restore`, { method: 'POST', body })).status).toBe(204);
  await until(() => running.said().split('is ready').length === 3);
  expect(await jobs()).toEqual(before);
  expect(readdirSync(folder).some((name) => name.startsWith('mariadb-before-'))).toBe(true);
  const again = await fetch(`${running.address}/api/backup`);
  writeFileSync(made('second.zip'), Buffer.from(await again.arrayBuffer()));
  expect(await entriesOf(made('second.zip'))).toEqual(await entriesOf(made('first.zip')));
  running.child.kill('SIGTERM');
  await running.ended;

  // Onto a machine that has nothing.
  rmSync(folder, { recursive: true });
  expect(await restore()).toMatchObject({ code: 0 });
  expect(await backup('third.zip')).toMatchObject({ code: 0 });
  expect(await entriesOf(made('third.zip'))).toEqual(await entriesOf(made('first.zip')));
}, 120_000);
