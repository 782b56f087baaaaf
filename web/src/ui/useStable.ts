import { useCallback, useLayoutEffect, useRef } from 'react';

/** A callback that stays the same while what it does is that of the latest render: for memoized parts of a drawing. */
export function useStable<Args extends unknown[]>(run: (...args: Args) => void): (...args: Args) => void {
  const latest = useRef(run);
  useLayoutEffect(() => {
    latest.current = run;
  });
  return useCallback((...args: Args) => latest.current(...args), []);
}
