import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** The ground that one package covers by its label: what was typed, its unit, and m2. */
export const labelCoverage: RunnableMigration<Sequelize> = {
  name: '002-label-coverage',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const typed = { type: DataTypes.STRING(400), allowNull: false, defaultValue: '' };
    await steps.addColumn('jobs', 'coverageTyped', typed);
    await steps.addColumn('jobs', 'coverageUnit', {
      type: DataTypes.STRING(32),
      allowNull: false,
      defaultValue: 'ft2',
    });
    await steps.addColumn('jobs', 'coverageM2', { type: DataTypes.DOUBLE, allowNull: true });
  },
};
