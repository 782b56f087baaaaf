import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * A start that runs on a data folder, with its address once it is known; null where none does, or where it is this one.
 * @param {string} folder
 * @returns {{ pid: number, address?: string } | null}
 */
export function otherStart(folder) {
  const lockFile = join(folder, 'start.json');
  if (!existsSync(lockFile)) return null;
  try {
    const lock = JSON.parse(readFileSync(lockFile, 'utf8'));
    const command = readFileSync(`/proc/${lock.pid}/cmdline`, 'utf8');
    return command.includes('start.mjs') && lock.pid !== process.pid ? lock : null;
  } catch {
    return null;
  }
}
