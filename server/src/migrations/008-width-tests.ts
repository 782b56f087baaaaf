import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** How far machines throw, and how far apart to pass. */
export const widthTests: RunnableMigration<Sequelize> = {
  name: '008-width-tests',
  async up({ context }) {
    const tables = context.getQueryInterface();
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const json = { type: DataTypes.TEXT('medium'), allowNull: false };
    await tables.createTable('widthTests', {
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
    await tables.addIndex('widthTests', ['crewId', 'deletedAt', 'name']);
  },
};
