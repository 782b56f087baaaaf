import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { noteSilence } from '../api/connection.ts';
import { inApp } from '../testing/inApp.tsx';
import { CrashScreen } from './CrashScreen.tsx';

const said = () => screen.getByRole('main').textContent ?? '';

it('says what to do, that nothing typed is lost, and what it said itself', () => {
  inApp(<CrashScreen error={new Error('Broken on purpose')} />);
  expect(screen.getByRole('heading', { name: 'This screen broke' })).toBeTruthy();
  expect(said()).toContain('from there. If it breaks again');
  expect(said()).toContain('What it said: Broken on purpose');
  expect(screen.getByRole('button', { name: 'Load again' })).toBeTruthy();
});

it.each(['Failed to fetch dynamically imported module: /assets/x.js', 'Importing a module script failed.'])(
  'parts that were replaced meanwhile are a newer version: %s',
  (words) => {
    inApp(<CrashScreen error={new TypeError(words)} />);
    expect(screen.getByRole('heading', { name: 'New version available' })).toBeTruthy();
    expect(said()).not.toContain('If it breaks again');
  },
);

it('parts that do not come without a network are no newer version: they wait for the connection', () => {
  noteSilence();
  inApp(<CrashScreen error={new TypeError('Failed to fetch dynamically imported module: /assets/x.js')} />);
  expect(screen.getByRole('heading', { name: 'No connection' })).toBeTruthy();
  expect(said()).toContain('Load the page again when the connection is back');
});

it('what was thrown and is no error is said too', () => {
  inApp(<CrashScreen error="odd" />);
  expect(said()).toContain('What it said: odd');
});
