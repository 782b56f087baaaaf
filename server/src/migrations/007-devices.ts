import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** Devices of the local network that were paired; only a hash of each one's token is kept. */
export const devices: RunnableMigration<Sequelize> = {
  name: '007-devices',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.createTable('devices', {
      id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
      crewId: { type: DataTypes.UUID, allowNull: false, references: { model: 'crews', key: 'id' } },
      name: { type: DataTypes.STRING(120), allowNull: false },
      tokenHash: { type: DataTypes.CHAR(64), allowNull: false, unique: true },
      createdAt: { type: DataTypes.DATE(3), allowNull: false },
      updatedAt: { type: DataTypes.DATE(3), allowNull: false },
    });
    await steps.addIndex('devices', ['crewId']);
  },
};
