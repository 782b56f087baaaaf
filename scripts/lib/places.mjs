// Where things are: the project's root and the folders that are made at run time.
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
export const CACHE = join(ROOT, '.cache');
export const WEB_ROOT = join(ROOT, 'web', 'dist');
export const SERVER_BUNDLE = join(ROOT, 'server', 'dist', 'server.js');

/** The data folder: `STEADY_DATA`, else `data` in the project. */
export const dataFolder = () => process.env['STEADY_DATA'] ?? join(ROOT, 'data');

/** @param {string} name a program of the installed npm packages */
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

/** What the database has in a data folder. @param {string} folder */
export const databasePlaces = (folder) => ({
  rows: join(folder, 'mariadb'),
  unfinished: join(folder, `mariadb.unfinished-${process.pid}`),
  /** Tables that take the place of those in use when the database is opened the next time. */
  restored: join(folder, 'mariadb.restored'),
  settings: join(folder, 'my.cnf'),
  pid: join(folder, 'mariadb.pid'),
  log: join(folder, 'mariadb.log'),
  accounts: join(folder, 'accounts.sql'),
  client: join(folder, 'client.cnf'),
  files: join(folder, 'files'),
  work: join(folder, 'tmp'),
  connection: join(folder, 'connection.json'),
});
