import { jobs } from '@steady-scatter/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { SheetForm } from '../sheet/sheetForms.ts';
import { plainSheet } from '../testing/inApp.tsx';
import { openApp, valueOf } from '../testing/openApp.tsx';
import { freshDevice } from '../testing/device.ts';

const ID = '01890000-0000-7000-8000-00000000c011';
const job = (grade: string) => plainSheet({}, { grade });

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
