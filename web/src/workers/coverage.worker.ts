import { simulateCoverage, type Coverage, type CoverageRequest } from '@steady-scatter/core/coverage';
import { expose, transfer } from 'comlink';

const coverage = {
  /** What would lie where. Its map is handed over, not copied. */
  simulate(request: CoverageRequest, onShare: (share: number) => void): Coverage | null {
    const found = simulateCoverage(request, (share) => {
      onShare(share);
      return true;
    });
    return found && transfer(found, [found.map.buffer, found.inside.buffer]);
  },
};

export type CoverageWorker = typeof coverage;
expose(coverage);
