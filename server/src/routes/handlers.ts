import { openApi } from '@steady-scatter/contract';
import { QueryTypes, type Sequelize } from 'sequelize';
import { jobService } from '../services/jobs.ts';
import { productService } from '../services/products.ts';
import type { Handlers } from './mount.ts';

/** The handlers of all routes: thin, one call each. */
export function createHandlers(sequelize: Sequelize): Handlers {
  const jobs = jobService(sequelize);
  const products = productService(sequelize);
  return {
    async health() {
      await sequelize.query('SELECT 1', { type: QueryTypes.SELECT });
      return { status: 'ok', database: 'ok' };
    },
    describe: async () => openApi(),
    listJobs: ({ crewId }) => jobs.list(crewId),
    readJob: ({ crewId, params }) => jobs.read(crewId, params.id),
    writeJob: ({ crewId, params, body }) => jobs.write(crewId, params.id, body),
    async deleteJob({ crewId, params }) {
      await jobs.remove(crewId, params.id);
      return undefined;
    },
    restoreJob: ({ crewId, params }) => jobs.restore(crewId, params.id),
    listProducts: ({ crewId }) => products.list(crewId),
    readProduct: ({ crewId, params }) => products.read(crewId, params.id),
    writeProduct: ({ crewId, params, body }) => products.write(crewId, params.id, body),
    async deleteProduct({ crewId, params }) {
      await products.remove(crewId, params.id);
      return undefined;
    },
    restoreProduct: ({ crewId, params }) => products.restore(crewId, params.id),
  };
}
