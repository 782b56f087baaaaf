import {
  applicationInput,
  applicationUpgrades,
  evaluateApplication,
  type ApplicationInput,
} from '@steady-scatter/core/season';
import { eventOf } from './event.ts';
import { SUBJECTS } from './subjects.ts';

/** What was put down: a row for each area and product of a round, or of the run of a job, or what was spread on a site without a sheet. Corrections and voids are further rows that name the first. */
export const applications = eventOf<ApplicationInput>({
  name: 'applications',
  path: '/api/applications',
  subjects: SUBJECTS.applications,
  schema: applicationInput,
  upgrades: applicationUpgrades,
  // A run is walked under the id that its rows share.
  madeAs: { kind: 'walks', idOf: ({ input }) => input.runId },
  evaluate: (input) => evaluateApplication(input),
});
