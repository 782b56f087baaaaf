import { KINDS } from '@steady-scatter/contract';
import type { LoadInput } from '@steady-scatter/core/worksheet';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { queries } from '../api/queries.ts';
import { keysOf } from '../documents/docs.ts';
import { fetched, inApp, keepDemo, onSheet, plainSheet, sampleSheet } from '../testing/inApp.tsx';
import { printedPapers } from '../testing/out.ts';
import { saveFile } from '../ui/saveFile.ts';
import LoadStop from './LoadStop.tsx';
import OrderPage from './OrderPage.tsx';
import { planSvg } from './planSvg.tsx';
import { runPdf, type RunPaper } from './runPdf.ts';

const SEPTEMBER = 'Lake front, September feed';
const SITE = demo.sites.find(({ input }) => input.name === 'Lake front')!;

beforeEach(() => {
  globalThis.ResizeObserver ??= class { observe() {} disconnect() {} unobserve() {} } as unknown as typeof ResizeObserver;
  localStorage.clear();
  keepDemo();
  queries.setQueryData([...keysOf(KINDS.sites).all, [SITE.id]], [fetched(SITE.id, SITE.input)]);
  // Trays of this machine, taken in April.
  queries.setQueryData(keysOf(KINDS.widthTests).all, demo.widthTests.map(({ id, input }) => fetched(id, input)));
}); // prettier-ignore

/** The September feed, not ready, with something of its load changed. */
function september(load: Partial<LoadInput> = {}) {
  const sheet = sampleSheet(SEPTEMBER);
  return onSheet(<LoadStop />, { ...sheet, load: { ...sheet.load, ready: null, ...load } });
}
const table = () => screen.getAllByRole('table')[0]!;
const row = (name: RegExp) => within(table()).getByRole('row', { name }).textContent;

