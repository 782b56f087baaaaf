import { KINDS } from '@steady-scatter/contract';
import type { ApplicationInput } from '@steady-scatter/core/season';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { queries } from '../api/queries.ts';
import { noteAnswer } from '../api/connection.ts';
import { call, callDocuments, callEvents } from '../api/lazyCall.ts';
import { keysOf } from '../documents/docs.ts';
import { freshDevice, waitingHere } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { fetched, inApp, keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import { saveFile } from '../ui/saveFile.ts';
import AfterStop from './AfterStop.tsx';
import AfterTold from './AfterTold.tsx';
import LogPage from './LogPage.tsx';
import { DriftBox } from './DriftBox.tsx';
import { driftOf, doneRows, weighedRuns } from '@steady-scatter/core/season';

const SPRING = 'Spring feed, lake front';
const jobOf = (name: string) => demo.jobs.find(({ input }) => input.name === name)!;
const SITE = demo.sites.find(({ input }) => input.name === 'Lake front')!;

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  keepDemo();
  vi.mocked(callEvents).mockImplementation(server.events);
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(call).mockImplementation(server.call);
  for (const { id } of demo.jobs)
    queries.setQueryData(['applications', 'of', id], demo.applications.filter(({ subject }) => subject === id));
  queries.setQueryData([...keysOf(KINDS.sites).all, [SITE.id]], [fetched(SITE.id, SITE.input)]);
}); // prettier-ignore

const open = (name: string) => onSheet(<AfterStop />, sampleSheet(name), `/jobs/${jobOf(name).id}`);
/** What was appended: at the server by now, or waiting on this device where a page asked for what nobody has here. */
const appended = () => {
  const waiting = waitingHere().flatMap(({ entry }) => (entry.what === 'row' ? [entry.row] : []));
  return [...server.rows.values(), ...waiting];
};
const said = () => appended().map(({ input }) => input as unknown as ApplicationInput);
const record = () => within(screen.getByRole('region', { name: 'Record work' }));

describe('what was put down', () => {
  it('stands area by area against what was meant, with every nutrient, who and a correction beside', () => {
    open(SPRING);
    const rows = within(screen.getByRole('region', { name: 'What was spread' })).getAllByRole('listitem');
    expect(rows).toHaveLength(3);
    expect(rows[0]!.textContent).toMatch(/Bandstand lawn.*8\.25.lb.*5 % heavy/);
    expect(rows[0]!.textContent).toMatch(/Delivered 0\.84 lb N and 0\.28 lb K₂O on each 1000 ft²/);
    expect(rows[0]!.textContent).toContain('R. Fenn (TH-118 (sample))');
    expect(screen.getByText(/Corrected: Typed twice as much at first/)).toBeTruthy();
    expect(screen.getByText(/In all: .*: 105 % of what was meant/)).toBeTruthy();
  });

  it('is corrected and voided with a reason, and never changed', async () => {
    const { person } = open(SPRING);
    await person.click(screen.getByRole('button', { name: 'Correct Library strip' }));
    const panel = within(await screen.findByRole('dialog'));
    await person.click(panel.getByRole('button', { name: 'Does not count' }));
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    expect(panel.getByText(/Say why/)).toBeTruthy();
    await person.type(panel.getByLabelText('Reason'), 'Another crew did it');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    await waitFor(() =>
      expect(said()).toMatchObject([{ areaName: 'Library strip', void: 'Another crew did it' }]),
    );
    expect(appended()[0]!.first).not.toBeNull();
    expect(await screen.findByText('Does not count: Another crew did it')).toBeTruthy();
  });

  it('keeps what is typed while the records of others are still on their way', async () => {
    const { id } = jobOf(SPRING);
    const theirs = queries.getQueryData(['applications', 'of', id]);
    queries.setQueryData(['applications', 'of', id], []);
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Went out in all'), '80');
    const typed = record().getByLabelText('Went out in all');
    act(() => void queries.setQueryData(['applications', 'of', id], theirs));
    expect(await screen.findByRole('region', { name: 'What was spread' })).toBeTruthy();
    expect(record().getByLabelText<HTMLInputElement>('Went out in all').value).toBe('80');
    expect(record().getByLabelText('Went out in all')).toBe(typed);
  });

  it('is told on the tape in a few words', async () => {
    const told = vi.fn();
    inApp(<AfterTold id={jobOf(SPRING).id} onTold={told} />);
    await waitFor(() => expect(told).toHaveBeenCalledWith('3 areas, 105 %'));
  });

  it('a sheet that is not saved has no record', () => {
    onSheet(<AfterStop />, sampleSheet(SPRING));
    expect(screen.getByText(/Save the job first/)).toBeTruthy();
  });
});

