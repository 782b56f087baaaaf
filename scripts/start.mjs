// npm start: brings everything up on one loopback port, from nothing if need be, and stops it all on Ctrl-C or TERM.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt } from './lib/build.mjs';
import { certificatesFor } from './lib/certificates.mjs';
import { connectionFile, openDatabase, stopDatabase } from './lib/database.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { dataFolder, SERVER_BUNDLE, WEB_ROOT } from './lib/places.mjs';
import { prepareRestore } from './lib/restore.mjs';
import { giveUp, say, sentenceOf } from './lib/say.mjs';
import { giveBack, noteAddress, otherStart, takeLock } from './lib/startLock.mjs';
import { become, giveTo, reachableData, readablePrograms, systemUser } from './lib/systemUser.mjs';
import { watchDatabase } from './lib/watch.mjs';

const DEFAULT_PORT = 4310;

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

/** Address of the station that is asked for pavement, weather and weights; none: the stand-in. */
function wantedStation() {
  const text = process.env['STATION_URL'] ?? '';
  if (text === '') return undefined;
  if (URL.canParse(text) && /^https?:$/.test(new URL(text).protocol)) return text;
  return giveUp(`STATION_URL is ${text}; it has to be an address such as http://192.168.1.30/readings.`);
}

/** Addresses of proxies that may say for whom they ask. */
const wantedProxies = () =>
  (process.env['TRUST_PROXY'] ?? '')
    .split(',')
    .map((address) => address.trim())
    .filter(Boolean);

const port = wantedPort();
const host = process.env['HOST'] || undefined;
const publicUrl = wantedPublicUrl();
const trustProxy = wantedProxies();
const station = wantedStation();

/** @type {import('./lib/systemUser.mjs').SystemUser | null} */
let user;
let folder = dataFolder();
try {
  user = systemUser();
  folder = reachableData(folder, user);
} catch (error) {
  giveUp(sentenceOf(error, folder));
}

/** @param {import('./lib/startLock.mjs').Holder | null} other */
function giveWayTo(other) {
  if (other)
    giveUp(`Steady Scatter already runs on this data folder: ${other.address ?? `process ${other.pid}`}`);
}
giveWayTo(otherStart(folder));

/** @type {import('./lib/certificates.mjs').Certificates | null} where the network is let in */
let certificates = null;
/** @typedef {{ secureAddresses: readonly string[], address: string, port: number, addresses: readonly string[], code: string | null, close(): Promise<void> }} RunningServer */
/** @type {Promise<unknown>} */
let opening = Promise.resolve();
/** @type {ReturnType<typeof watchDatabase> | null} */
let watch = null;
/** @type {RunningServer | null} */
let server = null;
let stopping = false;

async function takeDown() {
  await watch?.stop();
  await server?.close();
  await stopDatabase(folder);
}

async function stop() {
  if (stopping) return;
  stopping = true;
  say('Stopping …');
  await Promise.allSettled([opening]);
  await takeDown();
  giveBack(folder);
  say('Stopped.');
  process.exit(0);
}

/** @param {unknown} error */
async function endWith(error) {
  if (stopping) return;
  // What has ended already needs no ending.
  try {
    await takeDown();
  } catch {}
  giveBack(folder);
  giveUp(sentenceOf(error, folder));
}

/**
 * Serves on the database that runs.
 * @param {any} program what the server's bundle exports
 * @param {string} serverFolder
 * @param {string} webRoot
 */
async function serve(program, serverFolder, webRoot) {
  const wanted = server?.port ?? port;
  watch = watchDatabase(folder);
  server = /** @type {RunningServer} */ (
    await program.startServer({
      connectionFile: connectionFile(folder),
      dataFolder: folder,
      checkerFile: join(serverFolder, 'checker.js'),
      program: createHash('sha256').update(readFileSync(join(serverFolder, basename(SERVER_BUNDLE)))).digest('hex').slice(0, 16), // prettier-ignore
      webRoot,
      port: wanted,
      host,
      publicUrl,
      trustProxy,
      station,
      ...(certificates && { certificates }),
      requestsPerMinute: Number(process.env['REQUESTS_PER_MINUTE']) || undefined,
      code: server?.code,
      say,
      /** Rows of an archive in place of those that are kept, which are set aside. */
      async restore(/** @type {string} */ archive) {
        await prepareRestore(folder, archive, program);
        setTimeout(() => {
          say('Restoring a backup …');
          opening = takeDown()
            .then(() => openDatabase(folder))
            .then(() => serve(program, serverFolder, webRoot));
          opening.catch(endWith);
        }, 100);
      },
    })
  );
  if (server.port !== wanted) say(`Port ${wanted} is taken, so this uses ${server.port}.`);
  noteAddress(folder, user, server.address);
  say(`Steady Scatter is ready: ${server.address}   (Ctrl-C stops it)`);
  if (server.code) {
    if (server.secureAddresses.length > 0)
      say(`On this network, encrypted: ${server.secureAddresses.join(', ')}`);
    say(`On this network: ${server.addresses.join(', ') || host}   (not encrypted: no work without a network once the page is closed)`); // prettier-ignore
    say(`A device is asked once for this code: ${server.code}`);
  }
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop());

try {
  if (process.argv.includes('--fresh')) await setAside();
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  giveTo(user, folder);
  giveWayTo(takeLock(folder, user));
  const built = ensureBuilt();
  await ensureDebian('mariadb');
  opening = openDatabase(folder);
  if (host) certificates = await certificatesFor(folder, user, { cert: process.env['TLS_CERT'], key: process.env['TLS_KEY'] }); // prettier-ignore
  await Promise.all([built, opening]);
  const [serverFolder = '', webRoot = ''] = readablePrograms([dirname(SERVER_BUNDLE), WEB_ROOT], user);
  become(user);
  const program = await import(pathToFileURL(join(serverFolder, basename(SERVER_BUNDLE))).href);
  opening = serve(program, serverFolder, webRoot);
  await opening;
} catch (error) {
  await endWith(error);
}