describe('passes', () => {
  it('an area is drawn as it lies, with what is weighed out for each zone', () => {
    september();
    expect(screen.getByRole('img', { name: /^Bandstand lawn with 6 passes and one trim round the edge/ })).toBeTruthy(); // prettier-ignore
    expect(row(/^Trim/)).toMatch(/set 10.*lb/);
    expect(row(/^Field/)).toMatch(/set 11.*lb/);
    expect(screen.getAllByText(/^Flags along the edge at/).length).toBeGreaterThan(0);
    expect(screen.getByText(/22\.\d.lb on 3 areas, 3 fills/)).toBeTruthy();
  });

  it('another area is chosen; one that nobody drew says that it is a sketch, and takes its length', async () => {
    const { person } = september({ areas: [] });
    await person.selectOptions(screen.getByLabelText('Area'), 'Library strip, 3 of 3');
    expect(screen.queryByText(/A sketch: nobody drew/)).toBeNull();
    await person.selectOptions(screen.getByLabelText('Area'), 'Bandstand lawn, 1 of 3');
    expect(screen.queryByText(/A sketch/)).toBeNull();
  });

  it('passes are turned, by a press and by degrees, and back to the best', async () => {
    const { person } = september();
    const line = () => screen.getByText(/^Passes run/).textContent;
    expect(line()).toBe('Passes run 90°: fewest passes');
    await person.click(screen.getByRole('button', { name: 'Change Direction' }));
    await person.click(screen.getByRole('button', { name: 'Turn by 15°' }));
    await waitFor(() => expect(line()).toBe('Passes run 105°'));
    const typed = screen.getByLabelText('Heading, degrees clockwise from up');
    await person.clear(typed);
    await person.type(typed, 'north');
    expect((await screen.findAllByText(/A heading is degrees clockwise from up/)).length).toBeGreaterThan(0);
    await person.click(screen.getByRole('button', { name: 'Use best heading' }));
    await waitFor(() => expect(line()).toBe('Passes run 90°: fewest passes'));
  });

  it('without trims the field gets all of it', async () => {
    const { person } = september();
    await person.click(screen.getByRole('button', { name: 'Change Trim passes' }));
    await person.type(screen.getByLabelText('Trim passes'), '0');
    await waitFor(() => expect(within(table()).queryByRole('row', { name: /^Trim/ })).toBeNull());
    expect(screen.getAllByText('No trim pass').length).toBeGreaterThan(0);
  });

  it('more than the hopper holds is told fill by fill, with where each should end', async () => {
    const { person } = september({ reserve: '46', areas: [] });
    expect(row(/^Fill 1/)).toMatch(/4\.00.lb.*to round 1/);
    expect(row(/^Fill 3/)).toMatch(/to the end|to pass/);
    expect(screen.getByText(/If the first fill ends sooner, it goes down heavy/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Change Product stands' }));
    await person.selectOptions(screen.getByLabelText('Product stands'), 'southwest');
    expect(await screen.findByText(/Product stands at the southwest edge/)).toBeTruthy();
  });

  it('water in: how much, by when, who', async () => {
    const { person } = september({ water: { depth: '', unit: 'in', by: '', who: '' } });
    await person.click(screen.getByRole('button', { name: 'Change Watering in' }));
    await person.type(screen.getByLabelText('Water'), '0.25');
    await person.type(screen.getByLabelText('Who turns it on'), 'R. Fenn');
    expect(await screen.findByText(/Water in: 0\.25.in, R\. Fenn turns it on; 95\d.gal in all/)).toBeTruthy();
  });

  it('a sheet on which something is missing says what', () => {
    onSheet(<LoadStop />, plainSheet());
    expect(screen.getByText(/The pass spacing is not known/)).toBeTruthy();
  });

  it('typed ground is a sketch; without a machine there is no setting', () => {
    const sheet = plainSheet();
    onSheet(<LoadStop />, { ...sheet, worksheet: { ...sheet.worksheet, spread: { ...sheet.worksheet.spread, width: { text: '9', unit: 'ft' } } } }); // prettier-ignore
    expect(screen.getByText(/A sketch: nobody drew Lawn. It is drawn as a square/)).toBeTruthy();
    expect(screen.getByText('No chart yet: test first.')).toBeTruthy();
    expect(screen.getByText(/a brisk walk: nobody timed it/)).toBeTruthy();
  });
});

describe('ready', () => {
  it('what stands against it needs a reason each, and a name; a change afterwards is told', async () => {
    const { person } = september();
    const mark = screen.getByRole('button', { name: 'Mark ready' });
    await person.click(mark);
    expect(screen.getByText(/things? stands? against it: give a reason for each/)).toBeTruthy();
    const fields = screen.getAllByLabelText(/^Reason to go on: /);
    for (const field of fields) fireEvent.change(field, { target: { value: 'Seen' } });
    await person.click(mark);
    expect(screen.getByText('Type your name: it stands on the sheet.')).toBeTruthy();
    await person.type(screen.getByLabelText('Your name'), 'R. Fenn');
    await person.click(mark);
    expect(await screen.findByText(/^Ready, marked by R\. Fenn/)).toBeTruthy();
    expect(screen.getAllByText(/^Overruled: .* Reason: Seen$/).length).toBeGreaterThan(0);
    await person.click(screen.getByRole('button', { name: 'Undo ready' }));
    expect(await screen.findByRole('button', { name: 'Mark ready' })).toBeTruthy();
  });

  it('one of another sheet is not ready any more', () => {
    september({ ready: { onDay: '2026-09-12', by: 'R. Fenn', of: 'another', overrides: [] } });
    expect(screen.getByText(/The sheet changed since R\. Fenn marked it ready on 12 Sep 2026/)).toBeTruthy();
  });

  it('what can be mended leads to where', () => {
    september();
    expect(screen.getAllByRole('link', { name: 'Test machine' })[0]!.getAttribute('href')).toBe('/new/test');
  });
});

describe('coverage', () => {
  it('says CV, what gets too little, what lands beside, by which trays; another spacing stands beside it', async () => {
    const { person } = september();
    await person.click(screen.getByRole('button', { name: 'Coverage' }));
    expect(screen.getByText(/^Pattern of the tray test .*10 Apr 2026/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^Simulated coverage of Bandstand lawn: mean \d+ % of the rate, CV/ })).toBeTruthy(); // prettier-ignore
    expect(screen.getByText(/of the ground gets under 75 %/)).toBeTruthy();
    expect(screen.getByText(/Beside the area: /)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Twice as far apart' }));
    expect(await screen.findByText(/ft apart instead of .*: CV \d+ % for \d+ %, .*walking/)).toBeTruthy();
    expect(screen.getAllByRole('img', { name: /^Simulated coverage/ })).toHaveLength(2);
  });

  it('how it is walked is typed; what cannot be read is told', async () => {
    const { person } = september();
    await person.click(screen.getByRole('button', { name: 'Coverage' }));
    await person.click(screen.getByRole('button', { name: 'Change How it is walked' }));
    await person.type(screen.getByLabelText('Gate opens late'), '3');
    expect(await screen.findByText(/gate opens 3.ft late/)).toBeTruthy();
    await person.type(screen.getByLabelText('Pace unsteady, %'), 'much');
    expect((await screen.findAllByText(/Write the share as a percentage/)).length).toBeGreaterThan(0);
  });
});

describe('blocks', () => {
  it('each has its load, and they follow the size that is typed', async () => {
    const { person } = september();
    await person.click(screen.getByRole('button', { name: 'Blocks' }));
    expect(screen.getByRole('img', { name: /^Bandstand lawn in 3 blocks/ })).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Change Block size' }));
    await person.type(screen.getByLabelText('Block size'), '400');
    expect(await screen.findByRole('img', { name: /^Bandstand lawn in (?!3)/ })).toBeTruthy();
    await person.click(screen.getByRole('button', { name: /^What one fill covers, / }));
    expect(await screen.findByRole('img', { name: /^Bandstand lawn in one block/ })).toBeTruthy();
  });
});

describe('files', () => {
  it('sheet as a table, passes for a map where the site has its place', async () => {
    const { person } = september();
    const saved = (at: number) => (vi.mocked(saveFile).mock.calls[at]!.slice(2) as string[]).join('');
    await person.click(screen.getByRole('button', { name: 'Save run sheet as CSV' }));
    expect(saved(0)).toMatch(/^\uFEFFArea,Zone,/);
    await person.click(screen.getByRole('button', { name: 'Save passes as GeoJSON' }));
    expect(JSON.parse(saved(1)).features.length).toBeGreaterThan(6);
    await person.click(screen.getByRole('button', { name: 'Save passes as GPX' }));
    expect(saved(2)).toContain('<trkpt lat="47.40');
  });

  it('the plan is drawn in the inks of paper, and the PDF has a page for each area', async () => {
    const { person } = september();
    await person.click(screen.getByRole('button', { name: 'Save plan as SVG' }));
    await waitFor(() => expect(saveFile).toHaveBeenCalled());
    const svg = vi.mocked(saveFile).mock.calls[0]![2] as string;
    expect(svg).toMatch(/^<svg xmlns/);
    expect(svg).not.toContain('var(');
    await person.click(screen.getByRole('button', { name: 'Save run sheet as PDF' }));
    await waitFor(() => expect(printedPapers()).toHaveLength(1));
    const pages = printedPapers()[0]!;
    for (const text of ['Bandstand lawn', 'Slipway bank', 'Library strip', 'Not marked ready']) expect(pages).toContain(text);
    expect(pages.match(/pageBreak/g)).toHaveLength(2);
  }); // prettier-ignore

  it('are functions of the sheet alone', () => {
    expect(typeof planSvg).toBe('function');
    expect(runPdf({ of: { sheet: { areas: [] } } } as unknown as RunPaper)).toBeInstanceOf(Promise);
  });
});

describe('the order of the season', () => {
  const keep = (...names: string[]) => queries.setQueryData([...keysOf(KINDS.jobs).all, 'isReady:true'], names.map((name, index) => fetched(String(index), sampleSheet(name)))); // prettier-ignore

  it('adds up what is ready, product by product, and says what to buy', () => {
    keep(SEPTEMBER, 'First feed, lake front');
    inApp(<OrderPage />);
    const line = screen.getByRole('row', { name: /^Autumn feed 22-2-11/ });
    expect(line.textContent).toMatch(/23\.\d.lb/);
    expect(line.textContent).toContain(SEPTEMBER);
    expect(screen.getAllByRole('row')).toHaveLength(4);
  });

  it('teaches while nothing is ready', () => {
    keep();
    inApp(<OrderPage />);
    expect(screen.getByText(/No sheet is marked ready yet/)).toBeTruthy();
  });
});
