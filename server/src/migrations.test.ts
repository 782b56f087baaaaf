import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { connectionFile, openDatabase, stopDatabase } from '../../scripts/lib/database.mjs';
import { EVENTS, KIND_NAMES, type StoredEvent } from '@steady-scatter/contract';
import { leadOf } from './actor.ts';
import { checkRead } from './checking/check.ts';
import { openSequelize, readConnection } from './database.ts';
import {
  blankCalibration,
  blankRun,
  withRuns,
  type CalibrationAim,
  type OpenRunInput,
  type RunInput,
  type TestRunInput,
} from '@steady-scatter/core/testing';
import { migrate } from './migrations/index.ts';
import { defineModels, DocumentRow } from './models/index.ts';
import { documentService } from './services/documents.ts';
import { eventService } from './services/events.ts';
import { projectAll } from './services/projections.ts';
import { kindNamed } from './checking/stored.ts';

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
  await projectAll(sequelize, 'test');
  const documents = documentService(sequelize);
  const [jobs, products] = [kindNamed('jobs'), kindNamed('products')];
  const job = await documents.read(leadOf(crewId), jobs, jobId);
  expect(job).toMatchObject({
    version: 3,
    input: {
      worksheet: {
        need: { nutrient: 'P2O5', amount: '½', unit: 'lb/1000 ft2' },
        product: {
          grade: '10-10-10',
          package: { size: '40-lb bag', unit: 'lb' },
          coverage: { size: '5 000', unit: 'ft2' },
        },
        areas: [{ id: areaId, name: 'Lawn', size: '62 x 38', unit: 'ft2' }],
        shownIn: { rate: 'kg/ha', amount: null, area: null },
      },
    },
  });
  const product = await documents.read(leadOf(crewId), products, productId);
  expect(product.input).toMatchObject({ ...label, gradeBasis: 'weight', scoop: { weighings: [] } });
  const { schemaVersion, input } = job;
  const repeat = checkRead({ kind: 'jobs', verb: 'write' }, { version: 3, schemaVersion, input });
  const again = await documents.write(leadOf(crewId), jobs, jobId, repeat);
  const { items } = await documents.list(leadOf(crewId), jobs, { q: 'lawn', filter: [], limit: 10 });
  expect(items).toMatchObject([{ id: jobId, areaNames: ['Lawn'] }]);
  expect(again.version).toBe(3);
});

