import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { call, callDocuments, callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import JobPage from './JobPage.tsx';
import { NewSheet } from './SheetPage.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  keepDemo();
  vi.mocked(call).mockImplementation(server.call);
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
});

describe('a new sheet', () => {
  const stored = () => server.of('jobs').map(({ input }) => input['name']);

  it('without a name is not saved, and the name is asked for where it is typed', async () => {
    const person = inApp(<NewSheet />);
    await person.type(screen.getByLabelText('Amount needed'), '0.8');
    await person.click(await screen.findByRole('button', { name: 'Save job' }));
    expect(await screen.findByText(/Give it a name/)).toBeTruthy();
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Name of the job')));
    expect(stored()).toEqual([]);
    await person.type(screen.getByLabelText('Name of the job'), 'Lawn');
    await person.click(screen.getByRole('button', { name: 'Save job' }));
    await waitFor(() => expect(stored()).toEqual(['Lawn']));
  });

  it('that is blank asks for nothing of machines, charts and records: it has none', async () => {
    queries.clear();
    // Loaded already, they would ask at once.
    await Promise.all([import('../machine/MachinePrinted.tsx'), import('../records/AfterTold.tsx')]);
    inApp(<NewSheet />);
    // What comes last on a sheet.
    await screen.findByRole('region', { name: 'In portions and directions' });
    await waitFor(() => expect(server.asked).toContain('ruleSets list'));
    const asked = new Set(server.asked.map((each) => each.split(' ')[0]));
    for (const kind of ['rigs', 'calibrations', 'applications', 'winters', 'products'])
      expect(asked).not.toContain(kind);
    for (const stop of ['Machine', 'Run', 'After']) expect(screen.getByRole('link', { name: new RegExp(`^${stop}`) })).toBeTruthy(); // prettier-ignore
  });
});

it('a job that is not there says so', async () => {
  inApp(<JobPage />, '/jobs/01890000-0000-7000-8000-000000000000');
  expect(await screen.findByRole('heading', { name: 'This job is not here' })).toBeTruthy();
});
