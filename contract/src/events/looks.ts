import { evaluateLook, lookInput, type LookInput } from '@steady-scatter/core/season';
import { eventOf } from './event.ts';

/** What was seen weeks after something was put down, with the document that it was put down for. */
export const looks = eventOf<LookInput>({
  name: 'looks',
  path: '/api/looks',
  subjects: ['jobs', 'sites', 'storms'],
  schema: lookInput,
  upgrades: [],
  evaluate: (input) => evaluateLook(input),
});
