import { DataTypes } from 'sequelize';
import type { stepsOn } from './steps.ts';

/** Makes the table of a kind of thing that is stored as it was typed, with its SI values beside it. */
export async function createDocumentTable(steps: ReturnType<typeof stepsOn>, name: string): Promise<void> {
  const id = { type: DataTypes.UUID, allowNull: false };
  const time = { type: DataTypes.DATE(3), allowNull: false };
  const json = { type: DataTypes.TEXT('medium'), allowNull: false };
  await steps.createTable(name, {
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
  await steps.addIndex(name, ['crewId', 'deletedAt', 'name']);
}
