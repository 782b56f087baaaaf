import { join } from 'node:path';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import { errorHandler, noSuchRoute } from './problems/errorHandler.ts';
import { createHandlers } from './routes/handlers.ts';
import { mountRoutes, type Handlers } from './routes/mount.ts';
import { jobService } from './services/jobs.ts';

/** What the application is wired from. */
export interface Wiring {
  readonly sequelize: Sequelize;
  readonly crewId: string;
  readonly logger: Logger;
  /** Folder of the built web app; null where only the API is served. */
  readonly webRoot: string | null;
  /** Replaces handlers, for tests of what goes wrong. */
  readonly overrides?: Partial<Handlers>;
}

const BODY_LIMIT = '256kb';
const YEAR_SECONDS = 31_536_000;

const securityHeaders = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      objectSrc: ["'none'"],
      frameAncestors: ["'none'"],
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

/** The built web app: hashed files for good, the page itself always fresh, and one page for every path. */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    '/assets',
    express.static(join(webRoot, 'assets'), {
      immutable: true,
      maxAge: YEAR_SECONDS * 1000,
      fallthrough: false,
    }),
  );
  app.use(express.static(webRoot, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'));
  });
}

/** Wires the whole application; the one place where its parts meet. */
export function createApp({ sequelize, crewId, logger, webRoot, overrides }: Wiring): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, quietReqLogger: true, autoLogging: false }));
  app.use(securityHeaders);
  app.use('/api', express.json({ limit: BODY_LIMIT, type: ['application/json'] }));
  app.use(mountRoutes({ ...createHandlers(sequelize, jobService(sequelize)), ...overrides }, crewId));
  app.use('/api', noSuchRoute);
  if (webRoot) serveWeb(app, webRoot);
  app.use(errorHandler);
  return app;
}
