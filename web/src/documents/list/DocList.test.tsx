import { calibrations, isArchived, KIND_NAMES, soilTests } from '@steady-scatter/contract';
import { blankSoilTest } from '@steady-scatter/core/need';
import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { NotTaken } from '../../api/errors.ts';
import { callDocuments } from '../../api/lazyCall.ts';
import { aboutDocument, outbox } from '../../outbox/index.ts';
import { AIMS } from '../../kinds/useCalibrations.ts';
import { SOIL_TESTS } from '../../kinds/useSoilTests.ts';
import { inApp, keepDemo, keepList, lineOf } from '../../testing/inApp.tsx';
import { savedFiles } from '../../testing/out.ts';
import { DocList } from './DocList.tsx';

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
  asked.mockResolvedValue({ items: [LINES[2]], next: null, total: 1 });
  // React tells of what a boundary caught.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
});

const cell = ({ onDay }: { onDay: string }) => {
  if (onDay === 'broken') throw new RangeError('Invalid time value');
  return onDay;
};
const list = () =>
  inApp(
    <DocList
      kind={SOIL_TESTS}
      heading="Soil tests"
      tabs={null}
      empty="None."
      columns={[{ header: 'Day', cell }]}
    />,
  );

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
  expect(
    within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' }),
  ).toBeTruthy();
});

it('and exported as it is stored', async () => {
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
  await waitFor(() => expect(savedFiles().map(({ name }) => name)).toEqual(['Fourth.json']));
  expect(asked).toHaveBeenCalledWith(soilTests, 'raw', { params: { id: '4' } });
});

it('what is longer than a page is searched, and shown page by page', async () => {
  keepList(soilTests, {}, LINES);
  const { queries } = await import('../../api/queries.ts');
  const { keysOf } = await import('../docs.ts');
  queries.setQueryData(keysOf(soilTests as never).list({}), {
    pages: [{ items: LINES, next: 'more', total: 14 }],
    pageParams: [null],
  });
  const person = list();
  await person.click(screen.getByRole('button', { name: 'Show more of 14 soil tests' }));
  await waitFor(() =>
    expect(asked).toHaveBeenCalledWith(
      soilTests,
      'list',
      expect.objectContaining({ query: { cursor: 'more' } }),
    ),
  );
  await person.type(screen.getByRole('searchbox', { name: 'Search soil tests' }), 'third');
  await waitFor(() =>
    expect(asked).toHaveBeenCalledWith(soilTests, 'list', expect.objectContaining({ query: { q: 'third' } })),
  );
  await waitFor(() => expect(screen.queryByRole('link', { name: 'First' })).toBeNull());
});

it('what something was measured for is archived, with a way back; other things are deleted', async () => {
  keepList(calibrations, {}, [{ ...LINES[0], name: 'Red, lake feed' }]);
  const person = inApp(<DocList kind={AIMS} heading="Bench" tabs={null} empty="None." columns={[]} />);
  await person.click(screen.getByRole('button', { name: 'Archive Red, lake feed' }));
  const told = await screen.findByText('Archived “Red, lake feed”.');
  expect(
    within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' }),
  ).toBeTruthy();
  expect(KIND_NAMES.filter(isArchived)).toEqual(['products', 'sites', 'calibrations', 'storms', 'jobs']);
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
  await person.click(screen.getByRole('button', { name: 'Restore Old test' }));
  expect(asked).toHaveBeenCalledWith(soilTests, 'restore', { params: { id: '7' } });
  expect(await screen.findByText('“Old test” is on the list again.')).toBeTruthy();
});

it('is sorted by its headings, by the server', async () => {
  const person = inApp(
    <DocList
      kind={SOIL_TESTS}
      heading="Soil tests"
      tabs={null}
      empty="None."
      columns={[
        { header: 'Sampled', by: 'onDay', cell: () => 'x' },
        { header: 'Needs', cell: () => 'y' },
      ]}
    />,
  );
  await person.click(screen.getByRole('button', { name: 'Sampled' }));
  await waitFor(() =>
    expect(asked).toHaveBeenCalledWith(
      soilTests,
      'list',
      expect.objectContaining({ query: { sort: 'onDay' } }),
    ),
  );
  expect(screen.getByRole('columnheader', { name: 'Sampled' }).getAttribute('aria-sort')).toBe('ascending');
  expect(screen.queryByRole('button', { name: 'Needs' })).toBeNull();
});

it('several that are ticked are deleted together, with one way back', async () => {
  const person = list();
  await person.click(screen.getByRole('checkbox', { name: 'Select First' }));
  await person.click(screen.getByRole('checkbox', { name: 'Select Third' }));
  expect(screen.getByRole('group', { name: 'Selected' }).textContent).toContain('2 selected');
  await person.click(screen.getByRole('button', { name: 'Delete 2' }));
  await waitFor(() => expect(asked).toHaveBeenCalledWith(soilTests, 'remove', { params: { id: '3' } }));
  const told = await screen.findByText('Deleted 2 soil tests.');
  asked.mockResolvedValue({
    id: '1',
    version: 2,
    schemaVersion: 2,
    isSample: true,
    input: {},
    changedAt: '',
  });
  await person.click(
    within(told.closest('[role=status]') ?? document.body).getByRole('button', { name: 'Undo' }),
  );
  await waitFor(() => expect(asked).toHaveBeenCalledWith(soilTests, 'restore', { params: { id: '1' } }));
  expect(asked).toHaveBeenCalledWith(soilTests, 'restore', { params: { id: '3' } });
});

it('of several that cannot all be deleted says why, and the way back is for those that were', async () => {
  const person = list();
  await person.click(screen.getByRole('checkbox', { name: 'Select First' }));
  await person.click(screen.getByRole('checkbox', { name: 'Select Third' }));
  asked.mockImplementation(async (_kind, verb, { params }) => {
    if (verb === 'remove' && params?.['id'] === '3') throw new NotTaken('It is in use.');
    return { items: LINES, next: null, total: 3 };
  });
  await person.click(screen.getByRole('button', { name: 'Delete 2' }));
  expect(await screen.findByText('Deleted “First”. It is in use.')).toBeTruthy();
});

it('what waits to be sent says so in its line', () => {
  const waiting = { entry: {}, refusal: null } as never;
  const of = vi
    .spyOn(outbox, 'of')
    .mockImplementation((about) => (about === aboutDocument('soilTests', '1') ? waiting : undefined));
  list();
  expect(screen.getByRole('link', { name: 'First' }).closest('tr')!.textContent).toContain(
    '● waiting to be sent',
  );
  expect(screen.getByRole('link', { name: 'Third' }).closest('tr')!.textContent).not.toContain('waiting');
  of.mockRestore();
});

it('of thousands of lines only those in view are drawn, and how many there are is told', () => {
  const many = Array.from({ length: 2000 }, (_, index) => line(`id-${index}`, `Test ${index}`, '2026-04-18'));
  keepList(soilTests, {}, many);
  list();
  const drawn = screen.getAllByRole('link', { name: /^Test/ }).length;
  expect(drawn).toBeGreaterThan(5);
  expect(drawn).toBeLessThan(100);
  expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('2001');
});
