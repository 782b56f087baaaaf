import { blankRig } from '@steady-scatter/core/machines';
import {
  blankCalibration,
  blankRun,
  type CalibrationInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { screen, waitFor } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { NotTaken } from '../api/errors.ts';
import { callEvents } from '../api/lazyCall.ts';
import { append } from '../events/appended.ts';
import { waitingHere } from '../testing/device.ts';
import { formProps } from '../testing/formProps.ts';
import { fetched, inApp, keepDemo } from '../testing/inApp.tsx';
import { calibrationContext } from './calibrationContext.ts';
import { Container } from './run/Container.tsx';
import { TestRunResult } from './run/TestRunResult.tsx';
import { OpenRun, RunLine } from './RunRow.tsx';
import { SignOff } from './SignOff.tsx';

beforeEach(() => keepDemo());

const RIG = {
  ...blankRig('us'),
  name: 'Red',
  kind: 'push-rotary' as const,
  control: { ...blankRig('us').control, from: '0', to: '20', step: '0.5', closed: '2', firstFlow: '4' },
};
const SHELF = {
  rigs: [fetched('rig', RIG)],
  calibrations: [],
  products: [],
};
const strip = (id: string, more: Partial<RunInput> = {}): RunInput => ({
  ...blankRun(id, '2026-04-10', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100\' 0"', time: '22.7' },
  ...more,
});
const calibration = (runs: readonly RunInput[], more: Partial<CalibrationInput> = {}): CalibrationInput => ({
  ...blankCalibration('us'),
  name: 'Red, lake feed',
  rig: 'rig',
  product: 'Lake feed 24-0-8',
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
  pace: { course: '120', unit: 'ft', time: '27.2' },
  scaleStep: '0.05',
  runs,
  ...more,
});
const timed = (time: string): Partial<RunInput> => ({ readings: { ...strip('').readings, time } });

/** A part of the bench over a calibration that it may change. */
function onBench(start: CalibrationInput, part: (input: CalibrationInput, set: (next: CalibrationInput) => void) => React.ReactNode) {
  const held = { input: start };
  function Page() {
    const [input, set] = useState(start);
    useEffect(() => void (held.input = input), [input]);
    return part(input, set);
  }
  const person = inApp(<Page />);
  return { person, input: () => held.input };
} // prettier-ignore

const nothing = () => undefined;
const result = (start: CalibrationInput, onNext: () => void = nothing) =>
  onBench(start, (input, set) => (
    <TestRunResult input={input} run={input.runs.at(-1)!} at={input.runs.length - 1} on={calibrationContext(input, SHELF)} onChange={set} onNext={onNext} onRedo={nothing} onDone={nothing} />
  )); // prettier-ignore
const text = (name: string) => screen.getByRole('region', { name }).textContent ?? '';

describe('what a run came to', () => {
  it('its rate with its band, and the next mark', async () => {
    const onNext = vi.fn();
    const { person } = result(
      calibration([strip('a', { setting: '8', readings: { in: '48.00', left: '46.40', length: '100' } })]),
      onNext,
    );
    expect(text('Result')).toContain('1.78 lb / 1000 ft²');
    expect(screen.getByRole('region', { name: 'Answer' }).textContent).toContain('it is a guess');
    await person.click(screen.getByRole('button', { name: 'Next test run at 11.5' }));
    expect(onNext).toHaveBeenCalled();
  });
  it('nothing: that bounds first flow, and the next mark lies half way up', () => {
    result(calibration([strip('a', { setting: '4.5', noFlow: true, readings: {} })]));
    expect(text('Result')).toContain('Nothing came out: first flow lies above this mark.');
    expect(screen.getByRole('button', { name: 'Next test run at 12' })).toBeTruthy();
  });
  it('at another pace it does not count, until that pace is the one of work', async () => {
    const { person, input } = result(calibration([strip('a', timed('10'))]));
    expect(text('Result')).toContain('it does not count');
    await person.click(screen.getByRole('button', { name: 'Work at this pace: 100\' 0" in 10 s' }));
    expect(input().pace).toEqual({ course: '100\' 0"', unit: 'ft', time: '10' });
    expect(text('Result')).not.toContain('it does not count');
  });
  it('a little off the pace it is brought to that of work, and both stand in the line', () => {
    result(calibration([strip('a', timed('20.6'))]));
    expect(text('Result')).toContain('at working pace');
    expect(text('Result')).not.toContain('it does not count');
  });
  it('struck out with its reason, and let count again', async () => {
    const { person, input } = result(calibration([strip('a')]));
    await person.click(screen.getByRole('button', { name: 'Exclude this test run' }));
    await person.type(screen.getByLabelText(/because/i), 'tyre flat');
    await person.click(screen.getByRole('button', { name: 'Exclude this test run' }));
    expect(input().runs[0]!.excluded).toBe('tyre flat');
    await person.click(screen.getByRole('button', { name: 'Include it again' }));
    expect(input().runs[0]!.excluded).toBe('');
  });
});

describe('a run in the list', () => {
  const line = (run: RunInput) =>
    onBench(calibration([run]), (input) => (
      <RunLine run={input.runs[0]!} at={0} resting={input} on={calibrationContext(input, SHELF)} isOpen={false} onOpen={nothing} />
    )); // prettier-ignore
  const row = (run: RunInput) =>
    onBench(calibration([run]), (input, set) => input.runs.length > 0 && (
      <OpenRun {...formProps(input, set)} run={input.runs[0]!} at={0} on={calibrationContext(input, SHELF)} path="/bench/red/run/a" />
    )); // prettier-ignore
  it.each([
    [strip('a'), 'light'],
    [strip('a', { noFlow: true, readings: {} }), 'no flow'],
    [strip('a', timed('10')), 'another pace'],
    [strip('a', { excluded: 'tyre flat' }), 'excluded: tyre flat'],
    [strip('a', { step: 'walk' }), 'under way'],
  ])('in a word: %#', (run, word) => {
    line(run);
    expect(screen.getByRole('button', { name: /Test run/ }).textContent).toContain(word);
  });
  it('nothing came out is said with a tick', async () => {
    const { person, input } = row(strip('a', { readings: {} }));
    await person.click(screen.getByLabelText('Nothing came out'));
    expect(input().runs[0]!.noFlow).toBe(true);
  });
  it('goes only while it is empty', async () => {
    const { person, input } = row(strip('a', { readings: { in: '', left: '' } }));
    await person.click(screen.getByRole('button', { name: 'Delete this empty run' }));
    expect(input().runs).toEqual([]);
  });
  it('with readings it stays', () => {
    row(strip('a'));
    expect(screen.queryByRole('button', { name: 'Delete this empty run' })).toBeNull();
  });
});

describe('a run in the list that is not like the others', () => {
  const open = (run: RunInput) =>
    onBench(calibration([run]), (input, set) => input.runs.length > 0 && (
      <OpenRun {...formProps(input, set)} run={input.runs[0]!} at={0} on={calibrationContext(input, SHELF)} path="/bench/red/run/a" />
    )); // prettier-ignore
  it('under way it is gone on with where it is made', () => {
    open(strip('a', { step: 'walk' }));
    expect(screen.getByRole('link', { name: 'Go on with this test run' }).getAttribute('href')).toBe('/bench/red/run/a'); // prettier-ignore
    expect(screen.queryByLabelText('Setting')).toBeNull();
  });
  it('typed in other units than those of the calibration it says so, and can be set right', async () => {
    const { person, input } = open(strip('a', { units: { mass: 'kg', length: 'm' } }));
    expect(screen.getByText(/its numbers without a unit are kg and m/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Read them as lb and ft' }));
    expect(input().runs[0]!.units).toEqual({ mass: 'lb', length: 'ft' });
    expect(screen.queryByText(/without a unit/)).toBeNull();
  });
  it('not taken by the server it says why, and can be dropped', async () => {
    const row = { id: 'a', subject: 'red', first: null, occurredAt: '2026-04-10T12:00:00.000Z', schemaVersion: 1, input: {} };
    vi.mocked(callEvents).mockRejectedValue(new NotTaken('The day is none.'));
    await append('testRuns', row, { name: 'run', needs: [] }).outcome;
    const { person } = open(strip('a', { row: 'a' }));
    expect(screen.getByRole('alert').textContent).toContain('Saved on this device alone: The day is none.');
    await person.click(screen.getByRole('button', { name: 'Delete it' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    await waitFor(() => expect(waitingHere()).toEqual([]));
  });
}); // prettier-ignore

describe('signing off', () => {
  const sign = (runs: readonly RunInput[]) =>
    onBench(calibration(runs), (input, set) => (
      <SignOff {...formProps(input, set)} on={calibrationContext(input, SHELF)} />
    ));
  it('two runs that agree are kept, with what they rest on', async () => {
    const { person, input } = sign([strip('a'), strip('b')]);
    await person.click(screen.getByRole('button', { name: 'Sign off at 11' }));
    expect(input().signOff).toMatchObject({
      setting: '11',
      pace: { course: '120', time: '27.2' },
      width: { text: '9' },
    });
    expect(screen.getByText(/● fresh/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Undo sign-off' }));
    expect(input().signOff).toBeNull();
  });
  it('says which test runs came after it', async () => {
    const { person } = sign([strip('a'), strip('b')]);
    await person.click(screen.getByRole('button', { name: 'Sign off at 11' }));
    expect(screen.queryByText(/new since then/)).toBeNull();
  });
  it('of a chart that rests on two of three test runs the third is new', () => {
    const { pace, width } = calibration([]);
    const signOff = { setting: '11', onDay: '2026-11-20', by: '', state: '', pace, width, second: '', lot: '', grain: '', runs: ['a', 'b'] }; // prettier-ignore
    const runs = ['a', 'b', 'c'].map((id) => strip(id, { row: id }));
    onBench(calibration(runs, { signOff }), (input, set) => (
      <SignOff {...formProps(input, set)} on={calibrationContext(input, SHELF)} />
    ));
    expect(screen.getByText('Test run 3 is new since then.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Sign off again at 11' })).toBeTruthy();
  });
  it.each([
    ['one run', [strip('a')]],
    ['runs at another pace', [strip('a', timed('10')), strip('b', timed('10'))]],
    ['runs in which nothing came out', [strip('a', { noFlow: true }), strip('b', { noFlow: true })]],
    ['runs that were struck out', [strip('a', { excluded: 'x' }), strip('b', { excluded: 'x' })]],
  ])('%s cannot be', (_, runs) => {
    sign(runs);
    expect(screen.queryByRole('button', { name: /^Sign off at/ })).toBeNull();
  });
});

describe('a container', () => {
  const input = calibration([strip('a', { method: 'catch', readings: {} })]);
  const container = (unit: 'lb' | 'kg') => {
    const onType = vi.fn();
    const own = { ...input, units: { ...input.units, mass: unit } };
    const props = { input: own, run: own.runs[0]!, at: 0, on: calibrationContext(own, SHELF), onType };
    const person = inApp(<Container {...(props as unknown as React.ComponentProps<typeof Container>)} />);
    return { person, onType };
  };
  it('weighed before in kg keeps its unit in a test run in lb', async () => {
    const { person, onType } = container('lb');
    await person.selectOptions(screen.getByRole('combobox'), 'hung tray, 0.740 kg');
    expect(onType).toHaveBeenCalledWith({ container: 'hung tray', readings: { tare: '0.740 kg' } });
  });
  it('the scale zeroed with it is a tare of nothing', async () => {
    const { person, onType } = container('kg');
    await person.click(screen.getByRole('button', { name: /zeroed/ }));
    expect(onType).toHaveBeenCalledWith({ readings: { tare: '0' } });
  });
});
