import { beforeEach, expect, it, vi } from 'vitest';
import { connectionStore, noteAnswer, noteSilence } from './connection.ts';

const NOW = Date.UTC(2026, 3, 18, 12);
const header = (differenceMs: number) => new Date(NOW + differenceMs).toUTCString();

beforeEach(() => noteAnswer(header(0), NOW));

it('knows when the server falls silent and when it answers again, and tells each change once', () => {
  const told = vi.fn<() => void>();
  const stop = connectionStore.subscribe(told);
  noteSilence();
  noteSilence();
  expect(connectionStore.get().reachable).toBe(false);
  noteAnswer(header(0), NOW);
  noteAnswer(header(0), NOW);
  expect(connectionStore.get().reachable).toBe(true);
  expect(told).toHaveBeenCalledTimes(2);
  stop();
  noteSilence();
  expect(told).toHaveBeenCalledTimes(2);
});

it('a request from before the last answer that breaks off late says nothing of now', () => {
  const before = performance.now() - 1;
  noteAnswer(header(0), NOW);
  const told = vi.fn<() => void>();
  const stop = connectionStore.subscribe(told);
  noteSilence(before);
  expect(connectionStore.get().reachable).toBe(true);
  expect(told).not.toHaveBeenCalled();
  noteSilence(performance.now() + 1);
  expect(connectionStore.get().reachable).toBe(false);
  stop();
});

it('measures the clock, without telling of every second', () => {
  const told = vi.fn<() => void>();
  const stop = connectionStore.subscribe(told);
  noteAnswer(header(2000), NOW);
  noteAnswer(header(-30_000), NOW);
  expect(told).not.toHaveBeenCalled();
  const year = 365 * 86_400_000;
  noteAnswer(header(year), NOW);
  expect(connectionStore.get().clockDifferenceMs).toBe(year);
  noteAnswer(null, NOW);
  noteAnswer('no date', NOW);
  expect(connectionStore.get().clockDifferenceMs).toBe(year);
  stop();
});
