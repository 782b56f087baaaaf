import { evaluateLook, lookInput, type LookInput } from '@steady-scatter/core/season';
import { eventOf } from './event.ts';
import { SUBJECTS } from './subjects.ts';

/** What was seen weeks after something was put down, with the document that it was put down for. */
export const looks = eventOf<LookInput>({
  name: 'looks',
  path: '/api/looks',
  subjects: SUBJECTS.looks,
  schema: lookInput,
  upgrades: [],
  evaluate: (input) => evaluateLook(input),
});
