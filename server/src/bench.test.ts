import { KINDS } from '@steady-scatter/contract';
import { blankRig } from '@steady-scatter/core/machines';
import {
  aimOf,
  blankCalibration,
  blankRun,
  keepEarlier,
  type CalibrationAim,
  type OpenRunInput,
  type TestRunInput,
} from '@steady-scatter/core/testing';
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

const units = { mass: 'lb', length: 'ft' } as const;
const { id: _, row: __, step: ___, ...blank } = blankRun('', '2026-04-10', 'weigh-back');
const strip: TestRunInput = {
  ...blank,
  units,
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100' },
};
const input: CalibrationAim = {
  ...aimOf(blankCalibration('us')),
  name: 'Red spreader, lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
};
const write =
  (path: string, kind: 'calibrations' | 'openRuns') => (id: string, version: number, body: unknown) =>
    request(harness.app)
      .put(`/api/${path}/${id}`)
      .send(writeOf(kind, body as object, version));
const put = write('calibrations', 'calibrations');
const putOpen = write('open-runs', 'openRuns');
const append = (subject: string, more: object = {}) =>
  request(harness.app)
    .post('/api/test-runs')
    .send({
      id: v7(),
      subject,
      first: null,
      occurredAt: '2026-04-10T09:00:00.000Z',
      schemaVersion: 1,
      input: strip,
      ...more,
    });

it('keeps a calibration as typed, and lists how it stands', async () => {
  const id = v7();
  expect((await put(id, 0, input).expect(200)).body).toMatchObject({ version: 1, input });
  const [line] = (await request(harness.app).get('/api/calibrations')).body.items;
  expect(line).toMatchObject({ target: '3.33', widthM: expect.closeTo(9 * 0.3048, 12) });
  await request(await harness.otherCrew())
    .get(`/api/calibrations/${id}`)
    .expect(404);
});

it('a run that is being made is handed on; what was read of it is not overwritten, beside the new reading the old one may go', async () => {
  const [calibration, id] = [v7(), v7()];
  await put(calibration, 0, input).expect(200);
  const open: OpenRunInput = { ...strip, calibration, step: 'after' };
  await putOpen(id, 0, open).expect(200);
  const anew = { ...open, readings: { ...open.readings, left: '45.10' } };
  const refused = await putOpen(id, 1, anew).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'run.overwritten', path: ['readings', 'left'] });
  await putOpen(id, 1, keepEarlier(open, anew, 'taken anew')).expect(200);
  // Anything may stand in it while it is typed.
  await putOpen(id, 2, {
    ...keepEarlier(open, anew, 'taken anew'),
    note: 'x',
    readings: { ...anew.readings, time: 'soon' },
  }).expect(200);
  const filter = `calibration:${calibration}`;
  const { items } = (await request(harness.app).get('/api/open-runs').query({ filter })).body;
  expect(items).toMatchObject([{ id, setting: '11', step: 'after', method: 'weigh-back' }]);
});

it('once it is appended it is not open any more, and whoever still types in it is told', async () => {
  const [calibration, id, other] = [v7(), v7(), v7()];
  await put(calibration, 0, input).expect(200);
  const open: OpenRunInput = { ...strip, calibration, step: 'result' };
  for (const each of [id, other]) await putOpen(each, 0, open).expect(200);
  await append(calibration, { id }).expect(200);
  const listed = await request(harness.app)
    .get('/api/open-runs')
    .query({ filter: `calibration:${calibration}` });
  expect(listed.body.items.map((line: { id: string }) => line.id)).toEqual([other]);
  await request(harness.app).get(`/api/open-runs/${id}`).expect(404);
  expect((await putOpen(id, 1, { ...open, note: 'late' }).expect(409)).body).toMatchObject({ theirs: null });
  await append(calibration, { id }).expect(200);
});

it('runs stay with their machine: another one is another calibration', async () => {
  const id = v7();
  const onMachine = { ...input, rig: v7() };
  await put(id, 0, onMachine).expect(200);
  await put(id, 1, { ...onMachine, rig: v7() }).expect(200);
  await put(id, 2, onMachine).expect(200);
  await append(id).expect(200);
  const refused = await put(id, 3, { ...onMachine, rig: v7() }).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'calibration.other-machine' });
  await put(id, 3, { ...onMachine, notes: 'gate cable looked at' }).expect(200);
});

