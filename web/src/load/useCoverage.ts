import type { Coverage, CoverageRequest } from '@steady-scatter/core/coverage';
import { useMemo } from 'react';
import type { CoverageWorker } from '../workers/coverage.worker.ts';
import { useWork } from '../workers/useWork.ts';

const open = () => new Worker(new URL('../workers/coverage.worker.ts', import.meta.url), { type: 'module' });

/** A first look at cells so much larger comes at once. */
const COARSE = 5;

/**
 * What would lie where, worked out beside the page: a coarse look first, then the fine one.
 *
 * @param request null: nothing is asked
 */
export function useCoverage(request: CoverageRequest | null) {
  const coarse = useMemo(() => request && { ...request, cellM: request.cellM * COARSE }, [request]);
  const first = useWork<CoverageWorker, Coverage | null>({ open, key: coarse, pauseMs: 20 }, (api, onShare) => api.simulate(coarse!, onShare)); // prettier-ignore
  const fine = useWork<CoverageWorker, Coverage | null>({ open, key: request, pauseMs: 60 }, (api, onShare) => api.simulate(request!, onShare)); // prettier-ignore
  const isFine = fine.isCurrent && fine.last !== null;
  return {
    coverage: isFine ? fine.last : first.isCurrent ? first.last : (fine.last ?? first.last),
    isFine,
    share: fine.share,
    stop: fine.stop,
  };
}
