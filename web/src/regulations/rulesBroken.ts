import { jobs } from '@steady-scatter/contract';
import {
  checkSheet,
  evaluateRuleSet,
  type RuleSetInput,
  type SheetFacts,
} from '@steady-scatter/core/regulations';
import type { JobInput } from '@steady-scatter/core/worksheet';
import type { Doc } from '../documents/docs.ts';

/** How many of the crew's rules and of its label's limits a job breaks by itself, whatever else is planned on its ground. */
export function rulesBroken(
  job: JobInput,
  sets: readonly Doc<RuleSetInput>[],
  soilTests: SheetFacts['soilTests'],
): number {
  const set = sets.find(({ id }) => id === job.worksheet.rules.setId);
  const rules = set ? evaluateRuleSet(set.input).rules : [];
  const facts = { onDay: job.onDay, soilTests, others: [] };
  const checks = checkSheet(rules, jobs.evaluate(job).answer, job.worksheet.rules, facts);
  return checks.filter(({ state }) => state === 'broken').length;
}
