import { act, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { useStation } from './useStation.ts';

const NOW = Date.parse('2026-12-04T03:00:00.000Z');
const asked = vi.mocked(call);
const answer = (value: number) => ({ format: 'steady-scatter.station/1', name: 'Bridge', isSimulated: false, readings: [{ of: 'pavement', value, at: new Date(Date.now()).toISOString() }] }); // prettier-ignore

beforeEach(() => {
  localStorage.clear();
  keepDemo();
  queries.setDefaultOptions({ queries: { staleTime: 0, retry: false } });
  vi.useFakeTimers({ now: NOW, shouldAdvanceTime: true });
  asked.mockImplementation(async () => answer(-4));
});
afterEach(() => vi.useRealTimers());

function Shown() {
  const station = useStation('pavement');
  return <p>{station === undefined ? 'asking' : station === null ? 'silent' : `${station.name} ${station.now.value}`}</p>; // prettier-ignore
}

it('asks, and again every minute', async () => {
  inApp(<Shown />);
  expect(screen.getByText('asking')).toBeTruthy();
  expect(await screen.findByText('Bridge -4')).toBeTruthy();
  asked.mockImplementation(async () => answer(-5));
  await act(() => vi.advanceTimersByTimeAsync(61_000));
  expect(await screen.findByText('Bridge -5')).toBeTruthy();
});

it('without an answer the last reading stands, also for a page that is opened anew, until it is too old', async () => {
  inApp(<Shown />);
  expect(await screen.findByText('Bridge -4')).toBeTruthy();
  asked.mockRejectedValue(new Error('silent'));
  await act(() => vi.advanceTimersByTimeAsync(10 * 60_000));
  expect(screen.getByText('Bridge -4')).toBeTruthy();
  queries.clear();
  inApp(<Shown />);
  expect(screen.getAllByText('Bridge -4')).toHaveLength(2);
  await act(() => vi.advanceTimersByTimeAsync(22 * 60_000));
  await waitFor(() => expect(screen.getAllByText('silent')).toHaveLength(2));
});

it('one that never answered is silent', async () => {
  asked.mockRejectedValue(new Error('silent'));
  inApp(<Shown />);
  expect(await screen.findByText('silent')).toBeTruthy();
});
