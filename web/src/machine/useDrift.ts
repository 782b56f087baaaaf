import { driftOf, weighedRuns, type Drift } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useApplications } from '../kinds/useApplications.ts';

/** How a machine drifts with a product, by all that was recorded; null while nothing has come. */
export function useDrift(machine: string, product: string): Drift | null {
  const rows = useApplications(null) ?? null;
  return useMemo(() => rows && driftOf(weighedRuns(rows, machine, product)), [rows, machine, product]);
}
