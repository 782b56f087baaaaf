import type { RuleSet } from '@steady-scatter/contract';
import { evaluateRuleSet } from '@steady-scatter/core/season';
import { call } from '../api/lazyCall.ts';
import type { DocKind } from '../documents/docs.ts';

/** Sets of rules, one for each place that the crew works in. */
export const RULE_SETS: DocKind<RuleSet['typed']> = {
  root: 'rule-sets',
  one: 'set of rules',
  home: { path: '/shelf/rules', label: 'the rules' },
  errorsOf: (typed) => evaluateRuleSet(typed).errors,
  complete: (typed) => typed,
  list: (signal) => call('listRuleSets', { signal }),
  read: (id, signal) => call('readRuleSet', { params: { id }, signal }),
  write: (id, body) => call('writeRuleSet', { params: { id }, body }),
  remove: (id) => call('deleteRuleSet', { params: { id } }),
  restore: (id) => call('restoreRuleSet', { params: { id } }),
};
