import { evaluatePlan, planInput } from '@steady-scatter/core/plan';
import { countColumn, dayColumn, idColumn, kindOf, whole } from './kind.ts';

/** Plans of a year: which portion goes on which area on which day. */
export const plans = kindOf({
  name: 'plans',
  path: '/api/plans',
  schema: planInput,
  upgrades: [],
  evaluate: evaluatePlan,
  columns: { fromDay: dayColumn, toDay: dayColumn, portions: countColumn, areas: countColumn, ruleSet: idColumn }, // prettier-ignore
  sort: '-fromDay',
  summarise: ({ fromDay, toDay, portions, ruleSet }) => ({
    fromDay,
    toDay,
    portions: portions.length,
    areas: new Set(portions.map(({ area }) => area)).size,
    ruleSet,
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ notes, portions }) => whole([...new Set(portions.map(({ productName }) => productName)), notes]), // prettier-ignore
  linksOf: ({ ruleSet, rulesOn, portions }) => whole([...new Set([ruleSet, ...rulesOn.map((each) => each.ruleSet), ...portions.flatMap(({ site, area, product, job }) => [site, area, product, job])])]), // prettier-ignore
  isLarge: true,
});
