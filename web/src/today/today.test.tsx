import { blankWalk } from '@steady-scatter/core/runSheet';
import { KINDS } from '@steady-scatter/contract';
import { screen, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { Unreachable } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { keysOf } from '../documents/docs.ts';
import { fetched, inApp, keepDemo, keepList, lineOf } from '../testing/inApp.tsx';
import TodayPage from './TodayPage.tsx';

// Nothing is asked of a real server: that it is silent would hold back what is asked next.

const jobs = demo.jobs as unknown as readonly { id: string; input: never }[];
beforeEach(() => {
  keepDemo();
  keepList(KINDS.jobs, { limit: 200 }, jobs.map((job) => lineOf(KINDS.jobs as never, job))); // prettier-ignore
  queries.setQueryData([...keysOf(KINDS.jobs).all, 'isReady:true'], []);
  vi.mocked(call).mockRejectedValue(new Unreachable('No.'));
  return () => vi.useRealTimers();
});
const on = (day: string) => vi.useFakeTimers({ now: Date.parse(`${day}T12:00:00.000Z`), toFake: ['Date'] });

it('tells what is due, what is stale, what wants a look and whose license ends, each with one act', () => {
  on('2026-11-27');
  inApp(<TodayPage />, '/today');
  const lines = screen.getAllByRole('listitem').map((each) => each.textContent);
  expect(lines.length).toBeLessThanOrEqual(7);
  expect(lines.find((text) => text.includes('is stale'))).toMatch(/The chart .* is stale.*Test machine/);
  expect(lines).toContainEqual(expect.stringMatching(/Look at Training end until 7 Dec 2026Look again/));
  expect(lines).toContainEqual(expect.stringMatching(/The license of J\. Alder ends 31 Dec 2026Renew it/));
});

it('a job of this week leads to its run when it is ready, else to what holds it', () => {
  on('2026-09-20');
  inApp(<TodayPage />, '/today');
  const held = within(
    screen.getByText(/Sports meadow, order not complete is due 21 Sep 2026, and is held/).closest('li')!,
  );
  expect(held.getByRole('link').getAttribute('href')).toMatch(/\/load$/);
  expect(screen.queryByText(/September feed/)).toBeNull();
});

it('what a plan says and no sheet was made of leads to the plan; what waits says why', () => {
  on('2026-11-12');
  inApp(<TodayPage />, '/today');
  const missed = within(screen.getByText(/Potash 0-0-60 on School was due 6 Nov 2026/).closest('li')!);
  expect(missed.getByRole('link', { name: /^Make the sheet/ }).getAttribute('href')).toMatch(/^\/plans\/[\w-]+\?portion=/); // prettier-ignore
  const held = within(screen.getByText('Straight nitrogen 46-0-0 on Sports meadow (look first) (Colour after the first cut decides), 5 Oct 2026, waits').closest('li')!); // prettier-ignore
  expect(held.getByRole('link').getAttribute('href')).toMatch(/^\/plans\//);
});

it('what was spread yesterday and is to be watered in is told first, and not a week later', () => {
  const row = demo.applications.find(({ input }) => input.areaName === 'Slipway bank' && input.onDay === '2026-09-15'); // prettier-ignore
  const watered = { ...row!, input: { ...row!.input, water: '6 mm by noon' } };
  queries.setQueryData(['applications', 'all'], [watered]);
  on('2026-09-16');
  inApp(<TodayPage />, '/today');
  const line = within(screen.getByText('Water in Slipway bank, spread 15 Sep 2026').closest('li')!);
  expect(line.getByRole('link').getAttribute('href')).toBe(
    '/log?q=Slipway+bank&from=2026-09-15&to=2026-09-15',
  );
  on('2026-09-22');
  inApp(<TodayPage />, '/today');
  expect(screen.getAllByText(/Water in Slipway bank/)).toHaveLength(1);
});

it('a run that is under way leads on to it', () => {
  const job = jobs[0]! as unknown as { id: string };
  queries.setQueryData([...keysOf(KINDS.walks).all, ''], [fetched('w', { ...blankWalk({ job: job.id, holder: 'd' }, 'us'), isBegun: true })]); // prettier-ignore
  on('2030-02-01');
  inApp(<TodayPage />, '/today');
  const line = within(screen.getByText(/^A run on .* is under way$/).closest('li')!);
  expect(line.getByRole('link', { name: /^Go on/ }).getAttribute('href')).toBe(`/jobs/${job.id}/run`);
});

it('a quiet day says so', () => {
  on('2030-02-01');
  keepDemo({ calibrations: [], people: [] });
  keepList(KINDS.jobs, { limit: 200 }, []);
  queries.setQueryData([...keysOf(KINDS.jobs).all, 'isReady:true'], []);
  inApp(<TodayPage />, '/today');
  expect(screen.getByText(/Nothing is due/)).toBeTruthy();
  expect(fetched('a', {}).id).toBe('a');
});
