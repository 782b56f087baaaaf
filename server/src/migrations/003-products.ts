import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** The shelf: each product's label as typed, and the SI values of what is listed and added up. */
export const products: RunnableMigration<Sequelize> = {
  name: '003-products',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const si = { type: DataTypes.DOUBLE, allowNull: true };
    await steps.createTable('products', {
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      version: { type: DataTypes.INTEGER, allowNull: false },
      isSample: { type: DataTypes.BOOLEAN, allowNull: false },
      kind: { type: DataTypes.STRING(32), allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      typed: { type: DataTypes.TEXT('medium'), allowNull: false },
      packageSi: si,
      densityKgPerL: si,
      priceCents: { type: DataTypes.INTEGER, allowNull: true },
      stockPackages: si,
      createdAt: time,
      updatedAt: time,
      deletedAt: { ...time, allowNull: true },
    });
    await steps.addIndex('products', ['crewId', 'deletedAt', 'name']);
  },
};
