import type { Resampled, WidthResult } from '@steady-scatter/core/width';
import { useMemo } from 'react';
import { useWork } from '../workers/useWork.ts';
import type { WidthWorker } from '../workers/width.worker.ts';

const PAUSE_MS = 400;
const TIMES = 2000;
const open = () => new Worker(new URL('../workers/width.worker.ts', import.meta.url), { type: 'module' });

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
  const { last, isCurrent, share, stop } = useWork<WidthWorker, Resampled | null>(
    { open, key: asked, pauseMs: PAUSE_MS },
    (worker, onShare) => worker.resample(asked ?? '', onShare),
  );
  return { found: isCurrent ? last : null, share, stop };
}
