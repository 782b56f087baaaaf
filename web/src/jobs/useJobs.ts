import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';

const LIST = ['jobs'] as const;
const one = (id: string) => ['jobs', id] as const;

/** The list of kept jobs. */
export const useJobList = () =>
  useQuery<JobSummary[]>({ queryKey: LIST, queryFn: ({ signal }) => call('listJobs', { signal }) });

/** One kept job; not asked for while there is no id. */
export const useJob = (id: string | null) =>
  useQuery<Job>({
    queryKey: one(id ?? ''),
    queryFn: ({ signal }) => call('readJob', { params: { id: id ?? '' }, signal }),
    enabled: id !== null,
  });

/** Keeps, deletes and restores jobs, and refreshes what is shown of them. */
export function useJobActs() {
  const client = useQueryClient();
  const refreshList = () => client.invalidateQueries({ queryKey: LIST, exact: true });
  const keep = useMutation({
    mutationFn: ({ id, write }: { id: string; write: JobWrite }) =>
      call('writeJob', { params: { id }, body: write }),
    onSuccess: async (job) => {
      client.setQueryData(one(job.id), job);
      await refreshList();
    },
  });
  const remove = useMutation({
    mutationFn: (id: string) => call('deleteJob', { params: { id } }),
    onSuccess: async (_, id) => {
      client.removeQueries({ queryKey: one(id) });
      await refreshList();
    },
  });
  const restore = useMutation({
    mutationFn: (id: string) => call('restoreJob', { params: { id } }),
    onSuccess: refreshList,
  });
  return { keep, remove, restore };
}
