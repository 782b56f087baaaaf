import type { Hit } from '@steady-scatter/contract';
import { expect, it, vi } from 'vitest';
import { commandEntries, hitEntries, logEntry } from './findEntries.ts';

const commands = [
  { id: 'new', label: 'New sheet', keys: 'n', run: () => undefined },
  { id: 'delete', label: 'Delete this job', run: () => undefined },
];
const labels = (input: string) => commandEntries(commands, input).map(({ label }) => label);

it('finds commands by every word, the beginnings first', () => {
  expect(labels('')).toEqual(['New sheet', 'Delete this job']);
  expect(labels('she new')).toEqual(['New sheet']);
  expect(labels('de')).toEqual(['Delete this job']);
  expect(labels('zzz')).toEqual([]);
});

it('leads from what was found to where it stands', () => {
  const open = vi.fn<(path: string) => void>();
  const hit: Hit = { kind: 'jobs', id: '1', name: 'Spring feed', found: 'Slipway bank', onDay: '2026-04-18', isSample: true }; // prettier-ignore
  const [area, site] = hitEntries([hit, { ...hit, kind: 'sites', id: '2', found: null, onDay: null }], open);
  expect(area).toMatchObject({
    kind: 'Jobs',
    label: 'Spring feed',
    detail: 'Slipway bank, 18\u00a0Apr\u00a02026',
  });
  expect(site).toMatchObject({ kind: 'Sites', label: 'Spring feed', detail: '' });
  area?.run();
  site?.run();
  expect(open.mock.calls).toEqual([['/jobs/1'], ['/sites/2']]);
});

it('leads to the records of all years that hold the words', () => {
  const open = vi.fn<(path: string) => void>();
  const entry = logEntry('lot 7 & 8', open);
  expect(entry).toMatchObject({ kind: 'Records', label: 'Records with “lot 7 & 8”' });
  entry.run();
  expect(open).toHaveBeenCalledWith('/log?from=2000-01-01&q=lot+7+%26+8');
});
