import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { freshDevice } from '../testing/device.ts';
import { openApp, valueOf } from '../testing/openApp.tsx';

beforeEach(freshDevice);

it.each([
  ['a sheet', '/', 'Name of the job', 'Package size', /^\/jobs\/[0-9a-f-]{36}$/],
  ['a product', '/shelf/new', 'Name', 'Package size', /^\/shelf\/[0-9a-f-]{36}$/],
])('who saves %s by keys while typing types on in the same field, and nothing is lost', async (_, address, name, field, own) => {
  const { person, fill, server } = openApp(address);
  await fill(name, 'Lake front');
  await person.click(await screen.findByLabelText(field));
  await person.keyboard('4{Control>}s{/Control}0');
  await waitFor(() => expect(window.location.pathname).toMatch(own));
  await waitFor(() => expect(document.querySelector('#screen')!.getAttribute('data-at')).toMatch(own));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText(field)));
  await person.keyboard('.5');
  expect(valueOf(field)).toBe('40.5');
  expect(window.location.pathname).toMatch(own);
  await person.keyboard('{Control>}s{/Control}');
  await waitFor(() => expect(JSON.stringify(server.of(address === '/' ? 'jobs' : 'products'))).toContain('"40.5"'));
}); // prettier-ignore

it('who presses Save begins at the top of what is saved', async () => {
  const { fill, press } = openApp('/shelf/new');
  await fill('Name', 'Lake feed');
  await press('Save product');
  await waitFor(() => expect(window.location.pathname).toMatch(/^\/shelf\/[0-9a-f-]{36}$/));
  await waitFor(() => expect(document.activeElement?.id).toBe('screen'));
});
