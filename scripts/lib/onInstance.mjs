// A browser on an instance of its own, made from nothing and thrown away after it: for what looks at the whole app.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureBuilt } from './build.mjs';
import { freePort, stopDatabase } from './database.mjs';
import { startInstance } from './instance.mjs';
import { ensureDebian } from './packages.mjs';

/**
 * @param {(on: { browser: import('@playwright/test').Browser, address: string }) => Promise<void>} look
 * @param {NodeJS.ProcessEnv} [env] for the instance
 */
export async function onInstance(look, env = {}) {
  await ensureBuilt();
  await ensureDebian('mariadb');
  await ensureDebian('chromium');
  const parent = mkdtempSync(join(tmpdir(), 'steady-look-'));
  chmodSync(parent, 0o755);
  const folder = join(parent, 'data');
  const { address, child, ended, said } = await startInstance({ folder, port: await freePort(4480), env });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
  try {
    if (address === '') throw new Error(said());
    await look({ browser, address });
  } finally {
    await browser.close();
    child.kill('SIGTERM');
    await ended;
    await stopDatabase(folder);
    rmSync(parent, { recursive: true, force: true });
  }
}
