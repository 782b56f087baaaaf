import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Machines, and each calibrated for a product. */
export const rigs: RunnableMigration<Sequelize> = {
  name: '006-rigs',
  async up({ context }) {
    const tables = context.getQueryInterface();
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const json = { type: DataTypes.TEXT('medium'), allowNull: false };
    for (const table of ['rigs', 'calibrations']) {
      // One after the other: a migration has no hurry and the connection is one.
      // oxlint-disable-next-line no-await-in-loop
      await tables.createTable(table, {
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
      // oxlint-disable-next-line no-await-in-loop
      await tables.addIndex(table, ['crewId', 'deletedAt', 'name']);
    }
  },
};
