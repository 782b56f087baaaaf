import { screen } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, expect, it } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { StatedDefault } from './StatedDefault.tsx';

beforeEach(() => keepDemo());

function Line({ isWrong = false }: { isWrong?: boolean }) {
  const [text, set] = useState('5');
  return (
    <StatedDefault name="tolerance" text={`Tolerance ${text} %`} isWrong={isWrong}>
      <input aria-label="Tolerance, %" value={text} onChange={(event) => set(event.target.value)} />
    </StatedDefault>
  );
}

it('says what is taken, and shows its field when somebody wants to change it', async () => {
  const person = inApp(<Line />);
  expect(screen.queryByLabelText('Tolerance, %')).toBeNull();
  const change = screen.getByRole('button', { name: 'Change tolerance' });
  expect(change.getAttribute('aria-expanded')).toBe('false');
  await person.click(change);
  await person.type(screen.getByLabelText('Tolerance, %'), '0');
  expect(screen.getByText('Tolerance 50 %')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Done with tolerance' }));
  expect(screen.queryByLabelText('Tolerance, %')).toBeNull();
});

it('by keyboard: the focus stays on what was pressed', async () => {
  const person = inApp(<Line />);
  await person.tab();
  await person.keyboard('{Enter}');
  expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Done with tolerance' }));
  await person.tab();
  expect(document.activeElement).toBe(screen.getByLabelText('Tolerance, %'));
});

it('with something wrong in it, it stands open and cannot be folded away', async () => {
  const person = inApp(<Line isWrong />);
  expect(screen.getByLabelText('Tolerance, %')).toBeTruthy();
  await person.click(screen.getByRole('button', { name: 'Done with tolerance' }));
  expect(screen.getByLabelText('Tolerance, %')).toBeTruthy();
});

it('that opened for what is missing stays open while it is typed, until somebody is done', async () => {
  function Missing() {
    const [text, set] = useState('');
    return (
      <StatedDefault name="lane" text={text || 'no lane'} isWrong={text === ''}>
        <input aria-label="Lane width" value={text} onChange={(event) => set(event.target.value)} />
      </StatedDefault>
    );
  }
  const person = inApp(<Missing />);
  await person.type(screen.getByLabelText('Lane width'), '12');
  expect(screen.getByLabelText<HTMLInputElement>('Lane width').value).toBe('12');
  await person.click(screen.getByRole('button', { name: 'Done with lane' }));
  expect(screen.queryByLabelText('Lane width')).toBeNull();
  expect(screen.getByText('12')).toBeTruthy();
});
