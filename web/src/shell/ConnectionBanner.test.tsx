import { act, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { noteSilence } from '../api/connection.ts';
import { callEvents } from '../api/lazyCall.ts';
import { noteHolding } from '../device/index.ts';
import { append } from '../events/appended.ts';
import { answers, freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp } from '../testing/inApp.tsx';
import { ConnectionBanner } from './ConnectionBanner.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  vi.mocked(callEvents).mockImplementation(server.events);
});

const add = (id: string) =>
  append('testRuns', { id, subject: 'c', first: null, occurredAt: '2026-04-10T09:00:00.000Z', schemaVersion: 1, input: {} }, { name: `Red, test run at ${id}`, needs: [] }).outcome; // prettier-ignore
const strip = (words: RegExp) => screen.queryByText(words);

it('counts what waits while nothing answers, shows it, and sends it when something does', async () => {
  const person = inApp(<ConnectionBanner />);
  server.isSilent = true;
  await act(async () => void (await Promise.all([add('8'), add('9')])));
  expect(strip(/The server does not answer/)).toBeTruthy();
  expect(strip(/2 saved on this device, not on the server yet\./)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Show' }));
  const panel = await screen.findByRole('dialog', { name: 'On this device, not on the server' });
  expect(within(panel).getByText('Red, test run at 8')).toBeTruthy();
  expect(within(panel).getAllByText('Waits until the server answers.')).toHaveLength(2);
  act(() => server.comeBack());
  await waitFor(() => expect(server.rows.size).toBe(2));
  await waitFor(() => expect(strip(/saved on this device/)).toBeNull());
  expect(within(panel).getByText('Everything is on the server.')).toBeTruthy();
});

it('what the server does not take is told until somebody decides', async () => {
  const person = inApp(<ConnectionBanner />);
  server.refuses = 'The day is none.';
  await act(async () => void (await add('8')));
  expect(strip(/1 not taken by the server/)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Decide' }));
  expect(await screen.findByText('▲ The day is none.')).toBeTruthy();
  server.refuses = null;
  await person.click(screen.getByRole('button', { name: 'Send again' }));
  await waitFor(() => expect(server.rows.size).toBe(1));
  expect(waitingHere()).toEqual([]);
});

it('and can be deleted from the device', async () => {
  const person = inApp(<ConnectionBanner />);
  server.refuses = 'The day is none.';
  await act(async () => void (await add('8')));
  await person.click(screen.getByRole('button', { name: 'Decide' }));
  await person.click(await screen.findByRole('button', { name: 'Delete from this device' }));
  await waitFor(() => expect(waitingHere()).toEqual([]));
  expect(server.rows.size).toBe(0);
});

it('tells when the server falls silent, and when it answers again', () => {
  inApp(<ConnectionBanner />);
  act(() => noteSilence());
  expect(strip(/The server does not answer/)).toBeTruthy();
  act(answers);
  expect(strip(/The server does not answer/)).toBeNull();
});

it('tells on every screen that this device holds nothing, until it holds again', () => {
  inApp(<ConnectionBanner />);
  act(() => noteHolding(false));
  expect(strip(/cannot save what you type/)).toBeTruthy();
  act(() => noteHolding(true));
  expect(strip(/cannot save what you type/)).toBeNull();
});
