import { existsSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { giveTo } from './systemUser.mjs';

/** @typedef {import('./systemUser.mjs').SystemUser} SystemUser */

/**
 * Writes a file whole or not at all, readable by its owner alone; only where it says something else.
 * @param {string} file
 * @param {string} text
 * @param {SystemUser | null} user whose it is
 */
export function writePrivately(file, text, user) {
  if (existsSync(file) && readFileSync(file, 'utf8') === text && (statSync(file).mode & 0o777) === 0o600)
    return;
  const side = `${file}.new`;
  writeFileSync(side, text, { mode: 0o600 });
  giveTo(user, side);
  renameSync(side, file);
}
