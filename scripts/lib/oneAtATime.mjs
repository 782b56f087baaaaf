// What two processes must not do to one checkout at the same moment: npm start beside npm test.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { say } from './say.mjs';

/** Long enough that nobody else has it, ms. */
const SOON = 300;

/**
 * Does something while no other process does what has the same file. The lock is the kernel's (flock): whoever is killed lets it go.
 *
 * @template T
 * @param {string} file
 * @param {() => Promise<T>} act
 * @returns {Promise<T>}
 */
export async function oneAtATime(file, act) {
  mkdirSync(dirname(file), { recursive: true });
  // It holds the file for as long as this process holds its input open.
  const holder = spawn('flock', [file, 'sh', '-c', 'echo; exec cat'], { stdio: ['pipe', 'pipe', 'ignore'] });
  const ended = once(holder, 'close');
  const patience = setTimeout(() => say('Waiting for another process that builds this checkout …'), SOON);
  await once(holder.stdout, 'data');
  clearTimeout(patience);
  try {
    return await act();
  } finally {
    holder.stdin.end();
    await ended;
  }
}
