import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import { evaluateStorm, type StormInput } from '@steady-scatter/core/season';
import { act, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callEvents } from '../../api/lazyCall.ts';
import { freshDevice } from '../../testing/device.ts';
import { fakeServer } from '../../testing/fakeServer.ts';
import { formProps } from '../../testing/formProps.ts';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { keepStation } from '../../testing/stations.ts';
import RoundPage from './RoundPage.tsx';
import { RouteList } from './RouteList.tsx';
import { Rounds } from './Rounds.tsx';
import StormsPage from './StormsPage.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  localStorage.clear();
  server = fakeServer();
  vi.mocked(callEvents).mockImplementation(server.events);
  keepDemo();
  keepStation('pavement', -3.9, -0.15);
  keepStation('air', -6.1);
});

const idOf = (name: string) => demo.storms.find(({ input }) => input.name === name)!.id;
const plain = (text: string | null) => (text ?? '').replaceAll(/[\u00a0\u202f]/g, ' ');
const sent = () => [...server.rows.values()] as unknown as { first: string | null; input: Record<string, never> }[]; // prettier-ignore

describe('storms', () => {
  it('stand the last one first, with what is going on', () => {
    inApp(<StormsPage />, '/winter/storms');
    expect(screen.getByRole('row', { name: /New Year ice/ }).textContent).toContain('31 Dec 2025');
  });

  it('show their rounds with what was corrected, swept up, and does not count', () => {
    inApp(<Rounds storm={idOf('January snow')} areas={6} isOver />);
    expect(plain(screen.getByText(/of salt on the ground/).textContent)).toMatch(
      /6\.53 lb swept up and reused/,
    );
    expect(screen.getByText(/Does not count: Closed that day/)).toBeTruthy();
    expect(screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent)).toEqual(['Round 3', 'Round 2', 'Round 1']); // prettier-ignore
    // It is over: no further round is begun.
    expect(screen.queryByRole('link', { name: /round/i })).toBeNull();
  });

  it('what was done is said anew beside the first, with a reason', async () => {
    const person = inApp(<Rounds storm={idOf('First frost')} areas={6} isOver />);
    await person.click(screen.getByRole('button', { name: 'Correct Main walk, round 2' }));
    const panel = within(await screen.findByRole('dialog', { name: 'Main walk, round 2' }));
    await person.click(panel.getByRole('button', { name: 'Another amount' }));
    await person.type(panel.getByLabelText('Amount that went out'), '-2');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    expect(panel.getByText(/Say why/)).toBeTruthy();
    expect(panel.getByLabelText('Amount that went out').getAttribute('aria-invalid')).toBe('true');
    await person.clear(panel.getByLabelText('Amount that went out'));
    await person.type(panel.getByLabelText('Amount that went out'), '2');
    await person.type(panel.getByLabelText('Reason'), 'Read again');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    const [row] = sent();
    expect(row).toMatchObject({
      input: { amount: { text: '2', from: 'weighed' }, correction: 'Read again' },
    });
    expect(row!.first).not.toBeNull();
  });

  it('what is swept up comes back: no more than went out', async () => {
    const person = inApp(<Rounds storm={idOf('First frost')} areas={6} isOver />);
    await person.click(screen.getByRole('button', { name: 'Correct Front steps, round 2' }));
    const panel = within(await screen.findByRole('dialog', { name: 'Front steps, round 2' }));
    await person.click(panel.getByRole('button', { name: 'Swept up' }));
    await person.type(panel.getByLabelText('Amount swept up and reused'), '9');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    expect(panel.getByText(/More came back than went out/)).toBeTruthy();
    await person.clear(panel.getByLabelText('Amount swept up and reused'));
    await person.type(panel.getByLabelText('Amount swept up and reused'), '0.1');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toMatchObject({ input: { swept: { text: '0.1', to: 'reused' } } });
  });

  it('one that was a mistake no longer counts, with a reason, and stays to be read', async () => {
    const person = inApp(<Rounds storm={idOf('First frost')} areas={6} isOver />);
    await person.click(screen.getByRole('button', { name: 'Correct Main walk, round 2' }));
    const panel = within(await screen.findByRole('dialog', { name: 'Main walk, round 2' }));
    await person.click(panel.getByRole('button', { name: 'Does not count' }));
    expect(panel.queryByLabelText('Amount that went out')).toBeNull();
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    expect(panel.getByText(/Say why/)).toBeTruthy();
    expect(sent()).toHaveLength(0);
    await person.type(panel.getByLabelText('Reason'), 'Another walk');
    await person.click(panel.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toMatchObject({ input: { void: 'Another walk', correction: 'Another walk' } });
    expect(sent()[0]!.first).not.toBeNull();
    expect(await screen.findByText(/Does not count: Another walk/)).toBeTruthy();
  });
});

