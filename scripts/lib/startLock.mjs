// One start or restore at a time on a data folder: who has it is told by a file that only one can make.
import { existsSync, linkSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { writePrivately } from './privateFile.mjs';

/** @typedef {import('./systemUser.mjs').SystemUser} SystemUser */
/** @typedef {{ pid: number, address?: string }} Holder */

/** @param {string} folder */
const lockIn = (folder) => join(folder, 'start.json');

/** @param {string} file @returns {Holder | null} whoever holds it and still runs; never this process itself */
function holderOf(file) {
  try {
    const holder = JSON.parse(readFileSync(file, 'utf8'));
    const command = readFileSync(`/proc/${holder.pid}/cmdline`, 'utf8');
    return /\b(start|restore)\.mjs/.test(command) && holder.pid !== process.pid ? holder : null;
  } catch {
    return null;
  }
}

/**
 * A start that runs on a data folder, with its address once it is known; null where none does, or where it is this one.
 * @param {string} folder
 */
export const otherStart = (folder) => holderOf(lockIn(folder));

/**
 * Takes the folder for this start.
 * @param {string} folder
 * @param {SystemUser | null} user whose the file is to be
 * @returns {Holder | null} whoever has it already; null: it is taken now
 */
export function takeLock(folder, user) {
  const lock = lockIn(folder);
  const own = `${lock}.${process.pid}`;
  writePrivately(own, JSON.stringify({ pid: process.pid }), user);
  try {
    for (let tries = 0; tries < 10; tries += 1) {
      try {
        linkSync(own, lock);
        return null;
      } catch {
        const holder = holderOf(lock);
        if (holder) return holder;
        putAside(lock);
      }
    }
    return holderOf(lock);
  } finally {
    rmSync(own, { force: true });
  }
}

/** What a start that has ended left behind; somebody else may have taken it a moment ago. @param {string} lock */
function putAside(lock) {
  const aside = `${lock}.${process.pid}.aside`;
  try {
    renameSync(lock, aside);
    if (holderOf(aside) && !existsSync(lock)) renameSync(aside, lock);
  } catch {
    // It is gone already.
  }
  rmSync(aside, { force: true });
}

/**
 * Tells the address under which this start is reached.
 * @param {string} folder
 * @param {SystemUser | null} user
 * @param {string} address
 */
export const noteAddress = (folder, user, address) =>
  writePrivately(lockIn(folder), JSON.stringify({ pid: process.pid, address }), user);

/** @param {string} folder gives the folder back; whatever keeps it from that is the next start's to find out */
export function giveBack(folder) {
  try {
    rmSync(lockIn(folder), { force: true });
  } catch {}
}
