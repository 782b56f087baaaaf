import type { Site } from '@steady-scatter/contract';
import { evaluateSite } from '@steady-scatter/core/ground';
import { call } from '../api/lazyCall.ts';
import { useDocs, type DocKind } from '../documents/docs.ts';

/** Sites, each with its measured areas. */
export const SITES: DocKind<Site['typed']> = {
  root: 'sites',
  one: 'site',
  home: { path: '/sites', label: 'the sites' },
  errorsOf: (typed) => evaluateSite(typed).errors,
  complete: (typed) => typed,
  list: (signal) => call('listSites', { signal }),
  read: (id, signal) => call('readSite', { params: { id }, signal }),
  write: (id, body) => call('writeSite', { params: { id }, body }),
  remove: (id) => call('deleteSite', { params: { id } }),
  restore: (id) => call('restoreSite', { params: { id } }),
};

/** All sites of the crew. */
export const useSites = () => useDocs(SITES);
