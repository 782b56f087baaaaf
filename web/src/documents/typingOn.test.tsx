import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { freshDevice } from '../testing/device.ts';
import { openApp, valueOf } from '../testing/openApp.tsx';

beforeEach(freshDevice);

/** The address of something that is saved. */
const OWN = /^\/\w+\/[0-9a-f-]{36}$/;
const shownAt = () => document.querySelector('#screen')?.getAttribute('data-at');

it.each([
  ['a sheet', '/', 'Name of the job', 'jobs'],
  ['a product', '/shelf/new', 'Name', 'products'],
])('who saves %s by keys types on in the same field, and nothing is lost', async (_, address, name, kind) => {
  const { person, fill, server } = openApp(address);
  const field = () => screen.getByLabelText('Package size');
  await fill(name, 'Lake front');
  await person.click(await screen.findByLabelText('Package size'));
  await person.keyboard('4{Control>}s{/Control}0');
  await waitFor(() => expect(shownAt()).toMatch(OWN));
  await waitFor(() => expect(document.activeElement).toBe(field()));
  await person.keyboard('.5');
  expect(valueOf('Package size')).toBe('40.5');
  expect(window.location.pathname).toMatch(OWN);
  await person.keyboard('{Control>}s{/Control}');
  await waitFor(() => expect(JSON.stringify(server.of(kind))).toContain('"40.5"'));
});

it('who presses Save begins at the top of what is saved', async () => {
  const { fill, press } = openApp('/shelf/new');
  await fill('Name', 'Lake feed');
  await press('Save product');
  await waitFor(() => expect(shownAt()).toMatch(OWN));
  await waitFor(() => expect(document.activeElement?.id).toBe('screen'));
});
