import { lostReadings, openRunInput } from '@steady-scatter/core/testing';
import { dayColumn, idColumn, kindOf, whole, shortText } from './kind.ts';

/** Test runs that are being made: handed between devices until they are done and appended to their calibration. */
export const openRuns = kindOf({
  name: 'openRuns',
  path: '/api/open-runs',
  schema: openRunInput,
  upgrades: [],
  // What is being typed may be anything yet; it is looked at when it is appended.
  evaluate: () => ({ errors: [] }),
  columns: {
    calibration: idColumn,
    onDay: dayColumn,
    setting: shortText,
    method: shortText,
    step: shortText,
  },
  sort: '-onDay',
  summarise: ({ calibration, onDay, setting, method, step }) => ({
    calibration,
    onDay,
    setting,
    method,
    step,
  }),
  isNameless: true,
  nameOf: () => '',
  textsOf: () => [],
  linksOf: ({ calibration }) => whole([calibration]),
  refuses: (before, after) => lostReadings(before, after),
});
