// The database's tables as folders: made beside their place, and exchanged by renaming.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { databasePlaces } from './places.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';
import { giveTo } from './systemUser.mjs';

/** @typedef {import('./systemUser.mjs').SystemUser} SystemUser */

/** @param {string} folder puts restored tables in place; broken off between the two, it goes on the next time */
export function takeRestored(folder) {
  const { rows, restored } = databasePlaces(folder);
  if (!existsSync(restored)) return;
  if (existsSync(rows)) {
    const aside = join(
      folder,
      `mariadb-before-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}`,
    );
    renameSync(rows, aside);
    say(`Set the earlier tables aside: ${aside}`);
  }
  renameSync(restored, rows);
}

/** @param {string} folder what killed first starts left: never used, since it was never moved to its place */
function clearUnfinished(folder) {
  for (const name of readdirSync(folder).filter((each) => each.startsWith('mariadb.unfinished')))
    try {
      rmSync(join(folder, name), { recursive: true, force: true });
    } catch {
      // What makes it may run on for a moment after its start was killed; it is cleared the next time.
    }
}

/**
 * The tables are made beside their place and moved there when they are whole.
 * @param {string} folder
 * @param {SystemUser | null} user
 */
export async function makeTables(folder, user) {
  const { rows, unfinished } = databasePlaces(folder);
  if (existsSync(rows)) return;
  say('Making a private database …');
  clearUnfinished(folder);
  // Its own: a database server that starts clears the working tables of all others that share the place.
  const work = `${unfinished}.work`;
  mkdirSync(work, { mode: 0o700 });
  giveTo(user, work);
  const asked = [
    '--no-defaults',
    `--datadir=${unfinished}`,
    `--tmpdir=${work}`,
    '--auth-root-authentication-method=socket',
    '--skip-test-db',
  ];
  await run('mariadb-install-db', asked, { cwd: '/', ...(user && { uid: user.uid, gid: user.gid }) });
  rmSync(work, { recursive: true, force: true });
  renameSync(unfinished, rows);
}
