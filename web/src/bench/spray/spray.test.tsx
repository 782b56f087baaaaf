import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { blankRig, type RigInput } from '@steady-scatter/core/machines';
import { blankCalibration, blankRun, methodOf, stepsOf, type CalibrationInput, type RunInput } from '@steady-scatter/core/testing'; // prettier-ignore
import { checkNozzles } from '@steady-scatter/core/wet';
import { screen, within } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { calibrationContext, type BenchShelf } from '../calibrationContext.ts';
import { BoomDrawing } from './BoomDrawing.tsx';
import { CombinedAim } from './CombinedAim.tsx';
import { NozzleCatch } from './NozzleCatch.tsx';
import { SprayResult } from './SprayResult.tsx';

beforeEach(() => keepDemo());

const BOOM = demo.rigs.find(({ input }) => input.name === 'Utility boom, 8 nozzles')!
  .input as unknown as RigInput;
const CAUGHT = { course: '75', courseTime: '17', catchTime: '30', ...Object.fromEntries(Array.from({ length: 8 }, (_, index) => [`volume.${index + 1}`, '27 fl oz'])) }; // prettier-ignore
const calibration = (readings: Readonly<Record<string, string>>, more: Partial<CalibrationInput> = {}): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Boom',
  rig: 'boom',
  target: { amount: '1.0', unit: 'gal/1000 ft2' },
  width: { text: '160', unit: 'in', by: 'chosen' },
  runs: [{ ...blankRun('a', '2026-07-02', 'spray-catch'), readings }],
  ...more,
}); // prettier-ignore
const shelf = (rig: RigInput): BenchShelf => ({
  rigs: [{ id: 'boom', version: 1, schemaVersion: 1, input: rig, isSample: false, changedAt: '' }],
  calibrations: [],
  products: [],
});
const shown = (input: CalibrationInput, rig = BOOM) =>
  inApp(<SprayResult input={input} on={calibrationContext(input, shelf(rig))} />);

describe('what a sprayer puts down', () => {
  it('stands with its band, in the units of other people, and how far off it is', () => {
    shown(calibration(CAUGHT));
    expect(screen.getAllByText(/^0\.96/).length).toBeGreaterThan(0);
    expect(screen.getByText('Right: 4.4 % off.')).toBeTruthy();
    expect(screen.getByText(/41\.\d gal \/ acre · 3\.8\d qt \/ 1000 ft² · 12\d fl oz/)).toBeTruthy();
    expect(screen.queryByText(/To reach/)).toBeNull();
  });
  it('what would give another rate: a nozzle of the table, speed, pressure, each with what it takes', async () => {
    const person = shown(calibration(CAUGHT));
    await person.type(screen.getByLabelText('What would give'), '52 gal/acre');
    const ways = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(ways[0]).toMatch(/^Speed: 2\.\d mph, /);
    expect(ways[1]).toMatch(/^Nozzle: Boom fan, large at 3\d psi\.$/);
    expect(ways[2]).toMatch(/^Pressure: 6\d psi: out of the nozzle’s range\. Finer drops, more drift\.$/);
  });
  it('what is no rate is said, and stays as it was typed', async () => {
    const person = shown(calibration(CAUGHT));
    await person.type(screen.getByLabelText('What would give'), '60 lb');
    expect(screen.getByRole('alert')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('What would give').value).toBe('60 lb');
  });
  it('without a test run it says what to do', () => {
    shown(calibration({}));
    expect(screen.getByText(/Catch the nozzles, or a bucket/)).toBeTruthy();
  });
});

