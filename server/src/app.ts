import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import { errorHandler, noSuchRoute, tooMany } from './problems/errorHandler.ts';
import { createHandlers } from './routes/handlers.ts';
import { mountRoutes, type Handlers } from './routes/mount.ts';
import { sameOrigin } from './sameOrigin.ts';
import { deviceService } from './services/devices.ts';
import { backupRoutes, type Backups } from './backup/routes.ts';
import { checkHere, type Check } from './checking/check.ts';
import { ANY_DISK, type Disk } from './running/disk.ts';
import { onlyTrusted, THIS_MACHINE, tokenOf, type Network } from './trust.ts';

/** What the application is wired from. */
export interface Wiring {
  readonly sequelize: Sequelize;
  /** The crew that whoever is at the machine itself leads, and that devices are paired with. */
  readonly homeCrewId: string;
  readonly logger: Logger;
  /** Folder of the built web app; null where only the API is served. */
  readonly webRoot: string | null;
  /** Who may reach this beside the machine itself; without it nobody. */
  readonly network?: Network;
  /** Checks what is to be kept; without one, where it is called. */
  readonly check?: Check;
  readonly disk?: Disk;
  /** How backups are made and restored; none: they are not. */
  readonly backups?: Backups;
  /** Most requests to the API from one address in a minute. */
  readonly requestsPerMinute?: number;
  /** Replaces handlers, for tests of what goes wrong. */
  readonly overrides?: Partial<Handlers>;
}

const REQUESTS_PER_MINUTE = 1200;
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
  xFrameOptions: { action: 'deny' },
});

/** What was asked is nobody else's, and tomorrow it is another answer. */
const notStored: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

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
    homeCrewId,
    logger,
    webRoot,
    overrides,
    network = THIS_MACHINE,
    check = checkHere,
    disk = ANY_DISK,
    backups,
    requestsPerMinute: limit = REQUESTS_PER_MINUTE,
  } = wiring;
  const app = express();
  const devices = deviceService(network.code);
  app.disable('x-powered-by');
  if (network.trustProxy.length > 0) app.set('trust proxy', network.trustProxy);
  app.use(requestLog(logger));
  app.use(securityHeaders);
  app.use('/api', notStored);
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      // Who asks is told by TRUST_PROXY alone; what else a proxy adds is no reason to complain.
      validate: { xForwardedForHeader: false, forwardedHeader: false },
      handler: tooMany,
      // A device counts by itself, wherever it is; everybody else by his address.
      keyGenerator: (request) => devices.seen(tokenOf(request) ?? '') ?? ipKeyGenerator(request.ip ?? ''),
    }),
  );
  app.use('/api', sameOrigin);
  app.use('/api', onlyTrusted(homeCrewId, devices));
  if (backups) app.use(backupRoutes(backups, disk));
  const handlers = {
    ...createHandlers({ sequelize, network, devices, disk, homeCrewId }),
    ...overrides,
  };
  app.use(mountRoutes(handlers, { check, disk }));
  app.use('/api', noSuchRoute);
  if (webRoot) serveWeb(app, webRoot);
  app.use(errorHandler);
  return app;
}
