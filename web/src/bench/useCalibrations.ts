import type { Calibration } from '@steady-scatter/contract';
import { upgradeCalibration, keepEarlier, evaluateCalibration } from '@steady-scatter/core/testing';
import { call } from '../api/lazyCall.ts';
import { useDocs, type DocKind } from '../documents/docs.ts';

/** Machines calibrated for products. */
export const CALIBRATIONS: DocKind<Calibration['typed']> = {
  root: 'calibrations',
  one: 'calibration',
  home: { path: '/bench', label: 'the bench' },
  // Only the readings: settings are checked where the machine and its marks are known.
  errorsOf: (typed) => evaluateCalibration(typed).errors,
  beforeKeep: (kept, typed) => keepEarlier(kept, typed, 'taken anew'),
  isLive: ({ runs }) => runs.some(({ step }) => step !== ''),
  complete: upgradeCalibration,
  list: (signal) => call('listCalibrations', { signal }),
  read: (id, signal) => call('readCalibration', { params: { id }, signal }),
  write: (id, body) => call('writeCalibration', { params: { id }, body }),
  remove: (id) => call('deleteCalibration', { params: { id } }),
  restore: (id) => call('restoreCalibration', { params: { id } }),
};

/** All calibrations of the crew. */
export const useCalibrations = () => useDocs(CALIBRATIONS);
