import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';

/**
 * A form hands out a copy of everything at each key: what of it is as before stays the same object, and is not worked out anew.
 *
 * @param first what it began with: what still says the same is that object
 */
export function useShared<T>(now: T, first = now): T {
  const before = useRef(first);
  // oxlint-disable-next-line react/refs -- whichever earlier one it is held against, what comes out says the same; a state would draw all twice
  const shared = replaceEqualDeep(before.current, now);
  useEffect(() => {
    before.current = shared;
  });
  return shared;
}
