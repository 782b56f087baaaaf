import type { JobSummary } from '@steady-scatter/contract';
import { expect, it, vi } from 'vitest';
import { entriesOf, findEntries } from './findEntries.ts';

const job = (id: string, name: string, areaNames: string[]) =>
  ({ id, name, onDay: '2026-04-18', areaNames }) as JobSummary;
const open = vi.fn<(id: string) => void>();
const entries = entriesOf(
  [{ id: 'new', label: 'New sheet', keys: 'n', run: () => undefined }],
  [
    job('1', 'Spring feed, lake front', ['Bandstand lawn', 'Slipway bank']),
    job('2', 'Bowling green, iron', ['Green']),
  ],
  open,
);
const labels = (typed: string) => findEntries(entries, typed).map(({ label }) => label);

it('finds by every word, the beginnings first', () => {
  expect(labels('')).toEqual(['New sheet', 'Spring feed, lake front', 'Bowling green, iron']);
  expect(labels('bank')).toEqual(['Slipway bank']);
  expect(labels('green')).toEqual(['Green', 'Bowling green, iron']);
  expect(labels('lake ban')).toEqual(['Bandstand lawn', 'Slipway bank']);
  expect(labels('zzz')).toEqual([]);
});

it('leads from an area to its job', () => {
  findEntries(entries, 'slipway')[0]?.run();
  expect(open).toHaveBeenCalledWith('1');
});
