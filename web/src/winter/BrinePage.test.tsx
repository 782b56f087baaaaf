import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import BrinePage from './BrinePage.tsx';

beforeEach(() => localStorage.clear());

type Person = ReturnType<typeof inApp>;
const type = async (person: Person, label: string, text: string) => {
  await person.clear(screen.getByLabelText(label));
  await person.type(screen.getByLabelText(label), text);
};
const part = (heading: string) => within(screen.getByRole('region', { name: `${heading}: answer` }));
const textOf = (heading: string) =>
  screen.getByRole('region', { name: `${heading}: answer` }).textContent.replaceAll('\u00a0', ' ');

describe('brine', () => {
  it('a hydrometer tells how strong it is and where it freezes', async () => {
    const person = inApp(<BrinePage />);
    expect(part('How strong it is').getByText(/^Read the hydrometer/)).toBeTruthy();
    await person.selectOptions(screen.getByLabelText('Hydrometer is marked in'), 'kg/L');
    await type(person, 'Hydrometer shows', '1.150');
    expect(textOf('How strong it is')).toContain('20.3%');
    expect(textOf('How strong it is')).toContain('It freezes at 2 °F.');
    await type(person, 'Sample temperature', '50');
    expect(textOf('How strong it is')).toContain('Bring the sample to 68 °F first');
  });

  it('a tank is made from empty, or corrected', async () => {
    const person = inApp(<BrinePage />);
    await type(person, 'Tank holds', '1000 L');
    // 273.70 kg of salt, 900.99 kg of water.
    expect(textOf('The tank')).toContain('603lb');
    expect(textOf('The tank')).toMatch(/into 1.990 lb of water \(238 gal\)/);
    await person.selectOptions(screen.getByLabelText('Hydrometer is marked in'), 'kg/L');
    await type(person, 'Hydrometer shows', '1.132');
    await type(person, 'Tank holds', '800 L');
    // 62.577 kg.
    expect(textOf('The tank')).toContain('Add 138 lb of salt');
    await type(person, 'Strength wanted, % by weight', '15');
    expect(textOf('The tank')).toMatch(/Add 47\.8 gal of water/);
  });

  it('on a lane at a temperature it says what it holds, and when it holds nothing', async () => {
    const person = inApp(<BrinePage />);
    await type(person, 'Rate', '40');
    await type(person, 'Lane width', '12');
    await type(person, 'Pavement temperature', '23');
    expect(textOf('On pavement')).toContain('1.44lb / 1000 ft²');
    expect(textOf('On pavement')).toContain('At 23 °F it holds 0.059 mm of water more. More falls on it, and it refreezes.');
    await type(person, 'Pavement temperature', '-10');
    expect(textOf('On pavement')).toContain('keeps nothing liquid at −10 °F');
    await type(person, 'Pavement temperature', '40');
    expect(textOf('On pavement')).toContain('Nothing freezes at 40 °F.');
    await type(person, 'Strength wanted, % by weight', '5');
    await type(person, 'Pavement temperature', '10');
    expect(textOf('On pavement')).toContain('Too weak: it freezes at 10 °F as it is.');
  }); // prettier-ignore

  it('a load of dry salt is wetted', async () => {
    const person = inApp(<BrinePage />);
    await type(person, 'Dry salt', '2');
    await type(person, 'Brine on it', '8');
    expect(textOf('Pre-wetting')).toContain('16.0gal');
    // 16 gal of 23.3 % hold 36.5 lb; two tons are 4000 lb.
    expect(textOf('Pre-wetting')).toContain('36.5 lb of salt comes with it, 0.9 % on top of the dry salt.');
  });

  it('what is wrong is said at its field, and what was typed is there the next time', async () => {
    const person = inApp(<BrinePage />);
    await type(person, 'Hydrometer shows', '0.98');
    expect(screen.getByLabelText('Hydrometer shows').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText(/look whether the hydrometer floats freely/)).toBeTruthy();
    await waitFor(() => expect(localStorage.getItem('steady-scatter.brine')).toContain('0.98'));
    localStorage.setItem('steady-scatter.brine', localStorage.getItem('steady-scatter.brine')!.replace('0.98', '1.1'));
    cleanup();
    inApp(<BrinePage />);
    expect(screen.getByLabelText<HTMLInputElement>('Hydrometer shows').value).toBe('1.1');
    await person.click(screen.getByRole('button', { name: 'Clear' }));
    expect(screen.getByLabelText<HTMLInputElement>('Hydrometer shows').value).toBe('');
  }); // prettier-ignore

  it('what another version left there is not taken', () => {
    localStorage.setItem('steady-scatter.brine', '{"salt":"sand"}');
    inApp(<BrinePage />);
    expect(screen.getByText(/^With a rate, the lane width/)).toBeTruthy();
  });
});
