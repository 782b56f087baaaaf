import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { Unreachable } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { saveFile } from '../ui/saveFile.ts';
import { saveXlsx } from '../ui/saveXlsx.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import ReportPage from './ReportPage.tsx';
import { reportPaper } from './reportPdf.ts';
import { reportUnits } from './reportTable.ts';

// Nothing is asked of a real server: that it is silent would hold back what is asked next.

beforeEach(() => {
  keepDemo({ widthTests: demo.widthTests });
  vi.mocked(call).mockRejectedValue(new Unreachable('No.'));
  vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00.000Z'), toFake: ['Date'] });
  return () => vi.useRealTimers();
});
const site = async (name: string) => within(await screen.findByRole('region', { name }));

it('tells of each area what was spread against plan, cap and last year, what it cost, how true and even it was', async () => {
  inApp(<ReportPage />, '/log/season');
  const front = await site('Lake front');
  const [spread, salt] = front.getAllByRole('table');
  const lawn = within(spread!).getByRole('row', { name: /Bandstand lawn/ }).textContent;
  // 0.84 + 0.79 + 0.80 + 0.91 lb N against 0.8 + 0.72 + 0.72 + 0.85 planned and a cap of 3.5.
  expect(lawn).toMatch(/^Bandstand lawn43\.343\.093\.501\.59/);
  expect(lawn).toMatch(/1\.066\.3 %$/);
  expect(within(spread!).getByRole('row', { name: /Library strip/ }).textContent).toContain('less than planned 0.84'); // prettier-ignore
  expect(within(salt!).getByRole('row', { name: /Promenade/ }).textContent).toMatch(/^Promenade14\.67\.87/);
});

it('a summer site has no columns of salt; a year without a plan says that it shows no caps', async () => {
  const person = inApp(<ReportPage />, '/log/season');
  const school = await site('School');
  expect(school.getAllByRole('table')).toHaveLength(1);
  expect(school.queryByText(/Salt/)).toBeNull();
  await person.selectOptions(screen.getByLabelText('Against the plan'), 'no plan');
  expect(screen.getByText('No plan of this year, so no caps are shown.')).toBeTruthy();
  expect((await site('Lake front')).queryByText('N cap')).toBeNull();
  await person.selectOptions(screen.getByLabelText('Year'), '1 Jan 2019 to 31 Dec 2019');
  expect(screen.getByText('Nothing was recorded or planned in this year.')).toBeTruthy();
});

it('goes out as a spreadsheet with bare figures, and as a PDF', async () => {
  const person = inApp(<ReportPage />, '/log/season');
  await site('Lake front');
  await person.click(screen.getByRole('button', { name: 'XLSX' }));
  await waitFor(() => expect(saveXlsx).toHaveBeenCalled());
  const [name, [headings, ...rows]] = vi.mocked(saveXlsx).mock.calls[0]! as [string, string[][]];
  expect(name).toBe('season-2026-01-01.xlsx');
  expect(headings!.slice(0, 4)).toEqual(['Site', 'Area', 'Times', 'N, lb / 1000 ft²']);
  expect(rows.every((row) => row.length === headings!.length)).toBe(true);
  expect(rows.find((row) => row[1] === 'Bandstand lawn')!.slice(2, 7)).toEqual(['4', '3.34', '3.09', '3.50', '1.59']); // prettier-ignore
  await person.click(screen.getByRole('button', { name: 'PDF report' }));
  await waitFor(() => expect(saveFile).toHaveBeenCalledWith('season-2026-01-01.pdf', 'application/pdf', expect.any(Blob))); // prettier-ignore
});

it('on paper what warns carries a star, and says under its table what of', () => {
  const nothing = { count: 1, saltKg: 0, chlorideKg: 0, saltBeforeKg: 0, chlorideBeforeKg: 0, cents: 0, withoutPrice: 0, ratio: 1.3, cv: null }; // prettier-ignore
  const none = { N: 0, P2O5: 0, K2O: 0, S: 0, Ca: 0, Mg: 0, Fe: 0 };
  const caps = { N: 0.01, P2O5: null, K2O: null, S: null, Ca: null, Mg: null, Fe: null };
  const line = { ...nothing, areaKey: 'a', areaName: 'Lawn', delivered: { ...none, N: 0.02 }, before: none, planned: null, caps, centsPerM2: null }; // prettier-ignore
  const paper = JSON.stringify(reportPaper({ crew: 'Crew', from: '2026-01-01', to: '2026-12-31', plan: 'Plan', sites: [{ ...nothing, siteName: '', lines: [line] }], units: reportUnits(false) })); // prettier-ignore
  expect(paper).toContain('"200 *"');
  expect(paper).toContain('* over its cap, Spread / meant');
  expect(paper).toContain('Without a site');
});
