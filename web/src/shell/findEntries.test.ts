import type { Hit } from '@steady-scatter/contract';
import { expect, it, vi } from 'vitest';
import { doneRows } from '@steady-scatter/core/season';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { commandEntries, hitEntries, logEntry, lotEntries, recordEntries } from './findEntries.ts';

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

it('leads to lots by their names, each once, and to the latest records that have the words', () => {
  const open = vi.fn<(path: string) => void>();
  const moves = demo.stockMoves as never;
  const [lot, ...more] = lotEntries('lf-26', moves, () => 'Lake feed', open);
  expect([lot, more]).toMatchObject([{ kind: 'Lots', label: 'LF-2604', detail: 'Lake feed' }, []]);
  lot!.run();
  const records = recordEntries('bandstand feed', doneRows(demo.applications as never), open);
  expect(records.map(({ label, detail }) => [label, detail.replaceAll('\u00a0', ' ')])).toEqual([
    ['Bandstand lawn, Lake front', 'Autumn feed 22-2-11, 15 Sep 2026'],
    ['Bandstand lawn, Lake front', 'Lake feed 24-0-8, 20 Jul 2026'],
    ['Bandstand lawn, Lake front', 'Lake feed 24-0-8, 15 Jun 2026'],
  ]);
  records[0]!.run();
  expect(open.mock.calls.map(([path]) => path)).toEqual([
    expect.stringMatching(/^\/shelf\/[\w-]+\/lots\/LF-2604$/),
    expect.stringMatching(/^\/log\?area=[\w-]+&from=2026-09-15&to=2026-09-15$/),
  ]);
  expect([lotEntries('', moves, String, open), recordEntries(' ', [], open)]).toEqual([[], []]);
});
