import type { SoilTest } from '@steady-scatter/contract';
import { evaluateSoilTest } from '@steady-scatter/core/need';
import { call } from '../api/lazyCall.ts';
import type { DocKind } from '../documents/docs.ts';

/** Soil tests, each of one piece of ground on one day. */
export const SOIL_TESTS: DocKind<SoilTest['typed']> = {
  root: 'soil-tests',
  one: 'soil test',
  home: { path: '/shelf/soil', label: 'the soil tests' },
  errorsOf: (typed) => evaluateSoilTest(typed).errors,
  complete: (typed) => typed,
  list: (signal) => call('listSoilTests', { signal }),
  read: (id, signal) => call('readSoilTest', { params: { id }, signal }),
  write: (id, body) => call('writeSoilTest', { params: { id }, body }),
  remove: (id) => call('deleteSoilTest', { params: { id } }),
  restore: (id) => call('restoreSoilTest', { params: { id } }),
};
