import { screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { connectionStore, noteForgotten, notePaired } from '../api/connection.ts';
import { NotTaken } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { inApp } from '../testing/inApp.tsx';
import { PairScreen } from './PairScreen.tsx';

beforeEach(() => notePaired(false));
afterEach(() => {
  notePaired(true);
});

it('a device is paired by the code, under the name that it is given', async () => {
  const person = inApp(<PairScreen />);
  vi.mocked(call).mockResolvedValueOnce(undefined);
  await person.type(screen.getByLabelText('Code'), '1234 5678');
  await person.type(screen.getByLabelText('Name of this device'), ' M. Orr ');
  await person.click(screen.getByRole('button', { name: 'Pair this device' }));
  expect(call).toHaveBeenCalledWith('pair', { body: { code: '1234 5678', name: 'M. Orr' } });
  expect(connectionStore.get().paired).toBe(true);
});

it('a wrong code says what would be right, and stays typed', async () => {
  const person = inApp(<PairScreen />);
  vi.mocked(call).mockRejectedValueOnce(new NotTaken('That is not the code. It has eight digits.'));
  await person.type(screen.getByLabelText('Code'), '1');
  await person.click(screen.getByRole('button', { name: 'Pair this device' }));
  expect((await screen.findByRole('alert')).textContent).toContain('It has eight digits');
  expect(screen.getByLabelText<HTMLInputElement>('Code').value).toBe('1');
  expect(connectionStore.get().paired).toBe(false);
});

it('one that was forgotten is told so', () => {
  noteForgotten();
  inApp(<PairScreen />);
  expect(screen.getByRole('main').textContent).toContain('This device was forgotten');
});
