import { KINDS } from '@steady-scatter/contract';
import { blankRig, blankScale } from '@steady-scatter/core/machines';
import { blankProduct } from '@steady-scatter/core/products';
import { blankCalibration, type CalibrationInput } from '@steady-scatter/core/testing';
import { blankWidthTest } from '@steady-scatter/core/width';
import { act, screen, within } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { queries } from '../../api/queries.ts';
import { keysOf } from '../../documents/docs.ts';
import { formProps } from '../../testing/formProps.ts';
import { fetched, inApp, keepDemo } from '../../testing/inApp.tsx';
import { calibrationContext, useMachineShelf } from '../calibrationContext.ts';
import { AimDefaults } from './AimDefaults.tsx';
import { AimQuestions } from './AimQuestions.tsx';
import { scaleText, widthText } from './aimTexts.ts';
import { offersOf } from './useOfferedRates.ts';

const RIG = {
  ...blankRig('us'),
  name: 'Blue spreader',
  control: { ...blankScale(), from: '0', to: '30', step: '0.5', closed: '0' },
  width: { text: '8', unit: 'ft' as const },
  pace: { course: '120', unit: 'ft' as const, time: '27.2' },
};
const FEED = {
  ...blankProduct('dry-fertilizer', 'us'),
  name: 'Hill feed 20-0-10',
  grade: '20-0-10',
  lot: 'H-1',
  package: { size: '40', unit: 'lb' as const },
  coverage: { size: '12000', unit: 'ft2' as const },
};
const TRAYS = {
  ...blankWidthTest('us'),
  name: 'Blue, trays',
  rig: 'blue',
  accepted: { text: '9', unit: 'ft' as const, onDay: '2026-04-10', by: '' },
};

beforeEach(() => keepDemo());

/** The questions over a calibration that is typed. */
function asked(start: CalibrationInput, id: string | null = null) {
  const held = { input: start };
  function Page() {
    const [input, set] = useState(start);
    useEffect(() => void (held.input = input), [input]);
    const shelf = useMachineShelf(input.rig);
    const props = { ...formProps(input, set), shelf, on: calibrationContext(input, shelf, id), id };
    return (
      <>
        <AimQuestions {...props} />
        <AimDefaults {...props} />
      </>
    );
  }
  const person = inApp(<Page />);
  return { person, input: () => held.input };
}
const fresh = () => {
  keepDemo({
    rigs: [fetched('blue', RIG)],
    products: [fetched('feed', FEED)],
    widthTests: [fetched('trays', TRAYS)],
  });
  return asked(blankCalibration('us'));
};

