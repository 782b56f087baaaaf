import type { Calibration } from '@steady-scatter/contract';
import { NO_SCALE, readCalibration } from '@steady-scatter/core';
import { call } from '../api/lazyCall.ts';
import type { DocKind } from '../kept/docs.ts';

/** Machines calibrated for products. */
export const CALIBRATIONS: DocKind<Calibration['typed']> = {
  root: 'calibrations',
  one: 'calibration',
  home: { path: '/bench', label: 'the bench' },
  // Only the readings: settings are checked where the machine and its marks are known.
  errorsOf: (typed) => readCalibration(typed, NO_SCALE, null).errors,
  complete: (typed) => typed,
  list: (signal) => call('listCalibrations', { signal }),
  read: (id, signal) => call('readCalibration', { params: { id }, signal }),
  write: (id, body) => call('writeCalibration', { params: { id }, body }),
  remove: (id) => call('deleteCalibration', { params: { id } }),
  restore: (id) => call('restoreCalibration', { params: { id } }),
};
