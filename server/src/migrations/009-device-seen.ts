import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** When a paired device was last seen: one that stays away for long has to be paired again. */
export const deviceSeen: RunnableMigration<Sequelize> = {
  name: '009-device-seen',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.addColumn('devices', 'seenAt', { type: DataTypes.DATE(3), allowNull: true });
    await context.query('UPDATE devices SET seenAt = CURRENT_TIMESTAMP(3) WHERE seenAt IS NULL');
  },
};
