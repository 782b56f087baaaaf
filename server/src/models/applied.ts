import { LEDGER_NUTRIENTS, type LedgerNutrient } from '@steady-scatter/core/need';
import { DataTypes, Model, type ModelAttributes, type Sequelize } from 'sequelize';

/** Where the ledger's lines are: made from the applications, each time one comes. */
export const APPLIED_TABLE = 'applied';

/** The column of a nutrient: kg of it on the ground. */
export const kgColumn = <Nutrient extends LedgerNutrient>(nutrient: Nutrient): `kg${Nutrient}` =>
  `kg${nutrient}`;

/** One application as it stands, in columns that are added up. Void ones are not here. */
export class AppliedRow extends Model {
  declare root: string;
  declare crewId: string;
  declare productKey: string;
  declare amountSi: number;
  declare startedAt: Date;
}

const { UUID, STRING, DOUBLE, DATE, BOOLEAN } = DataTypes;

const attributes = (): ModelAttributes => ({
  // A year lies together on the disk: its rows are read one after the other.
  crewId: { type: UUID, primaryKey: true },
  onDay: { type: STRING(10), primaryKey: true },
  root: { type: UUID, primaryKey: true },
  subject: UUID,
  runId: UUID,
  startedAt: DATE(3),
  site: STRING(36),
  area: STRING(36),
  areaKey: STRING(80),
  areaName: STRING(400),
  siteName: STRING(400),
  by: STRING(400),
  productKey: STRING(400),
  productName: STRING(400),
  lot: STRING(400),
  machine: STRING(36),
  areaM2: DOUBLE,
  amountSi: DOUBLE,
  meantSi: DOUBLE,
  isWeighed: BOOLEAN,
  isRound: BOOLEAN,
  ...Object.fromEntries(LEDGER_NUTRIENTS.map((nutrient) => [kgColumn(nutrient), { type: DOUBLE }])),
  quickNKg: DOUBLE,
  aiKg: DOUBLE,
  saltKg: DOUBLE,
  chlorideKg: DOUBLE,
  cents: DOUBLE,
});

/** Binds the ledger's lines to a connection. */
export function defineApplied(sequelize: Sequelize): void {
  AppliedRow.init(attributes(), {
    sequelize,
    tableName: APPLIED_TABLE,
    timestamps: false,
    indexes: [
      { name: 'by_root', fields: ['root'] },
      { name: 'by_area', fields: ['crewId', 'areaKey', 'onDay'] },
      { name: 'by_site', fields: ['crewId', 'site', 'onDay'] },
      { name: 'by_product', fields: ['crewId', { name: 'productKey', length: 120 }, 'startedAt'] },
      { name: 'by_lot', fields: ['crewId', { name: 'lot', length: 80 }] },
    ],
  });
}
