import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { inApp } from '../testing/inApp.tsx';
import { Panel } from './Panel.tsx';

function Page() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)}>
        Open
      </button>
      {isOpen && (
        <Panel title="Question" onClose={() => setOpen(false)}>
          {/* oxlint-disable-next-line jsx-a11y/no-autofocus -- as what is typed into at once has it */}
          <input aria-label="Answer" autoFocus />
        </Panel>
      )}
    </>
  );
}

it('gives the focus back to where it was, also where something in it took it as soon as it was drawn', async () => {
  const person = inApp(<Page />);
  await person.click(screen.getByRole('button', { name: 'Open' }));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Answer')));
  await person.keyboard('{Escape}');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Open' })));
});
