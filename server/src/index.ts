// Server: Express over MariaDB. Routes call services, services decide, models store.
// startServer is the one door for the start script; everything else is wired in app.ts.
import { randomInt } from 'node:crypto';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { createApp } from './app.ts';
import { keepBefore, keepDaily } from './backup/keep.ts';
import { checkInThreads } from './checking/threads.ts';
import { openSequelize, readConnection } from './database.ts';
import { migrate, pendingSteps } from './migrations/index.ts';
import { defineModels } from './models/index.ts';
import { addressOf, isLoopback, listen, LOOPBACK, networkAddresses } from './running/address.ts';
import { ANY_DISK, diskOf } from './running/disk.ts';
import { createLog, logged } from './running/log.ts';
import { installationOf } from './services/installation.ts';
import { seedDemo } from './services/demo.ts';
import { startStandIn } from './stations/standIn.ts';
import { projectAll } from './services/projections.ts';

export { checkArchive, restoreArchive } from './backup/restore.ts';
export { writeBackup } from './backup/write.ts';
export { readConnection } from './database.ts';

export interface ServerOptions {
  /** File that tells how to reach the database. */
  readonly connectionFile: string;
  /** Where logs and daily backups go; without one the log goes to standard output, and no backup is kept. */
  readonly dataFolder?: string;
  readonly webRoot: string | null;
  /** First port to try; taken ones are passed over, up to 50 of them. */
  readonly port: number;
  /** Address to listen on; without it this machine alone. With one, devices of the network pair by a code. */
  readonly host?: string;
  /** Address for links and QR codes, where it is not that of the page. */
  readonly publicUrl?: string;
  /** Addresses of proxies that may say for whom they ask. */
  readonly trustProxy?: readonly string[];
  /** What HTTPS is served with, beside HTTP, on the port after it; PEM. */
  readonly certificates?: Certificates;
  /** Address of the station that is asked for pavement, weather and weights; without one, the stand-in that comes along. */
  readonly station?: string;
  /** Most requests to the API from one address in a minute. */
  readonly requestsPerMinute?: number;
  /** The code to pair with, where it was told before; without one a new one. */
  readonly code?: string;
  /** The built thread that checks what is to be kept; without one it is checked here. */
  readonly checkerFile?: string;
  /** Tells one build of the program from another: lists are made anew by a new one. */
  readonly program?: string;
  /** Tells the person who started it what is being done. */
  say?(text: string): void;
  /** Puts the rows of an archive in place of those that are kept, and starts anew. */
  restore?(archive: string): Promise<void>;
}

/** A key, a certificate for it, and the authority that a phone has to trust for it; null: it trusts it already. */
export interface Certificates {
  readonly key: string;
  readonly cert: string;
  readonly authority: string | null;
}

export interface RunningServer {
  /** Where a person on this machine finds the page. */
  readonly address: string;
  readonly port: number;
  /** Addresses on the local network, and the code to pair with; none where it is not let in. */
  readonly addresses: readonly string[];
  /** The same by HTTPS. */
  readonly secureAddresses: readonly string[];
  readonly code: string | null;
  close(): Promise<void>;
}

/** The program where it is not built. */
const PROGRAM = 'source';
/** Longest that closing waits for what is under way. */
const CLOSE_MS = 1500;

/** Eight digits in two groups, easy to read out. */
const newCode = (): string =>
  String(randomInt(1e8))
    .padStart(8, '0')
    .replace(/^(....)/, '$1 ');

/** Migrates, loads the demo once, and serves the API and the web app on one port. */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const {
    dataFolder = null,
    host = LOOPBACK,
    publicUrl = null,
    trustProxy = [],
    say = () => undefined,
  } = options;
  const log = createLog(dataFolder === null ? null : join(dataFolder, 'server.log'));
  const { logger } = log;
  const connection = readConnection(options.connectionFile);
  const sequelize = openSequelize(connection);
  const looking = openSequelize(connection, 1);
  defineModels(sequelize);
  const [step] = await pendingSteps(sequelize);
  if (step !== undefined && step.before && dataFolder !== null) {
    say(`The tables are brought up to date. Before that, all that is kept goes into ${await keepBefore(connection, dataFolder, step.name)}`); // prettier-ignore
  }
  await migrate(sequelize);
  await projectAll(sequelize, options.program ?? PROGRAM);
  const homeCrewId = await seedDemo(sequelize);
  const letsNetworkIn = !isLoopback(host) || publicUrl !== null;
  const code = letsNetworkIn ? (options.code ?? newCode()) : null;
  const addresses: string[] = [];
  const secureAddresses: string[] = [];
  const { certificates } = options;
  const threads = options.checkerFile === undefined ? null : checkInThreads(options.checkerFile);
  const standIn = options.station === undefined ? await startStandIn() : null;
  const station = options.station ?? standIn?.address ?? '';
  const app = createApp({
    sequelize,
    looking,
    homeCrewId,
    installation: await installationOf(sequelize),
    logger,
    station,
    ...(options.requestsPerMinute && { requestsPerMinute: options.requestsPerMinute }),
    webRoot: options.webRoot,
    network: {
      publicUrl,
      addresses,
      secureAddresses,
      authority: certificates?.authority ?? null,
      code,
      trustProxy,
    },
    disk: dataFolder === null ? ANY_DISK : diskOf(dataFolder),
    ...(threads && { check: threads.check }),
    ...(dataFolder !== null && {
      backups: { connection, dataFolder, ...(options.restore && { restore: options.restore }) },
    }),
  });
  const server = createServer(app);
  const port = await listen(server, host, options.port);
  // Known only now, since a port that is taken is passed over.
  addresses.push(...networkAddresses(host, port));
  const secure = certificates ? createSecureServer({ key: certificates.key, cert: certificates.cert }, app) : null; // prettier-ignore
  if (secure) secureAddresses.push(...networkAddresses(host, await listen(secure, host, port + 1), 'https'));
  const daily =
    dataFolder === null
      ? null
      : keepDaily(connection, dataFolder, (error) => logger.error({ err: logged(error) }, 'no backup today'));
  return {
    address: addressOf(host, port),
    port,
    addresses,
    secureAddresses,
    code,
    async close() {
      const listening = [server, ...(secure ? [secure] : [])];
      for (const each of listening) each.closeAllConnections();
      const closed = Promise.all(
        listening.map((each) => new Promise<void>((resolve) => each.close(() => resolve()))),
      );
      const ended = Promise.all([
        closed,
        daily?.stop(),
        standIn?.close(),
        threads?.close(),
        sequelize.close(),
        looking.close(),
      ]);
      await Promise.race([ended.catch(() => undefined), wait(CLOSE_MS, undefined, { ref: false })]);
      await Promise.race([log.close(), wait(CLOSE_MS, undefined, { ref: false })]);
    },
  };
}
