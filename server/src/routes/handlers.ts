import { setTimeout as wait } from 'node:timers/promises';
import { openApi } from '@steady-scatter/contract';
import type { Request, Response } from 'express';
import { QueryTypes, type Sequelize } from 'sequelize';
import {
  calibrationService,
  productService,
  rigService,
  ruleSetService,
  siteService,
  soilTestService,
  widthTestService,
} from '../services/documents.ts';
import type { Actor } from '../actor.ts';
import { HttpProblem } from '../problems/HttpProblem.ts';
import type { Disk } from '../running/disk.ts';
import { TRUSTED_MS, type DeviceService } from '../services/devices.ts';
import { jobService } from '../services/jobs.ts';
import type { Stored } from '../checking/stored.ts';
import type { Versioned } from '../services/versioned.ts';
import { isOwn, onlyLead, TOKEN_COOKIE, tokenOf, type Network } from '../trust.ts';
import type { Handlers } from './mount.ts';

interface Keeping<One extends string, Many extends string> {
  readonly one: One;
  readonly many: Many;
}

type ById = { readonly actor: Actor; readonly params: { readonly id: string } };

/** The five handlers of a kind of thing that is kept. */
const kept = <One extends string, Many extends string, Wire, Listed>(
  { one, many }: Keeping<One, Many>,
  service: Omit<Versioned<Wire>, 'list'> & { list(actor: Actor): Promise<Listed[]> },
) =>
  ({
    [`list${many}`]: ({ actor }: ById) => service.list(actor),
    [`read${one}`]: ({ actor, params }: ById) => service.read(actor, params.id),
    [`write${one}`]: ({ actor, params, stored }: ById & { stored: Stored }) =>
      service.write(actor, params.id, stored),
    [`delete${one}`]: async ({ actor, params }: ById) => {
      await service.remove(actor, params.id);
      return undefined;
    },
    [`restore${one}`]: ({ actor, params }: ById) => service.restore(actor, params.id),
  }) as unknown as KeptHandlers<One, Many, Wire, Listed>;

type KeptHandlers<One extends string, Many extends string, Wire, Listed> = {
  readonly [Name in `list${Many}`]: (call: { actor: Actor }) => Promise<Listed[]>;
} & { readonly [Name in `read${One}` | `restore${One}`]: (call: ById) => Promise<Wire> } & {
  readonly [Name in `write${One}`]: (call: ById & { stored: Stored }) => Promise<Wire>;
} & { readonly [Name in `delete${One}`]: (call: ById) => Promise<undefined> };

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
    const { publicUrl, addresses, code } = network;
    return {
      publicUrl,
      trusted,
      addresses: trusted ? [...addresses] : [],
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
  readonly network: Network;
  readonly devices: DeviceService;
  readonly disk: Disk;
  readonly homeCrewId: string;
}

/** The handlers of all routes: thin, one call each. */
export function createHandlers({ sequelize, network, devices, disk, homeCrewId }: HandlerParts): Handlers {
  const products = productService(sequelize);
  return {
    async health() {
      const asked = sequelize.query('SELECT 1', { type: QueryTypes.SELECT }).then(() => 'ok' as const);
      const late = wait(HEALTH_MS, 'down' as const, { ref: false });
      const database = await Promise.race([asked, late]).catch(() => 'down' as const);
      const room = disk.isFull() ? ('full' as const) : ('ok' as const);
      if (database === 'down') throw new HttpProblem('database-down', { database, disk: room });
      return { status: room === 'full' ? 'limited' : 'ok', database, disk: room };
    },
    describe: async () => openApi(),
    ...pairing(network, devices, homeCrewId),
    ...kept({ one: 'Job', many: 'Jobs' }, jobService(sequelize)),
    ...kept({ one: 'Product', many: 'Products' }, products),
    async addProducts({ actor, stored }) {
      await products.addAll(actor, stored);
      return undefined;
    },
    async deleteProducts({ actor, body }) {
      await products.removeAll(actor, body.ids);
      return undefined;
    },
    ...kept({ one: 'Site', many: 'Sites' }, siteService(sequelize)),
    ...kept({ one: 'Rig', many: 'Rigs' }, rigService(sequelize)),
    ...kept({ one: 'Calibration', many: 'Calibrations' }, calibrationService(sequelize)),
    ...kept({ one: 'WidthTest', many: 'WidthTests' }, widthTestService(sequelize)),
    ...kept({ one: 'SoilTest', many: 'SoilTests' }, soilTestService(sequelize)),
    ...kept({ one: 'RuleSet', many: 'RuleSets' }, ruleSetService(sequelize)),
  };
}
