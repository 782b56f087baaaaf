import { pino } from 'pino';
import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import { v7 } from 'uuid';
import { inject } from 'vitest';
import { connectionFile } from '../../../scripts/lib/database.mjs';
import { createApp } from '../app.ts';
import { openSequelize, readConnection } from '../database.ts';
import { migrate } from '../migrations/index.ts';
import { CrewRow, defineModels } from '../models/index.ts';
import type { Handlers } from '../routes/mount.ts';

export interface Harness {
  readonly app: Express;
  readonly sequelize: Sequelize;
  readonly crewId: string;
  /** The same database seen by another crew. */
  otherCrew(): Promise<Express>;
  close(): Promise<void>;
}

const logger = pino({ level: 'silent' });

async function newCrew(): Promise<string> {
  const id = v7();
  await CrewRow.create({ id, name: 'Test crew', isDemo: false });
  return id;
}

/** The application on the private test database, or another one, acting for a crew of its own. */
export async function openHarness(
  overrides: Partial<Handlers> = {},
  folder = inject('databaseFolder'),
): Promise<Harness> {
  const connection = readConnection(connectionFile(folder));
  const backups = { connection, dataFolder: folder };
  const sequelize = openSequelize(connection);
  defineModels(sequelize);
  await migrate(sequelize);
  const wire = (crewId: string) =>
    createApp({ sequelize, homeCrewId: crewId, logger, webRoot: null, overrides, backups });
  const crewId = await newCrew();
  return {
    app: wire(crewId),
    sequelize,
    crewId,
    otherCrew: async () => wire(await newCrew()),
    close: () => sequelize.close(),
  };
}
