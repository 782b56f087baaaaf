import { jobs } from '@steady-scatter/contract';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { queries } from '../api/queries.ts';
import { openDraft } from '../documents/drafts.ts';
import { JOBS } from '../kinds/useJobs.ts';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { plainSheet } from '../testing/inApp.tsx';
import { openApp, says, valueOf } from '../testing/openApp.tsx';
import { freshDevice } from '../testing/device.ts';

const ID = '01890000-0000-7000-8000-00000000c011';
const area = { id: ID, name: 'Lawn', size: '7400', unit: 'ft2' } as const;
const packed = (size: string) => ({ package: { size, unit: 'lb' } }) as const;
const job = (grade: string, size = '40 lb') => plainSheet({ areas: [area] }, { grade, ...packed(size) });

beforeEach(freshDevice);

/** The whole app at a stored job. */
async function opened(stored: SheetForm, version = 1) {
  const app = openApp('/jobs');
  app.server.put(jobs, ID, stored, version);
  app.go(`/jobs/${ID}`);
  await screen.findByLabelText('Grade on the label');
  return app;
}

/** Saves what is typed over what somebody else saved. */
async function met({ press }: Pick<ReturnType<typeof openApp>, 'press'>) {
  await press('Save changes');
  return within(await screen.findByRole('dialog', { name: 'Changed elsewhere', hidden: true }));
}

/** A stored job, opened here, changed by somebody else, then changed here and saved. */
async function collide(theirs: SheetForm, mine: Readonly<Record<string, string>>) {
  const app = await opened(job('24-0-8'));
  app.server.put(jobs, ID, theirs, 2);
  // oxlint-disable-next-line no-await-in-loop -- one after the other, as somebody types
  for (const [label, text] of Object.entries(mine)) await app.fill(label, text);
  const dialog = await met(app);
  const sheets = () => app.server.of('jobs').map(({ input }) => (input as unknown as SheetForm).worksheet);
  return {
    ...app,
    dialog,
    sheets,
    grade: () =>
      sheets()
        .map(({ product }) => product.grade)
        .join(),
  };
}
const collideOnGrade = () => collide(job('22-2-11'), { 'Grade on the label': '18-0-6' });

it('their version can be taken, and what was typed brought back', async () => {
  const { person, press, dialog, grade } = await collideOnGrade();
  await person.click(dialog.getByRole('button', { name: 'Show their version', hidden: true }));
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('22-2-11'));
  await press('Undo');
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('18-0-6'));
  await press('Save changes');
  await waitFor(() => expect(grade()).toBe('18-0-6'));
});

it('mine can be kept whole, also over a job that was deleted', async () => {
  const { person, press, fill, dialog, grade, server } = await collideOnGrade();
  await person.click(dialog.getByRole('button', { name: 'Keep my version', hidden: true }));
  await waitFor(() => expect(grade()).toBe('18-0-6'));
  await screen.findByRole('button', { name: 'Saved', hidden: true });
  server.drop(ID);
  await fill('Grade on the label', '30-0-0');
  await press('Save changes');
  await press('Restore it with mine');
  await waitFor(() => expect(grade()).toBe('30-0-0'));
});

it('both sides are shown term by term, and what is chosen of each is saved', async () => {
  const mine = { 'Amount needed': '0.9 lb', 'Grade on the label': '18-0-6' };
  const { dialog, person, press, sheets } = await collide(job('22-2-11', '50 lb'), mine);
  const term = (name: RegExp) => dialog.getByRole('group', { name, hidden: true });
  const side = (name: RegExp, whose: RegExp) =>
    within(term(name)).getByRole('radio', { name: whose, hidden: true });
  expect(dialog.getAllByRole('group', { hidden: true })).toHaveLength(3);
  expect(side(/^Need/, /Mine/)).toHaveProperty('checked', true);
  expect(side(/^Package/, /Theirs/)).toHaveProperty('checked', true);
  expect(term(/^Grade/).textContent).toContain('Mine: 18-0-6');
  await person.click(side(/^Grade/, /Theirs/));
  await press('Save what is chosen');
  const chosen = { need: { amount: '0.9 lb' }, product: { grade: '22-2-11', ...packed('50 lb') } };
  await waitFor(() => expect(sheets()).toMatchObject([chosen]));
});

it('a page opened again a week later tells what was saved meanwhile, and keeps what was typed', async () => {
  const first = await opened(job('24-0-8'));
  await first.fill('Grade on the label', '18-0-6');
  await waitFor(() => expect(openDraft(JOBS, ID)?.input.worksheet.product.grade).toBe('18-0-6'));
  cleanup();
  queries.clear();
  const again = await opened({ ...job('24-0-8'), name: 'Renamed meanwhile' }, 2);
  await says(/changed elsewhere meanwhile/);
  expect(valueOf('Grade on the label')).toBe('18-0-6');
  const dialog = await met(again);
  const name = dialog.getByRole('group', { name: 'Name', hidden: true });
  expect(name.textContent).toContain('Theirs: Renamed meanwhile');
});
