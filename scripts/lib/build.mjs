// Builds the web app and the server bundle when their sources changed.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { oneAtATime } from './oneAtATime.mjs';
import { ensureNpmPackages, stamp } from './packages.mjs';
import { bin, CACHE, ROOT, SERVER_BUNDLE, WEB_ROOT } from './places.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

const SOURCES = {
  web: ['core', 'words', 'contract', 'web', 'package-lock.json'],
  server: ['core', 'words', 'contract', 'server', 'demo', 'package-lock.json'],
};

/** @param {readonly string[]} places */
function fingerprint(places) {
  const files = places.flatMap((place) =>
    place.includes('.')
      ? [place]
      : readdirSync(join(ROOT, place), { recursive: true, withFileTypes: true })
          .filter((entry) => entry.isFile())
          .map((entry) => join(entry.parentPath, entry.name).slice(ROOT.length + 1))
          .filter((file) => !/(^|\/)(dist|node_modules)\/|\.test\.tsx?$/.test(file)),
  );
  const hash = createHash('sha256');
  for (const file of files.toSorted()) hash.update(file).update(readFileSync(join(ROOT, file)));
  return hash.digest('hex');
}

/**
 * @param {'web' | 'server'} room
 * @param {string} product file that the build makes
 */
async function ensureRoom(room, product) {
  const built = stamp(`built-${room}`);
  const now = `${fingerprint(SOURCES[room])}${process.env['PSEUDO'] ?? ''}`;
  const isBuilt = () => existsSync(product) && built.is(now);
  if (isBuilt()) return;
  await oneAtATime(join(CACHE, `building-${room}`), async () => {
    // By whoever had it until now.
    if (isBuilt()) return;
    say(`Building the ${room === 'web' ? 'web app' : 'server'} …`);
    // Whoever asks for it, a test runner included, gets the build that people use.
    const env = { ...process.env, NODE_ENV: 'production' };
    await run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: join(ROOT, room), env });
    built.set(now);
  });
}

/** Installs npm packages and builds both rooms, each only when needed. */
export async function ensureBuilt() {
  await ensureNpmPackages();
  await ensureRoom('server', SERVER_BUNDLE);
  await ensureRoom('web', join(WEB_ROOT, 'index.html'));
}