describe('three questions', () => {
  it('another machine brings its own spacing and pace; what was typed over the first one’s stays', async () => {
    const wide = { ...RIG, name: 'Wide spreader', width: { text: '30', unit: 'ft' as const }, pace: { ...RIG.pace, time: '9' } }; // prettier-ignore
    keepDemo({ rigs: [fetched('blue', RIG), fetched('wide', wide)], widthTests: [fetched('trays', TRAYS)] });
    const { person, input } = asked(blankCalibration('us'));
    const choose = (name: RegExp) => person.click(screen.getByRole('radio', { name }));
    await choose(/Blue spreader/);
    expect(input()).toMatchObject({ width: { text: '9' }, pace: { time: '27.2' } });
    await choose(/Wide spreader/);
    expect(input()).toMatchObject({ rig: 'wide', width: { text: '30' }, pace: { time: '9' } });
    await person.click(screen.getByRole('button', { name: 'Change pace' }));
    await person.clear(screen.getByLabelText('Course time, s'));
    await person.type(screen.getByLabelText('Course time, s'), '11');
    await choose(/Blue spreader/);
    expect(input()).toMatchObject({ rig: 'blue', width: { text: '9' }, pace: { time: '11' } });
  });
  it('a machine brings its pace, and the spacing that trays found before its usual one', async () => {
    const { person, input } = fresh();
    await person.click(screen.getByRole('radio', { name: /Blue spreader/ }));
    expect(input()).toMatchObject({
      rig: 'blue',
      width: { text: '9', by: 'chosen' },
      pace: { time: '27.2' },
    });
    expect(screen.getByText('Passes 9 ft apart, from the tray test of 10 Apr 2026')).toBeTruthy();
    expect(screen.getByText('Pace 120 ft in 27.2 s, this machine’s usual')).toBeTruthy();
  });
  it('a product brings its lot, and the rate that its label means is offered', async () => {
    const { person, input } = fresh();
    await person.click(screen.getByRole('radio', { name: /Hill feed/ }));
    expect(input()).toMatchObject({ productId: 'feed', lot: 'H-1', target: { amount: '' } });
    await person.click(screen.getByRole('radio', { name: /3\.33 lb.*what one package covers/ }));
    expect(Number(input().target.amount)).toBeCloseTo(3.33333, 3);
  });
  it('a rate can be typed instead', async () => {
    const { person, input } = fresh();
    await person.click(screen.getByRole('radio', { name: /Hill feed/ }));
    await person.click(screen.getByRole('radio', { name: 'Type a rate' }));
    await person.type(screen.getByLabelText('Rate'), '2.5');
    expect(input().target.amount).toBe('2.5');
  });
  it('another product is typed by name, and named after the machine by itself', async () => {
    const { person, input } = fresh();
    await person.click(screen.getByRole('radio', { name: /Blue spreader/ }));
    await person.click(screen.getByRole('radio', { name: 'Another product' }));
    await person.type(screen.getByLabelText('Product name'), 'Meal');
    expect(input()).toMatchObject({ productId: '', product: 'Meal', name: 'Blue spreader, Meal' });
  });
  it('a new machine is made on the way, and what is answered goes along', async () => {
    const { person } = fresh();
    await person.click(screen.getByRole('radio', { name: /Hill feed/ }));
    const path = screen.getByRole('link', { name: 'New machine' }).getAttribute('href')!;
    const then = new URL(path, 'http://here').searchParams.get('then');
    expect(path).toMatch(/^\/bench\/rigs\/new/);
    expect(then).toBe('/bench/new?product=Hill+feed+20-0-10');
  });
  it('once it is tested the machine stands', () => {
    keepDemo();
    const { runs, ...aim } = { ...blankCalibration('us'), rig: 'r', runs: [] };
    const run = {
      id: 'a',
      row: 'a',
      onDay: '2026-04-10',
      setting: '8',
      method: 'weigh-back' as const,
      readings: { in: '4' },
      earlier: [],
      units: null,
      width: null,
      container: '',
      step: '',
      checked: [],
      noFlow: false,
      excluded: '',
      note: '',
    };
    keepDemo({ rigs: [fetched('r', RIG), fetched('other', { ...RIG, name: 'Other' })] });
    asked({ ...aim, runs: [run] }, 'c');
    expect(screen.queryByRole('radio', { name: /^Other/ })).toBeNull();
    expect(screen.getByText(/belong to this machine/)).toBeTruthy();
    expect(runs).toEqual([]);
  });
});

describe('what is assumed', () => {
  const change = async (person: ReturnType<typeof inApp>, what: string) =>
    person.click(screen.getByRole('button', { name: `Change ${what}` }));
  it('stands in lines, with no field open on a new one', () => {
    fresh();
    const assumed = within(screen.getByRole('region', { name: 'Assumed' }));
    expect(assumed.queryAllByRole('textbox')).toEqual([]);
    expect(assumed.getByText('Tolerance 5 %; the target is a goal')).toBeTruthy();
  });
  it('is changed one line at a time, and says the new value', async () => {
    const { person, input } = fresh();
    await change(person, 'tolerance');
    await person.clear(screen.getByLabelText('Tolerance, %'));
    await person.type(screen.getByLabelText('Tolerance, %'), '10');
    await person.selectOptions(screen.getByLabelText('Target is'), 'a limit');
    expect(input()).toMatchObject({ tolerance: '10', isCeiling: true });
    await person.click(screen.getByRole('button', { name: 'Done with tolerance' }));
    expect(screen.queryByLabelText('Tolerance, %')).toBeNull();
    expect(screen.getByText('Tolerance 10 %; the target is a limit')).toBeTruthy();
  });
  it('one length unit counts for spacing and pace alike', async () => {
    const { person, input } = fresh();
    await change(person, 'units');
    await person.selectOptions(screen.getByLabelText('Length unit'), 'm');
    expect(input()).toMatchObject({ units: { length: 'm' }, width: { unit: 'm' }, pace: { unit: 'm' } });
  });
  it('the scale that the machine was weighed with last is taken', async () => {
    const { person, input } = asked(blankCalibration('us'));
    await person.click(screen.getByRole('radio', { name: /Red push spreader/ }));
    expect(await screen.findByText(/^Scale reads to .*, as last time$/)).toBeTruthy();
    expect(input().scaleStep).not.toBe('');
  });
  it('is not taken from under the hand of whoever is at the field when it becomes known', async () => {
    const { person, input } = fresh();
    await person.click(screen.getByRole('radio', { name: /Blue spreader/ }));
    await change(person, 'scale step');
    await person.click(screen.getByLabelText('Scale step'));
    const weighed = { ...blankCalibration('us'), name: 'Weighed before', rig: 'blue', scaleStep: '0.2' };
    act(() => {
      queries.setQueryData(['testRuns', 'several', 'before'], []);
      queries.setQueryData([...keysOf(KINDS.calibrations).all, 'rig:blue'], [fetched('before', weighed)]);
    });
    expect(input().scaleStep).toBe('');
    await person.type(screen.getByLabelText('Scale step'), '0.05');
    expect(input().scaleStep).toBe('0.05');
  });
});

