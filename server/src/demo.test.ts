import {
  benchRig,
  chartShape,
  freshness,
  evaluateCalibration,
  withRuns,
  type CalibrationInput,
  type TestRunInput,
} from '@steady-scatter/core/testing';
import { doneRows, evaluateApplication, rowsWithin, saltOf } from '@steady-scatter/core/season';
import { answerWorksheet, AS_TYPED, tankSheet } from '@steady-scatter/core/worksheet';
import { evaluateWidthTest } from '@steady-scatter/core/width';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { KINDS, type DocumentOf, type KindName, type StoredEvent } from '@steady-scatter/contract';
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

const list = async <Name extends KindName>(name: Name): Promise<DocumentOf<(typeof KINDS)[Name]>[]> => {
  const app = appAtHome();
  const { path } = KINDS[name];
  const { items } = (await request(app).get(path).expect(200)).body as { items: { id: string }[] };
  return (await request(app).get(`${path}/documents?ids=${items.map(({ id }) => id).join()}`).expect(200)).body.documents; // prettier-ignore
};

const appAtHome = () =>
  createApp({
    sequelize: harness.sequelize,
    homeCrewId: crewId,
    logger: pino({ level: 'silent' }),
    webRoot: null,
  });
const testRunsOf = async (subject: string): Promise<StoredEvent<TestRunInput>[]> =>
  (await request(appAtHome()).get('/api/test-runs').query({ subject }).expect(200)).body.events;

it('Tarn Hollow has a crew’s two seasons on the bench: what is fresh, stale, under way, doubted and corrected', async () => {
  const rigs = await list('rigs');
  const calibrations = await Promise.all(
    (await list('calibrations')).map(async ({ id, input }) => ({ id, input: withRuns(input, await testRunsOf(id), []) })),
  );
  const products = await list('products');
  const rigOf = ({ rig }: CalibrationInput) => rigs.find(({ id }) => id === rig)!.input;
  const read = ({ input }: { input: CalibrationInput }) => {
    const other = calibrations.find(({ id }) => id === input.shape)?.input;
    const bench = benchRig(rigOf(input), input.target.unit);
    return evaluateCalibration(input, bench, other ? chartShape(evaluateCalibration(other, bench)) : null);
  };
  for (const each of calibrations) expect([each.input.name, read(each).errors]).toEqual([each.input.name, []]);
  const ages = calibrations.map(({ input }) => {
    const product = products.find(({ id }) => id === input.productId)?.input ?? null;
    return freshness(input, rigOf(input), product, '2026-11-25').state;
  });
  expect(new Set(ages)).toEqual(new Set(['none', 'ageing', 'stale', 'fresh']));
  const runs = calibrations.flatMap(({ input }) => input.runs);
  expect(runs.some(({ excluded }) => excluded !== '')).toBe(true);
  expect(runs.some(({ earlier }) => earlier.length > 0)).toBe(true);
  expect(new Set(runs.map(({ method }) => method))).toEqual(new Set(['weigh-back', 'tray', 'taped', 'timed-catch', 'outlets', 'spray-catch'])); // prettier-ignore
  expect(calibrations.flatMap((each) => read(each).plausibility).map(({ kind }) => kind)).toEqual(['apart']);
  expect(calibrations.some(({ input }) => input.start === 'shape' && input.shape !== '')).toBe(true);
  expect(calibrations.some(({ input }) => input.isCeiling)).toBe(true);
}); // prettier-ignore

