import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { alerts, openApp, region, says, saysIn, withDemo } from '../testing/openApp.tsx';

beforeEach(() => withDemo());

const calibration = (name: string) =>
  `/bench/${demo.calibrations.find(({ input }) => input.name === name)!.id}`;
const asks = async () => within(await region('Answer')).queryAllByRole('alert', { hidden: true });

it('a coarse scale says what it cannot tell; a full container is heavier; a slip of a unit is asked about', async () => {
  const { fill, press, choose } = openApp(calibration('Green drop spreader, sample carrier'));
  await press('Change');
  for (const what of ['units', 'width', 'scale step']) {
    // oxlint-disable-next-line no-await-in-loop -- each opens where the one before stood
    await press(`Change ${what}`);
  }
  await choose('Weight unit', 'lb');
  await choose('Length unit', 'ft');
  await fill('Hopper width', '3.00 ft');
  await fill('Scale step', '0.1');
  await choose('Method of the test run', 'catch');
  await press('Type in a test run');
  await fill('Setting', 'F');
  await fill('Full container', '1.3');
  await fill('Empty container', '1.0');
  await fill('Strip length', '20');
  await says(/cannot tell \S+ from \S+/);
  await fill('Empty container', '1.4');
  await waitFor(() => expect(alerts()).toContain('a full container has to be heavier'));
  await fill('Empty container', '0');
  await fill('Full container', '40');
  await fill('Strip length', '15');
  await waitFor(async () => expect(await saysIn('Answer')).toMatch(/comes to \d+ times the rate/));
  await press('It is right');
  await waitFor(async () =>
    expect((await asks()).map(({ textContent }) => textContent).join()).not.toMatch(/times the rate/),
  );
  await fill('Strip length', '5 in');
  await waitFor(() => expect(alerts()).toContain('no spreader delivers'));
  await fill('Setting', 'Q');
  await says('There is no mark Q on this scale; it runs from A to M.');
});

it('of runs far apart one is excluded; a reading taken anew stays beside the old one', async () => {
  const { fill, press } = openApp(calibration('Green drop spreader, sample carrier'));
  await waitFor(async () => expect(await saysIn('Answer')).toContain('Test runs at D differ by'));
  await press('Exclude test run 3');
  await waitFor(async () => expect(await asks()).toEqual([]));
  await press(/^Test run 1 at C/);
  await fill('Full tray', '0.910');
  await press('Save calibration');
  await says('0.905 (taken anew)');
  expect(await screen.findByRole('button', { name: 'Saved', hidden: true })).toBeTruthy();
});

it('an excluded run that is let count again changes what the mark delivers; rates are looked up within what was tested', async () => {
  const { fill, press } = openApp(calibration('Red spreader, lake feed'));
  await waitFor(async () => expect(await saysIn('Answer')).toContain('from 3 test runs'));
  await fill('Rate needed', '4.4');
  await says(/Set 12.5: 4.30/);
  await fill('Rate needed', '9');
  await says(/above what was tested/);
  await press(/^Test run 3 at 11.*excluded/);
  await fill('Excluded because', '');
  await waitFor(async () => expect(await saysIn('Answer')).toContain('Test runs at 11 differ'));
  expect(await saysIn('Answer')).not.toContain('from 3 test runs');
});
