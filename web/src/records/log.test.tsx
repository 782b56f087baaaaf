import { doneRows } from '@steady-scatter/core/season';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { call, callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { fetched, inApp, keepDemo } from '../testing/inApp.tsx';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { saveFile } from '../ui/saveFile.ts';
import { previewLog } from './LogImport.tsx';
import LogPage from './LogPage.tsx';
import { logPaper } from './logPdf.ts';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  localStorage.clear();
  server = fakeServer();
  keepDemo();
  vi.mocked(callEvents).mockImplementation(server.events);
  vi.mocked(call).mockImplementation(server.call);
});
/** Records of one lot in the demo data. */
const LOT = doneRows(demo.applications as never).filter(({ input }) => input.product.lot === 'TH-2603').length; // prettier-ignore
const said = () => [...server.rows.values()].map(({ subject, input }) => Object.assign({ subject }, input));
const SITES = demo.sites.map(({ id, input }) => fetched(id, input)) as never;

it('the records of a lot, of all years', async () => {
  inApp(<LogPage />, '/log?from=2000-01-01&q=TH-2603');
  expect(await screen.findAllByRole('row', { name: /Lake feed 24-0-8/ })).toHaveLength(LOT);
  expect(screen.getAllByRole('row')).toHaveLength(1 + LOT);
});

it('records of one area alone, until all are asked for', async () => {
  const person = inApp(<LogPage />, '/log?area=nowhere&from=2025-01-01&to=2027-01-01');
  expect(await screen.findByText(/^Nothing is recorded in these days/)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: /show the records of all areas/ }));
  expect((await screen.findAllByRole('row')).length).toBeGreaterThan(5);
}); // prettier-ignore

describe('work without a sheet', () => {
  it('of a day before its lot came is asked about, anew once something is changed', async () => {
    const potash = demo.products.find(({ input }) => input.name === 'Potash 0-0-60')!;
    queries.setQueryData(['stockMoves', 'all'], [{ id: 'm1', subject: potash.id, first: null, occurredAt: '2026-09-20T12:00:00.000Z', input: { what: 'received', packages: '4', lot: potash.input.lot, price: '', by: '', note: '', void: '' } }]); // prettier-ignore
    const person = inApp(<LogPage />, '/log');
    await person.click(screen.getByRole('button', { name: 'Record work' }));
    const panel = within(await screen.findByRole('dialog'));
    const save = () => person.click(panel.getByRole('button', { name: 'Save record' }));
    await person.selectOptions(panel.getByLabelText('Area'), 'School: Pitch');
    await person.selectOptions(panel.getByLabelText('Product'), 'Potash 0-0-60');
    await person.type(panel.getByLabelText('Amount that went out'), '90');
    await person.type(panel.getByLabelText('Your name'), 'J. Alder');
    fireEvent.change(panel.getByLabelText('Day'), { target: { value: '2026-09-10' } });
    await save();
    expect(panel.getByRole('alert').textContent).toMatch(/This lot came on 20 Sep 2026/);
    fireEvent.change(panel.getByLabelText('Day'), { target: { value: '2026-09-11' } });
    expect(panel.queryByRole('alert')).toBeNull();
    await save();
    expect(said()).toHaveLength(0);
    await save();
    await waitFor(() => expect(said()).toHaveLength(1));
  });

  it('area, product, amount and a name are a record of the site', async () => {
    const person = inApp(<LogPage />, '/log');
    await person.click(screen.getByRole('button', { name: 'Record work' }));
    const panel = within(await screen.findByRole('dialog'));
    await person.click(panel.getByRole('button', { name: 'Save record' }));
    expect(panel.getByRole('alert').textContent).toMatch(/Choose the area and the product/);
    await person.selectOptions(panel.getByLabelText('Area'), 'School: Pitch');
    await person.selectOptions(panel.getByLabelText('Product'), 'Potash 0-0-60');
    await person.type(panel.getByLabelText('Amount that went out'), '90');
    await person.click(panel.getByRole('button', { name: 'Save record' }));
    expect(panel.getByRole('alert').textContent).toMatch(/Type your name/);
    await person.type(panel.getByLabelText('Your name'), 'J. Alder');
    await person.click(panel.getByRole('button', { name: 'Save record' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const school = demo.sites.find(({ input }) => input.name === 'School')!;
    expect(said()[0]).toMatchObject({
      subject: school.id,
      site: school.id,
      areaName: 'Pitch',
      siteName: 'School',
      license: 'TH-131 (sample)',
      product: { name: 'Potash 0-0-60' },
      amount: { text: '90', unit: 'lb', from: 'weighed' },
    });
  });
});

describe('records out', () => {
  it.each(['PDF report', 'XLSX', 'JSON'])('as %s', async (name) => {
    const person = inApp(<LogPage />, '/log');
    await person.click(await screen.findByRole('button', { name }));
    await waitFor(() => expect(saveFile).toHaveBeenCalled(), { timeout: 5000 });
    expect(vi.mocked(saveFile).mock.calls[0]![0]).toMatch(/^log-\d{4}-01-01-.*\.(pdf|xlsx|json)$/);
  });

  it('the report tells what was spread by site and person, each record with license, lot and weather', () => {
    const rows = doneRows(demo.applications as never);
    const paper = logPaper({ crew: 'Parks crew', from: '2026-01-01', to: '2026-12-31', rows, area: 'ft2' });
    const text = JSON.stringify(paper satisfies TDocumentDefinitions);
    for (const words of [
      'Parks crew',
      '1 Jan 2026 to 31 Dec 2026',
      'Lake front',
      'R. Fenn, TH-118 (sample)',
      'rain in 36 h',
      'Does not count: Closed that day',
      'salt',
      'In all',
    ])
      expect(text).toContain(words);
  });
});

describe('records in', () => {
  const HEAD = 'Day,Time,Site,Area,Size,Size unit,Product,Amount,Amount unit,By\n';
  it('good lines and bad ones are told apart, each with its reason', () => {
    const { good, bad, unknown } = previewLog(
      `${HEAD.replace('By', 'By,Mood')}2026-04-18,08:00,School,Pitch,7000,m2,Feed,120,kg,J. Alder,fine\n2026-13-01,,School,Pitch,7000,m2,Feed,120,kg,J. Alder,\n2026-04-18,,Nowhere,Green,700,m2,Feed,12,kg,,\n`,
      SITES,
      'us',
    );
    expect(good).toMatchObject([
      { row: 2, input: { areaName: 'Pitch', amount: { text: '120', unit: 'kg' } } },
    ]);
    expect(good[0]!.input.area).not.toBe('');
    expect(bad.map(({ row, reasons }) => [row, reasons[0]])).toEqual([
      [3, expect.stringMatching(/not a day/)],
      [4, 'There is no site called Nowhere. Add it first.'],
    ]);
    expect(unknown).toEqual(['Mood']);
  });

  it('what is taken in is appended, the rest is not', async () => {
    const person = inApp(<LogPage />, '/log');
    await person.click(screen.getByRole('button', { name: 'Import' }));
    const panel = within(await screen.findByRole('dialog'));
    const file = new File(
      [`${HEAD}2026-04-18,08:00,School,Pitch,7000,m2,=cmd,120,kg,J. Alder\n`],
      'old.csv',
      { type: 'text/csv' },
    );
    fireEvent.change(document.querySelector('input[type=file]')!, { target: { files: [file] } });
    await person.click(await panel.findByRole('button', { name: 'Take in one record' }));
    await waitFor(() =>
      expect(said()).toMatchObject([{ areaName: 'Pitch', onDay: '2026-04-18', product: { name: '=cmd' } }]),
    );
  });
});
