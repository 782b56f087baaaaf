// npm run dev: the server restarts and the page reloads as their sources change. Uses the same data as npm start.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { connectionFile, freePort, openDatabase, stopDatabase } from './lib/database.mjs';
import { ensureDebian, ensureNpmPackages } from './lib/packages.mjs';
import { bin, dataFolder, ROOT } from './lib/places.mjs';
import { say } from './lib/say.mjs';

const folder = dataFolder();
await ensureNpmPackages();
await ensureDebian('mariadb');
await openDatabase(folder);

const port = await freePort(4320);
const env = {
  ...process.env,
  PORT: String(port),
  STEADY_API: `http://127.0.0.1:${port}`,
  STEADY_CONNECTION: connectionFile(folder),
};
const children = [
  spawn(bin('tsx'), ['watch', '--clear-screen=false', 'src/dev.ts'], {
    cwd: join(ROOT, 'server'),
    env,
    stdio: 'inherit',
  }),
  spawn(bin('vite'), ['--clearScreen', 'false'], { cwd: join(ROOT, 'web'), env, stdio: 'inherit' }),
];

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  for (const child of children) child.kill('SIGTERM');
  await stopDatabase(folder);
  say('Stopped.');
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());
