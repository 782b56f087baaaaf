import type { WidthTest } from '@steady-scatter/contract';
import { upgradeWidthTest, evaluateWidthTest } from '@steady-scatter/core/width';
import { call } from '../api/lazyCall.ts';
import { useDocs, type DocKind } from '../documents/docs.ts';

/** How far machines throw, and how far apart to pass. */
export const WIDTH_TESTS: DocKind<WidthTest['typed']> = {
  root: 'width-tests',
  one: 'width test',
  home: { path: '/bench/width', label: 'the widths' },
  errorsOf: (typed) => evaluateWidthTest(typed).errors,
  complete: upgradeWidthTest,
  list: (signal) => call('listWidthTests', { signal }),
  read: (id, signal) => call('readWidthTest', { params: { id }, signal }),
  write: (id, body) => call('writeWidthTest', { params: { id }, body }),
  remove: (id) => call('deleteWidthTest', { params: { id } }),
  restore: (id) => call('restoreWidthTest', { params: { id } }),
};

/** All width tests of the crew. */
export const useWidthTests = () => useDocs(WIDTH_TESTS);
