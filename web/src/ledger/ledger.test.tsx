import { ledgerOf, type LedgerArea } from '@steady-scatter/core/regulations';
import { doneRows, ledgerRow } from '@steady-scatter/core/season';
import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { Unreachable } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { yearsFrom } from '../kinds/useLedger.ts';
import { ledgerAtHand } from '../kinds/ledgerAtHand.ts';
import { RulesSection } from '../regulations/RulesSection.tsx';
import { fetched, inApp, keepDemo, onSheet, sampleSheet } from '../testing/inApp.tsx';
import LedgerPage from './LedgerPage.tsx';
import { logOf, monthsBetween } from './ledgerTexts.ts';

const rows = doneRows(demo.applications as never).map(ledgerRow);
/** As the server answers; what else is asked waits: a server that is silent would hold back what is asked next. */
const answer = (query: Record<string, unknown>): LedgerArea[] =>
  ledgerOf(rows.filter(({ onDay, areaKey, subject }) => onDay >= String(query['from']) && onDay <= String(query['to']) && (!query['areas'] || (query['areas'] as string).split(',').includes(areaKey)) && subject !== query['without'])); // prettier-ignore

beforeEach(() => {
  localStorage.clear();
  keepDemo();
  vi.mocked(call).mockImplementation((async (name: string, { query = {} }: { query?: Record<string, unknown> } = {}) => {
    if (name === 'ledger') return answer(query);
    if (name === 'crew') return { name: 'Crew', currency: { symbol: '$', place: 'before' }, tolerance: '5', measures: '', yearStart: '01-01' };
    return new Promise(() => undefined);
  })); // prettier-ignore
  vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00.000Z'), toFake: ['Date'] });
  return () => vi.useRealTimers();
});

describe('the ledger', () => {
  it('tells of each area what was delivered in the year, and leads to its records', async () => {
    inApp(<LedgerPage />, '/log/ledger');
    const row = await screen.findByRole('row', { name: /Bandstand lawn, Lake front/ });
    // 0.84 + 0.79 + 0.80 + 0.91 lb N.
    expect(row.textContent).toMatch(/43\.34 lb \/ 1000 ft².*15 Sep 2026/);
    expect(within(row).getByRole('link', { name: '4' }).getAttribute('href')).toMatch(/^\/log\?area=[^&]+&from=2026-01-01&to=2026-12-31$/);
  }); // prettier-ignore

  it('of one area: caps with what is left, months, and what is still allowed of each product', async () => {
    const person = inApp(<LedgerPage />, '/log/ledger');
    await person.click(await screen.findByRole('link', { name: 'Bandstand lawn, Lake front' }));
    const area = within(await screen.findByRole('region', { name: 'Bandstand lawn, Lake front' }));
    expect(area.getByRole('link', { name: '3.34 lb / 1000 ft² of 3.50 lb / 1000 ft²' })).toBeTruthy();
    expect(area.getByText(/^0\.1\d+ lb \/ 1000 ft² left this year$/)).toBeTruthy();
    const product = area.getByRole('row', { name: /Lake feed 24-0-8/ });
    // 0.16 lb N are left: that is 0.67 lb of 24-0-8; three times it was spread.
    expect(product.textContent).toMatch(/Lake feed 24-0-8320 Jul 20260\.6\d+ lb \/ 1000 ft²today/);
    const chart = await area.findByRole('img', { name: 'Delivered each month on Bandstand lawn' });
    const { datasets } = JSON.parse(chart.textContent) as { datasets: { label: string; data: number[] }[] };
    const [nitrogen] = datasets;
    expect(nitrogen!.data.map((each) => Number(each.toFixed(2)))).toEqual([0, 0, 0, 0.84, 0, 0.79, 0.8, 0, 0.91, 0, 0, 0]);
  }); // prettier-ignore

  it('a cap in elemental K is held against what was delivered as K₂O', async () => {
    const { id, input } = demo.ruleSets.find(({ input: { name } }) => name.includes('lake side'))!;
    const cap = { ...input.rules[1]!, nutrient: 'K', amount: '1' };
    keepDemo({ ruleSets: [fetched(id, { ...input, rules: [cap] })] });
    const person = inApp(<LedgerPage />, '/log/ledger');
    await person.click(await screen.findByRole('link', { name: 'Bandstand lawn, Lake front' }));
    const area = within(await screen.findByRole('region', { name: 'Bandstand lawn, Lake front' }));
    // 1 lb K is 1.20 lb K₂O.
    expect(area.getByRole('link', { name: /^[\d.]+ lb \/ 1000 ft² of 1\.20 lb \/ 1000 ft²$/ })).toBeTruthy();
    // So K₂O is not among what has no cap.
    expect(area.getAllByText('no cap').map((each) => each.parentElement!.textContent)).toEqual([expect.stringMatching(/^N /), expect.stringMatching(/^P₂O₅ /)]);
  }); // prettier-ignore

  it('another year, held against other rules; a year without records says so', async () => {
    const person = inApp(<LedgerPage />, '/log/ledger');
    await screen.findByRole('row', { name: /Bandstand lawn/ });
    await person.selectOptions(screen.getByLabelText('Year'), '1 Jan 2019 to 31 Dec 2019');
    expect(await screen.findByText('Nothing was recorded in this year.')).toBeTruthy();
    await person.selectOptions(screen.getByLabelText('Year'), '1 Jan 2025 to 31 Dec 2025');
    expect((await screen.findByRole('row', { name: /Bandstand lawn/ })).textContent).toMatch(/1\.59 lb/);
  });

  it('without a network it is added up from what this device has', async () => {
    vi.mocked(call).mockRejectedValue(new Unreachable('No.'));
    inApp(<LedgerPage />, '/log/ledger');
    await waitFor(() => expect(call).toHaveBeenCalled());
    expect(monthsBetween('2025-07-01', '2026-06-30')).toHaveLength(12);
    expect(logOf({ areaKey: 'a1' }, { from: 'a', to: 'b' }, 'Feed')).toBe('/log?area=a1&q=Feed&from=a&to=b');
    expect(yearsFrom('2026-02-10', '07-01', 2)).toEqual([{ from: '2025-07-01', to: '2026-06-30' }, { from: '2024-07-01', to: '2025-06-30' }]); // prettier-ignore
    expect(ledgerAtHand).toBeTypeOf('function');
  });
});

it('a sheet’s rules read the records: the cap takes what lies there, and nothing is typed', async () => {
  const sheet = sampleSheet('Lake front, September feed');
  const setId = demo.ruleSets.find(({ input }) => input.name.includes('lake side'))!.id;
  const worksheet = { ...sheet.worksheet, rules: { ...sheet.worksheet.rules, setId } };
  onSheet(<RulesSection />, { ...sheet, worksheet, onDay: '2026-12-20' }, '/jobs/new');
  const broken = within(await screen.findByRole('list', { name: 'Rules that are broken' }));
  await waitFor(() => expect(broken.getByText(/most nitrogen in a year/).closest('li')!.textContent).toMatch(/3\.34 lb N \/ 1000 ft²\s*so far/)); // prettier-ignore
  expect(broken.getByText('closed dates').closest('li')!.textContent).toContain(
    '2026-12-20 lies in the closed dates from 12-15 to 03-01',
  );
});
