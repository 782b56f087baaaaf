import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';

/** A form hands out a copy of everything at each key: what of it is as before stays the same object, and is not worked out anew. */
export function useShared<T>(now: T): T {
  const before = useRef(now);
  // oxlint-disable-next-line react/refs -- whichever earlier one it is held against, what comes out says the same; a state would draw all twice
  const shared = replaceEqualDeep(before.current, now);
  useEffect(() => {
    before.current = shared;
  });
  return shared;
}
