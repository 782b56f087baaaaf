import { evaluateRuleSet, ruleSetInput, ruleSetUpgrades } from '@steady-scatter/core/regulations';
import { countColumn, kindOf, whole, shortText } from './kind.ts';

/** Sets of rules, one for each place that the crew works in. */
export const ruleSets = kindOf({
  name: 'ruleSets',
  path: '/api/rule-sets',
  schema: ruleSetInput,
  upgrades: ruleSetUpgrades,
  evaluate: evaluateRuleSet,
  columns: { rules: countColumn, source: shortText },
  sort: 'name',
  summarise: ({ rules, source }) => ({ rules: rules.length, source: source.slice(0, 400) }),
  nameOf: ({ name }) => name,
  textsOf: ({ source }) => whole([source]),
  linksOf: () => [],
});
