import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import type { GuideInput } from '@steady-scatter/core/winter';
import { screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { inApp, keepDemo } from '../../testing/inApp.tsx';
import { keepStation } from '../../testing/stations.ts';
import TonightPage from './TonightPage.tsx';

beforeEach(() => {
  localStorage.clear();
  keepDemo();
  keepStation('pavement', -3.9, -0.15);
  keepStation('air', -6.1);
});

type Person = ReturnType<typeof inApp>;
const plain = (text: string | null) => (text ?? '').replaceAll(/[\u00a0\u202f]/g, ' ');
const answer = () => plain(screen.getByRole('region', { name: 'Answer' }).textContent);
const pavement = () => plain(screen.getByRole('region', { name: 'Pavement' }).textContent);
const choose = (person: Person, name: string) => person.click(screen.getByRole('radio', { name }));
const change = (person: Person, what: string) => person.click(screen.getByRole('button', { name: `Change ${what}` })); // prettier-ignore
const type = async (person: Person, degrees: string) => {
  await person.click(screen.getByRole('button', { name: 'Type temperature' }));
  await person.type(screen.getByLabelText('Pavement temperature'), degrees);
};

describe('tonight', () => {
  it('with a station takes one entry: the situation', async () => {
    const person = inApp(<TonightPage />, '/winter');
    expect(pavement()).toMatch(/^Pavement25°F.*falling.*Bridge, simulated: not a real reading/);
    expect(answer()).toContain('Choose the situation');
    await choose(person, 'Light snow');
    // 23 to 28 °F, falling: 4 to 5; a line for this trend has thought of the trend.
    expect(answer()).toContain('Rate4.5lb / 1000 ft²');
    expect(answer()).toContain('4.0 to 5.0 by Town winter guide (sample)');
    // 4.5 lb on 1000 ft2 are 21.97 g/m2, 96 % of them salt.
    expect(answer()).toMatch(/4\.5 lb \/ 1000 ft² holds about 0\.3\d mm of water at 25 °F/);
    const settings = within(screen.getByRole('list', { name: 'Settings' }));
    expect(plain(settings.getByText('Walk salter').closest('li')!.textContent)).toContain('E');
    expect(plain(settings.getByText('Yard truck, tailgate spreader').closest('li')!.textContent)).toContain('Chart is not fresh: signed off before this winter'); // prettier-ignore
  });

  it('says what every area takes, by hand in scoops, and all of it in packages', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await choose(person, 'Light snow');
    const row = (name: string) => plain(screen.getByText(name, { selector: 'b' }).closest('tr')!.textContent);
    // 95 x 60 ft take 25.65 lb.
    expect(row('Front lot')).toContain('26 lb');
    expect(row('Front lot')).toContain('Keep off: Storm drain in the middle');
    expect(row('Front steps')).toMatch(/0\.\d scoops by hand, 0\.43 lb/);
    // Lot, walk, ramp and steps take 29.8 lb; the last two by hand.
    expect(plain(screen.getByText('Town hall, all areas').closest('tr')!.textContent)).toMatch(/30 lb1 fill of Walk salter/); // prettier-ignore
    expect(plain(screen.getByText('All areas').closest('tr')!.textContent)).toContain(
      '2 packages of 25.0 kg',
    );
  });

  it('a share of the range can be chosen', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await choose(person, 'Light snow');
    await choose(person, 'Low');
    expect(answer()).toContain('Rate4.0lb / 1000 ft²');
    expect(answer()).toContain('Low end, your choice.');
  });

  it('asks what a typed temperature was read on, and gives no rate by the air', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await choose(person, 'Frost');
    await type(person, '21');
    expect(screen.getByText(/Was that read on the pavement/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'In the air' }));
    expect(screen.getByText(/A rate by the air is a guess/)).toBeTruthy();
    expect(answer()).toContain('The pavement temperature is missing.');
    await person.type(screen.getByLabelText('Pavement temperature'), '{Backspace}4');
    await person.click(screen.getByRole('button', { name: 'On the pavement' }));
    expect(screen.queryByText(/Was that read on the pavement/)).toBeNull();
    // Nobody said where it is going: the middle of 2 to 3.
    expect(answer()).toContain('Rate2.5lb / 1000 ft²');
    await choose(person, 'falling');
    expect(answer()).toContain('Rate3.0lb / 1000 ft²');
    await person.click(screen.getByRole('button', { name: 'Use station' }));
    expect(pavement()).toContain('25°F');
  });

  it('a slip of the unit is said at its field', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await type(person, '-4 C');
    expect(screen.getByLabelText('Pavement temperature').getAttribute('aria-invalid')).toBe('false');
    await person.clear(screen.getByLabelText('Pavement temperature'));
    await person.type(screen.getByLabelText('Pavement temperature'), '70');
    expect(screen.getByText(/Look at the unit/)).toBeTruthy();
  });

  it('says where the product does not work, and what does', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await choose(person, 'Light snow');
    await type(person, '10');
    await person.click(screen.getByRole('button', { name: 'On the pavement' }));
    // The guide puts nothing down there.
    expect(answer()).toContain('Plow, then grit: rock salt does not work here');
    expect(answer()).not.toContain('not known');
    await person.clear(screen.getByLabelText('Pavement temperature'));
    await person.type(screen.getByLabelText('Pavement temperature'), '15.5');
    await person.click(screen.getByRole('button', { name: 'On the pavement' }));
    expect(answer()).toContain('Rock salt, washed does not work at 15.5 °F: it reaches down to 15.8 °F.');
    expect(answer()).toContain('Use instead: Calcium flake.');
  });

  it('where the guide has no line it says so, and to which side it has some', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await choose(person, 'Freezing rain');
    await choose(person, 'Before it');
    await type(person, '20');
    await person.click(screen.getByRole('button', { name: 'On the pavement' }));
    expect(answer()).toContain(
      'The guide has no rate for this at 20 °F. It only has lines for warmer pavement.',
    );
  });

  it('brine before frost: by volume, on what its machine sprays', async () => {
    const person = inApp(<TonightPage />, '/winter');
    await change(person, 'Product');
    await person.selectOptions(screen.getByLabelText('Product'), 'Salt brine 23.3 %');
    await choose(person, 'Frost');
    await choose(person, 'Before it');
    expect(answer()).toContain('Rate0.80gal / 1000 ft²');
    expect(plain(screen.getByRole('list', { name: 'Settings' }).textContent)).toContain('Brine trailer');
    expect(answer()).toContain('brine can be slippery');
  });

  it('without station and guide it says what to do first, and keeps what was chosen', async () => {
    const [{ id, input }] = demo.guides as unknown as [{ id: string; input: GuideInput }];
    keepDemo({ guides: [{ id, input: { ...input, versions: [{ ...input.versions[0]!, fromDay: '2199-01-01' }] } }] }); // prettier-ignore
    keepStation('pavement', -4);
    keepStation('air', -6);
    inApp(<TonightPage />, '/winter');
    expect(answer()).toContain('No version of this guide is valid today.');
  });
});
