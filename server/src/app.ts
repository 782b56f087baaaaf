import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import { AUTHORITY_PATH, EVENTS, KIND_NAMES, type EventKind, type Kind } from '@steady-scatter/contract';
import compression from 'compression';
import builtFiles from 'express-static-gzip';
import express, { Router, type Express, type RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { LevelWithSilent, Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import { errorHandler, noSuchRoute, tooMany } from './problems/errorHandler.ts';
import { mountDocuments } from './routes/documents.ts';
import { mountEvents } from './routes/events.ts';
import { calendarRoutes, withoutSecret } from './routes/calendar.ts';
import { createHandlers } from './routes/handlers.ts';
import { mountRoutes, type Handlers } from './routes/mount.ts';
import { sameInstallation } from './sameInstallation.ts';
import { sameOrigin } from './sameOrigin.ts';
import { deviceService } from './services/devices.ts';
import { eventService } from './services/events.ts';
import { documentService, type DocumentService } from './services/documents.ts';
import { backupRoutes, type Backups } from './backup/routes.ts';
import { photoService } from './photos/photos.ts';
import { photoRoutes } from './photos/routes.ts';
import { checkHere, type Check } from './checking/check.ts';
import { kindNamed } from './checking/stored.ts';
import { ANY_DISK, type Disk } from './running/disk.ts';
import { onlyTrusted, THIS_MACHINE, tokenOf, type Network } from './trust.ts';

/** What the application is wired from. */
export interface Wiring {
  readonly sequelize: Sequelize;
  /** What is asked whether the database answers; the same where nothing else is said. */
  readonly looking?: Sequelize;
  /** The crew that whoever is at the machine itself leads, and that devices are paired with. */
  readonly homeCrewId: string;
  /** What tells these rows from those of another database; without one nobody is told. */
  readonly installation?: string;
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
  /** Where the station is asked for pavement, weather and weights; none: there is none. */
  readonly station?: string;
  /** Most requests to the API from one address in a minute. */
  readonly requestsPerMinute?: number;
  /** The kinds that are stored; those of the contract where nothing else is said. */
  readonly kinds?: readonly Kind[];
  /** Replaces handlers, for tests of what goes wrong. */
  readonly overrides?: Partial<Handlers>;
  /** Replaces what can be done with documents, for tests of what goes wrong. */
  readonly ofDocuments?: Partial<DocumentService>;
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

/**
 * The built web app: hashed files for good, the page itself always fresh, and one page for every path. Each file goes out as the
 * build packed it.
 */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    '/assets',
    builtFiles(join(webRoot, 'assets'), {
      serveStatic: { immutable: true, maxAge: YEAR_SECONDS * 1000, fallthrough: false },
    }),
  );
  app.use(builtFiles(webRoot, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(webRoot, 'index.html'));
  });
}

/** What failed, and what was changed, stands in the log; what was only looked at does not. */
function levelOf(
  { method }: IncomingMessage,
  { statusCode }: ServerResponse,
  error?: Error,
): LevelWithSilent {
  if (error || statusCode >= 500) return 'error';
  return method === 'GET' && statusCode < 400 ? 'debug' : 'info';
}

/** Each request has an id that stands in the log, in a header, and in the problem when there is one. */
const requestLog = (logger: Logger) =>
  pinoHttp({
    logger,
    quietReqLogger: true,
    customLogLevel: levelOf,
    genReqId: (_request, response) => {
      const id = randomUUID();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({ method, url: withoutSecret(url) }),
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
    ofDocuments,
    network = THIS_MACHINE,
    check = checkHere,
    disk = ANY_DISK,
    backups,
    kinds = KIND_NAMES.map(kindNamed),
    requestsPerMinute: limit = REQUESTS_PER_MINUTE,
  } = wiring;
  const app = express();
  const devices = deviceService(network.code);
  app.disable('x-powered-by');
  // Nothing of the API is stored on its way: a tag of each answer would be worked out for nobody.
  app.disable('etag');
  if (network.trustProxy.length > 0) app.set('trust proxy', network.trustProxy);
  app.use(requestLog(logger));
  app.use(securityHeaders);
  // The quickest level makes lists about a fifth of their size; the others cost more than they spare.
  app.use(compression({ level: constants.Z_BEST_SPEED }));
  const { authority } = network;
  if (authority)
    app.get(AUTHORITY_PATH, (_request, response) => {
      response.type('application/x-x509-ca-cert').attachment('steady-scatter.crt').send(authority);
    });
  app.use(calendarRoutes());
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
      keyGenerator(request) {
        const token = tokenOf(request);
        return (token === null ? null : devices.seen(token)) ?? ipKeyGenerator(request.ip ?? '');
      },
    }),
  );
  if (wiring.installation !== undefined) app.use('/api', sameInstallation(wiring.installation));
  app.use('/api', sameOrigin);
  app.use('/api', onlyTrusted(homeCrewId, devices));
  if (backups) app.use(backupRoutes(backups, disk));
  const documents = { ...documentService(sequelize), ...ofDocuments };
  const photos = photoService(sequelize);
  app.use(photoRoutes(photos, disk));
  const handlers = {
    ...createHandlers({
      sequelize,
      looking: wiring.looking ?? sequelize,
      network,
      devices,
      disk,
      homeCrewId,
      documents,
      photos,
      station: wiring.station ?? null,
    }),
    ...overrides,
  };
  const router = Router();
  mountRoutes(router, handlers, { check, disk });
  for (const kind of kinds) mountDocuments(router, kind, documents, { check, disk });
  const events = eventService(sequelize);
  for (const event of Object.values<EventKind>(EVENTS)) mountEvents(router, event, events, { disk });
  app.use(router);
  app.use('/api', noSuchRoute);
  if (webRoot) serveWeb(app, webRoot);
  app.use(errorHandler);
  return app;
}
