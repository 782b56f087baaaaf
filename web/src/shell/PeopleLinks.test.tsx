import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import PeopleLinks from './PeopleLinks.tsx';

it('each of the crew is one press away; a license that ended is told', async () => {
  keepDemo();
  vi.useFakeTimers({ now: Date.parse('2027-06-01T12:00:00.000Z'), toFake: ['Date'] });
  const onGo = vi.fn();
  const person = inApp(<PeopleLinks onGo={onGo} />);
  const alder = screen.getByRole('link', { name: 'J. Alder' });
  expect(alder.getAttribute('href')).toMatch(/^\/people\/[\w-]+$/);
  expect(alder.closest('li')!.textContent).toContain('license ended');
  await person.click(screen.getByRole('link', { name: 'Add a person' }));
  expect(onGo).toHaveBeenCalledTimes(1);
  vi.useRealTimers();
});
