import { blankRig } from '@steady-scatter/core/machines';
import { blankCalibration, blankRun, keepEarlier, type CalibrationInput } from '@steady-scatter/core/testing';
import { blankWidthTest } from '@steady-scatter/core/width';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { DocumentRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import { writeOf } from './testing/jobs.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const strip = {
  ...blankRun('r1', '2026-04-10', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100' },
};
const input: CalibrationInput = {
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
  runs: [strip],
};
const put = (id: string, version: number, body: unknown) =>
  request(harness.app)
    .put(`/api/calibrations/${id}`)
    .send(writeOf('calibrations', body as object, version));

it('keeps a calibration as typed, and lists how it stands', async () => {
  const id = v7();
  expect((await put(id, 0, input).expect(200)).body).toMatchObject({ version: 1, input });
  const [line] = (await request(harness.app).get('/api/calibrations')).body.items;
  expect(line).toMatchObject({ runs: 1, target: '3.33', widthM: expect.closeTo(9 * 0.3048, 12) });
  await request(await harness.otherCrew())
    .get(`/api/calibrations/${id}`)
    .expect(404);
});

it('refuses a change that overwrites or drops what was measured; beside the new reading the old one may go', async () => {
  const id = v7();
  await put(id, 0, input).expect(200);
  const anew = { ...input, runs: [{ ...strip, readings: { ...strip.readings, left: '45.10' } }] };
  const refused = await put(id, 1, anew).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'run.overwritten', path: ['runs', '0', 'readings', 'left'] });
  expect((await put(id, 1, { ...input, runs: [] }).expect(422)).body.detail).toContain('Strike it out');
  await put(id, 1, keepEarlier(input, anew, 'taken anew')).expect(200);
  expect((await DocumentRow.findByPk(id))?.version).toBe(2);
}); // prettier-ignore

it('runs stay with their machine: another one is another calibration', async () => {
  const id = v7();
  const onMachine = { ...input, rig: v7() };
  await put(id, 0, onMachine).expect(200);
  const refused = await put(id, 1, { ...onMachine, rig: v7() }).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'calibration.other-machine' });
  await put(id, 1, { ...onMachine, notes: 'gate cable looked at' }).expect(200);
});

it.each([
  [{ runs: [{ ...strip, readings: { ...strip.readings, left: '49' } }] }, ['input', 'runs', 0, 'readings', 'left'], 'test.nothing-out'],
  [{ width: { text: '0', unit: 'ft', by: 'chosen' } }, ['input', 'width', 'text'], 'quantity.not-positive'],
  [{ runs: [{ ...strip, readings: { ...strip.readings, time: '0' } }] }, ['input', 'runs', 0, 'readings', 'time'], 'quantity.not-positive'],
])('refuses %j at its field', async (more, path, code) => {
  const answer = await put(v7(), 0, { ...input, ...more }).expect(400);
  expect(answer.body.errors[0]).toMatchObject({ path, code });
}); // prettier-ignore

it('takes five hundred runs', async () => {
  const runs = Array.from({ length: 500 }, (_, at) => ({ ...strip, id: `r${at}` }));
  await put(v7(), 0, { ...input, runs }).expect(200);
});

it('reads a machine and a calibration that an earlier version kept', async () => {
  const { crewId } = harness;
  const base = { crewId, version: 1, schemaVersion: 1, isSample: false, deletedAt: null };
  const { outlets: _, ...old } = blankRig('us');
  const rig = { ...old, name: 'Yard truck', second: { name: 'spinner speed', setting: '3' } };
  const { id: rigId } = await DocumentRow.create({
    ...base,
    id: v7(),
    kind: 'rigs',
    input: JSON.stringify(rig),
  });
  const { earlier: __, step: ___, width: ____, checked: _____, container: ______, ...run } = strip;
  const kept = { name: 'Old', rig: '', product: 'Salt', lot: '', target: input.target, tolerance: '5', isCeiling: false, start: 'low', width: input.width, scaleStep: '', units: input.units, runs: [run], signOff: { setting: '11', onDay: '2025-11-02', by: '' }, notes: '' }; // prettier-ignore
  const { id } = await DocumentRow.create({
    ...base,
    id: v7(),
    kind: 'calibrations',
    input: JSON.stringify(kept),
  });
  const read = (path: string) => request(harness.app).get(path).expect(200);
  expect((await read(`/api/rigs/${rigId}`)).body.input.second).toMatchObject({ style: 'own', own: '3' });
  expect((await read(`/api/calibrations/${id}`)).body.input).toMatchObject({ runs: [{ earlier: [] }], signOff: { setting: '11', state: '' } }); // prettier-ignore
});

it('keeps a width test with the spacing that came of it; wrong trays are refused at their field', async () => {
  const row = '0 .3 .9 1.8 2.7 3.3 3.6 3.8 3.9 3.7 3.4 3.0 2.3 1.5 .7 .2 0'.split(' ');
  const test = { ...blankWidthTest('metric'), name: 'Trays', rows: [row] };
  const id = v7();
  const write = (body: object) => request(harness.app).put(`/api/width-tests/${id}`).send(writeOf('widthTests', body));
  expect((await write({ ...test, rows: [row.with(2, '-1')] }).expect(400)).body.errors[0]).toMatchObject({ path: ['input', 'rows', 0, 2], code: 'count.unreadable' }); // prettier-ignore
  expect((await write(test).expect(200)).body.input).toEqual(test);
  const [line] = (await request(harness.app).get('/api/width-tests')).body.items;
  expect(line.recommendedM).toBeCloseTo(5.175, 3);
}); // prettier-ignore
