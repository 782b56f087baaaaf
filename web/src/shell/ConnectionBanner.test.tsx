import { act, screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { noteAnswer, noteSilence } from '../api/connection.ts';
import { useWhenBack } from '../api/useWhenBack.ts';
import { Unreachable } from '../api/errors.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { tabAndBrowser } from '../ui/browserStores.ts';
import { ConnectionBanner } from './ConnectionBanner.tsx';

beforeEach(() => {
  keepDemo();
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
});
const answer = () => act(() => noteAnswer(null, Date.now()));

it('keeps by itself what could not be kept, when the server answers again', async () => {
  const keep = vi.fn();
  function Sheet() {
    const { waitsFor } = useWhenBack('job:1', keep);
    return <button onClick={() => waitsFor(new Unreachable(''))}>Keep</button>;
  }
  const person = inApp(
    <>
      <ConnectionBanner />
      <Sheet />
    </>,
  );
  act(() => noteSilence());
  expect(screen.getByText(/The server does not answer/)).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Keep' }));
  expect(keep).not.toHaveBeenCalled();
  answer();
  await waitFor(() => expect(keep).toHaveBeenCalledTimes(1));
  expect(screen.queryByText(/You can go on typing/)).toBeNull();
});

it('tells on every screen that this browser holds nothing, until it holds again', () => {
  inApp(<ConnectionBanner />);
  const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  act(() => expect(() => tabAndBrowser.setItem('a', 'b')).toThrow());
  expect(screen.getByText(/cannot hold what you type/)).toBeTruthy();
  full.mockRestore();
  act(() => tabAndBrowser.setItem('a', 'b'));
  expect(screen.queryByText(/cannot hold what you type/)).toBeNull();
});
