import { applicationInput, evaluateApplication, type ApplicationInput } from '@steady-scatter/core/season';
import { eventOf } from './event.ts';

/** What was put down: a row for each area and product of a round. Corrections and voids are further rows that name the first. */
export const applications = eventOf<ApplicationInput>({
  name: 'applications',
  path: '/api/applications',
  subject: 'storms',
  schema: applicationInput,
  upgrades: [],
  evaluate: (input) => evaluateApplication(input),
});
