import {
  beginRun,
  elapsedS,
  pauseRun,
  runLogInput,
  tapPass,
  untapPass,
  type RunLog,
} from '@steady-scatter/core/runSheet';
import type { Clock } from '@steady-scatter/core/testing';
import { useEffect, useState } from 'react';
import { signal } from '../bench/run/feedback.ts';
import { heldHere, holdHere } from '../ui/browserStores.ts';

const clock = (): Clock => ({ steadyMs: performance.now(), wallMs: Date.now() });
const TICK_MS = 250;

/** Under this a browser holds the run of an area of a job. */
const keyOf = (job: string, area: string): string => `steady-scatter.walk.${job}.${area}`;

/** The run of an area that this device holds; null: none was begun. */
export const heldRun = (job: string, area: string): RunLog | null =>
  heldHere(keyOf(job, area), runLogInput) ?? null;

/** A run of an area as it is counted on this device: it outlives a reload and a closed page. */
export function useRunLog(job: string, area: string) {
  const [log, setLog] = useState<RunLog>(() => heldRun(job, area) ?? beginRun(area, ''));
  const [shownS, setShown] = useState(() => elapsedS(log, clock()));
  const isRunning = log.watch.from !== null;
  useEffect(() => {
    const tick = () => setShown(elapsedS(log, clock()));
    tick();
    if (!isRunning) return undefined;
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, [log, isRunning]);
  const set = (next: RunLog) => {
    setLog(next);
    holdHere(keyOf(job, area), next);
  };
  return {
    log,
    elapsedS: shownS,
    isRunning,
    tap() {
      const next = tapPass(log, clock());
      if (next === log) return;
      signal(next.watch.laps.length > log.watch.laps.length ? 'stop' : 'start');
      set(next.startedAt === '' ? { ...next, startedAt: new Date().toISOString() } : next);
    },
    pause: () => set(pauseRun(log, clock())),
    untap: () => set(untapPass(log)),
    noteEmpty: (metres: number) => set({ ...log, empties: [...log.empties, metres] }),
    again: () => set(beginRun(area, '')),
  };
}
