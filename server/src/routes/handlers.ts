import { openApi } from '@steady-scatter/contract';
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
import type { DeviceService } from '../services/devices.ts';
import { jobService } from '../services/jobs.ts';
import type { Versioned } from '../services/versioned.ts';
import { isOwn, isTrusted, TOKEN_COOKIE, type Network } from '../trust.ts';
import type { Handlers } from './mount.ts';

interface Keeping<One extends string, Many extends string> {
  readonly one: One;
  readonly many: Many;
}

type ById = { readonly crewId: string; readonly params: { readonly id: string } };

/** The five handlers of a kind of thing that is kept. */
const kept = <One extends string, Many extends string, Write, Wire, Listed>(
  { one, many }: Keeping<One, Many>,
  service: Omit<Versioned<Write, Wire>, 'list'> & { list(crewId: string): Promise<Listed[]> },
) =>
  ({
    [`list${many}`]: ({ crewId }: ById) => service.list(crewId),
    [`read${one}`]: ({ crewId, params }: ById) => service.read(crewId, params.id),
    [`write${one}`]: ({ crewId, params, body }: ById & { body: Write }) =>
      service.write(crewId, params.id, body),
    [`delete${one}`]: async ({ crewId, params }: ById) => {
      await service.remove(crewId, params.id);
      return undefined;
    },
    [`restore${one}`]: ({ crewId, params }: ById) => service.restore(crewId, params.id),
  }) as unknown as KeptHandlers<One, Many, Write, Wire, Listed>;

type KeptHandlers<One extends string, Many extends string, Write, Wire, Listed> = {
  readonly [Name in `list${Many}`]: (call: { crewId: string }) => Promise<Listed[]>;
} & { readonly [Name in `read${One}` | `restore${One}`]: (call: ById) => Promise<Wire> } & {
  readonly [Name in `write${One}`]: (call: ById & { body: Write }) => Promise<Wire>;
} & { readonly [Name in `delete${One}`]: (call: ById) => Promise<undefined> };

const YEAR_MS = 365 * 86_400_000;

/** Where this is reached, and which devices may. */
const pairing = (
  network: Network,
  devices: DeviceService,
): Pick<Handlers, 'here' | 'pair' | 'listDevices' | 'forgetDevice'> => ({
  async here({ crewId, request }) {
    const trusted = await isTrusted(request, crewId, devices);
    const { publicUrl, addresses, code } = network;
    return {
      publicUrl,
      trusted,
      addresses: trusted ? [...addresses] : [],
      code: isOwn(request) ? code : null,
    };
  },
  async pair({ crewId, body, response }) {
    const token = await devices.pair(crewId, body.code, body.name);
    response.cookie(TOKEN_COOKIE, token, { httpOnly: true, sameSite: 'lax', maxAge: YEAR_MS });
    return undefined;
  },
  listDevices: ({ crewId }) => devices.list(crewId),
  async forgetDevice({ crewId, params }) {
    await devices.forget(crewId, params.id);
    return undefined;
  },
});

/** The handlers of all routes: thin, one call each. */
export function createHandlers(sequelize: Sequelize, network: Network, devices: DeviceService): Handlers {
  const products = productService(sequelize);
  return {
    async health() {
      await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
      return { status: 'ok', database: 'ok' };
    },
    describe: async () => openApi(),
    ...pairing(network, devices),
    ...kept({ one: 'Job', many: 'Jobs' }, jobService(sequelize)),
    ...kept({ one: 'Product', many: 'Products' }, products),
    async addProducts({ crewId, body }) {
      await products.addAll(crewId, body);
      return undefined;
    },
    async deleteProducts({ crewId, body }) {
      await products.removeAll(crewId, body.ids);
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
