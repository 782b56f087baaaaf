import type { Rig } from '@steady-scatter/contract';
import { upgradeRig, evaluateRig } from '@steady-scatter/core/rigs';
import { call } from '../api/lazyCall.ts';
import { useDocs, type DocKind } from '../documents/docs.ts';

/** Machines, with the marks of their controls. */
export const RIGS: DocKind<Rig['typed']> = {
  root: 'rigs',
  one: 'machine',
  home: { path: '/bench/rigs', label: 'the machines' },
  errorsOf: (typed) => evaluateRig(typed).errors,
  complete: upgradeRig,
  list: (signal) => call('listRigs', { signal }),
  read: (id, signal) => call('readRig', { params: { id }, signal }),
  write: (id, body) => call('writeRig', { params: { id }, body }),
  remove: (id) => call('deleteRig', { params: { id } }),
  restore: (id) => call('restoreRig', { params: { id } }),
};

/** All machines of the crew. */
export const useRigs = () => useDocs(RIGS);
