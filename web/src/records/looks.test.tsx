import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { call, callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { sizeWithin } from '../photos/shrunk.ts';
import { Photos } from '../photos/Photo.tsx';
import { PhotoField } from '../photos/PhotoField.tsx';
import { outbox } from '../outbox/index.ts';
import { freshDevice } from '../testing/device.ts';
import { fakeServer } from '../testing/fakeServer.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import PeoplePage from '../people/PeoplePage.tsx';
import { StockSection } from '../products/StockSection.tsx';
import LooksPage from './LooksPage.tsx';

let server: ReturnType<typeof fakeServer>;
beforeEach(async () => {
  await freshDevice();
  server = fakeServer();
  keepDemo();
  vi.mocked(callEvents).mockImplementation(server.events);
  vi.mocked(call).mockImplementation(server.call);
  vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00.000Z'), toFake: ['Date'] });
  return () => vi.useRealTimers();
});
const said = () => [...server.rows.values()].map(({ input }) => input);

it('what was spread two weeks ago wants a look; what was seen stands with its rate', async () => {
  const person = inApp(<LooksPage />, '/log/looks');
  const due = within(screen.getByRole('region', { name: 'To look at' }));
  expect(due.getByText(/Training end, School/).parentElement!.textContent).toMatch(
    /Potash 0-0-60, 9 Nov 2026: until 7 Dec 2026/,
  );
  const row = screen.getByRole('row', { name: /Lake feed.*in stripes/ });
  expect(row.textContent).toMatch(/Bandstand lawn.*5 % heavy.*6 May 2026, 18 days after.*3 of 5/);
  await person.click(due.getByRole('button', { name: 'Look at Training end' }));
  const panel = within(await screen.findByRole('dialog'));
  await person.click(panel.getByRole('button', { name: 'Save look' }));
  expect(panel.getByRole('alert').textContent).toMatch(/Choose how it looks/);
  await person.click(panel.getByRole('button', { name: '4' }));
  await person.type(panel.getByLabelText('Note'), 'No scorch');
  await person.click(panel.getByRole('button', { name: 'Save look' }));
  await waitFor(() =>
    expect(said()).toMatchObject([
      { areaName: 'Training end', rating: '4', note: 'No scorch', onDay: '2026-11-27' },
    ]),
  );
});

it('people stand with their license, and one that ends is said', () => {
  inApp(<PeoplePage />, '/people');
  expect(screen.getByRole('row', { name: /R\. Fenn/ }).textContent).toContain(
    'TH-118 (sample), until 30 Jun 2027',
  );
  expect(screen.getByRole('row', { name: /J\. Alder/ }).textContent).toContain(
    'until 31 Dec 2026: renew it soon',
  );
  expect(screen.getByRole('row', { name: /M\. Orr/ }).textContent).toContain('No license');
});

it('stock is what was counted and received; a slip is taken back and stays in the list', async () => {
  const feed = demo.products.find(({ input }) => input.name === 'Lake feed 24-0-8')!.id;
  const person = inApp(<StockSection product={feed} />);
  expect(screen.getByText('10.5 packages')).toBeTruthy();
  expect(screen.getByText(/Counted on 2 Mar 2026, since then 4 received, 0 spread/)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Received' }));
  await person.click(screen.getByRole('button', { name: 'Save movement' }));
  expect(screen.getByText(/Type a number/)).toBeTruthy();
  await person.type(screen.getByLabelText('Packages'), '2');
  await person.type(screen.getByLabelText('Lot'), 'LF-2611');
  await person.click(screen.getByRole('button', { name: 'Save movement' }));
  await waitFor(() => expect(said()).toMatchObject([{ what: 'received', packages: '2', lot: 'LF-2611' }]));
  await person.click(screen.getByRole('button', { name: /^Take back: 2 Apr 2026: 4 received, lot LF-2604/ }));
  await waitFor(() => expect(said()[1]).toMatchObject({ packages: '4', void: 'A slip' }));
});

it('a photo whose picture was removed says why, and its hash', async () => {
  queries.setQueryData(['photo', 'p'], {
    removedAt: '2026-05-01T08:00:00.000Z',
    removedWhy: 'A face',
    sha256: 'abcdef0123456789',
  });
  inApp(<Photos ids={['p']} />);
  screen.getByAltText('Photo of the work').dispatchEvent(new Event('error'));
  expect(await screen.findByText('The picture was removed: A face (SHA-256 abcdef012345…)')).toBeTruthy();
});

it('a photo is drawn anew, smaller, and waits here until it is sent', async () => {
  expect(sizeWithin(4000, 3000)).toEqual({ width: 1600, height: 1200 });
  expect(sizeWithin(3, 9000)).toEqual({ width: 1, height: 1600 });
  expect(sizeWithin(640, 480)).toEqual({ width: 640, height: 480 });
  const drawn = vi.fn();
  vi.stubGlobal('createImageBitmap', async (file: File) => {
    if (file.type === 'text/html') throw new Error('No.');
    return { width: 4000, height: 3000, close: vi.fn() };
  });
  HTMLCanvasElement.prototype.getContext = (() => ({ drawImage: drawn })) as never;
  HTMLCanvasElement.prototype.toBlob = (done) => done(new Blob(['small'], { type: 'image/jpeg' }));
  const taken = vi.fn();
  const person = inApp(<PhotoField ids={[]} onChange={taken} />);
  const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
  await person.upload(input, new File(['large'], 'a.jpg', { type: 'image/jpeg' }));
  await waitFor(() => expect(taken).toHaveBeenCalledTimes(1));
  expect(drawn).toHaveBeenCalledWith(expect.anything(), 0, 0, 1600, 1200);
  const [id] = taken.mock.calls[0]![0] as string[];
  expect(outbox.of(`photos:${id}`)?.entry).toMatchObject({ what: 'photo', photo: id });
  vi.unstubAllGlobals();
});
