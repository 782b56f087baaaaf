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
