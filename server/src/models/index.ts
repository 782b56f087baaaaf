// Models: the tables as Sequelize sees them. Every table carries crewId, every query is scoped by it.
// SI values are doubles beside the text and unit that were typed.
import type { AreaUnit } from '@steady-scatter/core/quantities';
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
  /** The worksheet as typed but for its areas, JSON. */
  declare typed: string;
  declare needSi: number | null;
  declare packageSi: number | null;
  declare coverageM2: number | null;
  declare rateSi: number | null;
  declare updatedAt: CreationOptional<Date>;
  declare deletedAt: Date | null;
  /** Who changed it last; neither: whoever was at the machine itself. */
  declare changedByUser: CreationOptional<string | null>;
  declare changedByDevice: CreationOptional<string | null>;
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
  /** The area of a site that it was chosen from. */
  declare siteId: string | null;
  declare siteAreaId: string | null;
}

/** A thing that is stored as it was typed: a product, a site, a soil test, a set of rules. */
export class DocumentRow extends Model<InferAttributes<DocumentRow>, InferCreationAttributes<DocumentRow>> {
  declare id: string;
  declare crewId: string;
  declare version: number;
  declare isSample: boolean;
  declare name: string;
  /** As typed, JSON. */
  declare typed: string;
  /** The SI values of what was typed, JSON. */
  declare si: string;
  declare updatedAt: CreationOptional<Date>;
  declare deletedAt: Date | null;
  /** Who changed it last; neither: whoever was at the machine itself. */
  declare changedByUser: CreationOptional<string | null>;
  declare changedByDevice: CreationOptional<string | null>;
}

export class ProductRow extends DocumentRow {}
export class SoilTestRow extends DocumentRow {}
export class RuleSetRow extends DocumentRow {}
export class SiteRow extends DocumentRow {}
export class RigRow extends DocumentRow {}
export class CalibrationRow extends DocumentRow {}
export class WidthTestRow extends DocumentRow {}

/** A device of the local network that was paired. */
export class DeviceRow extends Model<InferAttributes<DeviceRow>, InferCreationAttributes<DeviceRow>> {
  declare id: string;
  declare crewId: string;
  declare name: string;
  /** SHA-256 of the token that the device carries, hex. */
  declare tokenHash: string;
  declare createdAt: CreationOptional<Date>;
  declare seenAt: Date;
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
      typed: TEXT('medium'),
      needSi: DOUBLE,
      packageSi: DOUBLE,
      coverageM2: DOUBLE,
      rateSi: DOUBLE,
      updatedAt: DATE(3),
      deletedAt: DATE(3),
      changedByUser: UUID,
      changedByDevice: UUID,
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
      siteId: UUID,
      siteAreaId: UUID,
    },
    { sequelize, tableName: 'jobAreas', timestamps: false },
  );
  const document = {
    id: { type: UUID, primaryKey: true },
    crewId: UUID,
    version: INTEGER,
    isSample: BOOLEAN,
    name: STRING,
    typed: TEXT('medium'),
    si: TEXT('medium'),
    updatedAt: DATE(3),
    deletedAt: DATE(3),
    changedByUser: UUID,
    changedByDevice: UUID,
  };
  ProductRow.init({ ...document }, { sequelize, tableName: 'products' });
  SoilTestRow.init({ ...document }, { sequelize, tableName: 'soilTests' });
  RuleSetRow.init({ ...document }, { sequelize, tableName: 'ruleSets' });
  SiteRow.init({ ...document }, { sequelize, tableName: 'sites' });
  RigRow.init({ ...document }, { sequelize, tableName: 'rigs' });
  CalibrationRow.init({ ...document }, { sequelize, tableName: 'calibrations' });
  WidthTestRow.init({ ...document }, { sequelize, tableName: 'widthTests' });
  DeviceRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      name: STRING,
      tokenHash: STRING,
      createdAt: DATE(3),
      seenAt: DATE(3),
    },
    { sequelize, tableName: 'devices' },
  );
  JobRow.hasMany(JobAreaRow, { as: 'areas', foreignKey: 'jobId' });
}
