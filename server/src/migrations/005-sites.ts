import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { createDocumentTable } from './documentTable.ts';
import { stepsOn } from './steps.ts';

/** Sites with their measured areas, and on a job's area where it was chosen from. */
export const sites: RunnableMigration<Sequelize> = {
  name: '005-sites',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await createDocumentTable(steps, 'sites');
    const origin = { type: DataTypes.UUID, allowNull: true };
    await steps.addColumn('jobAreas', 'siteId', origin);
    await steps.addColumn('jobAreas', 'siteAreaId', origin);
  },
};
