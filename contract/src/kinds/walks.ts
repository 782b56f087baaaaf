import { walkInput } from '@steady-scatter/core/runSheet';
import { flagColumn, idColumn, kindOf, shortText, whole } from './kind.ts';

/** Work under way on a job: looked on and taken over by other devices until it is recorded. */
export const walks = kindOf({
  name: 'walks',
  path: '/api/walks',
  schema: walkInput,
  upgrades: [],
  // What is found and counted may be anything yet; it is looked at when it is recorded.
  evaluate: () => ({ errors: [] }),
  columns: { job: idColumn, by: shortText, holder: shortText, isBegun: flagColumn },
  sort: 'by',
  summarise: ({ job, by, holder, isBegun }) => ({ job, by, holder, isBegun }),
  isNameless: true,
  nameOf: () => '',
  textsOf: () => [],
  linksOf: ({ job }) => whole([job]),
});
