import type { Calibration } from '@steady-scatter/contract';
import { readCalibration } from '@steady-scatter/core';
import { call } from '../api/lazyCall.ts';
import type { DocKind } from '../kept/docs.ts';

/** Without the machine's scale only the readings are checked; its marks are checked where the machine is known. */
export const NO_SCALE = { marks: [], firstFlow: null, errors: [] };

/** Machines calibrated for products. */
export const CALIBRATIONS: DocKind<Calibration['typed']> = {
  root: 'calibrations',
  one: 'calibration',
  home: { path: '/bench', label: 'the bench' },
  errorsOf: (typed) => readCalibration(typed, NO_SCALE, null).errors,
  complete: (typed) => typed,
  list: (signal) => call('listCalibrations', { signal }),
  read: (id, signal) => call('readCalibration', { params: { id }, signal }),
  write: (id, body) => call('writeCalibration', { params: { id }, body }),
  remove: (id) => call('deleteCalibration', { params: { id } }),
  restore: (id) => call('restoreCalibration', { params: { id } }),
};
