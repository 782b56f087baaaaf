import { aimOf, blankCalibration, blankRun, type CalibrationInput } from '@steady-scatter/core/testing';
import { blankRig } from '@steady-scatter/core/machines';
import { beforeEach, expect, it, vi } from 'vitest';
import { callDocuments, callEvents } from '../../api/lazyCall.ts';
import { freshDevice } from '../../testing/device.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { takeTests } from './takeTests.ts';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
});

const strip = (id: string) => ({ ...blankRun(id, '2026-04-10', 'weigh-back'), setting: '11', readings: { in: '48.00', left: '45.05', length: '100' } }); // prettier-ignore
const { pace, width } = blankCalibration('us');
const INPUT: CalibrationInput = {
  ...blankCalibration('us'),
  name: 'Red, lake feed',
  rig: 'rig',
  runs: [strip('r1'), strip('r2')],
  confirmed: ['apart.r1.r2'],
  signOff: { setting: '11', onDay: '2026-04-10', by: '', state: '', pace, width, second: '', lot: '', grain: '', runs: ['r1', 'r2'] }, // prettier-ignore
};
const FILE = {
  rigs: [{ id: 'rig', input: { ...blankRig('us'), name: 'Red' } }],
  calibrations: [{ id: 'old', input: INPUT, machine: 'Red' }],
};

it('what a file brings is stored under new ids, and names its own runs by them', async () => {
  await takeTests(FILE);
  const [rig] = server.of('rigs');
  const [calibration] = server.of('calibrations');
  const rows = [...server.rows.values()];
  const ids = rows.map(({ id }) => id);
  expect(rows.map(({ subject }) => subject)).toEqual([calibration!.id, calibration!.id]);
  expect(new Set([...ids, 'r1', 'r2', 'old', calibration!.id]).size).toBe(6);
  expect(calibration!.input).toMatchObject({ ...aimOf(INPUT), rig: rig!.id, confirmed: [`apart.${ids.join('.')}`], signOff: { runs: ids } }); // prettier-ignore
});

it('one that was being made when the file was saved is gone on with', async () => {
  const open = { ...strip('r3'), step: 'after' };
  const [calibration] = FILE.calibrations;
  const back = await takeTests({ ...FILE, calibrations: [{ ...calibration!, input: { ...INPUT, runs: [...INPUT.runs, open] } }] });
  expect(server.of('openRuns')).toMatchObject([{ input: { calibration: server.of('calibrations')[0]!.id, step: 'after', setting: '11' } }]);
  expect(server.rows.size).toBe(2);
  await back();
  expect(server.of('openRuns')).toEqual([]);
}); // prettier-ignore

it('is taken back as a whole', async () => {
  const back = await takeTests(FILE);
  await back();
  expect([...server.of('rigs'), ...server.of('calibrations')]).toEqual([]);
});

it('leaves nothing where a run is not taken', async () => {
  server.refuses = 'The day is none.';
  await expect(takeTests(FILE)).rejects.toThrow('The day is none.');
  expect([...server.of('rigs'), ...server.of('calibrations')]).toEqual([]);
});
