import { useCallback, useDeferredValue, useState, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { isTypingOn } from './fieldInFocus.ts';

/** Keys that lead on to what may not be drawn yet. */
const LEAVES = new Set(['Enter', 'Tab', 'ArrowDown', 'PageDown', 'End']);

/** Whether what is not needed at first is to be drawn: it comes right after the first drawing, which is there sooner without it. */
export const useRest = (): boolean => useDeferredValue(true, false);

/**
 * Draws the first of a page before the rest of it, so that it can be typed into at once. Whoever leaves it by key before the rest is there
 * has it drawn in that moment: typing goes on where it was meant. Who was typing in it before it came has the whole of it at once.
 *
 * @returns whether the rest is to be drawn, and what to do with a key before anything else hears of it
 */
export function useFirstThenRest() {
  const rests = useRest();
  const [isLeft, setLeft] = useState(isTypingOn);
  const isWhole = rests || isLeft;
  const onKey = useCallback(
    ({ key }: Pick<KeyboardEvent, 'key'>) => {
      if (!isWhole && LEAVES.has(key)) flushSync(() => setLeft(true));
    },
    [isWhole],
  );
  return { isWhole, onKey };
}
