import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { beforeEach, expect, it, vi } from 'vitest';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { printedPapers } from '../../testing/out.ts';
import { conditionPdf } from './conditionPdf.ts';
import ServedPage from './ServedPage.tsx';

beforeEach(() => keepDemo());

const plain = (text: string | null) => (text ?? '').replaceAll(/[\u00a0\u202f]/g, ' ');
const idOf = (name: string) => demo.calibrations.find(({ input }) => input.name === name)!.id;
const open = (name: string) =>
  inApp(
    <Routes>
      <Route path="/winter/charts/:id" element={<ServedPage />} />
    </Routes>,
    `/winter/charts/${idOf(name)}`,
  );
const card = () => within(screen.getByRole('article', { name: /Card by condition: Walk salter/ }));
const line = (of: RegExp) => plain(card().getAllByRole('row').find((row) => of.test(plain(row.textContent)))!.textContent); // prettier-ignore

it('holds a chart against the guide: which setting for which condition, with its band', async () => {
  open('Walk salter, rock salt');
  // C 1.53, D 2.73, E 4.2, F 6.2 lb per 1000 ft2.
  expect(line(/^Frost, after, dry.*28 to 32/)).toMatch(/1\.53 ±0\.\d+ lb \/ 1000 ft².*C$/);
  expect(line(/^Frost, after, dry.*23 to 28/)).toMatch(/D$/);
  expect(line(/^Light snow, after, dry.*15 to 23/)).toMatch(/6\.2 ±0\.\d lb \/ 1000 ft².*F$/);
  expect(card().queryByText(/pre-wetted/)).toBeNull();
  const chart = JSON.parse(
    (await screen.findByRole('img', { name: /^Setting against rate/ })).textContent,
  ) as { datasets: { over: { bands: { label: string }[] } }[] };
  expect(chart.datasets[0]!.over.bands.map(({ label }) => label)).toEqual(['1 to 2', '2 to 3', '3 to 4.5']);
});

it('names what no setting serves', () => {
  const own = demo.calibrations.find(({ input }) => input.name === 'Walk salter, rock salt');
  const [town, ...others] = demo.guides;
  const [version] = town!.input.versions;
  const lines = [{ ...version!.lines.find(({ product }) => product === 'dry')!, low: '30', high: '40' }];
  keepDemo({
    guides: [{ ...town!, input: { ...town!.input, versions: [{ ...version!, lines }] } }, ...others],
    calibrations: [{ id: own!.id, input: own!.input }],
  });
  open('Walk salter, rock salt');
  expect(screen.getByRole('alert').textContent).toMatch(
    /no setting gives 30 to 40 lb.*Test a setting between/,
  );
});

it('a chart from before this winter is not to be relied on', () => {
  open('Yard truck, rock salt, last winter');
  expect(screen.getByText(/stale: signed off before this winter/).getAttribute('role')).toBe('alert');
});

it('what is sprayed is held against the lines for liquids', () => {
  open('Brine trailer, brine');
  expect(screen.getByText(/Frost, before, liquid/, { selector: 'li *' })).toBeTruthy();
});

it('is printed on a card of each size, one face', async () => {
  const person = open('Walk salter, rock salt');
  await person.selectOptions(screen.getByLabelText('Paper'), screen.getAllByRole('option', { name: /letter/i })[0]!); // prettier-ignore
  await person.click(screen.getByRole('button', { name: /Save card as PDF/ }));
  await vi.waitFor(() => expect(printedPapers()).toHaveLength(1));
  expect(printedPapers()[0]).toContain('Walk salter');
  await conditionPdf({ machine: 'M', product: 'P', held: '', guide: 'G', signed: '', conditions: [], link: 'x' }, 'a6'); // prettier-ignore
  expect(printedPapers()[1]).toContain('Condition');
});
