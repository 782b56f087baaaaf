import { screen } from '@testing-library/react';
import { useLocation } from 'react-router';
import { expect, it, vi } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { goToPart, Tape, type Stop } from './Tape.tsx';

const STOPS: readonly Stop[] = [
  { id: 'need', label: 'Need', holds: '3.33 lb / 1000 ft²', lacks: false, to: '/#need' },
  { id: 'machine', label: 'Machine', holds: 'no machine yet', lacks: true, to: '/new/machine' },
];
const Address = () => {
  const { pathname, hash, state } = useLocation();
  return <output>{`${pathname}${hash} ${JSON.stringify(state)}`}</output>;
};

it('tells what each stop holds or lacks, and which is open', () => {
  inApp(<Tape stops={STOPS} current="need" onPart={() => undefined} />);
  const [need, machine] = screen.getAllByRole('link');
  expect(need?.getAttribute('aria-current')).toBe('step');
  expect(machine?.getAttribute('aria-current')).toBeNull();
  expect(machine?.textContent).toContain('no machine yet');
});

it('a stop is an address of its own, and says which sheet it is of', async () => {
  const onPart = vi.fn();
  const person = inApp(
    <>
      <Tape stops={STOPS} current="need" state={{ draft: 'new-1' }} onPart={onPart} />
      <Address />
    </>,
  );
  await person.click(screen.getByRole('link', { name: /^Machine/ }));
  expect(screen.getByRole('status').textContent).toBe('/new/machine {"draft":"new-1"}');
  expect(onPart).toHaveBeenCalledWith('machine');
});

it('a part of the sheet gets the focus on its first field; one that is not there breaks nothing', () => {
  inApp(
    <section id="ground">
      <input aria-label="Area 1" />
    </section>,
  );
  Element.prototype.scrollIntoView = () => undefined;
  expect(goToPart('ground')).toBe(true);
  expect(document.activeElement).toBe(screen.getByLabelText('Area 1'));
  expect(goToPart('elsewhere')).toBe(false);
  expect(document.activeElement).toBe(screen.getByLabelText('Area 1'));
});
