import { USUAL_SETTINGS } from '@steady-scatter/contract';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { CrewRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const EURO = {
  name: 'Tarn Hollow grounds',
  currency: { symbol: '€', place: 'after' },
  tolerance: '10',
  yearStart: '07-01',
  measures: 'cup 8 fl oz',
};
const read = async (app = harness.app) => (await request(app).get('/api/crew').expect(200)).body as unknown;

it('a crew that settled nothing has its name and what is usual; what it settles holds for it alone', async () => {
  const { name } = (await CrewRow.findByPk(harness.crewId))!;
  expect(await read()).toEqual({ ...USUAL_SETTINGS, name });
  await request(harness.app).put('/api/crew').send(EURO).expect(200);
  expect(await read()).toEqual(EURO);
  expect((await CrewRow.findByPk(harness.crewId))?.name).toBe(EURO.name);
  expect(await read(await harness.otherCrew())).toMatchObject({ currency: USUAL_SETTINGS.currency });
});

it('what an earlier version stored of it is filled up', async () => {
  await CrewRow.update({ settings: JSON.stringify({ tolerance: '8' }) }, { where: { id: harness.crewId } });
  expect(await read()).toEqual({ ...USUAL_SETTINGS, name: EURO.name, tolerance: '8' });
});

it('a page of before, which knows no cups, settles the rest', async () => {
  const { measures: _, ...before } = EURO;
  await request(harness.app).put('/api/crew').send(before).expect(200);
  expect(await read()).toEqual({ ...EURO, measures: '' });
});

it.each([
  ['a field too many', { ...EURO, motto: 'x' }],
  ['a place that is none', { ...EURO, currency: { symbol: '€', place: 'above' } }],
  ['a sign that is a sentence', { ...EURO, currency: { symbol: 'money of ours', place: 'after' } }],
])('%s is refused, and what was settled stays', async (_, body) => {
  const before = await read();
  await request(harness.app).put('/api/crew').send(body).expect(400);
  expect(await read()).toEqual(before);
});
