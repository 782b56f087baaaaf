// A start of its own on a data folder of its own, as a person starts it; for tests and soaks.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './places.mjs';

/**
 * @typedef {object} Instance
 * @property {import('node:child_process').ChildProcessByStdio<null | import('node:stream').Writable, import('node:stream').Readable, import('node:stream').Readable>} child
 * @property {Promise<number | string>} ended its exit code, or the signal that ended it
 * @property {string} address where it is reached; '' where it never was ready
 * @property {() => string} said all that it has said by now
 */

/**
 * Runs the start script until it is ready, or has ended.
 * @param {{ folder: string, port: number, args?: readonly string[], env?: NodeJS.ProcessEnv }} how
 * @returns {Promise<Instance>}
 */
export async function startInstance({ folder, port, args = [], env = {} }) {
  const child = spawn(process.execPath, ['scripts/start.mjs', ...args], {
    cwd: ROOT,
    env: { ...process.env, STEADY_DATA: folder, PORT: String(port), ...env },
  });
  let said = '';
  /** @type {Promise<number | string>} */
  const ended = new Promise((resolve) => child.on('exit', (code, signal) => resolve(code ?? signal ?? 0)));
  const ready = new Promise((resolve) => {
    child.stdout.on('data', (chunk) => {
      said += chunk;
      if (said.includes('is ready')) resolve(true);
    });
    child.stderr.on('data', (chunk) => (said += chunk));
  });
  await Promise.race([ready, ended]);
  return { child, ended, address: /http:\/\/localhost:\d+/.exec(said)?.[0] ?? '', said: () => said };
}

/** @param {string} folder the id of the database server that runs on it */
export const databasePid = (folder) => Number(readFileSync(join(folder, 'mariadb.pid'), 'utf8'));

/**
 * Waits for something to happen.
 * @param {() => boolean | Promise<boolean>} happened
 * @param {number} [seconds]
 */
export async function until(happened, seconds = 20) {
  for (let tries = 0; tries < seconds * 20; tries += 1) {
    // oxlint-disable-next-line no-await-in-loop -- one look after the other
    if (await happened()) return;
    // oxlint-disable-next-line no-await-in-loop
    await wait(50);
  }
  throw new Error(`It did not happen within ${seconds} s.`);
}
