import { jobs } from '@steady-scatter/contract';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { queries } from '../api/queries.ts';
import { openDraft } from '../documents/drafts.ts';
import { JOBS } from '../kinds/useJobs.ts';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { plainSheet } from '../testing/inApp.tsx';
import { openApp, says, valueOf } from '../testing/openApp.tsx';
import { freshDevice } from '../testing/device.ts';

const ID = '01890000-0000-7000-8000-00000000c011';
const job = (grade: string) => plainSheet({}, { grade });

/** A sheet with what one of two people changes on it. */
const changed = (amount: string, grade: string, packed: string, name = 'Lawn') => {
  const sheet = plainSheet();
  const { need, product, areas } = sheet.worksheet;
  const worksheet = { ...sheet.worksheet, need: { ...need, amount }, product: { ...product, grade, package: { ...product.package, size: packed } }, areas: [{ ...areas[0]!, id: ID }] }; // prettier-ignore
  return { ...sheet, name, worksheet };
};

/** A stored job, opened here, changed by somebody else, then changed here and saved. */
async function collide() {
  await freshDevice();
  const app = openApp('/jobs');
  app.server.put(jobs, ID, job('24-0-8'));
  app.go(`/jobs/${ID}`);
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('24-0-8'));
  app.server.put(jobs, ID, job('22-2-11'), 2);
  await app.fill('Grade on the label', '18-0-6');
  await app.press('Save changes');
  const dialog = within(await screen.findByRole('dialog', { name: 'Changed elsewhere', hidden: true }));
  const stored = () =>
    app.server
      .of('jobs')
      .map(({ input }) => (input as unknown as SheetForm).worksheet.product.grade)
      .join();
  return { ...app, dialog, stored };
}

it('their version can be taken, and what was typed brought back', async () => {
  const { person, press, dialog, stored } = await collide();
  await person.click(dialog.getByRole('button', { name: 'Show their version', hidden: true }));
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('22-2-11'));
  await press('Undo');
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('18-0-6'));
  await press('Save changes');
  await waitFor(() => expect(stored()).toBe('18-0-6'));
});

it('mine can be kept whole, also over a job that was deleted', async () => {
  const { person, press, fill, dialog, stored, server } = await collide();
  await person.click(dialog.getByRole('button', { name: 'Keep my version', hidden: true }));
  await waitFor(() => expect(stored()).toBe('18-0-6'));
  await screen.findByRole('button', { name: 'Saved', hidden: true });
  server.drop(ID);
  await fill('Grade on the label', '30-0-0');
  await press('Save changes');
  await press('Restore it with mine');
  await waitFor(() => expect(stored()).toBe('30-0-0'));
});

it('both sides are shown term by term, and what is chosen of each is saved', async () => {
  await freshDevice();
  const { server, go, fill, press, person } = openApp('/jobs');
  server.put(jobs, ID, changed('0.8 lb', '24-0-8', '40 lb'));
  go(`/jobs/${ID}`);
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('24-0-8'));
  server.put(jobs, ID, changed('0.8 lb', '22-2-11', '50 lb'), 2);
  await fill('Amount needed', '0.9 lb');
  await fill('Grade on the label', '18-0-6');
  await press('Save changes');
  const dialog = within(await screen.findByRole('dialog', { name: 'Changed elsewhere', hidden: true }));
  const term = (name: string) =>
    within(dialog.getByRole('group', { name: new RegExp(`^${name}`), hidden: true }));
  const side = (name: string, whose: RegExp) => term(name).getByRole('radio', { name: whose, hidden: true });
  expect(dialog.getAllByRole('group', { hidden: true })).toHaveLength(3);
  expect(side('Need', /Mine/)).toHaveProperty('checked', true);
  expect(side('Package', /Theirs/)).toHaveProperty('checked', true);
  expect(dialog.getByRole('group', { name: /^Grade/, hidden: true }).textContent).toContain('Mine: 18-0-6');
  await person.click(side('Grade', /Theirs/));
  await press('Save what is chosen');
  const stored = () => server.of('jobs').map(({ input }) => (input as unknown as SheetForm).worksheet);
  await waitFor(() => expect(stored()).toMatchObject([{ need: { amount: '0.9 lb' }, product: { grade: '22-2-11', package: { size: '50 lb' } } }])); // prettier-ignore
});

it('a page opened again a week later tells what was saved meanwhile, and keeps what was typed', async () => {
  await freshDevice();
  const first = openApp('/jobs');
  first.server.put(jobs, ID, changed('0.8 lb', '24-0-8', '40 lb'));
  first.go(`/jobs/${ID}`);
  await waitFor(() => expect(valueOf('Grade on the label')).toBe('24-0-8'));
  await first.fill('Grade on the label', '18-0-6');
  await waitFor(() => expect(openDraft(JOBS, ID)?.input.worksheet.product.grade).toBe('18-0-6'));
  cleanup();
  queries.clear();
  const again = openApp('/jobs');
  again.server.put(jobs, ID, changed('0.8 lb', '24-0-8', '40 lb', 'Renamed meanwhile'), 2);
  again.go(`/jobs/${ID}`);
  await says(/changed elsewhere meanwhile/);
  expect(valueOf('Grade on the label')).toBe('18-0-6');
  await again.press('Save changes');
  const dialog = within(await screen.findByRole('dialog', { name: 'Changed elsewhere', hidden: true }));
  expect(dialog.getByRole('group', { name: 'Name', hidden: true }).textContent).toContain(
    'Theirs: Renamed meanwhile',
  );
});
