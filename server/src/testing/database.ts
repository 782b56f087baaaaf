import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { ensureDebian } from '../../../scripts/lib/packages.mjs';
import { connectionFile, openDatabase, stopDatabase } from '../../../scripts/lib/database.mjs';
import { openSequelize, readConnection } from '../database.ts';
import { migrate } from '../migrations/index.ts';
import { defineModels } from '../models/index.ts';
import { projectAll } from '../services/projections.ts';

declare module 'vitest' {
  export interface ProvidedContext {
    databaseFolders: readonly string[];
  }
}

async function open(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'steady-test-'));
  await openDatabase(folder, { durable: false });
  const sequelize = openSequelize(readConnection(connectionFile(folder)));
  defineModels(sequelize);
  await migrate(sequelize);
  await projectAll(sequelize, 'test');
  await sequelize.close();
  return folder;
}

async function close(folder: string): Promise<void> {
  await stopDatabase(folder);
  rmSync(folder, { recursive: true, force: true });
}

/**
 * Private MariaDB for server tests, made from nothing and thrown away after them: one for each that runs at the same time, since
 * some make every list anew.
 */
export default async function setup({ provide, vitest }: TestProject) {
  await ensureDebian('mariadb');
  const folders: string[] = [];
  // One after the other: each takes the next free port.
  // oxlint-disable-next-line no-await-in-loop
  while (folders.length < vitest.config.maxWorkers) folders.push(await open());
  provide('databaseFolders', folders);
  return async () => {
    await Promise.all(folders.map(close));
  };
}
