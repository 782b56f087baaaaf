import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Sites with their measured areas, and on a job's area where it was chosen from. */
export const sites: RunnableMigration<Sequelize> = {
  name: '005-sites',
  async up({ context }) {
    const tables = context.getQueryInterface();
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const json = { type: DataTypes.TEXT('medium'), allowNull: false };
    await tables.createTable('sites', {
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      version: { type: DataTypes.INTEGER, allowNull: false },
      isSample: { type: DataTypes.BOOLEAN, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      typed: json,
      si: json,
      createdAt: time,
      updatedAt: time,
      deletedAt: { ...time, allowNull: true },
    });
    await tables.addIndex('sites', ['crewId', 'deletedAt', 'name']);
    const origin = { type: DataTypes.UUID, allowNull: true };
    await tables.addColumn('jobAreas', 'siteId', origin);
    await tables.addColumn('jobAreas', 'siteAreaId', origin);
  },
};
