import { KINDS } from '@steady-scatter/contract';
import { blankRig } from '@steady-scatter/core/machines';
import {
  openRunOf,
  aimOf,
  blankCalibration,
  blankRun,
  type CalibrationAim,
  type RunInput,
} from '@steady-scatter/core/testing';
import { act, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { call, callDocuments, callEvents } from '../../api/lazyCall.ts';
import { queries } from '../../api/queries.ts';
import { freshDevice, waitingHere } from '../../testing/device.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { inApp } from '../../testing/inApp.tsx';
import RunPage from './RunPage.tsx';
import { beginOpenRun } from './useOpenRun.ts';

const ID = '0197b1c0-0000-7000-8000-000000000001';
const RIG = '0197b1c0-0000-7000-8000-000000000002';
const AIM: CalibrationAim = {
  ...aimOf(blankCalibration('us')),
  name: 'Red, lake feed',
  rig: RIG,
  target: { amount: '3.33', unit: 'lb/1000 ft2' },
  width: { text: '9', unit: 'ft', by: 'chosen' },
  scaleStep: '0.05',
};
const strip = (id: string, more: Partial<RunInput> = {}): RunInput => ({
  ...blankRun(id, '2026-04-10', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100' },
  ...more,
});

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  vi.stubGlobal('scrollTo', () => undefined);
  await freshDevice();
  queries.setDefaultOptions({ queries: { staleTime: Infinity, retry: false } });
  server = fakeServer();
  server.put(KINDS.calibrations, ID, AIM);
  const { control } = blankRig('us');
  server.put(KINDS.rigs, RIG, { ...blankRig('us'), name: 'Red', control: { ...control, from: '0', to: '20', step: '0.5' } }); // prettier-ignore
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
  vi.mocked(call).mockImplementation(server.call);
});

const openHere = (id: string, more: Partial<RunInput> = {}) =>
  server.put(KINDS.openRuns, id, openRunOf(strip(id, { step: 'before', ...more }), ID, AIM));
const button = (name: RegExp | string) => screen.getByRole('button', { name });
const begin = async () => {
  const person = inApp(<RunPage />, `/bench/${ID}/run`);
  await person.click(await screen.findByRole('button', { name: 'Begin test run 1' }));
  await screen.findByLabelText('Weight before');
  return person;
};
/** Types what a strip needs and asks what it came to. */
async function walk(person: Awaited<ReturnType<typeof begin>>) {
  for (const [label, text] of [
    ['Weight before', '48.00'],
    ['Strip length', '100'],
    ['Weight after', '45.05'],
  ] as const) {
    // oxlint-disable no-await-in-loop -- one after the other
    await person.clear(screen.getByLabelText(label));
    await person.type(screen.getByLabelText(label), text);
  }
  if (screen.queryByRole('button', { name: 'All of it is right' }))
    await person.click(button('All of it is right'));
  await person.click(button('Finish test run'));
  await screen.findByRole('region', { name: 'Result' });
}

describe('a test run', () => {
  it('is a document of its own while it is made, and a row once it is done', async () => {
    const person = await begin();
    await waitFor(() => expect(server.of('openRuns')).toHaveLength(1));
    const [open] = server.of('openRuns');
    await walk(person);
    await waitFor(() => expect(server.of('openRuns')[0]?.input).toMatchObject({ step: 'result', calibration: ID, readings: { left: '45.05' } })); // prettier-ignore
    expect(server.rows.size).toBe(0);
    await person.click(button('Enough for now'));
    await waitFor(() => expect(server.rows.size).toBe(1));
    expect([...server.rows.values()][0]).toMatchObject({ id: open!.id, subject: ID, first: null, input: { readings: { in: '48.00', left: '45.05' }, units: { mass: 'lb', length: 'ft' } } }); // prettier-ignore
    expect(server.of('openRuns')).toEqual([]);
    expect(server.of('calibrations')[0]!.version).toBe(1);
  });

  it('leads to the next one, which begins at the mark that is advised', async () => {
    const person = await begin();
    await walk(person);
    await person.click(button(/^Next test run at/));
    await waitFor(() => expect(server.rows.size).toBe(1));
    await waitFor(() => expect(server.of('openRuns')).toHaveLength(1));
    expect(await screen.findByText(/^test run 2/)).toBeTruthy();
    expect(screen.getByLabelText('Strip length')).toHaveProperty('value', '100');
  });

  it('left at its result it is done: whoever goes on begins the next one', async () => {
    openHere('seen', { step: 'result' });
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await person.click(await screen.findByRole('button', { name: 'Begin test run 2' }));
    expect(await screen.findByText(/^test run 2/)).toBeTruthy();
    await waitFor(() =>
      expect([...server.rows.values()]).toMatchObject([{ id: 'seen', input: { excluded: '' } }]),
    );
    await waitFor(() => expect(server.of('openRuns').map(({ id }) => id)).not.toContain('seen'));
  });

  it('is begun and done without a connection, and sent when there is one', async () => {
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await screen.findByRole('button', { name: 'Begin test run 1' });
    server.isSilent = true;
    await person.click(button('Begin test run 1'));
    await screen.findByLabelText('Weight before');
    await walk(person);
    expect(screen.getByText('saved on this device')).toBeTruthy();
    await person.click(button(/^Next test run at/));
    expect(await screen.findByText(/^test run 2/)).toBeTruthy();
    await waitFor(() => expect(waitingHere().map(({ entry }) => entry.what)).toEqual(['row', 'document']));
    act(() => server.comeBack());
    await waitFor(() => expect(waitingHere()).toEqual([]));
    expect(server.rows.size).toBe(1);
    expect(server.of('openRuns')).toHaveLength(1);
  });

  it('broken off before anything was read it is gone', async () => {
    const person = await begin();
    await waitFor(() => expect(server.of('openRuns')).toHaveLength(1));
    await person.click(button('Cancel this test run'));
    await waitFor(() => expect(server.of('openRuns')).toEqual([]));
    expect(server.rows.size).toBe(0);
  });

  it('broken off with a reading it is a row with that reason', async () => {
    openHere('q');
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await person.click(await screen.findByRole('button', { name: 'Cancel this test run' }));
    await waitFor(() => expect([...server.rows.values()]).toMatchObject([{ id: 'q', input: { excluded: 'cancelled' } }])); // prettier-ignore
  });
});