describe('a route', () => {
  function RouteForm({ start, onRoute }: { start: StormInput; onRoute(names: readonly string[]): void }) {
    const [input, set] = useState(start);
    return <RouteList {...formProps(input, (next) => { set(next); onRoute(next.route.map(({ id }) => id)); })} />; // prettier-ignore
  }

  it('is put in order by arrows, and areas are left out and taken in', async () => {
    const held: { route: readonly string[] } = { route: [] };
    const start = demo.storms.find(({ input }) => input.name === 'First frost')!.input;
    const onRoute = (route: readonly string[]) => void (held.route = route);
    const person = inApp(<RouteForm start={start} onRoute={onRoute} />);
    expect(screen.getByRole('button', { name: 'Move Front steps, Town hall up' }).hasAttribute('disabled')).toBe(true); // prettier-ignore
    await person.click(screen.getByRole('button', { name: 'Move Front steps, Town hall down' }));
    expect(held.route.slice(0, 2)).toEqual(['r1', 'r0']);
    await person.click(screen.getByRole('button', { name: 'Take Ramp, Town hall off the route' }));
    expect(held.route).not.toContain('r1');
    await person.click(screen.getByRole('button', { name: 'Ramp, Town hall' }));
    expect(held.route).toHaveLength(start.route.length);
  });

  it('of a storm that ends before it begins is refused', () =>
    expect(evaluateStorm({ ...demo.storms[0]!.input, toDay: '2025-01-01' }).errors[0]?.code).toBe('storm.ends')); // prettier-ignore
});

describe('a round', () => {
  const page = (name: string) =>
    inApp(
      <Routes>
        <Route path="/winter/storms/:id/round" element={<RoundPage />} />
      </Routes>,
      `/winter/storms/${idOf(name)}/round`,
    );
  const night = { pavement: '', unit: 'degF', readOn: '', trend: '', situation: 'Light snow', treatment: 'after', guide: '', product: '', isPrewetted: false, machine: '', share: '' }; // prettier-ignore

  it('is appended area by area as each is done, with what was planned and all that makes it readable', async () => {
    localStorage.setItem('steady-scatter.tonight', JSON.stringify(night));
    localStorage.setItem('steady-scatter.who', 'Ada');
    const person = page('New Year ice');
    expect(await screen.findByRole('heading', { name: 'Round 3: 0 of 6 areas done' })).toBeTruthy();
    expect(screen.getByText(/by hand, 0\.2 scoops/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Done: Main walk' }));
    expect(await screen.findByRole('heading', { name: 'Round 3: 1 of 6 areas done' })).toBeTruthy();
    await person.type(screen.getAllByLabelText('Amount')[0]!, '0.7');
    await person.click(screen.getByRole('button', { name: 'Done: Front steps' }));
    await waitFor(() => expect(sent()).toHaveLength(2));
    const [walk, steps] = sent();
    expect(walk).toMatchObject({ first: null, input: { round: '3', by: 'Ada', areaName: 'Main walk', siteName: 'Town hall', size: { text: '700', unit: 'ft2' }, amount: { text: '3.15', unit: 'lb', from: 'planned' }, rate: { text: '4.5' }, setting: 'E', machine: { name: 'Walk salter' }, weather: { pavement: '25', trend: 'falling' }, guide: { low: '4', high: '5', fromDay: '2026-11-01' }, product: { lot: 'RS-26-11' } } }); // prettier-ignore
    expect(steps).toMatchObject({ input: { amount: { text: '0.7', from: 'weighed' }, machine: { name: '' }, setting: '' } }); // prettier-ignore
    expect(steps!.input['runId']).toBe(walk!.input['runId']);
  });

  it('weighed back, all of it is split over what the machine treated', async () => {
    localStorage.setItem('steady-scatter.tonight', JSON.stringify(night));
    const person = page('New Year ice');
    await person.click(await screen.findByRole('button', { name: 'Done: Main walk' }));
    await person.click(await screen.findByRole('button', { name: 'Done: Promenade' }));
    await person.click(await screen.findByRole('button', { name: 'Done: Ramp' }));
    await waitFor(() => expect(sent()).toHaveLength(3));
    await person.type(screen.getByLabelText('Went out in all'), '11.6');
    await person.click(screen.getByRole('button', { name: 'Split over areas' }));
    await waitFor(() => expect(sent()).toHaveLength(5));
    // 700 and 1620 ft2: 3.5 and 8.1 of 11.6 lb.
    expect(sent().slice(3).map(({ input }) => input['amount'])).toMatchObject([{ text: '3.5', from: 'split' }, { text: '8.1' }]); // prettier-ignore
  });

  it('without a server is held here, and without a rate asks for the amount', async () => {
    server.isSilent = true;
    const person = page('New Year ice');
    await person.click(await screen.findByRole('button', { name: 'Done: Main walk' }));
    expect(screen.getByText(/Type how much went out here/)).toBeTruthy();
    await person.type(screen.getAllByLabelText('Amount')[2]!, '3');
    await person.click(screen.getByRole('button', { name: 'Done: Main walk' }));
    expect(await screen.findByRole('heading', { name: 'Round 3: 1 of 6 areas done' })).toBeTruthy();
    expect(sent()).toHaveLength(0);
    act(() => server.comeBack());
    await waitFor(() => expect(sent()).toHaveLength(1));
  });

  it('an area that is on no site is named and measured', async () => {
    localStorage.setItem('steady-scatter.tonight', JSON.stringify(night));
    const person = page('New Year ice');
    await person.click(await screen.findByRole('button', { name: /Add area that is on no site/ }));
    await person.type(screen.getByLabelText('Name of the area'), 'Bus stop');
    await person.click(screen.getByRole('button', { name: 'Add area' }));
    expect(screen.getByLabelText('Size').getAttribute('aria-invalid')).toBe('true');
    await person.type(screen.getByLabelText('Size'), '40 x 25 ft');
    await person.click(screen.getByRole('button', { name: 'Add area' }));
    await person.click(screen.getByRole('button', { name: 'Done: Bus stop' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toMatchObject({ input: { areaName: 'Bus stop', area: '', size: { text: '40 x 25 ft' }, amount: { text: '4.5' } } }); // prettier-ignore
  });
});
