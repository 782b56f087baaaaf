import { press, runningS, split, STANDING, type Clock, type Stopwatch } from '@steady-scatter/core/testing';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useAwake } from '../../ui/useAwake.ts';
import { signal } from './feedback.ts';

const now = (): Clock => ({ steadyMs: performance.now(), wallMs: Date.now() });
const TICK_MS = 90;

/** A stopwatch put away in the tab, so that a reload does not stop it. */
function stored(key: string): Stopwatch {
  try {
    return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as Stopwatch | null) ?? STANDING;
  } catch {
    return STANDING;
  }
}

/**
 * A stopwatch by tap or space.
 *
 * @param key what it is put away under
 * @param aimS it gives a sign at this time; null: it gives none
 */
export function useStopwatch(key: string, aimS: number | null) {
  const [watch, setWatch] = useState(() => stored(key));
  const [seconds, setSeconds] = useState(0);
  const aimed = useRef(false);
  const isRunning = watch.from !== null;
  useAwake(isRunning);
  useEffect(() => {
    try {
      sessionStorage.setItem(key, JSON.stringify(watch));
    } catch {
      // It runs on without; a reload then begins anew.
    }
  }, [key, watch]);
  useEffect(() => {
    if (!watch.from) return undefined;
    aimed.current = false;
    const timer = setInterval(() => {
      const at = runningS(watch, now());
      setSeconds(at);
      if (aimS !== null && at >= aimS && !aimed.current) {
        aimed.current = true;
        signal('aim');
      }
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [watch, aimS]);

  const latest = useRef(watch);
  const set = useCallback((next: Stopwatch) => {
    latest.current = next;
    setWatch(next);
  }, []);
  const change = useCallback(
    (by: typeof press) => {
      const before = latest.current;
      const next = by(before, now());
      if (next === before) return;
      signal(next.laps.length > before.laps.length ? 'stop' : 'start');
      set(next);
    },
    [set],
  );
  return {
    laps: watch.laps,
    isRunning,
    seconds: isRunning ? seconds : 0,
    press: useCallback(() => change(press), [change]),
    split: useCallback(() => change(split), [change]),
    clear: useCallback(() => set(STANDING), [set]),
  };
}
