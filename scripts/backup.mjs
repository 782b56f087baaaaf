// npm run backup [file]: everything that is kept, as one archive, while it runs or while it is stopped.
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt } from './lib/build.mjs';
import { connectionFile, openDatabase, runningPid, stopDatabase } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { dataFolder, SERVER_BUNDLE } from './lib/places.mjs';
import { giveUp, say, sentenceOf } from './lib/say.mjs';
import { giveTo, reachableData, systemUser } from './lib/systemUser.mjs';

const user = systemUser();
const folder = reachableData(dataFolder(), user);
const time = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
const asked = process.argv[2];
const file = asked ? resolve(asked) : join(folder, 'backups', `steady-scatter-${time}.zip`);

if (!existsSync(folder)) giveUp(`Nothing is kept in ${folder} yet. Start it once with npm start.`);
if (existsSync(file)) giveUp(`${file} is there already. Choose another name; no backup is overwritten.`);

const wasRunning = runningPid(folder) !== null;
try {
  await ensureBuilt();
  await ensureDebian('mariadb');
  if (!asked) {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    giveTo(user, dirname(file));
  }
  if (!wasRunning) await openDatabase(folder);
  const { readConnection, writeBackup } = await import(pathToFileURL(SERVER_BUNDLE).href);
  const { files } = await writeBackup(readConnection(connectionFile(folder)), file);
  if (!asked) giveTo(user, file);
  const rows = files.reduce((/** @type {number} */ sum, /** @type {{ rows: number }} */ each) => sum + each.rows, 0); // prettier-ignore
  say(`${rows} rows are in ${file}. It can be restored with: npm run restore -- ${file}`);
} catch (error) {
  process.exitCode = 1;
  process.stderr.write(`\n${sentenceOf(error, dirname(file))}\n`);
} finally {
  if (!wasRunning) await stopDatabase(folder);
}
