import { USUAL_SETTINGS } from '@steady-scatter/contract';
import { screen, waitFor } from '@testing-library/react';
import { use } from 'react';
import { beforeEach, expect, it, vi } from 'vitest';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { inApp } from '../testing/inApp.tsx';
import { CurrencyContext } from '../ui/currency.ts';
import { CrewGroup } from './CrewGroup.tsx';
import { CrewProvider } from './CrewProvider.tsx';

const asked = vi.mocked(call);
const EURO = {
  ...USUAL_SETTINGS,
  name: 'Tarn Hollow grounds',
  currency: { symbol: '€', place: 'after' as const },
};

beforeEach(() => {
  localStorage.clear();
  queries.clear();
  asked.mockImplementation((name, ask) => Promise.resolve(name === 'setCrew' ? ask?.body : EURO)); // prettier-ignore
}); // prettier-ignore
const Currency = () => <output>{use(CurrencyContext).symbol}</output>;
const open = () => inApp(<CrewProvider><CrewGroup /><Currency /></CrewProvider>); // prettier-ignore

it('every screen has what the crew settled, and the device knows it without a network next time', async () => {
  open();
  await waitFor(() =>
    expect(screen.getByLabelText('Crew name')).toHaveProperty('value', 'Tarn Hollow grounds'),
  );
  expect(screen.getByRole('status', { hidden: true }).textContent).toBe('€');
  expect(JSON.parse(localStorage.getItem('steady-scatter.crew') ?? '')).toEqual(EURO);
});

it('is settled anew for all devices, and shown at once', async () => {
  const person = open();
  await screen.findByDisplayValue('Tarn Hollow grounds');
  await person.clear(screen.getByLabelText('Currency'));
  await person.type(screen.getByLabelText('Currency'), '$');
  await person.selectOptions(screen.getByLabelText('Currency stands'), 'before the amount');
  await person.click(screen.getByRole('button', { name: 'Save crew settings' }));
  await waitFor(() => expect(asked).toHaveBeenCalledWith('setCrew', { body: { ...EURO, currency: { symbol: '$', place: 'before' } } })); // prettier-ignore
  await waitFor(() => expect(screen.getAllByText('$').length).toBeGreaterThan(0));
});

it('a tolerance that is none is said, and not saved', async () => {
  const person = open();
  await screen.findByDisplayValue('Tarn Hollow grounds');
  await person.clear(screen.getByLabelText(/^Tolerance of a new calibration/));
  await person.type(screen.getByLabelText(/^Tolerance of a new calibration/), 'five');
  expect(screen.getByRole('alert').textContent).toContain('for example 5');
  expect(screen.getByRole('button', { name: 'Save crew settings' })).toHaveProperty('disabled', true);
});
