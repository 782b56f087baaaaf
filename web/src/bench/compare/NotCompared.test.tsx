import { blankRig } from '@steady-scatter/core/machines';
import { blankCalibration, blankRun, type CalibrationInput } from '@steady-scatter/core/testing';
import { screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { fetched, inApp } from '../../testing/inApp.tsx';
import { calibrationContext } from '../calibrationContext.ts';
import { isComparable, NotCompared } from './NotCompared.tsx';

const marked = blankRig('us');
const SHELF = {
  rigs: [
    fetched('red', { ...marked, name: 'Red', control: { ...marked.control, from: '0', to: '20', step: '1', closed: '0' } }),
    fetched('boom', { ...marked, name: 'Boom', kind: 'boom' as const }),
    fetched('bare', { ...marked, name: 'Bare', control: { ...marked.control, from: '', to: '', step: '' } }),
  ],
  calibrations: [],
  products: [],
}; // prettier-ignore
const compared = (id: string, more: Partial<CalibrationInput>) => {
  const input: CalibrationInput = {
    ...blankCalibration('us'),
    name: id,
    target: { amount: '3.3', unit: 'lb/1000 ft2' },
    width: { text: '9', unit: 'ft', by: 'chosen' },
    ...more,
  };
  return { id, input, on: calibrationContext(input, SHELF, id) };
};
const run = (setting: string, left = '45.05') => ({
  ...blankRun(setting, '2026-04-10', 'weigh-back'),
  setting,
  readings: { in: '48.00', left, length: '100' },
});

it('says of each what it lacks: a machine, its scale, a second setting', () => {
  const those = [
    compared('No machine', {}),
    compared('No scale', { rig: 'bare' }),
    compared('One setting', { rig: 'red', runs: [run('11')] }),
    compared('Nothing tested', { rig: 'red' }),
    compared('Sprayed', { rig: 'boom', target: { amount: '1', unit: 'gal/1000 ft2' } }),
  ];
  expect(those.filter(isComparable)).toEqual([]);
  inApp(<NotCompared those={those} />);
  const list = within(screen.getByRole('region', { name: 'Not on the chart yet' }));
  expect(list.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'No machineIts machine is not chosen.',
    'No scaleThe scale of its machine is not typed.',
    'One setting1 setting tested: a curve needs 2.',
    'Nothing testedNo setting tested: a curve needs 2.',
    'SprayedIt sprays: there are no marks to draw a curve of.',
  ]);
  expect(list.getByRole('link', { name: 'One setting' }).getAttribute('href')).toBe('/bench/One setting');
});

it('is not there where nothing is missing', () => {
  expect(isComparable(compared('Two', { rig: 'red', runs: [run('8', '46.80'), run('11')] }))).toBe(true);
  inApp(<NotCompared those={[]} />);
  expect(screen.queryByRole('region', { name: 'Not on the chart yet' })).toBeNull();
});
