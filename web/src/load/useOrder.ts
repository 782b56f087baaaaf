import { seasonOrder, type OrderLine } from '@steady-scatter/core/runSheet';
import { evaluateJob } from '@steady-scatter/core/worksheet';
import { useMemo } from 'react';
import { useWhere } from '../documents/docs.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { useShelf } from '../kinds/useShelf.ts';

/** What all sheets that are marked ready take together. */
export function useOrder(): readonly OrderLine[] | undefined {
  const { data: jobs } = useWhere(JOBS, 'isReady:true');
  const { data: shelf } = useShelf();
  return useMemo(
    () =>
      jobs &&
      shelf &&
      seasonOrder(
        jobs.map(({ input }) => ({ input, result: evaluateJob(input) })),
        shelf.map(({ input }) => input),
      ),
    [jobs, shelf],
  );
}
