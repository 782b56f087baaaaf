import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { createDocumentTable } from './documentTable.ts';

/** Sites with their measured areas, and on a job's area where it was chosen from. */
export const sites: RunnableMigration<Sequelize> = {
  name: '005-sites',
  async up({ context }) {
    const tables = context.getQueryInterface();
    await createDocumentTable(tables, 'sites');
    const origin = { type: DataTypes.UUID, allowNull: true };
    await tables.addColumn('jobAreas', 'siteId', origin);
    await tables.addColumn('jobAreas', 'siteAreaId', origin);
  },
};