describe('a test run that is cancelled', () => {
  it('is gone on with by one press, with what was read, as a run of its own', async () => {
    openHere('u');
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await person.click(await screen.findByRole('button', { name: 'Cancel this test run' }));
    await waitFor(() => expect(server.rows.size).toBe(1));
    await person.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.of('openRuns')).toHaveLength(1));
    expect(server.of('openRuns')[0]).toMatchObject({ input: { calibration: ID, readings: { in: '48.00' }, excluded: '' } }); // prettier-ignore
    expect(server.of('openRuns')[0]!.id).not.toBe('u');
    // What was appended of it stays beside.
    expect(server.rows.size).toBe(1);
  });
});

describe('what is looked over before', () => {
  it('is not passed silently: what is not ticked is told once', async () => {
    openHere('v', { step: 'checks', readings: { in: '48.00', left: '45.05', length: '100' } });
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await person.click(await screen.findByLabelText('gate shut before filling'));
    await person.click(button('Finish test run'));
    const told = screen.getAllByRole('alert').map(({ textContent }) => textContent).join(' '); // prettier-ignore
    expect(told).toContain('Not checked: hopper clean and dry');
    expect(told).not.toContain('gate shut before filling;');
    expect(screen.queryByRole('region', { name: 'Result' })).toBeNull();
    await person.click(button('Finish test run'));
    expect(await screen.findByRole('region', { name: 'Result' })).toBeTruthy();
  });
});

describe('with other devices', () => {
  it('the one that is under way is gone on with', async () => {
    openHere('o');
    inApp(<RunPage />, `/bench/${ID}/run`);
    expect(await screen.findByLabelText('Weight before')).toHaveProperty('value', '48.00');
  });

  it('of two that are under way one is chosen, or another begun', async () => {
    openHere('o');
    openHere('p', { setting: '14' });
    inApp(<RunPage />, `/bench/${ID}/run`);
    expect(await screen.findByRole('link', { name: /^Go on at 14/ })).toBeTruthy();
    expect(screen.getByRole('link', { name: /^Go on at 11/ })).toBeTruthy();
    expect(button('Begin test run 3')).toBeTruthy();
  });

  it('another one is begun beside it', async () => {
    openHere('o');
    const person = inApp(<RunPage />, `/bench/${ID}/run`);
    await person.click(await screen.findByRole('link', { name: 'Begin another one' }));
    await person.click(await screen.findByRole('button', { name: 'Begin test run 2' }));
    await waitFor(() => expect(server.of('openRuns')).toHaveLength(2));
  });

  it('one that was done meanwhile says so', async () => {
    server.rows.set('o', { id: 'o', subject: ID, first: null, occurredAt: '2026-04-10T12:00:00.000Z', schemaVersion: 1, input: strip('o') }); // prettier-ignore
    inApp(<RunPage />, `/bench/${ID}/run/o`);
    expect(await screen.findByText('Test run 1 is done')).toBeTruthy();
  });

  it('one that is nowhere says so', async () => {
    inApp(<RunPage />, `/bench/${ID}/run/o`);
    expect(await screen.findByText('This open test run is not here')).toBeTruthy();
  });

  it('a test run that was begun here and never got there is still here after the page was loaded again', async () => {
    server.isSilent = true;
    await beginOpenRun('o', openRunOf(strip('o', { step: 'before' }), ID, AIM));
    server.comeBack();
    inApp(<RunPage />, `/bench/${ID}/run/o`);
    expect(await screen.findByLabelText('Weight before')).toHaveProperty('value', '48.00');
    await waitFor(() => expect(server.of('openRuns').map(({ id }) => id)).toEqual(['o']));
  });
});
