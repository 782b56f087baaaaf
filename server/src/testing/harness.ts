import { pino } from 'pino';
import type { Express } from 'express';
import type { Sequelize } from 'sequelize';
import { v7 } from 'uuid';
import { inject } from 'vitest';
import { connectionFile } from '../../../scripts/lib/database.mjs';
import { createApp } from '../app.ts';
import { openSequelize, readConnection } from '../database.ts';
import { migrate } from '../migrations/index.ts';
import { projectAll } from '../services/projections.ts';
import { CrewRow, defineModels } from '../models/index.ts';
import type { Wiring } from '../app.ts';

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

/** The private database that no other file of tests works on at the same time. */
export function databaseFolder(): string {
  const folders = inject('databaseFolders');
  return folders[Number(process.env['VITEST_POOL_ID']) % folders.length]!;
}

/** The application on the private test database, or another one, acting for a crew of its own. */
export async function openHarness(more: Partial<Wiring> = {}, folder = databaseFolder()): Promise<Harness> {
  const connection = readConnection(connectionFile(folder));
  const backups = { connection, dataFolder: folder };
  const sequelize = openSequelize(connection);
  defineModels(sequelize);
  await migrate(sequelize);
  await projectAll(sequelize, 'test');
  const wire = (crewId: string) =>
    createApp({ sequelize, homeCrewId: crewId, logger, webRoot: null, backups, ...more });
  const crewId = await newCrew();
  return {
    app: wire(crewId),
    sequelize,
    crewId,
    otherCrew: async () => wire(await newCrew()),
    close: () => sequelize.close(),
  };
}
