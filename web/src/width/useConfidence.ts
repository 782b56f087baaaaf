import type { Resampled, WidthResult } from '@steady-scatter/core/width';
import { proxy, wrap } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { WidthWorker } from '../workers/width.worker.ts';

const PAUSE_MS = 400;
const TIMES = 2000;

/** How sure CV and spacing are; while it is worked out, the share done and a way to stop. */
export interface Confidence {
  readonly found: Resampled | null;
  readonly share: number | null;
  stop(): void;
}

/** Draws the test anew two thousand times in a worker, whenever the trays or the spacing change and rest. */
export function useConfidence(reading: WidthResult): Confidence {
  const { trays, lookedM, limit } = reading;
  const asked = useMemo(() => {
    if (!reading.sweeps || lookedM === null || trays.spacingM === null) return null;
    return JSON.stringify({
      positionsM: trays.trays.map(({ xM }) => xM),
      rows: trays.rows,
      uDeposits: trays.uDeposits,
      traySpacingM: trays.spacingM,
      spacingM: Number(lookedM.toFixed(3)),
      limit,
      times: TIMES,
    });
  }, [reading.sweeps, trays, lookedM, limit]);
  const [last, setLast] = useState<{ asked: string; found: Resampled | null } | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [stopped, setStopped] = useState<string | null>(null);
  useEffect(() => {
    if (asked === null || stopped === asked) return undefined;
    let worker: Worker | null = null;
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../workers/width.worker.ts', import.meta.url), { type: 'module' });
      const running = worker;
      // The last share may come after the answer.
      let done = false;
      const onShare = (now: number) => {
        if (!done) setShare(now);
      };
      wrap<WidthWorker>(running)
        .resample(asked, proxy(onShare))
        .then(
          (found) => setLast({ asked, found }),
          () => setLast({ asked, found: null }),
        )
        .finally(() => {
          done = true;
          setShare(null);
          running.terminate();
        });
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
      setShare(null);
    };
  }, [asked, stopped]);
  return {
    found: last?.asked === asked ? (last?.found ?? null) : null,
    share,
    stop: () => {
      setStopped(asked);
      setShare(null);
    },
  };
}
