import { calibrations, isArchived, KIND_NAMES, soilTests } from '@steady-scatter/contract';
import { blankSoilTest } from '@steady-scatter/core/need';
import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { callDocuments } from '../api/lazyCall.ts';
import { AIMS } from '../kinds/useCalibrations.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { inApp, keepDemo, keepList, lineOf } from '../testing/inApp.tsx';
import { DocList } from './DocList.tsx';

vi.mock('../api/lazyCall.ts', async (load) => ({ ...(await load<object>()), callDocuments: vi.fn() }));
const asked = vi.mocked(callDocuments);

const line = (id: string, name: string, onDay: string) =>
  lineOf(SOIL_TESTS.kind, { id, input: { ...blankSoilTest('kg/ha', onDay), name } });
const LINES = [
  line('1', 'First', '2026-04-18'),
  line('2', 'Second', 'broken'),
  line('3', 'Third', '2026-05-02'),
];
const { id, name, version, isSample, changedAt } = line('4', 'Fourth', '');
const UNREADABLE = { id, name, version, isSample, changedAt, isReadable: false };

beforeEach(() => {
  keepDemo();
  keepList(soilTests, {}, [...LINES, UNREADABLE]);
  asked.mockReset().mockResolvedValue({ items: [LINES[2]], next: null, total: 1 });
  // React tells of what a boundary caught.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});

const cell = ({ onDay }: { onDay: string }) => {
  if (onDay === 'broken') throw new RangeError('Invalid time value');
  return onDay;
};
const list = () => inApp(<DocList kind={SOIL_TESTS} heading="Soil tests" tabs={null} empty="None." columns={[{ header: 'Day', cell }]} />); // prettier-ignore

it('one that cannot be shown, or read, is one line that says so; the others stand as ever', () => {
  list();
  for (const odd of ['Second', 'Fourth'])
    expect(screen.getByText(`▲ “${odd}” cannot be shown: something in it is not readable.`)).toBeTruthy();
  for (const fine of ['First', 'Third']) expect(screen.getByRole('link', { name: fine })).toBeTruthy();
  expect(screen.getAllByRole('row')).toHaveLength(5);
});

it('and it can be deleted there, with a way back', async () => {
  const person = list();
  await person.click(screen.getByRole('button', { name: 'Delete Second' }));
  expect(asked).toHaveBeenCalledWith(soilTests, 'remove', { params: { id: '2' } });
  const told = await screen.findByText('Deleted “Second”.');
  expect(within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' })).toBeTruthy(); // prettier-ignore
});

it('and exported as it is stored', async () => {
  const saved = vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:x');
  asked.mockResolvedValue({
    id: '4',
    kind: 'soilTests',
    version: 1,
    schemaVersion: 9,
    changedAt: '',
    raw: '{',
  });
  const person = list();
  await person.click(screen.getByRole('button', { name: 'Export' }));
  await waitFor(() => expect(saved).toHaveBeenCalled());
  expect(asked).toHaveBeenCalledWith(soilTests, 'raw', { params: { id: '4' } });
});

it('what is longer than a page is searched, and shown page by page', async () => {
  keepList(soilTests, {}, LINES);
  const { queries } = await import('../api/queries.ts');
  const { keysOf } = await import('./docs.ts');
  queries.setQueryData(keysOf(soilTests as never).list({}), { pages: [{ items: LINES, next: 'more', total: 14 }], pageParams: [null] }); // prettier-ignore
  const person = list();
  await person.click(screen.getByRole('button', { name: 'Show more of 14 soil tests' }));
  await waitFor(() => expect(asked).toHaveBeenCalledWith(soilTests, 'list', expect.objectContaining({ query: { cursor: 'more' } }))); // prettier-ignore
  await person.type(screen.getByRole('searchbox', { name: 'Look for a soil test' }), 'third');
  await waitFor(() => expect(asked).toHaveBeenCalledWith(soilTests, 'list', expect.objectContaining({ query: { q: 'third' } }))); // prettier-ignore
  await waitFor(() => expect(screen.queryByRole('link', { name: 'First' })).toBeNull());
});

it('what something was measured for is archived, with a way back; other things are deleted', async () => {
  keepList(calibrations, {}, [{ ...LINES[0], name: 'Red, lake feed' }]);
  const person = inApp(<DocList kind={AIMS} heading="Bench" tabs={null} empty="None." columns={[]} />);
  await person.click(screen.getByRole('button', { name: 'Archive Red, lake feed' }));
  const told = await screen.findByText('Archived “Red, lake feed”.');
  expect(within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' })).toBeTruthy(); // prettier-ignore
  expect(KIND_NAMES.filter(isArchived)).toEqual(['calibrations']);
});

it('what was taken off the list is asked for when somebody looks for it, and put back', async () => {
  asked.mockImplementation(async (_kind, verb) =>
    verb === 'removed'
      ? { items: [{ id: '7', name: 'Old test', isSample: true, removedAt: '2026-04-18T08:00:00.000Z' }] }
      : { id: '7', version: 2, schemaVersion: 2, isSample: true, input: {}, changedAt: '' },
  );
  const person = list();
  expect(asked).not.toHaveBeenCalled();
  await person.click(screen.getByRole('button', { name: 'Deleted soil tests' }));
  expect(await screen.findByText('18 Apr 2026')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Put Old test back' }));
  expect(asked).toHaveBeenCalledWith(soilTests, 'restore', { params: { id: '7' } });
  expect(await screen.findByText('“Old test” is on the list again.')).toBeTruthy();
});
