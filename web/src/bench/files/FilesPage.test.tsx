import { KINDS } from '@steady-scatter/contract';
import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { callDocuments, callEvents } from '../../api/lazyCall.ts';
import { queries } from '../../api/queries.ts';
import { fetched, inApp } from '../../testing/inApp.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import FilesPage from './FilesPage.tsx';

const asked = vi.mocked(callDocuments);
const saved = vi.mocked(saveFile);

/** A server that has the sample documents. */
const answer: typeof callDocuments = async ({ name }, verb) => {
  const rows: readonly { id: string; input: unknown }[] =
    demo[name as 'rigs' | 'calibrations' | 'products' | 'openRuns'];
  if (verb === 'several')
    return { documents: rows.map(({ id, input }) => fetched(id, input)), unreadable: [] };
  return { items: rows.map(({ id }) => ({ id, isReadable: true })), next: null, total: rows.length };
};

beforeEach(() => {
  queries.clear();
  asked.mockImplementation(answer);
  vi.mocked(callEvents).mockResolvedValue({ events: demo.testRuns, unreadable: [], next: null });
});

it('saves every test there is on the server, also at once after the page was opened', async () => {
  const person = inApp(<FilesPage />);
  await person.click(screen.getByRole('button', { name: 'Tests as JSON' }));
  await waitFor(() => expect(saved).toHaveBeenCalled());
  const [, type, text] = saved.mock.calls[0]!;
  expect(type).toBe('application/json');
  const file = JSON.parse(text as string) as {
    calibrations: { id: string; schemaVersion: number; input: { runs: object[] } }[];
  };
  expect(file.calibrations.map(({ id }) => id)).toEqual(demo.calibrations.map(({ id }) => id));
  expect(file.calibrations.map(({ input }) => input.runs.length)).toEqual([
    6, 4, 2, 4, 2, 4, 3, 3, 3, 2, 1, 3, 8, 2,
  ]);
  expect(file.calibrations[0]!.schemaVersion).toBe(KINDS.calibrations.schemaVersion);
});

it('saves nothing where the server does not answer, and says so', async () => {
  asked.mockRejectedValue(new Error('gone'));
  const person = inApp(<FilesPage />);
  await person.click(screen.getByRole('button', { name: 'Runs as CSV' }));
  expect(await screen.findByText(/Nothing was saved/)).toBeTruthy();
  expect(saved).not.toHaveBeenCalled();
});
