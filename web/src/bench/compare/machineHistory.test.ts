import { blankRig } from '@steady-scatter/core/machines';
import { blankCalibration, blankRun, type CalibrationInput } from '@steady-scatter/core/testing';
import { expect, it } from 'vitest';
import { calibrationContext } from '../calibrationContext.ts';
import { machineHistory } from './machineHistory.ts';

const doc = <Input>(id: string, input: Input) => ({
  id,
  version: 1,
  schemaVersion: 2,
  isSample: false,
  changedAt: '',
  input,
});
const rig = {
  ...blankRig('us'),
  name: 'Red',
  services: [{ id: 's', onDay: '2026-03-30', what: 'new gate cable', dueDay: '' }],
};
const SHELF = { rigs: [doc('red', rig)], calibrations: [], products: [] };
const compared = (more: Partial<CalibrationInput>) => {
  const input: CalibrationInput = { ...blankCalibration('us'), name: 'Red, lake feed', product: 'Lake feed', rig: 'red', ...more }; // prettier-ignore
  return { id: 'c', input, on: calibrationContext(input, SHELF, 'c') };
};
const run = (id: string, onDay: string) => blankRun(id, onDay, 'weigh-back');
const history = (more: Partial<CalibrationInput>) =>
  machineHistory(SHELF.rigs, [compared(more)]).map(({ day, what, link }) => [day, what, link]);

it('tells tests by their days, the sign-off and services, the latest first', () => {
  const runs = [run('a', '2026-04-10'), run('b', '2026-04-10'), run('c', '2026-04-12')];
  const { pace, width } = blankCalibration('us');
  const signOff = { setting: '11', onDay: '2026-04-13', by: 'M. Orr', state: '', pace, width, second: '', lot: '', grain: '', runs: [] }; // prettier-ignore
  expect(history({ runs, signOff })).toEqual([
    ['2026-04-13', expect.stringMatching(/^Lake feed: signed off at 11 by M\. Orr \(.+\)$/), '/bench/c'],
    ['2026-04-12', 'Lake feed: one run', '/bench/c'],
    ['2026-04-10', 'Lake feed: 2 runs', '/bench/c'],
    ['2026-03-30', 'serviced: new gate cable', null],
  ]);
});

it('of one that nobody signed for, and of no machine, says what is known', () => {
  const [entry] = machineHistory([], [compared({ rig: '', product: '', runs: [run('a', '2026-04-10')] })]);
  expect(entry).toMatchObject({ machine: 'no machine', what: 'Red, lake feed: one run' });
});
