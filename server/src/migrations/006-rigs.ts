import type { Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { createDocumentTable } from './documentTable.ts';

/** Machines, and each calibrated for a product. */
export const rigs: RunnableMigration<Sequelize> = {
  name: '006-rigs',
  async up({ context }) {
    const tables = context.getQueryInterface();
    await createDocumentTable(tables, 'rigs');
    await createDocumentTable(tables, 'calibrations');
  },
};
