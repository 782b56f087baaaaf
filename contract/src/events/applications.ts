import {
  applicationInput,
  applicationUpgrades,
  evaluateApplication,
  type ApplicationInput,
} from '@steady-scatter/core/season';
import { eventOf } from './event.ts';

/** What was put down: a row for each area and product of a round, or of the run of a job. Corrections and voids are further rows that name the first. */
export const applications = eventOf<ApplicationInput>({
  name: 'applications',
  path: '/api/applications',
  subjects: ['storms', 'jobs'],
  schema: applicationInput,
  upgrades: applicationUpgrades,
  evaluate: (input) => evaluateApplication(input),
});
