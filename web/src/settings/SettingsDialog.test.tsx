import { screen } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { AS_TYPED } from '@steady-scatter/core/worksheet';
import { loadPreferences, UNIT_SETS } from './preferences.ts';
import SettingsDialog from './SettingsDialog.tsx';

beforeEach(() => localStorage.clear());

const open = () => inApp(<SettingsDialog onClose={() => undefined} people={null} />);
const pressed = (name: string) => screen.getByRole('button', { name }).getAttribute('aria-pressed');

it('the light is chosen, and stays chosen on this device', async () => {
  const person = open();
  expect(pressed('as this device')).toBe('true');
  await person.click(screen.getByRole('button', { name: 'night' }));
  expect([pressed('night'), pressed('as this device')]).toEqual(['true', 'false']);
  expect(loadPreferences(localStorage).theme).toBe('night');
});

it('a set of units is chosen at once; one of them changed alone belongs to no set', async () => {
  const person = open();
  expect(pressed('as typed')).toBe('true');
  await person.click(screen.getByRole('button', { name: 'metric' }));
  expect(loadPreferences(localStorage).units).toEqual(UNIT_SETS.metric);
  await person.selectOptions(screen.getByLabelText('Areas'), 'acre');
  expect(loadPreferences(localStorage).units).toEqual({ ...UNIT_SETS.metric, area: 'acre' });
  expect(['as typed', 'US', 'metric'].map(pressed)).toEqual(['false', 'false', 'false']);
  await person.click(screen.getByRole('button', { name: 'as typed' }));
  expect(loadPreferences(localStorage).units).toEqual(AS_TYPED);
});

it('single keys are switched off', async () => {
  const person = open();
  await person.click(screen.getByRole('checkbox', { name: 'Use single keys as shortcuts' }));
  expect(loadPreferences(localStorage).singleKeys).toBe(false);
});
