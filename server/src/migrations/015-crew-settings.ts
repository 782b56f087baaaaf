import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** What a crew has settled for all of its devices: its currency, the tolerance of a new calibration. */
export const crewSettings: RunnableMigration<Sequelize> = {
  name: '015-crew-settings',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.addColumn('crews', 'settings', { type: DataTypes.TEXT, allowNull: true });
  },
};