describe('recording', () => {
  it('a name and what went out in all: split as planned, everything else from the sheet', async () => {
    const { person } = open(SPRING);
    await person.click(record().getByRole('button', { name: 'Save record' }));
    expect(record().getByRole('alert').textContent).toBe('Type your name: it stands on the record.');
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    await person.type(record().getByLabelText('Went out in all'), '24.5');
    await person.click(record().getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(3));
    const rows = said();
    expect(rows.reduce((sum, { amount }) => sum + Number(amount.text), 0)).toBeCloseTo(24.5, 3);
    expect(new Set(rows.map(({ runId }) => runId)).size).toBe(1);
    expect(rows[0]).toMatchObject({
      areaName: 'Bandstand lawn',
      by: 'R. Fenn',
      need: '0.8 lb N / 1000 ft²',
      product: { name: 'Lake feed 24-0-8', grade: '24-0-8' },
      machine: { name: 'Red push spreader' },
      amount: { unit: 'lb', from: 'split' },
      label: { grade: '24-0-8' },
    });
    expect(rows[0]!.chart).toContain('Red spreader, lake feed');
  });

  it('nothing typed is what was planned, and says so', async () => {
    const { person } = open('Bandstand lawn, summer in two portions');
    await person.type(record().getByLabelText('Your name'), 'J. Alder');
    await person.click(record().getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    // One portion of two, both directions of it.
    expect(Number(said()[0]!.planned)).toBeGreaterThan(8);
    expect(said()[0]).toMatchObject({ amount: { from: 'planned' }, directions: 'two' });
    expect(await screen.findByText('as planned, not weighed')).toBeTruthy();
  });

  it.each([
    ['a word', 'lots', /Type how much went out/],
    ['three times as much', '75', /More went out than the sheet asks/],
  ])('%s is asked about', async (_, used, sentence) => {
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    await person.type(record().getByLabelText('Went out in all'), used);
    await person.click(record().getByRole('button', { name: 'Save record' }));
    expect(record().getByRole('alert').textContent).toMatch(sentence);
    expect(said()).toEqual([]);
  });

  it('a day to come is none', async () => {
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    await person.clear(record().getByLabelText('Day'));
    await person.type(record().getByLabelText('Day'), '2099-01-01');
    await person.click(record().getByRole('button', { name: 'Save record' }));
    expect(record().getByRole('alert').textContent).toMatch(/That is in the future/);
  });

  it('license, weather and a note go with it', async () => {
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    // The license is that of the crew's list; another one may be typed.
    expect(record().getAllByText(/^License TH-118 \(sample\)/)).toHaveLength(2);
    await person.click(record().getByRole('button', { name: 'Change weather' }));
    await person.type(record().getByLabelText('Wind'), '5 mph');
    await person.click(record().getByRole('checkbox', { name: /Sweep strays/ }));
    await person.click(record().getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(3));
    expect(said()[0]).toMatchObject({ license: 'TH-118 (sample)', licenseUntil: '2027-06-30', weather: { wind: '5 mph' }, cautions: ['after cautions.sweepBack'] }); // prettier-ignore
    // The sheet goes along once, with the first row of the run; the chart with each.
    expect(said().map(({ sheet }) => sheet !== null)).toEqual([true, false, false]);
    expect(said()[0]!.chartLines.length).toBeGreaterThan(2);
    expect(said()[0]!.settingRate).toBe('3.3333');
  });

  it.each([
    ['40', '15.5', null],
    ['15.5', '40', /More is left than was loaded/],
    ['40', '40', /nothing went out/],
    ['40', 'some', /Type what was loaded and what was left/],
  ])('loaded %s, left %s', async (loaded, left, wrong) => {
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    await person.click(record().getByRole('button', { name: 'Change loaded and left' }));
    await person.type(record().getByLabelText('Loaded'), loaded);
    await person.type(record().getByLabelText('Left over'), left);
    await person.click(record().getByRole('button', { name: 'Save record' }));
    if (wrong) {
      expect(record().getByRole('alert').textContent).toMatch(wrong);
      expect(said()).toEqual([]);
      return;
    }
    await waitFor(() => expect(said()).toHaveLength(3));
    expect(said().reduce((sum, { amount }) => sum + Number(amount.text), 0)).toBeCloseTo(24.5, 3);
    expect(said()[0]!.leftover.text).toBe('15.5');
  });

  it('a clock that is off is asked about, and the server’s taken', async () => {
    noteAnswer(new Date(Date.now() - 14 * 60_000).toUTCString(), Date.now());
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    expect(record().getByRole('checkbox', { name: /runs 14 min ahead of the server/ })).toHaveProperty('checked', true); // prettier-ignore
    await person.click(record().getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(3));
    expect(said()[0]!.clockAhead).toMatch(/^84\d$|^83\d$/);
    noteAnswer(new Date().toUTCString(), Date.now());
  });

  it('a day before its lot came is asked about once', async () => {
    const own = demo.jobs.find(({ input }) => input.name === SPRING)!.input.worksheet.product;
    const came = { id: 'm1', subject: demo.products.find(({ input }) => input.name === own.name)!.id, first: null, occurredAt: '2026-04-20T12:00:00.000Z', input: { what: 'received', packages: '4', lot: own.lot, price: '', by: '', note: '', void: '' } }; // prettier-ignore
    queries.setQueryData(['stockMoves', 'all'], [came]);
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    fireEvent.change(record().getByLabelText('Day'), { target: { value: '2026-04-18' } });
    await person.click(record().getByRole('button', { name: 'Save record' }));
    expect(record().getByRole('alert').textContent).toMatch(/This lot came on 20 Apr 2026, later than that/);
    expect(said()).toHaveLength(0);
    await person.click(record().getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(3));
  });

  it('what ends before it begins is asked about', async () => {
    const { person } = open(SPRING);
    await person.type(record().getByLabelText('Your name'), 'R. Fenn');
    await person.click(record().getByRole('button', { name: 'Change license, note, photos' }));
    fireEvent.change(record().getByLabelText('Time'), { target: { value: '09:30' } });
    fireEvent.change(record().getByLabelText('Day'), { target: { value: '2026-04-18' } });
    fireEvent.change(record().getByLabelText('Done at'), { target: { value: '09:00' } });
    await person.click(record().getByRole('button', { name: 'Save record' }));
    expect(record().getByRole('alert').textContent).toMatch(/It ends before it begins/);
  });
});

describe('drift', () => {
  it('four weighed runs of this machine and product, each a little heavier: a check test is due', () => {
    open(SPRING);
    const box = within(screen.getByRole('region', { name: 'This machine with this product' }));
    expect(
      box.getByText(/Over 4 weighed runs it spreads 10\d % of what was meant: it drifts heavy/),
    ).toBeTruthy();
    expect(box.getByRole('img', { name: /^Weighed runs/ })).toBeTruthy();
  });

  it('runs are one each, over all their areas; what was planned or is void is none', () => {
    const rows = doneRows(demo.applications as never);
    const rig = demo.rigs.find(({ input }) => input.name === 'Red push spreader')!.id;
    const runs = weighedRuns(rows, rig, 'Lake feed 24-0-8');
    expect(runs.map(({ ratio }) => ratio.toFixed(2))).toEqual(['1.01', '1.05', '1.09', '1.12']);
    expect(weighedRuns(rows, rig, 'Another')).toEqual([]);
    expect(weighedRuns(rows, '', 'Lake feed 24-0-8')).toEqual([]);
  });

  it('an odd run is told apart, few runs say that they are few', () => {
    const runs = [1, 1.01, 1.7].map((ratio, index) => ({
      id: String(index),
      startedAt: `2026-04-1${index}T08:00:00.000Z`,
      ratio,
    }));
    inApp(<DriftBox drift={driftOf(runs)} />);
    expect(screen.getByText(/The run of 12 Apr 2026 \(170 %\) lies so far off/)).toBeTruthy();
    expect(screen.getByText(/2 weighed runs so far/)).toBeTruthy();
  });
});

describe('the log', () => {
  it('tells what was spread between two days, finds it by words, and saves it as a table', async () => {
    const person = inApp(<LogPage />, '/log');
    const rows = () => screen.getAllByRole('row').slice(1);
    const all = rows().length;
    expect(all).toBeGreaterThan(10);
    await person.type(screen.getByLabelText('Site, area, product, lot or name'), '24-0-8 bandstand');
    await waitFor(() => expect(rows()).toHaveLength(4));
    expect(rows()[0]!.textContent).toMatch(/20 Jul 2026.*Bandstand lawn.*12 % heavy.*J\. Alder/);
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '2026-06-30' } });
    await waitFor(() => expect(rows()).toHaveLength(3));
    await person.click(screen.getByRole('button', { name: 'CSV' }));
    const [heading, first] = (vi.mocked(saveFile).mock.calls[0]![3] as string).split('\r\n');
    expect(heading).toMatch(/^Day,Time,By,License,License until,Site,Area/);
    expect(first).toMatch(/^2025-04-14,.*R\. Fenn,TH-118 \(sample\),2027-06-30,.*Bandstand lawn/);
    await person.type(screen.getByLabelText('Site, area, product, lot or name'), ' nowhere');
    expect(await screen.findByText(/Nothing is recorded in these days/)).toBeTruthy();
  });
});
