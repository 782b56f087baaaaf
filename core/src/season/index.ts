// The season: what was really put down, round by round, and what that comes to over a winter.
// Totals are sums over appended rows; nothing here is stored.
export {
  AMOUNT_SOURCES,
  applicationInput,
  blankApplication,
  SWEPT_TO,
  type AmountSource,
  type ApplicationInput,
} from './applicationInput.ts';
export { applicationUpgrades } from './applicationUpgrades.ts';
export { achievedOver, saysAmount, weighedRuns, type Achieved } from './achieved.ts';
export { driftOf, EWMA, type Drift, type DriftPoint, type RunRatio } from './drift.ts';
export { evaluateApplication, isVoid, splitByPlan, type ApplicationResult } from './application.ts';
export { blankStorm, evaluateStorm, stormInput, type StormInput } from './storm.ts';
export {
  blankWinter,
  evaluateWinter,
  rowsWithin,
  saltBy,
  saltOf,
  savingAgainst,
  winterInput,
  winterOn,
  yearBefore,
  type SaltSums,
  type Saving,
  type SeasonRow,
  type WinterInput,
  type WinterResult,
} from './winterSeason.ts';
export {
  doneRows,
  machineLoads,
  nextRound,
  roundsOf,
  roundToDo,
  type ApplicationRow,
  type DoneRow,
  type Round,
} from './rounds.ts';
export { seasonHeading, seasonTable } from './seasonTable.ts';
export { LOG_COLUMNS, logHeading, logTable } from './logTable.ts';
