import type { Job, JobSummary } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';

/** First part of the keys of all queries about jobs. */
export const JOBS_ROOT = 'jobs';

/** The list of kept jobs. */
export const useJobList = (enabled = true) =>
  useQuery<JobSummary[]>(
    { queryKey: [JOBS_ROOT], queryFn: ({ signal }) => call('listJobs', { signal }), enabled },
    queries,
  );

/** One kept job. */
export const useJob = (id: string, enabled = true) =>
  useQuery<Job>(
    {
      queryKey: [JOBS_ROOT, id],
      queryFn: ({ signal }) => call('readJob', { params: { id }, signal }),
      enabled,
    },
    queries,
  );
