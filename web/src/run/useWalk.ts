import {
  blankWalk,
  elapsedS,
  logOf,
  pauseRun,
  tapPass,
  untapPass,
  withLog,
  beginRun,
  type RunLog,
  type WalkInput,
} from '@steady-scatter/core/runSheet';
import type { System } from '@steady-scatter/core/quantities';
import type { Clock } from '@steady-scatter/core/testing';
import { useEffect, useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { signal } from '../bench/run/feedback.ts';
import { saveDoc } from '../documents/saving.ts';
import { heldWalk, holdWalk, thisDevice, useWalksOf, WALKS, type HeldWalk } from '../kinds/useWalks.ts';
import { aboutDocument } from '../outbox/index.ts';
import { whoWorks } from '../ui/who.ts';

const clock = (): Clock => ({ steadyMs: performance.now(), wallMs: Date.now() });
const TICK_MS = 250;
/** What is counted reaches the server this much later: a tap after the other is one change. */
const SEND_MS = 1200;

/** Sends what is counted a moment after the last change. */
function useSending(walk: HeldWalk | null) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  return (next: HeldWalk) => {
    clearTimeout(timer.current);
    const base = { version: (walk ?? next).version, input: (walk ?? next).input };
    timer.current = setTimeout(() => void saveDoc(WALKS, next.id, { base, input: next.input }, [aboutDocument('jobs', next.input.job)]), SEND_MS); // prettier-ignore
  };
}

/** Work on a job: held by this device while it counts; looked on where another one does. */
export function useWalk(job: string, system: System) {
  const device = thisDevice();
  const [own, setOwn] = useState<HeldWalk | null>(() => heldWalk(job));
  const [isFull, setFull] = useState(false);
  const standing = useWalksOf(job);
  const there = standing.find(({ id }) => id === own?.id) ?? standing[0];
  const isElsewhere =
    there !== undefined && there.input.holder !== device && (own === null || there.id === own.id);
  const send = useSending(there && there.id === own?.id ? { id: there.id, version: there.version, input: there.input } : own); // prettier-ignore
  const input: WalkInput = isElsewhere ? there.input : (own?.input ?? { ...blankWalk({ job, holder: device }, system), by: whoWorks() }); // prettier-ignore
  const put = (next: HeldWalk) => {
    setOwn(next);
    setFull(!holdWalk(next));
    send(next);
  };
  return {
    input,
    isElsewhere,
    /** The browser is full: what is counted stands as long as the page is open. */
    isFull,
    set: (more: Partial<WalkInput>) => put({ id: own?.id ?? newId(), version: own?.version ?? 0, input: { ...input, ...more } }), // prettier-ignore
    takeOver() {
      if (there) put({ id: there.id, version: there.version, input: { ...there.input, holder: device } });
    },
  };
}
export type Walk = ReturnType<typeof useWalk>;

/** The passes of one area of it. */
export function useRunLog(walk: Walk, area: string) {
  const log = logOf(walk.input, area);
  const [shownS, setShown] = useState(() => elapsedS(log, clock()));
  const isRunning = log.watch.from !== null;
  useEffect(() => {
    const tick = () => setShown(elapsedS(log, clock()));
    tick();
    if (!isRunning) return undefined;
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, [log, isRunning]);
  const set = (next: RunLog) => walk.set(withLog(walk.input, next));
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
export type RunLogOf = ReturnType<typeof useRunLog>;