it.each([
  [{ ...blankScale(), from: '0', to: '20', step: '0.5', closed: '2' }, '0 to 20 by 0.5, closed at 2'],
  [{ ...blankScale(), style: 'letters' as const, from: 'A', to: 'M', closed: 'A' }, 'A to M, closed at A'],
  [
    { ...blankScale(), style: 'own' as const, own: 'shut, thin, thick', closed: 'shut' },
    'shut, thin, thick, closed at shut',
  ],
  [blankScale(), 'no scale yet'],
])('marks in a line: %#', (scale, text) => expect(scaleText(scale)).toBe(text));

it('a hopper has a width of its own, rows a distance', () => {
  const of = (text: string) => ({
    ...blankCalibration('us'),
    width: { text, unit: 'ft' as const, by: 'chosen' as const },
  });
  expect(widthText(of('3'), { ...RIG, kind: 'push-drop' }, null)).toBe('The hopper is 3 ft wide');
  expect(widthText(of('5'), { ...RIG, kind: 'row-distributor' }, null)).toBe('Rows 5 ft apart');
  expect(widthText(of(''), null, null)).toBe('Pass spacing is not set');
  expect(widthText(of(''), { ...RIG, kind: 'push-drop' }, null)).toBe('Hopper width is not set');
});

it('a rate that several jobs have is offered once, and none where rates are on a length', () => {
  const line = (name: string, rateOnceSi: number | null, product = FEED.name) =>
    ({ id: name, name, product, rateOnceSi }) as never;
  const lines = [
    line('Spring', 0.0162),
    line('Summer', 0.0162),
    line('Empty', null),
    line('Other', 0.01, 'Else'),
  ];
  const offers = offersOf(lines, { name: FEED.name, input: null }, 'lb/1000 ft2');
  expect(offers).toEqual([{ amount: '3.318', label: '3.32 lb / 1000 ft²', detail: 'from the job “Spring”' }]);
  expect(offersOf(lines, { name: FEED.name, input: FEED }, 'lb/lane-mile')).toEqual([]);
});

it('rates of jobs, which come later, stand after those of the label and move none of them', () => {
  const jobs = [{ id: 'a', name: 'Spring', product: FEED.name, rateOnceSi: 0.02 }] as never;
  const product = { name: FEED.name, input: FEED };
  const before = offersOf([], product, 'lb/1000 ft2');
  expect(before).not.toEqual([]);
  expect(offersOf(jobs, product, 'lb/1000 ft2').slice(0, before.length)).toEqual(before);
});

describe('a de-icer', () => {
  const SALT = { ...blankProduct('dry-deicer', 'us'), name: 'Rock salt' };
  const salted = () => {
    keepDemo({ rigs: [fetched('blue', RIG)], products: [fetched('salt', SALT), fetched('feed', FEED)] });
    return asked(blankCalibration('us'));
  };

  it('may be calibrated by a rate guide, over several settings, in place of one rate', async () => {
    const { person, input } = salted();
    await person.click(screen.getByRole('radio', { name: /^Blue spreader/ }));
    await person.click(screen.getByRole('radio', { name: /^Rock salt/ }));
    await person.click(screen.getByRole('radio', { name: /^By rate guide/ }));
    expect(input()).toMatchObject({ target: { amount: '' } });
    await person.selectOptions(screen.getByLabelText('Rate guide'), 'Lake road contract (sample)');
    await person.type(screen.getByLabelText('Settings to test in turn'), '6, 7, 8');
    expect(input()).toMatchObject({ settings: '6, 7, 8' });
    expect(input().guide).not.toBe('');
    await person.click(screen.getByRole('radio', { name: 'Type a rate' }));
    expect(input().guide).toBe('');
    expect(screen.queryByLabelText('Settings to test in turn')).toBeNull();
  });

  it('is what asks for it: a fertilizer has one rate', async () => {
    const { person } = salted();
    await person.click(screen.getByRole('radio', { name: /^Blue spreader/ }));
    await person.click(screen.getByRole('radio', { name: /^Hill feed/ }));
    expect(screen.queryByRole('radio', { name: /^By rate guide/ })).toBeNull();
  });
});
