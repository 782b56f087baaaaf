import type { Job, JobWrite } from '@steady-scatter/contract';
import { keptActs } from '../api/keptActs.ts';
import { call } from '../api/lazyCall.ts';
import { JOBS_ROOT } from './useJobs.ts';

/** Keeps, deletes and restores jobs. */
export const jobActs = keptActs<Job, JobWrite>(JOBS_ROOT, {
  write: (id, body) => call('writeJob', { params: { id }, body }),
  remove: (id) => call('deleteJob', { params: { id } }),
  restore: (id) => call('restoreJob', { params: { id } }),
});
