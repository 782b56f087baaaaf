// Regulations: the crew's own rules and what they allow, and one need put down in portions.
// Rules are the user's data; nothing here knows a law. Days are year-month-day, rates kg/m2 (L/m2 for liquids).
export {
  checkRules,
  checkSheet,
  daysNeeded,
  fewestPortions,
  mostAllowedShare,
  soilFactsFor,
  type GroundLog,
  type SheetFacts,
} from './checks.ts';
export {
  doneOn,
  ledgerOf,
  noSums,
  plusSums,
  soFarOn,
  sumsOver,
  yearOf,
  type LedgerArea,
  type LedgerProduct,
  type LedgerSums,
} from './ledger.ts';
export { allowedOn, nextAllowedDay, type Allowed } from './allowed.ts';
export type { DoneBefore, PlannedJob, RuleCheck, RuleFacts } from './standing.ts';
export { labelRange, type LabelRange } from './labelRange.ts';
export { mixLimits } from './mixLimits.ts';
export { portionDays, portionsOf, type Portion } from './portions.ts';
export {
  blankRule,
  blankRuleSet,
  holdsOn,
  evaluateRuleSet,
  ruleSetInput,
  ruleSetUpgrades,
  RULE_KIND_IDS,
  RULE_KINDS,
  type RuleKind,
  type RuleResult,
  type RuleSetResult,
  type RuleSetInput,
  type RuleInput,
} from './rules.ts';
