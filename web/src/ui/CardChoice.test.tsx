import { screen } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { CardChoice } from './CardChoice.tsx';

beforeEach(() => keepDemo());

type Way = 'walk' | 'drive' | 'push';
const OPTIONS = [
  { id: 'walk', label: 'On foot', detail: '3 mph' },
  { id: 'push', label: 'Pushed' },
  { id: 'drive', label: 'Driven' },
] as const;

function Question({ isFixed = false, onPick }: { isFixed?: boolean; onPick?(id: Way): void }) {
  const [value, set] = useState<Way | null>(isFixed ? 'push' : null);
  return (
    <CardChoice<Way>
      label="How it goes"
      value={value}
      options={OPTIONS}
      isFixed={isFixed}
      onChange={(id) => {
        set(id);
        onPick?.(id);
      }}
    >
      <a href="/other">Another way</a>
    </CardChoice>
  );
}

describe('a question with cards for answers', () => {
  it('is one group that names the question, with nothing chosen before somebody does', () => {
    inApp(<Question />);
    expect(screen.getByRole('group', { name: 'How it goes' })).toBeTruthy();
    expect(screen.getAllByRole('radio').filter((each) => (each as HTMLInputElement).checked)).toEqual([]);
    expect(screen.getByRole('radio', { name: 'On foot 3 mph' })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Another way' })).toBeTruthy();
  });
  it('is answered by a press, and by keyboard', async () => {
    const onPick = vi.fn();
    const person = inApp(<Question onPick={onPick} />);
    await person.click(screen.getByText('Pushed'));
    expect(onPick).toHaveBeenLastCalledWith('push');
    screen.getByRole('radio', { name: 'Driven' }).focus();
    await person.keyboard(' ');
    expect(onPick).toHaveBeenLastCalledWith('drive');
  });
  it('fixed, it cannot be answered otherwise', async () => {
    const onPick = vi.fn();
    const person = inApp(<Question isFixed onPick={onPick} />);
    await person.click(screen.getByText('Driven'));
    expect(onPick).not.toHaveBeenCalled();
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Pushed' }).checked).toBe(true);
  });
});
