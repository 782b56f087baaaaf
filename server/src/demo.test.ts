import {
  benchRig,
  chartShape,
  freshness,
  evaluateCalibration,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { evaluateWidthTest } from '@steady-scatter/core/width';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Calibration, Job, Product, Rig, WidthTest } from '@steady-scatter/contract';
import { createApp } from './app.ts';
import { seedDemo } from './services/demo.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { pino } from 'pino';

let harness: Harness;
let crewId: string;
beforeAll(async () => {
  harness = await openHarness();
  crewId = await seedDemo(harness.sequelize);
});
afterAll(() => harness.close());

const list = async <Wire>(path: string): Promise<Wire[]> => {
  const { sequelize } = harness;
  const app = createApp({ sequelize, homeCrewId: crewId, logger: pino({ level: 'silent' }), webRoot: null });
  return (await request(app).get(path).expect(200)).body as Wire[];
};

it('Tarn Hollow has a crew’s two seasons on the bench: what is fresh, stale, under way, doubted and corrected', async () => {
  const rigs = await list<Rig>('/api/rigs');
  const calibrations = await list<Calibration>('/api/calibrations');
  const products = await list<Product>('/api/products');
  const rigOf = ({ rig }: CalibrationInput) => rigs.find(({ id }) => id === rig)!.typed;
  const read = ({ typed }: Calibration) => {
    const other = calibrations.find(({ id }) => id === typed.shape)?.typed;
    const bench = benchRig(rigOf(typed));
    return evaluateCalibration(typed, bench, other ? chartShape(evaluateCalibration(other, bench)) : null);
  };
  for (const each of calibrations) expect([each.typed.name, read(each).errors]).toEqual([each.typed.name, []]);
  const ages = calibrations.map(({ typed }) => {
    const product = products.find(({ id }) => id === typed.productId)?.typed ?? null;
    return freshness(typed, rigOf(typed), product, '2026-11-25').state;
  });
  expect(new Set(ages)).toEqual(new Set(['none', 'ageing', 'stale']));
  const runs = calibrations.flatMap(({ typed }) => typed.runs);
  expect(runs.some(({ struck }) => struck !== '')).toBe(true);
  expect(runs.some(({ earlier }) => earlier.length > 0)).toBe(true);
  expect(new Set(runs.map(({ method }) => method))).toEqual(new Set(['weigh-back', 'tray', 'timed-catch', 'outlets'])); // prettier-ignore
  expect(calibrations.flatMap((each) => read(each).doubts).map(({ kind }) => kind)).toEqual(['apart']);
  expect(calibrations.some(({ typed }) => typed.start === 'shape' && typed.shape !== '')).toBe(true);
  expect(calibrations.some(({ typed }) => typed.isCeiling)).toBe(true);
}); // prettier-ignore

it('and widths by two habits, before and after, and a job that passes at another spacing than its chart', async () => {
  const tests = await list<WidthTest>('/api/width-tests');
  for (const { typed } of tests)
    expect([typed.name, evaluateWidthTest(typed).errors]).toEqual([typed.name, []]);
  expect(new Set(tests.map(({ typed }) => typed.way))).toEqual(new Set(['trays', 'half']));
  expect(tests.some(({ typed }) => typed.deflector)).toBe(true);
  expect(tests.some(({ typed }) => typed.before !== '' && typed.calibration !== '')).toBe(true);
  const jobs = await list<{ id: string; name: string }>('/api/jobs');
  const { id } = jobs.find(({ name }) => name === 'Spring feed, lake front')!;
  const { sequelize } = harness;
  const app = createApp({ sequelize, homeCrewId: crewId, logger: pino({ level: 'silent' }), webRoot: null });
  const { worksheet } = (await request(app).get(`/api/jobs/${id}`).expect(200)).body as Job;
  expect(worksheet.spread).toMatchObject({ width: { text: '4.5', unit: 'ft' }, recomputed: false });
});