it('a width that cannot be is refused at its field', async () => {
  const answer = await put(v7(), 0, { ...input, width: { text: '0', unit: 'ft', by: 'chosen' } }).expect(400);
  expect(answer.body.errors[0]).toMatchObject({
    path: ['input', 'width', 'text'],
    code: 'quantity.not-positive',
  });
});

it.each([
  [{ left: '49' }, ['input', 'readings', 'left'], 'test.nothing-out'],
  [{ time: '0' }, ['input', 'readings', 'time'], 'quantity.not-positive'],
])('a run that reads %j is refused at its field', async (readings, path, code) => {
  const id = v7();
  await put(id, 0, input).expect(200);
  const answer = await append(id, {
    input: { ...strip, readings: { ...strip.readings, ...readings } },
  }).expect(400);
  expect(answer.body.errors[0]).toMatchObject({ path, code });
});

it('a page of before, which sends runs inside their calibration, is refused and loses none; without any it is heard', async () => {
  const id = v7();
  const earlier = (runs: object[]) => ({ version: 0, schemaVersion: 2, input: { ...input, runs } });
  const send = (body: object) => request(harness.app).put(`/api/calibrations/${id}`).send(body);
  const refused = await send(earlier([{ ...strip, id: 'r1', step: '' }])).expect(400);
  expect(refused.body.errors[0]).toMatchObject({ path: ['input', 'runs'] });
  expect((await send(earlier([])).expect(200)).body).toMatchObject({ schemaVersion: KINDS.calibrations.schemaVersion, input });
}); // prettier-ignore

it('reads a machine and a calibration that an earlier version kept', async () => {
  const { crewId } = harness;
  const base = { crewId, version: 1, schemaVersion: 1, isSample: false, deletedAt: null };
  const { outlets: ____, ...old } = blankRig('us');
  const rig = { ...old, name: 'Yard truck', second: { name: 'spinner speed', setting: '3' } };
  const { id: rigId } = await DocumentRow.create({
    ...base,
    id: v7(),
    kind: 'rigs',
    input: JSON.stringify(rig),
  });
  const { onDay, setting, method, readings, note } = strip;
  const run = { id: 'r1', onDay, setting, method, readings, note, struck: 'wind' };
  const kept = { name: 'Old', rig: '', product: 'Salt', lot: '', target: input.target, tolerance: '5', isCeiling: false, start: 'low', width: input.width, scaleStep: '', units: input.units, runs: [run], signOff: { setting: '11', onDay: '2025-11-02', by: '' }, notes: '' }; // prettier-ignore
  const { id } = await DocumentRow.create({
    ...base,
    id: v7(),
    kind: 'calibrations',
    input: JSON.stringify(kept),
  });
  const read = (path: string) => request(harness.app).get(path).expect(200);
  expect((await read(`/api/rigs/${rigId}`)).body.input.second).toMatchObject({ style: 'own', own: '3' });
  expect((await read(`/api/calibrations/${id}`)).body.input).toMatchObject({
    signOff: { setting: '11', state: '', runs: [] },
  });
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

it('an archived calibration is found among those that were taken off, and comes back with its runs', async () => {
  const [id, other] = [v7(), v7()];
  for (const each of [id, other]) await put(each, 0, { ...input, name: `Archived ${each}` }).expect(200); // oxlint-disable-line no-await-in-loop
  await append(id).expect(200);
  for (const each of [other, id]) await request(harness.app).delete(`/api/calibrations/${each}`).expect(204); // oxlint-disable-line no-await-in-loop
  const removed = async (app = harness.app) =>
    (await request(app).get('/api/calibrations/removed').expect(200)).body.items as { id: string; name: string; removedAt: string }[]; // prettier-ignore
  const items = await removed();
  expect(items.slice(0, 2).map(({ name }) => name).toSorted()).toEqual([`Archived ${id}`, `Archived ${other}`].toSorted()); // prettier-ignore
  expect(items[0]!.removedAt >= items[1]!.removedAt).toBe(true);
  expect(await removed(await harness.otherCrew())).toEqual([]);
  await request(harness.app).post(`/api/calibrations/${id}/restore`).expect(200);
  expect((await removed()).map((each) => each.id)).not.toContain(id);
  const { events } = (await request(harness.app).get('/api/test-runs').query({ subject: id })).body;
  expect(events).toHaveLength(1);
});
