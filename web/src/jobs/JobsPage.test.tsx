import { jobs, type Kind } from '@steady-scatter/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { callDocuments } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { keysOf } from '../documents/docs.ts';
import { fetched, inApp, keepDemo, keepList, lineOf } from '../testing/inApp.tsx';
import JobsPage from './JobsPage.tsx';

const asked = vi.mocked(callDocuments);
const KIND: Kind = jobs;
const LINES = demo.jobs.map((job) => lineOf(KIND, job));
const named = (name: string) => LINES.find((line) => line.name === name)!;

beforeEach(() => {
  keepDemo();
  keepList(KIND, {}, LINES);
  const ids = LINES.map(({ id }) => id);
  queries.setQueryData(
    [...keysOf(KIND).all, ids],
    demo.jobs.map(({ id, input }) => fetched(id, input)),
  );
  asked.mockResolvedValue({ items: [], next: null, total: 0 });
});
const row = (name: string) => screen.getByRole('link', { name }).closest<HTMLElement>('tr')!;

describe('the list of jobs', () => {
  it('tells of each what it needs, with what, on how much, and what to weigh out', () => {
    inApp(<JobsPage />);
    expect(screen.getAllByRole('link', { name: /./ }).length).toBeGreaterThanOrEqual(LINES.length);
    expect(row('Spring feed, lake front').textContent).toContain('0.8 lb N / 1000 ft²');
    expect(row('Spring feed, lake front').textContent).toContain('Lake feed 24-0-8');
    expect(row('Spring feed, lake front').textContent).toMatch(/3 areas, 7\s510 ft²/);
    expect(row('Bowling green, liquid top-up').textContent).toContain('4.83 L');
  });

  it('marks those that break a rule, by the rules and the soil tests of today', () => {
    inApp(<JobsPage />);
    const marked = screen.getAllByText(/rules? broken/).map((mark) => within(mark.closest<HTMLElement>('tr')!).getByRole('link').textContent); // prettier-ignore
    expect(marked).toEqual(['School pitch, after top dressing']);
    expect(marked).not.toContain('Spring feed, lake front');
  });

  it('is sought through by the server, and says when nothing is called that', async () => {
    const person = inApp(<JobsPage />);
    await person.type(screen.getByRole('searchbox', { name: 'Search jobs' }), 'zzz');
    await waitFor(() => expect(asked).toHaveBeenCalledWith(jobs, 'list', expect.objectContaining({ query: { q: 'zzz' } }))); // prettier-ignore
    expect(await screen.findByText(/^No match/)).toBeTruthy();
    await person.clear(screen.getByRole('searchbox', { name: 'Search jobs' }));
    expect(await screen.findByRole('link', { name: 'Spring feed, lake front' })).toBeTruthy();
  });

  it('deletes with a way back', async () => {
    const person = inApp(<JobsPage />);
    asked.mockResolvedValueOnce(undefined);
    await person.click(screen.getByRole('button', { name: 'Archive Bowling green, iron' }));
    expect(asked).toHaveBeenCalledWith(jobs, 'remove', { params: { id: named('Bowling green, iron').id } });
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeTruthy();
  });

  it('one that cannot be read stands there by its name, to be exported or deleted', () => {
    const { id, name, version, isSample, changedAt } = LINES[0]!;
    keepList(KIND, {}, [{ id, name, version, isSample, changedAt, isReadable: false }, LINES[1]!]);
    inApp(<JobsPage />);
    expect(screen.getByText(`▲ “${name}” cannot be shown: something in it is not readable.`)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Export' })).toBeTruthy();
    expect(screen.getByRole('link', { name: LINES[1]!.name })).toBeTruthy();
  });

  it('while there is none, says what one is', () => {
    keepList(KIND, {}, []);
    inApp(<JobsPage />);
    expect(screen.getByText('No jobs yet')).toBeTruthy();
  });
});