it('and winters: storms with rounds, a correction and one that does not count, a guide of two versions, charts made before it', async () => {
  const [guides, storms, winters] = await Promise.all([list('guides'), list('storms'), list('winters')]);
  expect(guides.map(({ input }) => input.versions.length).toSorted((a, b) => a - b)).toEqual([1, 2]);
  const rows = (await request(appAtHome()).get('/api/applications').expect(200)).body.events;
  const done = doneRows(rows);
  expect(done.length).toBe(rows.length - 3);
  for (const storm of storms) expect(done.some(({ subject }) => subject === storm.id)).toBe(true);
  const jobs = await list('jobs');
  expect(new Set(done.filter(({ subject }) => jobs.some(({ id }) => id === subject)).map(({ subject }) => subject)).size).toBe(6);
  for (const { input } of done) expect(evaluateApplication(input).errors).toEqual([]);
  expect(done.filter(({ input }) => evaluateApplication(input).isVoid)).toHaveLength(1);
  const [last, now] = winters.toSorted((a, b) => a.input.fromDay.localeCompare(b.input.fromDay));
  const of = ({ input }: NonNullable<typeof last>) => saltOf(rowsWithin(done.map((row) => Object.assign({}, row, { id: row.root, onDay: row.startedAt.slice(0, 10) })), input.fromDay, input.toDay));
  expect(of(last!)).toMatchObject({ unknown: 0 });
  expect(of(last!).saltKg).toBeGreaterThan(of(now!).saltKg);
  const rigs = await list('rigs');
  const products = await list('products');
  const stale = (await list('calibrations')).filter(({ input }) => {
    const product = products.find(({ id }) => id === input.productId)?.input ?? null;
    return freshness(input, rigs.find(({ id }) => id === input.rig)!.input, product, '2026-11-25', { winterFrom: now!.input.fromDay }).reasons.some(({ id }) => id === 'fresh.winter');
  });
  expect(stale.map(({ input }) => input.name)).toEqual(['Yard truck, rock salt, last winter']);
}); // prettier-ignore

it('and what sprays: a boom with one worn nozzle, a gun, a job in tanks with a last one, two charts on one job', async () => {
  const rigs = await list('rigs');
  expect(new Set(rigs.map(({ input }) => input.kind)).size).toBe(8);
  expect(await list('nozzles')).toHaveLength(4);
  const boom = (await list('calibrations')).find(({ input }) => input.name === 'Utility boom, clean water')!;
  const whole = withRuns(boom.input, await testRunsOf(boom.id), []);
  const { spray } = evaluateCalibration(whole, benchRig(rigs.find(({ id }) => id === boom.input.rig)!.input));
  expect(spray!.nozzles!.nozzles.map(({ verdict }) => verdict).filter((verdict) => verdict !== 'good')).toEqual(['replace']);
  const jobs = await list('jobs');
  const { worksheet } = jobs.find(({ input: { name } }) => name === 'Lake front, boom top-up')!.input;
  const { plan, parts } = tankSheet(worksheet, answerWorksheet(worksheet, AS_TYPED), { tankL: 189.27, chartLPerM2: spray!.now!.mean.mean });
  expect([plan!.fullTanks, plan!.last !== null, parts.length]).toEqual([2, true, 2]);
  expect(parts[1]!.dissolved!.fits).toBe(true);
  const both = jobs.find(({ input: { name } }) => name === 'Ball field, carrier and liquid at once')!.input.worksheet;
  expect(both.tank.calibration).not.toBe(both.spread.calibration);
}); // prettier-ignore

it('and widths by two habits, before and after, and a job that passes at another spacing than its chart', async () => {
  const tests = await list('widthTests');
  for (const { input } of tests)
    expect([input.name, evaluateWidthTest(input).errors]).toEqual([input.name, []]);
  expect(new Set(tests.map(({ input }) => input.spacingMethod))).toEqual(new Set(['trays', 'half']));
  expect(tests.some(({ input }) => input.deflector)).toBe(true);
  expect(tests.some(({ input }) => input.before !== '' && input.calibration !== '')).toBe(true);
  const jobs = await list('jobs');
  const { worksheet } = jobs.find(({ input: { name } }) => name === 'Spring feed, lake front')!.input;
  expect(worksheet.spread).toMatchObject({ width: { text: '4.5', unit: 'ft' }, recomputed: false });
});
