import { evaluateStorm, stormInput } from '@steady-scatter/core/season';
import { countColumn, dayColumn, idColumn, kindOf, whole } from './kind.ts';

/** Storms: when each was, and the route over what is treated. Rounds are appended beside it. */
export const storms = kindOf({
  name: 'storms',
  path: '/api/storms',
  schema: stormInput,
  upgrades: [],
  evaluate: evaluateStorm,
  columns: {
    fromDay: dayColumn,
    /** Empty: it is not over. */
    toDay: dayColumn,
    guide: idColumn,
    areas: countColumn,
  },
  sort: '-fromDay',
  summarise: ({ fromDay, toDay, guide, route }) => ({ fromDay, toDay, guide, areas: route.length }),
  nameOf: ({ name }) => name,
  textsOf: ({ notes }) => whole([notes]),
  linksOf: ({ guide, route }) => whole([guide, ...route.flatMap(({ site, area }) => [site, area])]),
});
