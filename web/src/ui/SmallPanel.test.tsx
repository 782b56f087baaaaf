import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { PanelButton } from './PanelButton.tsx';
import { SmallPanel } from './SmallPanel.tsx';

// Nothing has a size here: what can be reached is asked for by its boxes.
beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, 'getClientRects').mockReturnValue([
    new DOMRect(),
  ] as unknown as DOMRectList);
});
afterEach(() => vi.restoreAllMocks());

/** A list to choose from, whose choices come when they are let in. */
function Choices({ startsWith }: { startsWith: readonly string[] }) {
  const [choices, setChoices] = useState(startsWith);
  return (
    <>
      <PanelButton
        renderPanel={(place) => (
          <SmallPanel place={place} label="Choices" width="200px">
            {choices.map((each) => (
              <button key={each} type="button" onClick={() => setChoices([...choices, 'third'])}>
                {each}
              </button>
            ))}
          </SmallPanel>
        )}
      >
        Choose
      </PanelButton>
      <button type="button" onMouseEnter={() => setChoices(['first', 'second'])}>
        Let them in
      </button>
    </>
  );
}
const isAt = (name: string) =>
  waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name, hidden: true })));

it('takes the focus to its first choice, keeps it where it was taken in it, and gives it back', async () => {
  const person = inApp(<Choices startsWith={['first', 'second']} />);
  await person.tab();
  await person.keyboard('{Enter}');
  await isAt('first');
  await person.tab();
  await person.keyboard('{Enter}');
  expect(await screen.findByRole('button', { name: 'third', hidden: true })).toBeTruthy();
  await isAt('second');
  await person.keyboard('{Escape}');
  await isAt('Choose');
  expect(screen.queryByRole('dialog')).toBeNull();
});

it('while its choices are on their way it has the focus itself', async () => {
  const person = inApp(<Choices startsWith={[]} />);
  await person.tab();
  await person.keyboard('{Enter}');
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('dialog', { name: 'Choices' })));
  await person.hover(screen.getByText('Let them in'));
  await isAt('first');
});
