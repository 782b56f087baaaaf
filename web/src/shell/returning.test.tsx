import { beforeEach, expect, it, vi } from 'vitest';
import { noteWork, openAtToday } from './returning.ts';

let type = 'navigate';
beforeEach(() => {
  type = 'navigate';
  localStorage.clear();
  window.history.replaceState(null, '', '/');
  vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00.000Z'), toFake: ['Date'] });
  Object.assign(performance, { getEntriesByType: () => [{ type }] });
  return () => vi.useRealTimers();
});
const opened = () => {
  openAtToday();
  return window.location.pathname;
};

it('a crew that comes back on another day sees its day first; a new one, and the first day, the sheet', () => {
  expect(opened()).toBe('/');
  noteWork();
  expect(opened()).toBe('/');
  vi.setSystemTime(Date.parse('2026-11-28T07:00:00.000Z'));
  noteWork();
  expect(opened()).toBe('/today');
});

it('what is loaded again, or asked for by an address, stays where it is', () => {
  localStorage.setItem('steady-scatter.works-since', '2026-11-01');
  type = 'reload';
  expect(opened()).toBe('/');
  type = 'navigate';
  window.history.replaceState(null, '', '/jobs');
  expect(opened()).toBe('/jobs');
  window.history.replaceState(null, '', '/?soil=1');
  expect(opened()).toBe('/');
});
