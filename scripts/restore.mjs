// npm run restore <file>: an archive in place of what is kept, which is set aside. Stop it first.
import { existsSync, mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt } from './lib/build.mjs';
import { openDatabase, stopDatabase } from './lib/database.mjs';
import { giveBack, takeLock } from './lib/startLock.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { dataFolder, SERVER_BUNDLE } from './lib/places.mjs';
import { prepareRestore } from './lib/restore.mjs';
import { giveUp, say, sentenceOf } from './lib/say.mjs';
import { giveTo, reachableData, systemUser } from './lib/systemUser.mjs';

const asked = process.argv[2];
if (!asked) giveUp('Say which backup: npm run restore -- steady-scatter-2026-04-18.zip');
const archive = resolve(asked);
if (!existsSync(archive)) giveUp(`There is no file ${archive}.`);
const user = systemUser();
const folder = reachableData(dataFolder(), user);
mkdirSync(folder, { recursive: true, mode: 0o700 });
giveTo(user, folder);
const other = takeLock(folder, user);
if (other) giveUp(`Steady Scatter runs on this data: ${other.address ?? `process ${other.pid}`}. Stop it first, or restore on its settings page.`); // prettier-ignore

try {
  await ensureBuilt();
  await ensureDebian('mariadb');
  await stopDatabase(folder);
  await prepareRestore(folder, archive, await import(pathToFileURL(SERVER_BUNDLE).href));
  await openDatabase(folder);
  say('Restored. Start it with npm start.');
} catch (error) {
  process.exitCode = 1;
  process.stderr.write(`\n${sentenceOf(error, folder)}\n`);
} finally {
  await stopDatabase(folder);
  giveBack(folder);
}
