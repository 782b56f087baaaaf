import { useEffect, useRef } from 'react';
import { isPassing, keepWhenBack, saidOfWaiting, waitNoMore, waits } from './whenBack.ts';

/**
 * Keeping again what could not be kept for want of an answer.
 *
 * @param of what it is, the same whenever it is opened
 * @param keep keeps what is typed by then
 */
export function useWhenBack(of: string, keep: () => unknown) {
  const latest = useRef(keep);
  const isOpen = useRef(true);
  useEffect(() => {
    latest.current = keep;
  });
  useEffect(() => {
    isOpen.current = true;
    // Opened again meanwhile: it is kept from here.
    if (waits(of)) keepWhenBack(of, () => latest.current());
    return () => {
      isOpen.current = false;
    };
  }, [of]);
  return {
    /** False once its screen was left: whoever left stays where he is. */
    isOpen: () => isOpen.current,
    /** True, with what to say, when the failure passes and it will be kept by itself. */
    waitsFor(error: unknown): string | null {
      if (!isPassing(error)) return null;
      keepWhenBack(of, () => latest.current());
      return saidOfWaiting(error);
    },
    noMore: () => waitNoMore(of),
  };
}
