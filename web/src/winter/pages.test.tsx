import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { callEvents } from '../api/lazyCall.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { keepStation } from '../testing/stations.ts';
import GuidePage from './guides/GuidePage.tsx';
import WinterPage from './season/WinterPage.tsx';
import RoundPage from './storms/RoundPage.tsx';
import StormPage from './storms/StormPage.tsx';
import TonightPage from './tonight/TonightPage.tsx';

beforeEach(async () => {
  await freshDevice();
  localStorage.clear();
  vi.mocked(callEvents).mockImplementation(fakeServer().events);
  keepDemo();
  keepStation('pavement', -3.9, -0.15);
  keepStation('air', -6.1);
});

const plain = (text: string | null) => (text ?? '').replaceAll(/[\u00a0\u202f]/g, ' ');
const open = (address: string) =>
  inApp(
    <Routes>
      <Route path="/winter" element={<TonightPage />} />
      <Route path="/winter/storms/new" element={<StormPage />} />
      <Route path="/winter/storms/:id" element={<StormPage />} />
      <Route path="/winter/storms/:id/round" element={<RoundPage />} />
      <Route path="/winter/guides/new" element={<GuidePage />} />
      <Route path="/winter/seasons/new" element={<WinterPage />} />
    </Routes>,
    address,
  );
const storm = (name: string) => demo.storms.find(({ input }) => input.name === name)!;

describe('a new storm', () => {
  it('asks for little: a name and a day stand there, and the route of the last one', () => {
    open('/winter/storms/new');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toMatch(/^Storm of \d/);
    expect(screen.getByLabelText<HTMLInputElement>('First day').value).not.toBe('');
    expect(screen.queryByLabelText('Last day')).toBeNull();
    const route = screen.getAllByRole('button', { name: /^Take .* off the route$/ });
    expect(route).toHaveLength(storm('First frost').input.route.length);
  });

  it('one that stands tells its rounds first; what it is comes one press away', async () => {
    const person = open(`/winter/storms/${storm('January snow').id}`);
    expect(screen.getByRole('heading', { name: 'Round 3' })).toBeTruthy();
    expect(screen.queryByLabelText('Name')).toBeNull();
    await person.click(screen.getByRole('button', { name: 'Change storm' }));
    expect(screen.getByLabelText<HTMLInputElement>('Last day').value).toBe('2026-01-15');
  });
});

describe('a round', () => {
  it('goes on with the one that is not whole, and the machine can be another one', async () => {
    localStorage.setItem('steady-scatter.tonight', JSON.stringify({ pavement: '', unit: 'degF', readOn: '', trend: '', situation: 'Light snow', treatment: 'after', guide: '', product: '', isPrewetted: false, machine: '', share: '' })); // prettier-ignore
    // Round 3 of the storm was four areas of six.
    const person = open(`/winter/storms/${storm('January snow').id}/round`);
    expect(await screen.findByRole('heading', { name: 'Round 3: 4 of 6 areas done' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Done: Ramp' })).toBeNull();
    expect(screen.getByText('Walk salter, no name')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Change machine and name' }));
    await person.selectOptions(screen.getByLabelText('Machine'), 'Yard truck, tailgate spreader');
    await person.type(screen.getByLabelText('Your name'), 'Bo');
    expect(screen.getByText('Yard truck, tailgate spreader, Bo')).toBeTruthy();
    // The name is there the next time, on this device.
    expect(localStorage.getItem('steady-scatter.who')).toBe('Bo');
    expect(plain(screen.getByRole('region', { name: 'Rate and setting' }).textContent)).toContain(
      'third hole',
    );
  });

  it('weighs nothing back before the machine put something down', async () => {
    open(`/winter/storms/${storm('January snow').id}/round`);
    await screen.findByRole('heading', { name: /^Round 3/ });
    expect(screen.queryByRole('button', { name: 'Split over areas' })).toBeNull();
  });
});

describe('a new guide', () => {
  it('is not stored while a line says neither rate nor advice, and the first wrong field is shown', async () => {
    const person = open('/winter/guides/new');
    await person.click(screen.getByRole('button', { name: 'Save rate guide' }));
    expect(await screen.findByText(/Say what this line is for/)).toBeTruthy();
    expect(screen.getByText(/Type a rate, for example 4, or say under Advice/)).toBeTruthy();
    await waitFor(() => expect(document.activeElement?.getAttribute('aria-invalid')).toBe('true'));
    await person.type(screen.getByLabelText('Situation'), 'Frost');
    await person.type(screen.getByLabelText('Advice'), 'Plow only');
    expect(screen.queryByText(/Say what this line is for/)).toBeNull();
    expect(screen.queryByText(/Type a rate, for example/)).toBeNull();
  });
});

describe('a new winter', () => {
  it('ends after it begins, and its goal is a weight', async () => {
    const person = open('/winter/seasons/new');
    await person.type(screen.getByLabelText('Name'), 'Winter');
    await person.type(screen.getByLabelText('First day'), '2026-11-01');
    await person.type(screen.getByLabelText('Last day'), '2026-10-01');
    await person.type(screen.getByLabelText('Salt goal, at most'), '300 ft');
    expect(await screen.findByText(/The winter ends before it begins/)).toBeTruthy();
    expect(screen.getByLabelText('Salt goal, at most').getAttribute('aria-invalid')).toBe('true');
    await person.clear(screen.getByLabelText('Salt goal, at most'));
    await person.type(screen.getByLabelText('Salt goal, at most'), '300 kg');
    expect(screen.getByLabelText('Salt goal, at most').getAttribute('aria-invalid')).toBe('false');
  });
});

describe('tonight', () => {
  it('pre-wetted salt has lines of its own', async () => {
    const person = open('/winter');
    await person.click(screen.getByRole('radio', { name: 'After plowing' }));
    const rate = () => plain(screen.getByRole('region', { name: 'Answer' }).textContent);
    // Dry 3 to 5, falling: the high end; pre-wetted 2 to 3.5.
    expect(rate()).toContain('Rate5.0lb / 1000 ft²');
    await person.click(screen.getByRole('button', { name: 'Change Product' }));
    await person.click(screen.getByRole('checkbox', { name: 'pre-wetted' }));
    expect(rate()).toContain('Rate3.5lb / 1000 ft²');
    expect(screen.getByText('Rock salt, washed, pre-wetted')).toBeTruthy();
  });

  it('another guide, on lanes, is told on the ground', async () => {
    const person = open('/winter');
    await person.click(screen.getByRole('button', { name: 'Change Rate guide' }));
    await person.selectOptions(screen.getByLabelText('Rate guide'), 'Lake road contract (sample)');
    await person.click(screen.getByRole('radio', { name: 'Light snow' }));
    // 200 to 300 lb on a lane-mile of 11 ft, at 25 °F: 300 lb on 58 080 ft2.
    expect(plain(screen.getByRole('region', { name: 'Answer' }).textContent)).toContain(
      'Rate5.2lb / 1000 ft²',
    );
  });

  it('in degrees C says the same', async () => {
    const person = open('/winter');
    await person.click(screen.getByRole('button', { name: 'Change Rate guide' }));
    await person.selectOptions(screen.getByLabelText('Temperature unit'), '°C');
    expect(plain(screen.getByRole('region', { name: 'Pavement' }).textContent)).toContain('−3.9°C');
    expect(within(screen.getByRole('region', { name: 'Pavement' })).getByText(/falling/)).toBeTruthy();
  });
});
