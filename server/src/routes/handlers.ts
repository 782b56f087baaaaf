import { setTimeout as wait } from 'node:timers/promises';
import { KIND_NAMES, openApi } from '@steady-scatter/contract';
import { kindNamed } from '../checking/stored.ts';
import type { Request, Response } from 'express';
import { QueryTypes, type Sequelize } from 'sequelize';
import { HttpProblem } from '../problems/HttpProblem.ts';
import type { Disk } from '../running/disk.ts';
import { TRUSTED_MS, type DeviceService } from '../services/devices.ts';
import { readCrew, writeCrew } from '../services/crew.ts';
import { addFeed, listFeeds, revokeFeed } from '../services/feeds.ts';
import type { DocumentService } from '../services/documents.ts';
import { readLedger } from '../services/ledger.ts';
import { readStock } from '../services/stock.ts';
import type { PhotoService } from '../photos/photos.ts';
import { askStation } from '../stations/askStation.ts';
import { isOwn, onlyLead, TOKEN_COOKIE, tokenOf, type Network } from '../trust.ts';
import type { Handlers } from './mount.ts';

/** Longest that health waits for the database, ms. */
const HEALTH_MS = 1000;

/** Gives a device its token to carry; with each look at the page it carries it on for as long again. */
function carry(response: Response, request: Request, token: string): void {
  response.cookie(TOKEN_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.secure,
    maxAge: TRUSTED_MS,
  });
}

/** Where this is reached, and which devices may. */
const pairing = (
  network: Network,
  devices: DeviceService,
  homeCrewId: string,
): Pick<Handlers, 'here' | 'pair' | 'listDevices' | 'forgetDevice'> => ({
  async here({ actor, request, response }) {
    const trusted = actor !== undefined;
    const token = tokenOf(request);
    if (trusted && token !== null) carry(response, request, token);
    const { publicUrl, addresses, secureAddresses = [], authority = null, code } = network;
    return {
      publicUrl,
      trusted,
      addresses: trusted ? [...addresses] : [],
      secureAddresses: [...secureAddresses],
      hasAuthority: authority !== null,
      code: isOwn(request) ? code : null,
    };
  },
  async pair({ body, request, response }) {
    carry(response, request, await devices.pair(homeCrewId, { ...body, from: request.ip ?? '' }));
    return undefined;
  },
  listDevices: ({ actor }) => devices.list(actor),
  async forgetDevice({ actor, params }) {
    onlyLead(actor);
    await devices.forget(actor, params.id);
    return undefined;
  },
});

interface HandlerParts {
  readonly sequelize: Sequelize;
  /** A connection of its own: whether the database answers is not to wait behind what is asked of it. */
  readonly looking: Sequelize;
  readonly network: Network;
  readonly devices: DeviceService;
  readonly disk: Disk;
  readonly homeCrewId: string;
  readonly documents: DocumentService;
  readonly photos: PhotoService;
  /** Where the station is asked; null: there is none. */
  readonly station: string | null;
}

/** The handlers of all routes but those of the stored kinds: thin, one call each. */
export function createHandlers({
  sequelize,
  looking,
  network,
  devices,
  disk,
  homeCrewId,
  documents,
  photos,
  station,
}: HandlerParts): Handlers {
  return {
    async health() {
      const asked = looking.query('SELECT 1', { type: QueryTypes.SELECT }).then(() => 'ok' as const);
      const late = wait(HEALTH_MS, 'down' as const, { ref: false });
      const database = await Promise.race([asked, late]).catch(() => 'down' as const);
      const room = disk.isFull() ? ('full' as const) : ('ok' as const);
      if (database === 'down') throw new HttpProblem('database-down', { database, disk: room });
      return { status: room === 'full' ? 'limited' : 'ok', database, disk: room };
    },
    describe: async () => openApi(),
    crew: ({ actor }) => readCrew(actor),
    async setCrew({ actor, body }) {
      onlyLead(actor);
      return writeCrew(actor, body);
    },
    ...pairing(network, devices, homeCrewId),
    station: ({ query }) => askStation(station, query.of),
    listFeeds: ({ actor }) => listFeeds(actor),
    addFeed: ({ actor, body }) => addFeed(actor, body.name),
    async revokeFeed({ actor, params }) {
      await revokeFeed(actor, params.id);
      return undefined;
    },
    stock: ({ actor }) => readStock(actor),
    ledger: ({ actor, query }) => readLedger(sequelize, actor, query),
    photo: ({ actor, params }) => photos.facts(actor, params.id),
    async removePhoto({ actor, params, body }) {
      onlyLead(actor);
      return photos.remove(actor, params.id, body.why);
    },
    search: async ({ actor, query }) => ({
      hits: await documents.search(
        actor,
        KIND_NAMES.map(kindNamed).filter(({ isNameless }) => !isNameless),
        query,
      ),
    }),
  };
}
