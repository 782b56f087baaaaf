import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { connectionFile, openDatabase, stopDatabase } from '../../scripts/lib/database.mjs';
import { leadOf } from './actor.ts';
import { checkRead } from './checking/check.ts';
import { openSequelize, readConnection } from './database.ts';
import { migrate } from './migrations/index.ts';
import { defineModels } from './models/index.ts';
import { productService } from './services/documents.ts';
import { jobService } from './services/jobs.ts';

const folder = mkdtempSync(join(tmpdir(), 'steady-migrate-'));
let sequelize: Sequelize;
beforeAll(async () => {
  await openDatabase(folder, { durable: false });
  sequelize = openSequelize(readConnection(connectionFile(folder)));
  defineModels(sequelize);
});
afterAll(async () => {
  await sequelize.close();
  await stopDatabase(folder);
  rmSync(folder, { recursive: true, force: true });
});

it('brings jobs and products of the first version forward as they were typed', async () => {
  await migrate(sequelize, '003-products');
  const [crewId, jobId, areaId, productId] = [v7(), v7(), v7(), v7()];
  const now = '2026-04-18 08:00:00.000';
  const insert = (table: string, values: Record<string, unknown>) =>
    sequelize.getQueryInterface().bulkInsert(table, [values]);
  await insert('crews', { id: crewId, name: 'Crew', isDemo: false, createdAt: now, updatedAt: now });
  const kept = { crewId, version: 3, isSample: false, createdAt: now, updatedAt: now, deletedAt: null };
  await insert('jobs', {
    ...kept,
    id: jobId,
    name: 'Spring feed',
    onDay: '2026-04-18',
    nutrient: 'P2O5',
    needTyped: '½',
    needUnit: 'lb/1000 ft2',
    needKgPerM2: 0.00244,
    gradeTyped: '10-10-10',
    packageTyped: '40-lb bag',
    packageUnit: 'lb',
    packageKg: 18.14,
    coverageTyped: '5 000',
    coverageUnit: 'ft2',
    shownRateUnit: 'kg/ha',
  });
  await insert('jobAreas', {
    jobId,
    id: areaId,
    crewId,
    position: 0,
    name: 'Lawn',
    sizeTyped: '62 x 38',
    sizeUnit: 'ft2',
    areaM2: 218.9,
  });
  const label = {
    kind: 'dry-fertilizer',
    name: 'Old feed',
    grade: '24-0-8',
    package: { size: '20', unit: 'kg' },
  };
  await insert('products', {
    ...kept,
    id: productId,
    name: 'Old feed',
    kind: 'dry-fertilizer',
    typed: JSON.stringify(label),
    packageSi: 20,
  });

  await migrate(sequelize);
  const job = await jobService(sequelize).read(leadOf(crewId), jobId);
  expect(job).toMatchObject({
    version: 3,
    worksheet: {
      need: { of: 'P2O5', amount: '½', unit: 'lb/1000 ft2' },
      product: {
        grade: '10-10-10',
        package: { size: '40-lb bag', unit: 'lb' },
        coverage: { size: '5 000', unit: 'ft2' },
      },
      areas: [{ id: areaId, name: 'Lawn', size: '62 x 38', unit: 'ft2' }],
      shownIn: { rate: 'kg/ha', amount: null, area: null },
    },
  });
  const product = await productService(sequelize).read(leadOf(crewId), productId);
  expect(product.typed).toMatchObject({ ...label, gradeBasis: 'weight', scoop: { weighings: [] } });
  const { name, onDay, worksheet } = job;
  const repeat = checkRead('writeJob', { version: 3, name, onDay, worksheet });
  const again = await jobService(sequelize).write(leadOf(crewId), jobId, repeat);
  expect(again.version).toBe(3);
});
