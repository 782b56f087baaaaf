import { act, render, screen, waitFor } from '@testing-library/react';
import { lazy, useState } from 'react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';
import { PreferencesProvider } from '../settings/PreferencesProvider.tsx';
import { CommandsProvider, useCommandRegistry, useCommands, type PanelProps } from './CommandsProvider.tsx';

/** A screen with a field, a command on a single key, and a panel whose part comes when it is let come. */
function onScreen() {
  let arrive = () => {};
  const come = new Promise<void>((resolve) => {
    arrive = resolve;
  });
  const run = vi.fn();
  let close = () => {};
  const Panel = lazy(async () => {
    await come;
    return {
      default: function Part({ typedAhead, onClose }: PanelProps) {
        const [typed] = useState(typedAhead);
        close = onClose;
        return <button onClick={onClose}>{`Panel with “${typed}”`}</button>;
      },
    };
  });
  function Screen() {
    const { open } = useCommandRegistry();
    useCommands([
      { id: 'go-to', label: 'Go to', keys: 'Ctrl+K', run: () => open('go-to') },
      { id: 'new', label: 'New', keys: 'n', run },
    ]);
    return <input aria-label="Amount" />;
  }
  render(
    <PreferencesProvider>
      <CommandsProvider renderPanel={(panel) => <Panel {...panel} />}>
        <Screen />
      </CommandsProvider>
    </PreferencesProvider>,
  );
  return { person: userEvent.setup(), run, arrive: () => act(async () => arrive()), close: () => close() };
}

it('what is typed while a panel is on its way is the panel’s: no field gets it, and no command is run by it', async () => {
  const { person, run, arrive } = onScreen();
  await person.keyboard('{Control>}k{/Control}n');
  await person.click(screen.getByLabelText('Amount'));
  await person.keyboard('ew');
  expect(screen.queryByRole('button')).toBeNull();
  await arrive();
  expect(await screen.findByRole('button', { name: 'Panel with “new”' })).toBeTruthy();
  expect(run).not.toHaveBeenCalled();
  expect(screen.getByLabelText<HTMLInputElement>('Amount').value).toBe('');
});

it('a panel that was open before stands at once, with nothing of then', async () => {
  const { person, run, arrive } = onScreen();
  await arrive();
  await person.keyboard('{Control>}k{/Control}');
  await person.click(await screen.findByRole('button'));
  await waitFor(() => expect(screen.queryByRole('button')).toBeNull());
  await person.keyboard('{Control>}k{/Control}');
  expect(screen.getByRole('button', { name: 'Panel with “”' })).toBeTruthy();
  await person.click(screen.getByRole('button'));
  await person.keyboard('n');
  expect(run).toHaveBeenCalledTimes(1);
});

it('a key that is pressed as a panel has just gone is heard', async () => {
  const { person, arrive, close } = onScreen();
  await arrive();
  await person.keyboard('{Control>}k{/Control}');
  await screen.findByRole('button');
  const heard = vi.fn();
  const seen = new MutationObserver(() => {
    if (screen.queryByRole('button')) return;
    seen.disconnect();
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'k', ctrlKey: true }));
    heard();
  });
  seen.observe(document.body, { childList: true, subtree: true });
  // Of itself, as its part does it: what follows from it comes after what is seen.
  setTimeout(close);
  await waitFor(() => expect(heard).toHaveBeenCalled());
  expect(await screen.findByRole('button')).toBeTruthy();
});
