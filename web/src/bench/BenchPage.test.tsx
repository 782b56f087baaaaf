import { KINDS } from '@steady-scatter/contract';
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { callDocuments, callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { keysOf } from '../documents/docs.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import BenchPage from './BenchPage.tsx';

beforeEach(() => {
  keepDemo();
});

const cellsOf = (name: string) => {
  const row = screen.getByRole('link', { name }).closest('tr')!;
  return [...row.querySelectorAll('td:not([data-tick])')].map((cell) => cell.textContent ?? '');
};

it('says of each calibration what was signed off and whether it holds, or what to set next', () => {
  inApp(<BenchPage />);
  const signed = cellsOf('Red spreader, lake feed');
  expect(signed[1]).toMatch(/^3\.3.* lb \/ 1000 ft²$/);
  expect(signed[2]).toBe('at 11, since 10 Apr 2026');
  expect(signed[3]).toMatch(/stale|ageing/);
  const open = cellsOf('Yard truck, rock salt');
  expect(open[2]).toMatch(/^next: /);
  expect(open[3]).toBe('—');
});

it('asks neither for all calibrations nor for all runs', () => {
  for (const queryKey of [keysOf(KINDS.calibrations).all, ['testRuns', 'all']])
    queries.removeQueries({ queryKey, exact: true });
  inApp(<BenchPage />);
  expect(cellsOf('Yard truck, rock salt')[2]).toMatch(/^next: /);
  expect(vi.mocked(callEvents)).not.toHaveBeenCalled();
  expect(vi.mocked(callDocuments).mock.calls.filter(([{ name }]) => name === 'calibrations')).toEqual([]);
});
