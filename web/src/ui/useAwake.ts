import { useEffect } from 'react';

/** Keeps the screen on while it is wanted, where the device can. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    const lock = navigator.wakeLock.request('screen').catch(() => null);
    return () => void lock.then((held) => held?.release());
  }, [wanted]);
}
