// Installs what is missing: npm packages by the lock file, and programs from Debian's packages.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { delimiter, dirname, join } from 'node:path';
import { oneAtATime } from './oneAtATime.mjs';
import { CACHE, ROOT } from './places.mjs';
import { run } from './run.mjs';
import { giveUp, say } from './say.mjs';

const STAMP = join(ROOT, 'node_modules', '.steady-lock');

/** Programs the project needs, by the Debian packages that bring them. */
const DEBIAN = {
  mariadb: { program: 'mariadbd', packages: ['mariadb-server-core', 'mariadb-client-core'] },
  openssl: { program: 'openssl', packages: ['openssl'] },
  chromium: { program: 'chromium-headless-shell', packages: ['chromium-headless-shell'] },
};

/** @param {string} program */
function onPath(program) {
  const folders = [...(process.env['PATH'] ?? '').split(delimiter), '/usr/sbin', '/usr/bin'];
  return folders.some((folder) => existsSync(join(folder, program)));
}

/** Installs the npm packages when they are absent or the lock file changed since. */
export async function ensureNpmPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const isThere = () => existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock;
  if (isThere()) return;
  await oneAtATime(join(CACHE, 'installing'), async () => {
    if (isThere()) return;
    say('Installing npm packages (about a minute) …');
    await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: ROOT });
    writeFileSync(STAMP, lock);
  });
}

/**
 * Installs a program from Debian's packages when it is absent; no service is started.
 * @param {keyof typeof DEBIAN} name
 */
export async function ensureDebian(name) {
  const { program, packages } = DEBIAN[name];
  if (onPath(program)) return;
  const command = `apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (process.getuid?.() !== 0 || !onPath('apt-get')) {
    giveUp(`${program} is missing. Ask an administrator of this machine to run once:\n  ${command}`);
  }
  say(`Installing ${packages.join(' and ')} from Debian's packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await run('apt-get', ['update', '-qq'], { env });
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], { env });
}

/**
 * Keeps a small text in the cache folder, to see at the next start whether something changed.
 * @param {string} name
 */
export function stamp(name) {
  const file = join(CACHE, name);
  return {
    /** @param {string} text */
    is: (text) => existsSync(file) && readFileSync(file, 'utf8') === text,
    /** @param {string} text */
    set(text) {
      mkdirSync(dirname(file), { recursive: true });
      writeFileSync(file, text);
    },
  };
}
