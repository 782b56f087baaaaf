import { evaluateWinter, winterInput } from '@steady-scatter/core/season';
import { dayColumn, kindOf, siColumn, whole } from './kind.ts';

/** Winters of the crew: from when to when, what salt is to be saved, and what was usual before. */
export const winters = kindOf({
  name: 'winters',
  path: '/api/winters',
  schema: winterInput,
  upgrades: [],
  evaluate: evaluateWinter,
  columns: { fromDay: dayColumn, toDay: dayColumn, goalKg: siColumn },
  sort: '-fromDay',
  summarise: ({ fromDay, toDay }, { goalKg }) => ({ fromDay, toDay, goalKg }),
  nameOf: ({ name }) => name,
  textsOf: ({ notes }) => whole([notes]),
  linksOf: () => [],
});
