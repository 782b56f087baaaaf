import { screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { CommandsProvider } from '../commands/CommandsProvider.tsx';
import { inApp } from '../testing/inApp.tsx';
import { Rail, ROOMS } from './Rail.tsx';

it('has every room and tool once the screen stands', async () => {
  inApp(
    <CommandsProvider renderPanel={() => null}>
      <Rail />
    </CommandsProvider>,
    '/sites',
  );
  const rail = within(screen.getByRole('navigation', { name: 'Main places' }));
  expect(await rail.findByRole('button', { name: 'Settings' })).toBeTruthy();
  expect(rail.getAllByRole('link')).toHaveLength(ROOMS.length);
  expect(rail.getByRole('link', { current: 'page' }).textContent).toBe('Sites');
});
