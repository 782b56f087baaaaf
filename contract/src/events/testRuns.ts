import {
  evaluateTestRun,
  testRunInput,
  type CalibrationAim,
  type TestRunInput,
} from '@steady-scatter/core/testing';
import { eventOf } from './event.ts';
import { SUBJECTS } from './subjects.ts';

/** Test runs of a calibration: what was set, and what was read. */
export const testRuns = eventOf<TestRunInput>({
  name: 'testRuns',
  path: '/api/test-runs',
  subjects: SUBJECTS.testRuns,
  schema: testRunInput,
  upgrades: [],
  madeAs: { kind: 'openRuns', idOf: ({ id }) => id },
  evaluate: (input, calibration) => evaluateTestRun(input, calibration as CalibrationAim),
});
