import {
  beginRun,
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

/** How long the pass under way was walked by now, s. */
function elapsedOf({ watch, carriedS }: RunLog, now: Clock): number {
  if (!watch.from) return carriedS;
  const steady = now.steadyMs - watch.from.steadyMs;
  return carriedS + Math.max(0, steady >= 0 ? steady : now.wallMs - watch.from.wallMs) / 1000;
}

/** A run of an area as it is counted on this device: it outlives a reload and a closed page. */
export function useRunLog(job: string, area: string) {
  const [log, setLog] = useState<RunLog>(() => heldRun(job, area) ?? beginRun(area, ''));
  const [elapsedS, setElapsed] = useState(() => elapsedOf(log, clock()));
  const isRunning = log.watch.from !== null;
  useEffect(() => {
    const tick = () => setElapsed(elapsedOf(log, clock()));
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
    elapsedS,
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
