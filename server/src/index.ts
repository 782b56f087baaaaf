// Server: Express over MariaDB. Routes call services, services decide, models store.
// startServer is the one door for the start script; everything else is wired in app.ts.
import type { Server } from 'node:http';
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
  /** File that requests and failures are logged in; without one they go to standard output. */
  readonly logFile?: string;
}

export interface RunningServer {
  readonly port: number;
  close(): Promise<void>;
}

const HOST = '127.0.0.1';
const PORTS_TO_TRY = 50;

async function listen(app: ReturnType<typeof createApp>, first: number): Promise<Server> {
  for (let port = first; ; port += 1) {
    try {
      // oxlint-disable-next-line no-await-in-loop -- one port after the other
      return await new Promise<Server>((resolve, reject) => {
        const server = app.listen(port, HOST, (error) => (error ? reject(error) : resolve(server)));
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
  const server = await listen(
    createApp({ sequelize, crewId, logger, webRoot: options.webRoot }),
    options.port,
  );
  const address = server.address();
  return {
    port: typeof address === 'object' && address ? address.port : options.port,
    async close() {
      server.closeAllConnections();
      await new Promise<void>((resolve) => server.close(() => resolve()));
      await sequelize.close();
    },
  };
}
