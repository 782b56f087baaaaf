// Models: the tables as Sequelize sees them. Every table carries crewId, every query is scoped by it.
// Documents hold what was typed; the lists in summaries.ts hold what is found, sorted and added up, SI values as doubles.
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import { defineApplied } from './applied.ts';

export class CrewRow extends Model<InferAttributes<CrewRow>, InferCreationAttributes<CrewRow>> {
  declare id: string;
  declare name: string;
  declare isDemo: boolean;
  /** What it has settled for all of its devices beside its name, as JSON; null: nothing yet. */
  declare settings: CreationOptional<string | null>;
}

/** A thing that a crew stores, of any kind: what was typed, at the version of the schema that it was written by. */
export class DocumentRow extends Model<InferAttributes<DocumentRow>, InferCreationAttributes<DocumentRow>> {
  declare id: string;
  declare crewId: string;
  declare kind: string;
  declare version: number;
  declare schemaVersion: number;
  declare isSample: boolean;
  /** As typed, JSON. */
  declare input: string;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
  declare deletedAt: Date | null;
  /** Who changed it last; neither: whoever was at the machine itself. */
  declare changedByUser: CreationOptional<string | null>;
  declare changedByDevice: CreationOptional<string | null>;
}

/** Something that was measured or done: a row that nothing changes or deletes. */
export class EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  /** In the order in which they came. */
  declare seq: CreationOptional<number>;
  declare id: string;
  declare crewId: string;
  declare kind: string;
  /** The document that it belongs to. */
  declare subjectId: string;
  /** The row that this one says anew. */
  declare firstId: string | null;
  declare occurredAt: Date;
  declare recordedAt: Date;
  declare schemaVersion: number;
  declare isSample: boolean;
  /** As typed, JSON. */
  declare input: string;
  declare byUser: string | null;
  declare byDevice: string | null;
}

/** What leans on what: made from the documents. */
export class LinkRow extends Model<InferAttributes<LinkRow>, InferCreationAttributes<LinkRow>> {
  declare fromId: string;
  declare toId: string;
  declare kind: string;
}

/** Of which shape, and of which program, the list of a kind was made. */
export class ProjectionRow extends Model<
  InferAttributes<ProjectionRow>,
  InferCreationAttributes<ProjectionRow>
> {
  declare kind: string;
  declare fingerprint: string;
}

/** A photo: its picture, until it is removed, and what is known of it. */
export class PhotoRow extends Model<InferAttributes<PhotoRow>, InferCreationAttributes<PhotoRow>> {
  declare id: string;
  declare crewId: string;
  declare type: string;
  declare bytes: number;
  declare width: number;
  declare height: number;
  declare sha256: string;
  /** Of what came, before anything was taken out of it: the same one twice is told by it. */
  declare sentSha256: string;
  /** The picture in base64; empty: it was removed. */
  declare picture: string;
  declare recordedAt: Date;
  declare removedAt: Date | null;
  declare removedWhy: string;
  declare byDevice: string | null;
}

/** A device of the local network that was paired. */
export class DeviceRow extends Model<InferAttributes<DeviceRow>, InferCreationAttributes<DeviceRow>> {
  declare id: string;
  declare crewId: string;
  declare name: string;
  /** SHA-256 of the token that the device carries, hex. */
  declare tokenHash: string;
  declare createdAt: CreationOptional<Date>;
  declare seenAt: Date;
  /** Its row stays, so that it is told when it asks next. */
  declare forgottenAt: CreationOptional<Date | null>;
}

/** A secret address by which a calendar follows the plans. */
export class FeedRow extends Model<InferAttributes<FeedRow>, InferCreationAttributes<FeedRow>> {
  declare id: string;
  declare crewId: string;
  declare name: string;
  /** SHA-256 of the secret in the address, hex. */
  declare secretHash: string;
  declare createdAt: CreationOptional<Date>;
  declare readAt: CreationOptional<Date | null>;
}

const { UUID, STRING, INTEGER, BIGINT, DATE, BOOLEAN, TEXT } = DataTypes;

/** Binds the models to a connection. */
export function defineModels(sequelize: Sequelize): void {
  CrewRow.init(
    { id: { type: UUID, primaryKey: true }, name: STRING, isDemo: BOOLEAN, settings: TEXT },
    { sequelize, tableName: 'crews' },
  );
  DocumentRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      kind: STRING(40),
      version: INTEGER,
      schemaVersion: INTEGER,
      isSample: BOOLEAN,
      input: TEXT('medium'),
      createdAt: DATE(3),
      updatedAt: DATE(3),
      deletedAt: DATE(3),
      changedByUser: UUID,
      changedByDevice: UUID,
    },
    { sequelize, tableName: 'documents' },
  );
  EventRow.init(
    {
      seq: { type: BIGINT, primaryKey: true, autoIncrement: true },
      id: UUID,
      crewId: UUID,
      kind: STRING(40),
      subjectId: UUID,
      firstId: UUID,
      occurredAt: DATE(3),
      recordedAt: DATE(3),
      schemaVersion: INTEGER,
      isSample: BOOLEAN,
      input: TEXT('medium'),
      byUser: UUID,
      byDevice: UUID,
    },
    { sequelize, tableName: 'events', timestamps: false },
  );
  LinkRow.init(
    { fromId: { type: UUID, primaryKey: true }, toId: { type: UUID, primaryKey: true }, kind: STRING(40) },
    { sequelize, tableName: 'documentLinks', timestamps: false },
  );
  ProjectionRow.init(
    { kind: { type: STRING(40), primaryKey: true }, fingerprint: STRING(200) },
    { sequelize, tableName: 'projections', timestamps: false },
  );
  PhotoRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      type: STRING(20),
      bytes: INTEGER,
      width: INTEGER,
      height: INTEGER,
      sha256: STRING(64),
      sentSha256: STRING(64),
      picture: TEXT('long'),
      recordedAt: DATE(3),
      removedAt: DATE(3),
      removedWhy: STRING(400),
      byDevice: UUID,
    },
    { sequelize, tableName: 'photos', timestamps: false },
  );
  defineApplied(sequelize);
  DeviceRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      name: STRING,
      tokenHash: STRING,
      createdAt: DATE(3),
      seenAt: DATE(3),
      forgottenAt: DATE(3),
    },
    { sequelize, tableName: 'devices' },
  );
  FeedRow.init(
    {
      id: { type: UUID, primaryKey: true },
      crewId: UUID,
      name: STRING,
      secretHash: STRING,
      createdAt: DATE(3),
      readAt: DATE(3),
    },
    { sequelize, tableName: 'feeds', updatedAt: false },
  );
}
