import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { Tape, type Stop } from './Tape.tsx';

const STOPS: readonly Stop[] = [
  { id: 'need', label: 'Need', holds: '3.33 lb / 1000 ft²', lacks: false },
  { id: 'ground', label: 'Ground', holds: 'no size yet', lacks: true },
];

it('its stops lead to their parts, and the focus goes to the first field there', async () => {
  const person = inApp(
    <>
      <Tape stops={STOPS} current="need" />
      <section id="ground">
        <input aria-label="Area 1" />
      </section>
    </>,
  );
  Element.prototype.scrollIntoView = () => undefined;
  const [need, ground] = screen.getAllByRole('link');
  expect(need?.getAttribute('aria-current')).toBe('step');
  expect(ground?.getAttribute('aria-current')).toBeNull();
  expect(ground?.textContent).toBe('Groundno size yet');
  await person.click(ground!);
  expect(document.activeElement).toBe(screen.getByLabelText('Area 1'));
});

it('a stop that leads nowhere yet breaks nothing', async () => {
  const person = inApp(<Tape stops={STOPS} current="ground" />);
  await person.click(screen.getByRole('link', { name: /^Need/ }));
  expect(screen.getByRole('navigation', { name: 'Stops of the job' })).toBeTruthy();
});