it('brings every kind of the version before the documents over: as it was, by whom, deleted or not, readable or not', async () => {
  await sequelize.query('DROP DATABASE steady');
  await sequelize.query('CREATE DATABASE steady CHARACTER SET utf8mb4');
  await sequelize.query('USE steady');
  await migrate(sequelize, '010-changed-by');
  const [crewId, device, site, area] = [v7(), v7(), v7(), v7()];
  const now = '2026-04-18 08:00:00.000';
  const insert = (table: string, values: Record<string, unknown>) =>
    sequelize.getQueryInterface().bulkInsert(table, [values]);
  await insert('crews', { id: crewId, name: 'Crew', isDemo: false, createdAt: now, updatedAt: now });
  const ids: Record<string, string> = {};
  const old = async (table: string, typed: object | string, more: Record<string, unknown> = {}) => {
    const id = v7();
    ids[table] ??= id;
    await insert(table, { id, crewId, version: 5, isSample: false, name: 'Old', typed: typeof typed === 'string' ? typed : JSON.stringify(typed), ...(table !== 'jobs' && { si: '{}' }), createdAt: now, updatedAt: now, deletedAt: null, changedByDevice: device, ...more });
    return id;
  };
  await old('products', { kind: 'liquid-fertilizer', name: 'Old', package: { size: '10', unit: 'L' } });
  await old('sites', { name: 'Old', notes: '', place: { lat: '', lon: '' }, pace: { line: '', unit: 'm', walks: [], wheel: '' }, areas: [{ id: area, name: 'Lawn', surface: 'turf', slope: 'level', treated: true, hold: 'placed', parts: [], edges: [{ id: 'e', of: 'water', along: 'all', part: '', from: '', to: '', length: '', buffer: '', unit: 'm' }], rows: { spacing: '', own: '', per: 'ha', count: '', length: '', unit: 'm' }, shownIn: 'm2', notes: '' }] });
  await old('rigs', { name: 'Old', second: { name: 'spinner', setting: '3' } });
  await old('calibrations', { name: 'Old', answers: ['q'], units: { mass: 'kg', length: 'm' }, runs: [{ id: 'r', onDay: '2026-04-10', setting: '8', method: 'catch', readings: { gross: '2' }, struck: 'wind', note: '' }] });
  await old('widthTests', { name: 'Old', way: 'half', mode: 'one-way', answers: [], throw: { text: '10', unit: 'm' } });
  await old('soilTests', { name: 'Old', onDay: '2026-03-02', lab: '', needs: { N: '90', P2O5: '', K2O: '', S: '' }, form: 'oxide', unit: 'kg/ha', ph: '', limeNote: '', notes: '' });
  await old('ruleSets', { name: 'Old', source: '', unit: 'kg/ha', rules: [] });
  const job = await old('jobs', { need: { of: 'N', amount: '40', unit: 'kg/ha' } }, { onDay: '2026-04-18' });
  await insert('jobAreas', { jobId: job, id: v7(), crewId, position: 1, name: 'Second', sizeTyped: '20', sizeUnit: 'm2', areaM2: 20 });
  await insert('jobAreas', { jobId: job, id: v7(), crewId, position: 0, name: 'First', sizeTyped: '10', sizeUnit: 'm2', areaM2: 10, siteId: site, siteAreaId: area });
  const torn = await old('rigs', '{"name":"Torn"');
  const gone = await old('products', { name: 'Gone' }, { deletedAt: now });

  await migrate(sequelize);
  await projectAll(sequelize, 'test');
  const documents = documentService(sequelize);
  const actor = leadOf(crewId);
  const read = (name: string) => documents.read(actor, kindNamed(name as 'jobs'), ids[name]!);
  for (const name of KIND_NAMES.filter((each) => each in ids)) expect([name, (await read(name)).version]).toEqual([name, 5]);
  expect((await read('products')).input).toMatchObject({ package: { size: '10', unit: 'L' }, labelRate: { unit: 'L/ha' } });
  expect((await read('sites')).input).toMatchObject({ areas: [{ layoutMode: 'placed', edges: [{ kind: 'water' }] }] });
  expect((await read('rigs')).input).toMatchObject({ second: { style: 'own', own: '3' } });
  expect((await read('calibrations')).input).toMatchObject({ confirmed: ['q'], units: { mass: 'kg' } });
  const { events } = await eventService(sequelize).list(actor, EVENTS.testRuns, { subject: [ids['calibrations']!], limit: 9 });
  expect(events).toMatchObject([{ occurredAt: '2026-04-10T12:00:00.000Z', recordedAt: '2026-04-18T08:00:00.000Z', input: { setting: '8', excluded: 'wind', noFlow: false, units: { mass: 'kg' } } }]);
  expect((await read('widthTests')).input).toMatchObject({ spacingMethod: 'half', passPattern: 'one-way', throw: { text: '10' } });
  expect((await read('jobs')).input).toMatchObject({ name: 'Old', onDay: '2026-04-18', worksheet: { need: { nutrient: 'N' }, areas: [{ name: 'First', from: { site, area } }, { name: 'Second' }] } });
  expect(await DocumentRow.count({ where: { changedByDevice: device } })).toBe(10);
  expect(await documents.raw(actor, kindNamed('rigs'), torn)).toMatchObject({ raw: '{"name":"Torn"', schemaVersion: 1 });
  expect(await documents.restore(actor, kindNamed('products'), gone)).toMatchObject({ input: { name: 'Gone' } });
  const { items } = await documents.list(actor, kindNamed('jobs'), { q: '', filter: [`uses:${area}`], limit: 5 });
  expect(items).toMatchObject([{ id: job, totalM2: 30 }]);
}); // prettier-ignore

