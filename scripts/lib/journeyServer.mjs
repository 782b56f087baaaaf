// What journeys in a browser run on: the app as it starts on a machine of its own, with nothing but the sample data.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from './places.mjs';

/**
 * How it is started. With an address it serves HTTPS too, on the port after its own. All journeys come from one address: together they ask
 * more than one device may.
 *
 * @param {string} port
 */
export const journeyServer = (port) => ({
  command: ['scripts/start.mjs'],
  env: {
    // Where the user that serves can reach it, wherever the project lies.
    STEADY_DATA: join(tmpdir(), `steady-e2e-${port}`),
    PORT: port,
    HOST: '127.0.0.1',
    REQUESTS_PER_MINUTE: '1000000',
  },
});

/**
 * Starts it from an empty folder; ends it, and is told when it has ended.
 *
 * @param {string} port
 * @returns {() => Promise<void>}
 */
export function startJourneyServer(port) {
  const { command, env } = journeyServer(port);
  rmSync(env.STEADY_DATA, { recursive: true, force: true });
  const child = spawn(process.execPath, command, {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: 'ignore',
  });
  process.once('exit', () => child.kill());
  const ended = new Promise((resolve) => child.on('close', resolve));
  return async () => {
    child.kill('SIGTERM');
    await ended;
  };
}
