import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import { errorHandler, noSuchRoute, tooMany } from './problems/errorHandler.ts';
import { createHandlers } from './routes/handlers.ts';
import { mountRoutes, type Handlers } from './routes/mount.ts';
import { sameOrigin } from './sameOrigin.ts';
import { deviceService } from './services/devices.ts';
import { onlyTrusted, THIS_MACHINE, type Network } from './trust.ts';

/** What the application is wired from. */
export interface Wiring {
  readonly sequelize: Sequelize;
  readonly crewId: string;
  readonly logger: Logger;
  /** Folder of the built web app; null where only the API is served. */
  readonly webRoot: string | null;
  /** Who may reach this beside the machine itself; without it nobody. */
  readonly network?: Network;
  /** Most requests to the API from one address in a minute. */
  readonly requestsPerMinute?: number;
  /** Replaces handlers, for tests of what goes wrong. */
  readonly overrides?: Partial<Handlers>;
}

const REQUESTS_PER_MINUTE = 1200;
const BODY_LIMIT = '256kb';
/** A batch of products, a site with boundaries from files, or hundreds of test runs are larger than what is typed by hand. */
const LARGE_LIMIT = '4mb';
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

/** Each request has an id that stands in the log, in a header, and in the problem when there is one. */
const requestLog = (logger: Logger) =>
  pinoHttp({
    logger,
    quietReqLogger: true,
    genReqId: (_request, response) => {
      const id = randomUUID();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
    },
  });

/** Wires the whole application; the one place where its parts meet. */
export function createApp(wiring: Wiring): Express {
  const {
    sequelize,
    crewId,
    logger,
    webRoot,
    overrides,
    network = THIS_MACHINE,
    requestsPerMinute: limit = REQUESTS_PER_MINUTE,
  } = wiring;
  const app = express();
  const devices = deviceService(network.code);
  app.disable('x-powered-by');
  app.use(requestLog(logger));
  app.use(securityHeaders);
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: tooMany,
    }),
  );
  app.use('/api', sameOrigin);
  app.use('/api', onlyTrusted(crewId, devices));
  app.use(
    ['/api/products/batch', '/api/sites', '/api/calibrations'],
    express.json({ limit: LARGE_LIMIT, type: ['application/json'] }),
  );
  app.use('/api', express.json({ limit: BODY_LIMIT, type: ['application/json'] }));
  app.use(mountRoutes({ ...createHandlers(sequelize, network, devices), ...overrides }, crewId));
  app.use('/api', noSuchRoute);
  if (webRoot) serveWeb(app, webRoot);
  app.use(errorHandler);
  return app;
}