it('takes the runs of calibrations out: done ones are appended, open ones are documents, and all of them are found again', async () => {
  await sequelize.query('DROP DATABASE steady');
  await sequelize.query('CREATE DATABASE steady CHARACTER SET utf8mb4');
  await sequelize.query('USE steady');
  await migrate(sequelize, '012-events');
  const [crewId, calibration, torn, run] = [v7(), v7(), v7(), v7()];
  const now = '2026-11-01 08:00:00.000';
  const insert = (table: string, values: Record<string, unknown>) => sequelize.getQueryInterface().bulkInsert(table, [values]);
  await insert('crews', { id: crewId, name: 'Crew', isDemo: false, createdAt: now, updatedAt: now });
  const stored = (id: string, input: string) => insert('documents', { id, crewId, kind: 'calibrations', version: 4, schemaVersion: 2, isSample: true, input, createdAt: now, updatedAt: now, deletedAt: null, changedByUser: null, changedByDevice: null });
  const made = (id: string, setting: string, more: object = {}) => ({ ...blankRun(id, '2026-04-10', 'weigh-back'), setting, readings: { in: '48.00', left: '45.05', length: '100' }, ...more });
  const runs = [made(run, '8'), made('r2', '14', { onDay: '2026-04-08' }), made('r3', '11', { onDay: 'soon', excluded: 'gate open' }), made('r4', '11', { step: 'walk' })];
  const { pace, width } = blankCalibration('us');
  const input = { ...blankCalibration('us'), name: 'Red', runs, confirmed: [`far.${run}`, 'apart.r2.r3'], signOff: { setting: '11', onDay: '2026-04-10', by: '', state: '', pace, width, second: '', lot: '', grain: '' } };
  await stored(calibration, JSON.stringify(input));
  await stored(torn, '{"runs":[1]}');

  await migrate(sequelize);
  await projectAll(sequelize, 'test');
  const actor = leadOf(crewId);
  const documents = documentService(sequelize);
  const { events, unreadable } = await eventService(sequelize).list(actor, EVENTS.testRuns, { subject: [calibration], limit: 9 });
  expect(unreadable).toEqual([]);
  const rows = events as StoredEvent<TestRunInput>[];
  expect(rows.map(({ input: { setting, excluded } }) => [setting, excluded])).toEqual([['8', ''], ['14', ''], ['11', 'gate open']]);
  expect(rows.map(({ id }) => id === run)).toEqual([true, false, false]);
  expect(rows.map(({ occurredAt }) => occurredAt)).toEqual(['2026-04-10T12:00:00.000Z', '2026-04-10T12:00:00.001Z', '2026-11-01T08:00:00.000Z']);
  expect(rows.every(({ isSample }) => isSample)).toBe(true);
  const aim = (await documents.read(actor, kindNamed('calibrations'), calibration)) as { version: number; input: CalibrationAim };
  expect(aim).toMatchObject({ version: 4, input: { confirmed: [`far.${run}`, `apart.${rows[1]!.id}.${rows[2]!.id}`], signOff: { runs: rows.slice(0, 2).map(({ id }) => id) } } });
  const { items } = await documents.list(actor, kindNamed('openRuns'), { q: '', filter: [`calibration:${calibration}`], limit: 5 });
  const open = (await documents.read(actor, kindNamed('openRuns'), items[0]!.id)) as { id: string; input: OpenRunInput };
  // Put together again they are what they were.
  const back = withRuns(aim.input, rows, [open]);
  const said = ({ onDay, setting, readings, earlier, excluded, step, width: across }: RunInput) => [onDay, setting, readings, earlier, excluded, step, across];
  expect(back.runs.map(said)).toEqual(runs.map(said));
  expect(await documents.raw(actor, kindNamed('calibrations'), torn)).toMatchObject({ raw: '{"runs":[1]}', schemaVersion: 2 });
}); // prettier-ignore
