// Keeps the database running: one that ends by itself is brought back, sooner at first than later.
import { setTimeout as wait } from 'node:timers/promises';
import { openDatabase, runningPid } from './database.mjs';
import { say, sentenceOf } from './say.mjs';

const LOOK_MS = 500;
const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 30_000;
/** One that ran this long had started well: what ended it is something new. */
const RAN_WELL_MS = 60_000;

/**
 * Watches the database of a folder until it is told to stop.
 * @param {string} folder
 * @returns {{ stop(): Promise<void> }} stops watching, when a start that is under way has ended
 */
export function watchDatabase(folder) {
  const stopping = new AbortController();
  const { signal } = stopping;
  const pause = (/** @type {number} */ ms) => wait(ms, undefined, { signal }).catch(() => undefined);

  async function bringBack() {
    let delay = FIRST_WAIT_MS;
    let since = Date.now();
    while (!signal.aborted) {
      await pause(LOOK_MS);
      if (signal.aborted || runningPid(folder) !== null) continue;
      if (Date.now() - since > RAN_WELL_MS) delay = FIRST_WAIT_MS;
      say('The database has ended by itself; it is being brought back.');
      await pause(delay);
      if (signal.aborted) continue;
      delay = Math.min(delay * 2, LONGEST_WAIT_MS);
      try {
        await openDatabase(folder);
        since = Date.now();
        say('The database is back.');
      } catch (error) {
        say(`It did not come back; the next try is in ${Math.ceil(delay / 1000)} s. ${sentenceOf(error, folder)}`); // prettier-ignore
      }
    }
  }

  const watching = bringBack();
  return {
    async stop() {
      stopping.abort();
      await watching;
    },
  };
}
