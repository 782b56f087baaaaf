import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRef, useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useFocusHandedOn } from './useFocusHandedOn.ts';

// Nothing has a size here: what can be reached is asked for by its boxes.
beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, 'getClientRects').mockReturnValue([
    new DOMRect(),
  ] as unknown as DOMRectList);
});
afterEach(() => {
  vi.restoreAllMocks();
  window.history.replaceState(null, '', '/');
});

/** Acts that are gone once they are done, each with something of its own after it. */
function Page({ acts, leave = false }: { acts: readonly string[]; leave?: boolean }) {
  const within = useRef<HTMLDivElement>(null);
  const [done, setDone] = useState<readonly string[]>([]);
  useFocusHandedOn(within);
  const act = (name: string) => {
    if (leave) window.history.pushState(null, '', '/elsewhere');
    setDone([...done, name]);
  };
  return (
    <div ref={within}>
      <input aria-label="before" />
      {acts.map((name) => (
        <section key={name}>
          {done.includes(name) ? null : (
            <p>
              <button onClick={() => act(name)}>{name}</button>
            </p>
          )}
        </section>
      ))}
    </div>
  );
}
const focused = () =>
  document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent;

it('an act that is gone hands the focus to what follows; the last one to what stands before', async () => {
  render(<Page acts={['first', 'second']} />);
  act(() => screen.getByLabelText('before').focus());
  await userEvent.tab();
  await userEvent.keyboard('{Enter}');
  expect(screen.queryByText('first')).toBeNull();
  expect(focused()).toBe('second');
  await userEvent.keyboard('{Enter}');
  expect(focused()).toBe('before');
});

it('by a press of the mouse nothing is handed on: on a phone a keyboard would come up', async () => {
  render(<Page acts={['first', 'second']} />);
  await userEvent.click(screen.getByText('first'));
  expect(screen.queryByText('first')).toBeNull();
  expect(document.activeElement).toBe(document.body);
});

it('where there is another screen, the focus is its business', async () => {
  render(<Page acts={['first', 'second']} leave />);
  act(() => screen.getByText('first').focus());
  await userEvent.keyboard('{Enter}');
  expect(document.activeElement).toBe(document.body);
});

it('nothing is taken from who went on by themselves', async () => {
  render(<Page acts={['first', 'second']} />);
  act(() => screen.getByText('second').focus());
  await userEvent.keyboard('{Shift>}{/Shift}');
  act(() => {
    screen.getByText('second').click();
    screen.getByLabelText('before').focus();
  });
  await Promise.resolve();
  expect(focused()).toBe('before');
});
