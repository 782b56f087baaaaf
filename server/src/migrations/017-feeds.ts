import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** Secret addresses by which calendars follow the plans; only a hash of each one's secret is kept. */
export const feeds: RunnableMigration<Sequelize> = {
  name: '017-feeds',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.createTable('feeds', {
      id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
      crewId: { type: DataTypes.UUID, allowNull: false, references: { model: 'crews', key: 'id' } },
      name: { type: DataTypes.STRING(120), allowNull: false },
      secretHash: { type: DataTypes.CHAR(64), allowNull: false, unique: true },
      createdAt: { type: DataTypes.DATE(3), allowNull: false },
      readAt: { type: DataTypes.DATE(3), allowNull: true },
    });
    await steps.addIndex('feeds', ['crewId']);
  },
};
