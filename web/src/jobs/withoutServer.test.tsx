import { waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { openDrafts } from '../documents/drafts.ts';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { bigNumber, openApp, says, valueOf } from '../testing/openApp.tsx';

it('what is saved while nothing answers waits on the device once, and is on the server by itself when that answers', async () => {
  await freshDevice();
  const { server, fill, press } = openApp('/');
  await fill('Name of the job', 'Saved after a break');
  await fill('Grade on the label', '24-0-8');
  server.isSilent = true;
  await press('Save job');
  await says(/The server does not answer\..*saved on this device/);
  expect(window.location.pathname).toMatch(/^\/jobs\/[0-9a-f-]{36}$/);
  await fill('Grade on the label', '22-2-11');
  await press('Save changes');
  await says(/1 saved on this device, not on the server yet\./);
  server.comeBack();
  await says(/The server answers again\./);
  const sheets = () => server.of('jobs').map(({ input }) => (input as unknown as SheetForm).worksheet);
  await waitFor(() => expect(sheets()).toMatchObject([{ product: { grade: '22-2-11' } }]));
  await waitFor(() => expect(waitingHere()).toEqual([]));
});

it('a draft that an earlier version of the app left is on the sheet, worked out', async () => {
  await freshDevice();
  const worksheet = {
    need: { of: 'N', amount: '0.8', unit: 'lb/1000 ft2' },
    areas: [{ id: '01890000-0000-7000-8000-000000000001', name: 'Lawn', size: '7400', unit: 'ft2' }],
    product: { kind: 'dry-fertilizer', grade: '24-0-8', package: { size: '', unit: 'lb' } },
    shownIn: { rate: null, amount: null, area: null },
  };
  const form = { name: 'From last week', onDay: '2026-04-18', worksheet };
  localStorage.setItem('steady-scatter.draft.new', JSON.stringify({ format: 3, baseVersion: 0, form }));
  await openDrafts();
  openApp('/');
  await waitFor(() => expect(valueOf('Name of the job')).toBe('From last week'));
  await waitFor(async () => expect(await bigNumber()).toBe('24.7 lb'));
});
