import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

const id = { type: DataTypes.UUID, allowNull: false };
const typed = { type: DataTypes.STRING(400), allowNull: false, defaultValue: '' };
const unit = { type: DataTypes.STRING(32), allowNull: false };
const si = { type: DataTypes.DOUBLE, allowNull: true };
const time = { type: DataTypes.DATE(3), allowNull: false };

/** Crews, their jobs, and each job's areas: what was typed, its unit, and its SI value side by side. */
export const crewsAndJobs: RunnableMigration<Sequelize> = {
  name: '001-crews-and-jobs',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.createTable('crews', {
      id: { ...id, primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      isDemo: { type: DataTypes.BOOLEAN, allowNull: false },
      createdAt: time,
      updatedAt: time,
    });
    await steps.createTable('jobs', {
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      version: { type: DataTypes.INTEGER, allowNull: false },
      isSample: { type: DataTypes.BOOLEAN, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      onDay: { type: DataTypes.DATEONLY, allowNull: false },
      nutrient: { type: DataTypes.STRING(8), allowNull: false },
      needTyped: typed,
      needUnit: unit,
      needKgPerM2: si,
      gradeTyped: typed,
      packageTyped: typed,
      packageUnit: unit,
      packageKg: si,
      shownRateUnit: { ...unit, allowNull: true },
      shownAmountUnit: { ...unit, allowNull: true },
      shownAreaUnit: { ...unit, allowNull: true },
      createdAt: time,
      updatedAt: time,
      deletedAt: { ...time, allowNull: true },
    });
    await steps.addIndex('jobs', ['crewId', 'deletedAt', 'onDay']);
    await steps.createTable('jobAreas', {
      jobId: { ...id, primaryKey: true, references: { model: 'jobs', key: 'id' } },
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      position: { type: DataTypes.INTEGER, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      sizeTyped: typed,
      sizeUnit: unit,
      areaM2: si,
    });
  },
};