describe('the boom', () => {
  it('is read out with the odd nozzle, and says what to do with it', () => {
    inApp(<BoomDrawing check={checkNozzles([1, 1, 1.2, 1, 1, 0.93, 1, 1], 1)} />);
    const picture = screen.getByRole('img', { name: /^Boom with 8 nozzles/ });
    expect(picture.getAttribute('aria-label')).toContain('Nozzle 3: +18 % of the mean, +20 % of its rated flow. Replace it.'); // prettier-ignore
    expect(within(picture).getByText('▲3')).toBeTruthy();
    expect(within(picture).getByText('△6')).toBeTruthy();
    expect(
      screen.getByText(/^Nozzle 6: −8\.\d % of the mean, −7 % of its rated flow\. Clean it/),
    ).toBeTruthy();
  });
  it('all alike is said too', () => {
    inApp(<BoomDrawing check={checkNozzles([1, 1.02], null)} />);
    expect(screen.getByText('All nozzles within 5 % of each other.')).toBeTruthy();
  });
});

describe('volumes typed down the row', () => {
  function Row() {
    const [run, setRun] = useState<RunInput>({ ...blankRun('a', '2026-07-02', 'spray-catch'), readings: {} });
    const input = calibration({}, { runs: [run] });
    const on = calibrationContext(input, shelf(BOOM));
    const step = stepsOf('spray-catch', 8, 'boom', null).find(({ id }) => id === 'after')!;
    return <NozzleCatch input={input} run={run} at={0} step={step} on={on} listens errorAt={() => undefined} onFirstFlow={() => undefined} onType={(more) => setRun((before) => ({ ...before, ...more }))} fields={step.fields} />;
  } // prettier-ignore
  const volume = (number: number) => screen.getByLabelText<HTMLInputElement>(`Volume, nozzle ${number}`);
  it('a unit that is typed once holds for those that follow', async () => {
    const person = inApp(<Row />);
    await person.type(volume(1), '800 mL');
    await person.type(volume(2), '795');
    expect(volume(2).value).toBe('795');
    await person.tab();
    expect(volume(2).value).toBe('795 mL');
    // What is empty yet will be read in it too.
    expect(screen.getAllByText('mL')).toHaveLength(6);
  });
  it('a nozzle may have a time of its own', async () => {
    const person = inApp(<Row />);
    expect(screen.queryByLabelText('Own catch time, nozzle 3')).toBeNull();
    await person.click(screen.getByRole('button', { name: 'Type a time for each nozzle' }));
    await person.type(screen.getByLabelText('Own catch time, nozzle 3'), '60');
    expect(screen.getByLabelText<HTMLInputElement>('Own catch time, nozzle 3').value).toBe('60');
  });
});

describe('a rig that spreads and sprays', () => {
  const BOTH = demo.rigs.find(({ input }) => input.kind === 'spread-and-spray')!.input as unknown as RigInput;
  const aim = (step: 'set' | 'walk', rig = BOTH) => {
    const run = { ...blankRun('a', '2026-04-15', 'timed-catch'), readings: { course: '200', courseTime: '34', catchTime: '17', tare: '1', gross: '2' } }; // prettier-ignore
    const input = calibration({}, { target: { amount: '2.86', unit: 'lb/1000 ft2' }, width: { text: '5', unit: 'ft', by: 'chosen' }, runs: [run] }); // prettier-ignore
    const on = calibrationContext(input, shelf(rig));
    const steps = stepsOf('timed-catch', 1, 'spread-and-spray', null);
    return inApp(<CombinedAim input={input} run={run} at={0} step={steps.find(({ id }) => id === step)!} on={on} listens errorAt={() => undefined} onFirstFlow={() => undefined} onType={() => undefined} />); // prettier-ignore
  };
  it('sets the throw first, to twice the spray width', () => {
    aim('set');
    expect(screen.getByText(/a marker 5\.00 ft beside the machine, and the throw turned until granules reach it\. Throw 10\.0 ft/)).toBeTruthy(); // prettier-ignore
  });
  it('catches granules for half the time of the spray course', () => {
    aim('walk');
    expect(screen.getByText(/^Catch for 17 s: half the time of the spray course/)).toBeTruthy();
  });
  it('without a spray width it asks for it', () => {
    aim('walk', { ...blankRig('us'), kind: 'spread-and-spray', name: 'Both' });
    expect(screen.getByText(/Type the spray width/)).toBeTruthy();
  });
  it('is tested by either of what it does', () => expect(methodOf('spray-catch').isWet).toBe(true));
});
