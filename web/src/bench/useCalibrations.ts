import { calibrations } from '@steady-scatter/contract';
import { keepEarlier } from '@steady-scatter/core/testing';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Machines calibrated for products. */
export const CALIBRATIONS = documentKind(calibrations, {
  beforeKeep: (stored, input) => keepEarlier(stored, input, 'taken anew'),
  isLive: ({ runs }) => runs.some(({ step }) => step !== ''),
});

/** All calibrations of the crew. */
export const useCalibrations = () => useDocs(CALIBRATIONS);
