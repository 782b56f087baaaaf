// The season: what was really put down, round by round, and what that comes to over a winter.
// Totals are sums over appended rows; nothing here is stored.
export {
  AMOUNT_SOURCES,
  applicationInput,
  blankApplication,
  blankWeather,
  SWEPT_TO,
  weatherInput,
  type AmountSource,
  type ApplicationInput,
  type WeatherInput,
} from './applicationInput.ts';
export { applicationUpgrades } from './applicationUpgrades.ts';
export { achievedOver, fieldRunsOf, saysAmount, weighedRuns, type Achieved } from './achieved.ts';
export {
  againstLimits,
  conditionsNow,
  type ConditionBreach,
  type ConditionsNow,
  type LimitOf,
} from './conditions.ts';
export { areaKeyOf, ledgerRow, type LedgerRow } from './ledgerRow.ts';
export {
  dayOfRow,
  evaluateLook,
  LOOK_DAYS,
  lookInput,
  looksDue,
  looksSeen,
  RATINGS,
  type LookDue,
  type LookInput,
  type LookSeen,
} from './look.ts';
export { logReport, type LogReport, type ReportPart } from './logReport.ts';
export { logColumns, readLogRow, type LogRowResult } from './logRow.ts';
export { blankPerson, evaluatePerson, licenseOn, personInput, type PersonInput } from './person.ts';
export {
  evaluateStockMove,
  lotCameAt,
  STOCK_MOVES,
  stockMoveInput,
  stockOf,
  type Stock,
  type StockMoveInput,
  type StockMoveKind,
  type StockUse,
} from './stock.ts';
export {
  MAX_LINES,
  todayLines,
  type TodayFacts,
  type TodayKind,
  type TodayLine,
  type TodayPortion,
} from './today.ts';
export { lotsOf, type Lot, type LotStep } from './lots.ts';
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
export { LOG_COLUMNS, logHeading, logTable, type LogColumn } from './logTable.ts';
