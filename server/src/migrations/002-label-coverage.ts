import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** The ground that one package covers by its label: what was typed, its unit, and m2. */
export const labelCoverage: RunnableMigration<Sequelize> = {
  name: '002-label-coverage',
  async up({ context }) {
    const tables = context.getQueryInterface();
    const typed = { type: DataTypes.STRING(400), allowNull: false, defaultValue: '' };
    await tables.addColumn('jobs', 'coverageTyped', typed);
    await tables.addColumn('jobs', 'coverageUnit', {
      type: DataTypes.STRING(32),
      allowNull: false,
      defaultValue: 'ft2',
    });
    await tables.addColumn('jobs', 'coverageM2', { type: DataTypes.DOUBLE, allowNull: true });
  },
};
