import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { ensureDebian } from '../../../scripts/lib/packages.mjs';
import { connectionFile, openDatabase, stopDatabase } from '../../../scripts/lib/database.mjs';
import { openSequelize, readConnection } from '../database.ts';
import { migrate } from '../migrations/index.ts';

declare module 'vitest' {
  export interface ProvidedContext {
    databaseFolder: string;
  }
}

/** One private MariaDB for all server tests, made from nothing and thrown away after them. */
export default async function setup({ provide }: TestProject) {
  await ensureDebian('mariadb');
  const folder = mkdtempSync(join(tmpdir(), 'steady-test-'));
  await openDatabase(folder, { durable: false });
  const sequelize = openSequelize(readConnection(connectionFile(folder)));
  await migrate(sequelize);
  await sequelize.close();
  provide('databaseFolder', folder);
  return async () => {
    await stopDatabase(folder);
    rmSync(folder, { recursive: true, force: true });
  };
}
