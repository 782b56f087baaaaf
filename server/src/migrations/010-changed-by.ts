import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

const TABLES = ['jobs', 'products', 'soilTests', 'ruleSets', 'sites', 'rigs', 'calibrations', 'widthTests'];

/** Who changed a thing last: a person, a device, or, where both are empty, whoever was at the machine itself. */
export const changedByWhom: RunnableMigration<Sequelize> = {
  name: '010-changed-by',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    // oxlint-disable-next-line no-await-in-loop -- one step after the other
    const columns = TABLES.flatMap((table) => ['changedByUser', 'changedByDevice'].map((name) => [table, name] as const)); // prettier-ignore
    // oxlint-disable-next-line no-await-in-loop -- one step after the other
    for (const [table, name] of columns) await steps.addColumn(table, name, { type: DataTypes.UUID, allowNull: true }); // prettier-ignore
  },
};
