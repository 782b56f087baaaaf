// Server: Express over MariaDB. Routes call services, services decide, models store.
// startServer is the one door for the start script; everything else is wired in app.ts.
import { randomInt } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import { networkInterfaces } from 'node:os';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { openSequelize, readConnection } from './database.ts';
import { migrate } from './migrations/index.ts';
import { defineModels } from './models/index.ts';
import { seedDemo } from './services/demo.ts';

export interface ServerOptions {
  /** File that tells how to reach the database. */
  readonly connectionFile: string;
  readonly webRoot: string | null;
  /** First port to try; taken ones are passed over, up to 50 of them. */
  readonly port: number;
  /** Address to listen on; without it this machine alone. With one, devices of the network pair by a code. */
  readonly host?: string;
  /** Address for links and QR codes, where it is not that of the page. */
  readonly publicUrl?: string;
  /** File that requests and failures are logged in; without one they go to standard output. */
  readonly logFile?: string;
}

export interface RunningServer {
  readonly port: number;
  /** Addresses on the local network, and the code to pair with; none where it is not let in. */
  readonly addresses: readonly string[];
  readonly code: string | null;
  close(): Promise<void>;
}

const LOOPBACK = '127.0.0.1';
const PORTS_TO_TRY = 50;

/** Eight digits in two groups, easy to read out. */
const newCode = (): string =>
  String(randomInt(1e8))
    .padStart(8, '0')
    .replace(/^(....)/, '$1 ');

/** This machine's addresses on its networks. */
const networkAddresses = (port: number): string[] =>
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `http://${address}:${port}`);

async function listen(app: Server, host: string, first: number): Promise<Server> {
  for (let port = first; ; port += 1) {
    try {
      // oxlint-disable-next-line no-await-in-loop -- one port after the other
      return await new Promise<Server>((resolve, reject) => {
        const failed = (error: Error) => reject(error);
        app.once('error', failed).listen(port, host, () => {
          app.off('error', failed);
          resolve(app);
        });
      });
    } catch (error) {
      const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
      if (!taken || port >= first + PORTS_TO_TRY) throw error;
    }
  }
}

/** Migrates, loads the demo once, and serves the API and the web app on one loopback port. */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'info' }, pino.destination(options.logFile ?? 1));
  const sequelize = openSequelize(readConnection(options.connectionFile));
  defineModels(sequelize);
  await migrate(sequelize);
  const crewId = await seedDemo(sequelize);
  const { host = LOOPBACK, publicUrl = null } = options;
  const code = host === LOOPBACK && publicUrl === null ? null : newCode();
  const addresses: string[] = [];
  const network = { publicUrl, addresses, code };
  const app = createApp({ sequelize, crewId, logger, webRoot: options.webRoot, network });
  const server = await listen(createServer(app), host, options.port);
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : options.port;
  // Known only now, since a port that is taken is passed over.
  if (host !== LOOPBACK) addresses.push(...networkAddresses(port));
  return {
    port,
    addresses,
    code,
    async close() {
      server.closeAllConnections();
      await new Promise<void>((resolve) => server.close(() => resolve()));
      await sequelize.close();
    },
  };
}
