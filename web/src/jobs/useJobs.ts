import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { useKeptActs } from '../api/useKeptActs.ts';

const ROOT = 'jobs';

/** The list of kept jobs. */
export const useJobList = () =>
  useQuery<JobSummary[]>({ queryKey: [ROOT], queryFn: ({ signal }) => call('listJobs', { signal }) });

/** One kept job. */
export const useJob = (id: string) =>
  useQuery<Job>({
    queryKey: [ROOT, id],
    queryFn: ({ signal }) => call('readJob', { params: { id }, signal }),
  });

/** Keeps, deletes and restores jobs. */
export const useJobActs = () =>
  useKeptActs<Job, JobWrite>(ROOT, {
    write: (id, body) => call('writeJob', { params: { id }, body }),
    remove: (id) => call('deleteJob', { params: { id } }),
    restore: (id) => call('restoreJob', { params: { id } }),
  });
