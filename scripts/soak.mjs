// npm run soak [what …]: what breaks a program that nobody breaks on purpose. Each on a private instance, bounded and seeded; prints
// the table of docs/method.md. What: core, kills, starts, migrations, disk, fuzz, crowd; without any, all of them.
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { freePort, stopDatabase } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { bin, ROOT } from './lib/places.mjs';
import { tryRun } from './lib/run.mjs';
import { soakCrowd } from './soak/crowd.mjs';
import { soakFullDisk } from './soak/fullDisk.mjs';
import { soakFuzz } from './soak/fuzz.mjs';
import { soakFirstStarts, soakKills, soakTwoStarts } from './soak/kills.mjs';
import { note, printTable } from './soak/table.mjs';

const SEED = Number(process.env['SEED'] ?? 20_261_126);
const parent = mkdtempSync(join(tmpdir(), 'steady-soak-'));
chmodSync(parent, 0o755);
const port = await freePort(4480);
const at = (/** @type {string} */ name) => ({ folder: join(parent, name), port, seed: SEED });

/** Tests of a project at their full size: whether all passed, and the seconds it took. @param {string[]} tests */
async function fullSize(...tests) {
  const began = performance.now();
  const env = { ...process.env, STEADY_SOAK: '1' };
  const args = ['run', '--testTimeout=600000', '--project', ...tests];
  const { code, output } = await tryRun(bin('vitest'), args, { cwd: ROOT, env });
  if (code !== 0) process.stdout.write(output);
  return { code, seconds: Math.round((performance.now() - began) / 1000) };
}

async function soakCore() {
  const { code, seconds } = await fullSize(
    'plain',
    'core/src/fuzz.test.ts',
    'core/src/working/lines.test.ts',
  );
  note('core with anything typed', 'documents mangled 1 200 times each, numbers 3 000 times, lines of working drawn up to 1 500 times', `a finite answer, a reason or an error in words, and lines that hold: ${code === 0 ? 'every time' : 'not always'} (${seconds} s)`, code === 0); // prettier-ignore
}

async function soakMigrations() {
  const { code, seconds } = await fullSize('server', 'server/src/migrationKills.test.ts');
  note('kills of migrations', 'killed before every statement of every step', `the same tables and rows after the next start: ${code === 0 ? 'every time' : 'not always'} (${seconds} s)`, code === 0); // prettier-ignore
}

/** @type {Record<string, () => Promise<void>>} */
const SOAKS = {
  core: soakCore,
  kills: () => soakKills({ ...at('kills'), kills: 30 }),
  starts: async () => {
    await soakFirstStarts({ ...at('first'), kills: 24 });
    await soakTwoStarts(at('two'));
  },
  migrations: soakMigrations,
  disk: async () => {
    const how = at('disk');
    mkdirSync(how.folder);
    await soakFullDisk(how);
  },
  fuzz: () => soakFuzz({ ...at('fuzz'), requests: 10_000 }),
  crowd: () => soakCrowd({ ...at('crowd'), seconds: 60 }),
};

const asked = process.argv.slice(2);
await ensureBuilt();
await ensureDebian('mariadb');
try {
  for (const [name, soak] of Object.entries(SOAKS)) {
    // oxlint-disable-next-line no-await-in-loop -- each has the machine to itself
    if (asked.length === 0 || asked.includes(name)) await soak();
  }
} finally {
  // oxlint-disable-next-line no-await-in-loop -- what a failure left
  for (const name of ['kills', 'two', 'fuzz', 'crowd', join('disk', 'data')])
    await stopDatabase(join(parent, name));
  rmSync(parent, { recursive: true, force: true });
}
process.exit(printTable() ? 0 : 1);
