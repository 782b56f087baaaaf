import { KINDS } from '@steady-scatter/contract';
import { act, cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { queries } from '../api/queries.ts';
import { signal } from '../bench/run/feedback.ts';
import { keysOf } from '../documents/docs.ts';
import { fetched, keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import { blankWalk } from '@steady-scatter/core/runSheet';
import { heldWalk, holdWalk, thisDevice, WALKS } from '../kinds/useWalks.ts';
import type { SheetForm } from '../sheet/sheetForms.ts';
import RunStop from './RunStop.tsx';

const SITE = demo.sites.find(({ input }) => input.name === 'Lake front')!;
const WALK = '019a1000-5a1e-7e30-9c3e-3a5b000000aa';
const JOB = demo.jobs.find(({ input }) => input.name === 'Lake front, September feed')!.id;

let now = 0;
beforeEach(() => {
  localStorage.clear();
  now = 1_000_000;
  vi.spyOn(performance, 'now').mockImplementation(() => now);
  vi.spyOn(Date, 'now').mockImplementation(() => 1.79e12 + now);
  keepDemo();
  queries.setQueryData([...keysOf(KINDS.sites).all, [SITE.id]], [fetched(SITE.id, SITE.input)]);
});
afterEach(() => vi.restoreAllMocks());

/** Somebody has begun. */
const begin = () =>
  holdWalk({
    id: WALK,
    version: 1,
    input: { ...blankWalk({ job: JOB, holder: thisDevice() }, 'us'), by: 'R. Fenn', isBegun: true },
  });
const openNew = (more: Partial<SheetForm> = {}) => onSheet(<RunStop />, { ...sampleSheet('Lake front, September feed'), ...more }, `/jobs/${JOB}`); // prettier-ignore
const open = (load: object = {}) => {
  if (!heldWalk(JOB)) begin();
  const sheet = sampleSheet('Lake front, September feed');
  return onSheet(<RunStop />, { ...sheet, load: { ...sheet.load, ...load } }, `/jobs/${JOB}`);
};
const field = () => screen.getByRole('button', { name: /Tap|All passes/ });
/** So many seconds go by, then a tap. */
const tapAfter = async (person: ReturnType<typeof open>['person'], seconds: number) => {
  now += seconds * 1000;
  await person.click(field());
};

describe('a run on the phone', () => {
  it('passes are counted by taps, each with its pace and what falls for it', async () => {
    const { person } = open();
    expect(screen.getByText('Set 10')).toBeTruthy();
    expect(field().textContent).toMatch(/Tap to start0 of 11/);
    await tapAfter(person, 0);
    expect(field().textContent).toMatch(/Tap at the end of trim 1/);
    await tapAfter(person, 200);
    expect(field().textContent).toContain('1 of 11');
    expect(screen.getByText(/^Last: 200 s\. .*% slow: about .*% heavy\./)).toBeTruthy();
    expect(vi.mocked(signal).mock.calls.map(([kind]) => kind)).toEqual(['start', 'stop']);
    await person.click(screen.getByRole('button', { name: 'Undo last tap' }));
    expect(field().textContent).toContain('0 of 11');
  });

  it('a pause is not walked, and a reload takes it up where it was', async () => {
    const { person } = open();
    await tapAfter(person, 0);
    now += 20_000;
    await person.click(screen.getByRole('button', { name: 'Pause' }));
    expect(field().textContent).toMatch(/Paused\. Tap to go on/);
    cleanup();
    const { person: again } = open();
    expect(field().textContent).toMatch(/Paused\. Tap to go on.*20 s/);
    await tapAfter(again, 600);
    await tapAfter(again, 30);
    expect(screen.getByText(/^Last: 50 s/)).toBeTruthy();
    await again.click(screen.getByRole('button', { name: 'Start over' }));
    expect(field().textContent).toMatch(/Tap to start/);
  });

  it('a fill that ran out early tells that it goes down heavy', async () => {
    const { person } = open({ reserve: '46' });
    expect(screen.getByText(/^Load fill 1: 4\.00.lb/)).toBeTruthy();
    expect(screen.getByText(/^Fill 1 should end to round 1/)).toBeTruthy();
    await tapAfter(person, 0);
    now += 50_000;
    act(() => void window.dispatchEvent(new Event('focus')));
    await waitFor(() => expect(field().textContent).toContain('50 s'), { timeout: 3000 });
    await person.click(screen.getByRole('button', { name: 'Empty now' }));
    expect(screen.getByText(/^Fill 1 lasted .*ft instead of .*: \d+ % heavy so far/)).toBeTruthy();
    expect(screen.getByText(/^Load fill 2/)).toBeTruthy();
  });

  it('the pace is a beat by the length of a step', async () => {
    const { person } = open();
    const step = screen.getByLabelText('Step length');
    await person.clear(step);
    await person.type(step, '2.2');
    // 100 ft in 23 s at 2.2 ft a step.
    expect(screen.getByText(/^1[12]\d steps a minute/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: /Beat off/ }));
    await waitFor(() => expect(signal).toHaveBeenCalledWith('aim'), { timeout: 3000 });
    await person.click(screen.getByRole('button', { name: /Beat on/ }));
  });

  it('before it, who, weather and cautions are asked; a limit that is broken wants a reason', async () => {
    const sheet = sampleSheet('Lake front, September feed');
    const { product } = sheet.worksheet;
    const limits = { ...product.limits, wind: { text: '10', unit: 'mph' as const } };
    const { person } = openNew({ worksheet: { ...sheet.worksheet, product: { ...product, limits } } });
    await person.click(screen.getByRole('button', { name: 'Begin run' }));
    expect(screen.getByText('Type your name: it stands on the record.')).toBeTruthy();
    await person.type(screen.getByLabelText('Your name'), 'J. Alder');
    expect(screen.getByText(/License TH-131/)).toBeTruthy();
    expect(screen.getByText('Say the wind: the label allows at most 10 mph.')).toBeTruthy();
    await person.type(screen.getByLabelText('Wind'), '14 mph');
    expect(screen.getByText(/Wind 14 mph: the label allows at most 10 mph\./)).toBeTruthy();
    await person.click(screen.getByRole('checkbox', { name: /Lift a full bag/ }));
    await person.click(screen.getByRole('button', { name: 'Begin run' }));
    expect(screen.getByText(/Say why you begin all the same/)).toBeTruthy();
    await person.type(screen.getByLabelText('Why begin all the same'), 'Sheltered');
    await person.click(screen.getByRole('button', { name: 'Begin run' }));
    expect(field().textContent).toMatch(/Tap to start/);
    expect(heldWalk(JOB)!.input).toMatchObject({
      by: 'J. Alder',
      why: 'Sheltered',
      ticked: ['fill cautions.lift'],
      isBegun: true,
      weather: { wind: '14 mph' },
    });
  });

  it('another device that counts is looked at, and taken over', async () => {
    const there = {
      ...blankWalk({ job: JOB, holder: 'elsewhere' }, 'us'),
      by: 'R. Fenn',
      isBegun: true,
      logs: [
        {
          area: sampleSheet('Lake front, September feed').worksheet.areas[0]!.id,
          startedAt: '',
          watch: { from: null, laps: [{ seconds: 90, doubtful: false }] },
          carriedS: 0,
          empties: [],
        },
      ],
    };
    queries.setQueryData([...keysOf(KINDS.walks).all, `job:${JOB}`], [fetched(WALK, there)]);
    const { person } = openNew();
    expect(screen.getByText('R. Fenn counts this run on another device.')).toBeTruthy();
    expect(field().textContent).toContain('1 of 11');
    expect(field()).toHaveProperty('disabled', true);
    await person.click(screen.getByRole('button', { name: 'Count it here' }));
    await tapAfter(person, 0);
    expect(heldWalk(JOB)).toMatchObject({ id: WALK, input: { holder: thisDevice() } });
    expect(WALKS.isLive!(there)).toBe(true);
  });

  it('a note on the way is held with the run', async () => {
    const { person } = open();
    await person.click(screen.getByRole('button', { name: 'Change note and photos' }));
    await person.type(screen.getByLabelText('Note'), 'Wet by the slipway');
    expect(screen.getByText('Wet by the slipway, no photo')).toBeTruthy();
    expect(heldWalk(JOB)!.input.note).toBe('Wet by the slipway');
  });

  it('a device that is full says so, and counts on', async () => {
    const { person } = open();
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('Full.');
    });
    await tapAfter(person, 0);
    full.mockRestore();
    expect(screen.getByRole('alert').textContent).toMatch(/This device is full/);
    expect(field().textContent).toMatch(/Tap at the end/);
  });

  it('a sheet that is not complete leads to where it is completed', () => {
    onSheet(<RunStop />, sampleSheet('Sports meadow, order not complete'), `/jobs/${JOB}`);
    expect(screen.getByRole('link', { name: 'Go to Load' }).getAttribute('href')).toBe(`/jobs/${JOB}/load`);
  });
});
