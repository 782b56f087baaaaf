import { DataTypes, type QueryInterface } from 'sequelize';

/** Makes the table of a kind of thing that is stored as it was typed, with its SI values beside it. */
export async function createDocumentTable(tables: QueryInterface, name: string): Promise<void> {
  const id = { type: DataTypes.UUID, allowNull: false };
  const time = { type: DataTypes.DATE(3), allowNull: false };
  const json = { type: DataTypes.TEXT('medium'), allowNull: false };
  await tables.createTable(name, {
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
  await tables.addIndex(name, ['crewId', 'deletedAt', 'name']);
}
