import { evaluatePerson, personInput } from '@steady-scatter/core/season';
import { dayColumn, kindOf, shortText, siColumn, whole } from './kind.ts';

/** Who spreads: their names and licenses. */
export const people = kindOf({
  name: 'people',
  path: '/api/people',
  schema: personInput,
  upgrades: [],
  evaluate: evaluatePerson,
  columns: {
    license: shortText,
    /** The last day on which it holds. */
    licenseUntil: dayColumn,
    stepM: siColumn,
  },
  sort: 'name',
  summarise: ({ license, licenseUntil }, { stepM }) => ({ license, licenseUntil, stepM }),
  nameOf: ({ name }) => name,
  textsOf: ({ license, notes }) => whole([license, notes]),
  linksOf: () => [],
});
