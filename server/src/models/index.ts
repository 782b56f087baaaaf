// Models: the tables as Sequelize sees them. Every table carries crewId, every query is scoped by it.
// SI values are doubles beside the text and unit that were typed.
import type { AreaUnit, MassPerAreaUnit, MassUnit, Nutrient, ProductKind } from '@steady-scatter/core';
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize';

export class CrewRow extends Model<InferAttributes<CrewRow>, InferCreationAttributes<CrewRow>> {
  declare id: string;
  declare name: string;
  declare isDemo: boolean;
}

export class JobRow extends Model<InferAttributes<JobRow>, InferCreationAttributes<JobRow>> {
  declare id: string;
  declare crewId: string;
  declare version: number;
  declare isSample: boolean;
  declare name: string;
  declare onDay: string;
  declare nutrient: Nutrient;
  declare needTyped: string;
  declare needUnit: MassPerAreaUnit;
  declare needKgPerM2: number | null;
  declare gradeTyped: string;
  declare packageTyped: string;
  declare packageUnit: MassUnit;
  declare packageKg: number | null;
  declare coverageTyped: string;
  declare coverageUnit: AreaUnit;
  declare coverageM2: number | null;
  declare shownRateUnit: MassPerAreaUnit | null;
  declare shownAmountUnit: MassUnit | null;
  declare shownAreaUnit: AreaUnit | null;
  declare updatedAt: CreationOptional<Date>;
  declare deletedAt: Date | null;
  declare areas?: NonAttribute<JobAreaRow[]>;
}

export class JobAreaRow extends Model<InferAttributes<JobAreaRow>, InferCreationAttributes<JobAreaRow>> {
  declare jobId: string;
  declare id: string;
  declare crewId: string;
  declare position: number;
  declare name: string;
  declare sizeTyped: string;
  declare sizeUnit: AreaUnit;
  declare areaM2: number | null;
}

export class ProductRow extends Model<InferAttributes<ProductRow>, InferCreationAttributes<ProductRow>> {
  declare id: string;
  declare crewId: string;
  declare version: number;
  declare isSample: boolean;
  declare kind: ProductKind;
  declare name: string;
  /** The label as typed, JSON. */
  declare typed: string;
  declare packageSi: number | null;
  declare densityKgPerL: number | null;
  declare priceCents: number | null;
  declare stockPackages: number | null;
  declare updatedAt: CreationOptional<Date>;
  declare deletedAt: Date | null;
}

const { UUID, STRING, INTEGER, DOUBLE, DATEONLY, DATE, BOOLEAN, TEXT } = DataTypes;

/** Binds the models to a connection. */
export function defineModels(sequelize: Sequelize): void {
  CrewRow.init(
    { id: { type: UUID, primaryKey: true }, name: STRING, isDemo: BOOLEAN },
    { sequelize, tableName: 'crews' },
  );
  JobRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      version: INTEGER,
      isSample: BOOLEAN,
      name: STRING,
      onDay: DATEONLY,
      nutrient: STRING,
      needTyped: STRING,
      needUnit: STRING,
      needKgPerM2: DOUBLE,
      gradeTyped: STRING,
      packageTyped: STRING,
      packageUnit: STRING,
      packageKg: DOUBLE,
      coverageTyped: STRING,
      coverageUnit: STRING,
      coverageM2: DOUBLE,
      shownRateUnit: STRING,
      shownAmountUnit: STRING,
      shownAreaUnit: STRING,
      updatedAt: DATE(3),
      deletedAt: DATE(3),
    },
    { sequelize, tableName: 'jobs' },
  );
  JobAreaRow.init(
    {
      jobId: { type: UUID, primaryKey: true },
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      position: INTEGER,
      name: STRING,
      sizeTyped: STRING,
      sizeUnit: STRING,
      areaM2: DOUBLE,
    },
    { sequelize, tableName: 'jobAreas', timestamps: false },
  );
  ProductRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      version: INTEGER,
      isSample: BOOLEAN,
      kind: STRING,
      name: STRING,
      typed: TEXT('medium'),
      packageSi: DOUBLE,
      densityKgPerL: DOUBLE,
      priceCents: INTEGER,
      stockPackages: DOUBLE,
      updatedAt: DATE(3),
      deletedAt: DATE(3),
    },
    { sequelize, tableName: 'products' },
  );
  JobRow.hasMany(JobAreaRow, { as: 'areas', foreignKey: 'jobId' });
}
