import { ChakraProvider } from '@chakra-ui/react';
import { act, renderHook, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { beforeEach, expect, it, vi } from 'vitest';
import { NotTaken } from '../api/errors.ts';
import { system } from '../theme/index.ts';
import { NoticesProvider, useNotices, type Notices } from './notices.tsx';

const wrapper = ({ children }: { children: ReactNode }) => (
  <ChakraProvider value={system}>
    <NoticesProvider>{children}</NoticesProvider>
  </ChakraProvider>
);
let notices: Notices;
beforeEach(() => {
  notices = renderHook(useNotices, { wrapper }).result.current;
});

it('what was done last is undone, and once', () => {
  const [first, second] = [vi.fn(), vi.fn()];
  act(() => notices.undoable('Deleted one.', first));
  act(() => notices.undoable('Deleted two.', second));
  expect(notices.undoLast()).toBe(true);
  expect(second).toHaveBeenCalledTimes(1);
  // There is nothing else to go back on: what came before has its own button.
  expect(notices.undoLast()).toBe(false);
  expect(first).not.toHaveBeenCalled();
});

it('by its button it is undone once too, and the key does nothing then', async () => {
  const undo = vi.fn();
  act(() => notices.undoable('Deleted it.', undo));
  await userEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(notices.undoLast()).toBe(false);
  expect(undo).toHaveBeenCalledTimes(1);
});

it('an undo that fails says why', async () => {
  act(() => notices.undoable('Deleted it.', () => Promise.reject(new NotTaken('It was changed meanwhile.'))));
  act(() => void notices.undoLast());
  await waitFor(() => expect(screen.getByText('It was changed meanwhile.')).toBeTruthy());
});

it('nothing was done: there is nothing to undo', () => {
  act(() => notices.tell('Saved.'));
  expect(notices.undoLast()).toBe(false);
});

it('what stands there already is not said a second time beside it', async () => {
  const told = (text: string) =>
    act(async () => {
      notices.tell(text);
      await new Promise((drawn) => setTimeout(drawn, 50));
    });
  await told('The server answers again.');
  await told('The server answers again.');
  await told('Saved.');
  expect(screen.getAllByText('The server answers again.')).toHaveLength(1);
});

it('Tab goes past a message; one that is closed gives the focus back to where it came from', async () => {
  act(() => notices.tell('Saved.'));
  const close = await screen.findByRole('button', { name: 'Close this message' });
  const [before, after] = ['before', 'after'].map((name) => {
    const button = document.createElement('button');
    button.textContent = name;
    return button;
  }) as [HTMLButtonElement, HTMLButtonElement];
  document.body.prepend(before);
  document.body.append(after);
  before.focus();
  act(() => close.focus());
  await userEvent.tab();
  expect(document.activeElement).toBe(after);
  // What would be given back would be now.
  await new Promise((given) => setTimeout(given, 20));
  expect(document.activeElement).toBe(after);
  act(() => close.focus());
  await userEvent.keyboard('{Enter}');
  expect(document.activeElement).toBe(after);
  before.remove();
  after.remove();
});
