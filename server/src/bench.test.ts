import { blankRig } from '@steady-scatter/core/rigs';
import { blankCalibration, blankRun, keepEarlier, type CalibrationInput } from '@steady-scatter/core/testing';
import { blankWidthTest } from '@steady-scatter/core/width';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { CalibrationRow, RigRow, WidthTestRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';

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
const typed: CalibrationInput = {
  ...blankCalibration('us'),
  name: 'Red spreader, lake feed',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
  runs: [strip],
};
const put = (id: string, version: number, body: unknown) =>
  request(harness.app).put(`/api/calibrations/${id}`).send({ version, typed: body });

it('keeps a calibration as typed, with what its runs come to beside it', async () => {
  const id = v7();
  expect((await put(id, 0, typed).expect(200)).body).toMatchObject({ version: 1, typed });
  const row = await CalibrationRow.findByPk(id);
  const si = JSON.parse(row?.si ?? '') as { runs: { worked: { rateKgPerM2: number } }[] };
  // 2.95 lb on 900 ft2.
  expect(si.runs[0]!.worked.rateKgPerM2).toBeCloseTo((2.95 * 0.45359237) / (900 * 0.3048 ** 2), 9);
  await request(await harness.otherCrew())
    .get(`/api/calibrations/${id}`)
    .expect(404);
});

it('refuses a change that overwrites or drops what was measured; beside the new reading the old one may go', async () => {
  const id = v7();
  await put(id, 0, typed).expect(200);
  const anew = { ...typed, runs: [{ ...strip, readings: { ...strip.readings, left: '45.10' } }] };
  const refused = await put(id, 1, anew).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'run.overwritten', path: ['runs', '0', 'readings', 'left'] });
  expect((await put(id, 1, { ...typed, runs: [] }).expect(422)).body.detail).toContain('Strike it out');
  await put(id, 1, keepEarlier(typed, anew, 'taken anew')).expect(200);
  const row = await CalibrationRow.findByPk(id);
  expect(row?.version).toBe(2);
}); // prettier-ignore

it('runs stay with their machine: another one is another calibration', async () => {
  const id = v7();
  const onMachine = { ...typed, rig: v7() };
  await put(id, 0, onMachine).expect(200);
  const refused = await put(id, 1, { ...onMachine, rig: v7() }).expect(422);
  expect(refused.body.errors[0]).toMatchObject({ code: 'calibration.other-machine' });
  await put(id, 1, { ...onMachine, notes: 'gate cable looked at' }).expect(200);
});

it.each([
  [{ runs: [{ ...strip, readings: { ...strip.readings, left: '49' } }] }, ['typed', 'runs', 0, 'readings', 'left'], 'test.nothing-out'],
  [{ width: { text: '0', unit: 'ft', by: 'chosen' } }, ['typed', 'width', 'text'], 'quantity.not-positive'],
  [{ runs: [{ ...strip, readings: { ...strip.readings, time: '0' } }] }, ['typed', 'runs', 0, 'readings', 'time'], 'quantity.not-positive'],
])('refuses %j at its field', async (more, path, code) => {
  const answer = await put(v7(), 0, { ...typed, ...more }).expect(400);
  expect(answer.body.errors[0]).toMatchObject({ path, code });
}); // prettier-ignore

it('takes five hundred runs', async () => {
  const runs = Array.from({ length: 500 }, (_, at) => ({ ...strip, id: `r${at}` }));
  await put(v7(), 0, { ...typed, runs }).expect(200);
});

it('reads a machine and a calibration that an earlier version kept', async () => {
  const { crewId } = harness;
  const base = { crewId, version: 1, isSample: false, deletedAt: null, si: '{}' };
  const { outlets: _, ...old } = blankRig('us');
  const rig = { ...old, name: 'Yard truck', second: { name: 'spinner speed', setting: '3' } };
  const { id: rigId } = await RigRow.create({
    ...base,
    id: v7(),
    name: rig.name,
    typed: JSON.stringify(rig),
  });
  const { earlier: __, step: ___, width: ____, checked: _____, container: ______, ...run } = strip;
  const kept = { name: 'Old', rig: '', product: 'Salt', lot: '', target: typed.target, tolerance: '5', isCeiling: false, start: 'low', width: typed.width, scaleStep: '', units: typed.units, runs: [run], signOff: { setting: '11', onDay: '2025-11-02', by: '' }, notes: '' }; // prettier-ignore
  const { id } = await CalibrationRow.create({
    ...base,
    id: v7(),
    name: kept.name,
    typed: JSON.stringify(kept),
  });
  const read = (path: string) => request(harness.app).get(path).expect(200);
  expect((await read(`/api/rigs/${rigId}`)).body.typed.second).toMatchObject({ style: 'own', own: '3' });
  expect((await read(`/api/calibrations/${id}`)).body.typed).toMatchObject({ runs: [{ earlier: [] }], signOff: { setting: '11', state: '' } }); // prettier-ignore
});

it('keeps a width test with the spacing that came of it; wrong trays are refused at their field', async () => {
  const row = '0 .3 .9 1.8 2.7 3.3 3.6 3.8 3.9 3.7 3.4 3.0 2.3 1.5 .7 .2 0'.split(' ');
  const test = { ...blankWidthTest('metric'), name: 'Trays', rows: [row] };
  const id = v7();
  const write = (body: object) => request(harness.app).put(`/api/width-tests/${id}`).send({ version: 0, typed: body });
  expect((await write({ ...test, rows: [row.with(2, '-1')] }).expect(400)).body.errors[0]).toMatchObject({ path: ['typed', 'rows', 0, 2], code: 'count.unreadable' }); // prettier-ignore
  expect((await write(test).expect(200)).body.typed).toEqual(test);
  const si = JSON.parse((await WidthTestRow.findByPk(id))?.si ?? '') as { recommendedM: number };
  expect(si.recommendedM).toBeCloseTo(5.175, 3);
}); // prettier-ignore
