// npm start: brings everything up on one loopback port, from nothing if need be, and stops it all on Ctrl-C or TERM.
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt } from './lib/build.mjs';
import { connectionFile, openDatabase, stopDatabase } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { dataFolder, SERVER_BUNDLE, WEB_ROOT } from './lib/places.mjs';
import { giveUp, say } from './lib/say.mjs';

const DEFAULT_PORT = 4310;
const folder = dataFolder();
const lockFile = join(folder, 'start.json');

/** Another start that still runs on the same data folder, with its address once it is known. */
function otherStart() {
  if (!existsSync(lockFile)) return null;
  try {
    const lock = JSON.parse(readFileSync(lockFile, 'utf8'));
    const command = readFileSync(`/proc/${lock.pid}/cmdline`, 'utf8');
    return command.includes('start.mjs') && lock.pid !== process.pid ? lock : null;
  } catch {
    return null;
  }
}

/** Moves the data folder aside, never deleting it. */
async function setAside() {
  if (!existsSync(folder)) return;
  await stopDatabase(folder);
  const aside = `${folder}-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}`;
  renameSync(folder, aside);
  say(`Moved the old data to ${aside}`);
}

function wantedPort() {
  const port = Number(process.env['PORT'] ?? DEFAULT_PORT);
  if (Number.isInteger(port) && port > 0 && port < 65_536) return port;
  return giveUp(
    `PORT is ${process.env['PORT']}; it has to be a number from 1 to 65535, for example ${DEFAULT_PORT}.`,
  );
}

/** Address for links and QR codes, without a slash at its end. */
function wantedPublicUrl() {
  const text = process.env['PUBLIC_URL'] ?? '';
  if (text === '') return undefined;
  if (URL.canParse(text) && /^https?:$/.test(new URL(text).protocol)) return text.replace(/\/+$/, '');
  return giveUp(`PUBLIC_URL is ${text}; it has to be an address such as http://192.168.1.20:4310.`);
}

const port = wantedPort();
const host = process.env['HOST'] || undefined;
const publicUrl = wantedPublicUrl();
const other = otherStart();
if (other)
  giveUp(`Steady Scatter already runs on this data folder: ${other.address ?? `process ${other.pid}`}`);
if (process.argv.includes('--fresh')) await setAside();
mkdirSync(folder, { recursive: true, mode: 0o700 });
writeFileSync(lockFile, JSON.stringify({ pid: process.pid }));

/** @type {Promise<unknown>} */
let opening = Promise.resolve();
/** @type {{ port: number, addresses: readonly string[], code: string | null, close(): Promise<void> } | null} */
let server = null;
let stopping = false;

async function stop() {
  if (stopping) return;
  stopping = true;
  say('Stopping …');
  await Promise.allSettled([opening]);
  await server?.close();
  await stopDatabase(folder);
  rmSync(lockFile, { force: true });
  say('Stopped.');
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());

try {
  const built = ensureBuilt();
  await ensureDebian('mariadb');
  opening = openDatabase(folder);
  await Promise.all([built, opening]);
  const { startServer } = await import(pathToFileURL(SERVER_BUNDLE).href);
  server = await startServer({
    connectionFile: connectionFile(folder),
    webRoot: WEB_ROOT,
    port,
    host,
    publicUrl,
    logFile: join(folder, 'server.log'),
  });
  const address = `http://localhost:${server?.port}`;
  if (server?.port !== port) say(`Port ${port} is taken, so this uses ${server?.port}.`);
  writeFileSync(lockFile, JSON.stringify({ pid: process.pid, address }));
  say(`Steady Scatter is ready: ${address}   (Ctrl-C stops it)`);
  if (server?.code) {
    say(`On this network: ${server.addresses.join(', ') || host}`);
    say(`A device is asked once for this code: ${server.code}`);
  }
} catch (error) {
  await stopDatabase(folder);
  rmSync(lockFile, { force: true });
  giveUp(error instanceof Error ? error.message : String(error));
}
