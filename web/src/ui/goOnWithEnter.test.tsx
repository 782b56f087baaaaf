import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { goOnWithEnter } from './goOnWithEnter.ts';
import { LabelledField } from './LabelledField.tsx';
import { ChakraProvider } from '@chakra-ui/react';
import { system } from '../theme/index.ts';

const field = (label: string) => <LabelledField label={label} value={label} onChange={() => undefined} />;

it('Enter goes to the next field and takes hold of its text, within a part that does the same too', async () => {
  render(
    <ChakraProvider value={system}>
      <div onKeyDown={goOnWithEnter}>
        {field('Name')}
        <div onKeyDown={goOnWithEnter}>
          {field('Length')}
          <button type="button">unit</button>
          {field('Width')}
        </div>
        {field('Depth')}
        <textarea aria-label="Notes" />
      </div>
    </ChakraProvider>,
  );
  const has = () => (document.activeElement as HTMLInputElement).value;
  await userEvent.click(screen.getByLabelText('Name'));
  await userEvent.keyboard('{Enter}');
  expect(has()).toBe('Length');
  const { selectionStart, selectionEnd } = document.activeElement as HTMLInputElement;
  expect([selectionStart, selectionEnd]).toEqual([0, 'Length'.length]);
  // One step, though both parts heard it.
  await userEvent.keyboard('{Enter}');
  expect(has()).toBe('Width');
  await userEvent.click(screen.getByLabelText('Notes'));
  await userEvent.keyboard('{Enter}');
  expect(has()).toBe('\n');
});
