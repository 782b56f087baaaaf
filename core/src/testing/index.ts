// Testing: what a calibration run measures, what comes out, how sure it is, and what to set next.
// Everything is output per metre travelled at a pace; a pass spacing makes a rate of it.
export { leastNet, netOf, relative, type Net, type Reading } from './uncertainty.ts';
export { student95 } from './student.ts';
export {
  joinRecords,
  NO_RECORD,
  recordOf,
  scatterOf,
  settingMeans,
  timingBand,
  type CourseTimings,
  type Run,
  type Scatter,
  type ScatterRecord,
  type SettingMean,
} from './scatter.ts';
export {
  atWorkingPace,
  MAX_PACE_APART,
  rateChangeAtPace,
  timedPace,
  timeToAimFor,
  type AtWorkingPace,
  type PaceTimed,
} from './pace.ts';
export { pooled, settingCurve, type CurvePoint, type SettingCurve } from './curve.ts';
export { advise, standingOf, type Advice, type Because, type Standing } from './advice/advise.ts';
export type { Wanted } from './advice/known.ts';
export { chartOf } from './chart.ts';
export { chooseStart, fromShape, lookUp, starts, type Listed, type Start, type Starts } from './start.ts';
export { METHOD_IDS, METHODS, methodOf, type MethodId } from './methodTable.ts';
export type { Method, MethodField, Moment, Worked } from './methods/method.ts';
export { chooseMethod, methodsFor, type MethodChoice } from './choose.ts';
export { blankTools, type ToolsInput } from './tools.ts';
export { planFor, planTest, roundCourse, planTexts, type PlanWanted, type TestPlan } from './plan.ts';
export { cautionsFor, type Command } from './cautions.ts';
export {
  blankQuickTest,
  evaluateQuickTest,
  QUICK_METHODS,
  type QuickMethod,
  type QuickResult,
} from './quickTest.ts';
export { settingsSession, type SettingsSession } from './session.ts';
export { keptReadings, nextRun, type RunStart } from './nextRun.ts';
export { stepsOf, type Step } from './steps.ts';
export { press, runningS, split, STANDING, type Clock, type Lap, type Stopwatch } from './stopwatch.ts';
export {
  blankCalibration,
  blankRun,
  calibrationAim,
  calibrationInput,
  MAX_RUNS,
  STARTS,
  type CalibrationAim,
  type CalibrationInput,
  type EarlierReading,
  type RunInput,
  type SignOffInput,
  type StartId,
} from './calibrationInput.ts';
export {
  aimOf,
  evaluateTestRun,
  openRunInput,
  openRunOf,
  runOfOpen,
  runsSince,
  runsToAppend,
  testRunInput,
  testRunOf,
  withRunIds,
  withRuns,
  type OpenRunInput,
  type TestRunInput,
} from './testRun.ts';
export { calibrationUpgrades } from './calibrationUpgrades.ts';
export { benchRig, NO_RIG, type BenchRig } from './benchRig.ts';
export {
  dimensionOf,
  isPerLength,
  isSprayed,
  perArea,
  rateAs,
  rateIn,
  type BenchRateUnit,
  type Rate,
  type RateDimension,
} from './rate.ts';
export { bandOfRun, rateAtWork, unitsOf, type RunResult } from './readRun.ts';
export {
  evaluateCalibration,
  chartShape,
  USUAL_PACE,
  type CalibrationResult,
  type ChartLine,
} from './calibration.ts';
export { sprayedAt, sprayWays, type SprayMean, type SprayState } from './spray.ts';
export { machineRecord } from './machineRecord.ts';
export { calibrationFor, calibrationOn, withoutRig } from './fromShelf.ts';
export { fillAimOf, fillAimRemark, practice, timeToAim } from './practice.ts';
export type { PlausibilityCheck } from './plausibility.ts';
export { isEmptyRun, keepEarlier, lostReadings, otherMachine } from './keepsReadings.ts';
export { corrections, type Correction } from './corrections.ts';
export { fieldMeans, FIELD_SCATTER, withFieldRuns, type FieldRun } from './fieldRuns.ts';
export { freshness, type Age, type Freshness, type ProductNow, type SinceSigned } from './freshness.ts';
export { paceText, showRate, speedText } from './showBench.ts';
export { against, paceLine, runLine, runRemarks, showAtWork, showRun } from './benchLines.ts';
export { adviceText, correctionTexts, isEnded, offersFor, type AdviceText } from './adviceText.ts';
export { coarseness, coarseRemark, showLeast, type Coarse } from './coarse.ts';
export { PACE_SPREAD, settingPicture, type ChartPoint, type SettingPicture } from './settingPicture.ts';
export {
  lookUpMark,
  lookUpRate,
  markRemark,
  outputAt,
  spreadPlan,
  type LookedUp,
  type SpreadPlan,
} from './lookup.ts';
export { chartMatch, mayGiveSetting, sameProductKey, type ChartMatch } from './chartMatch.ts';
export { cardOf, type Card, type CardJob } from './card.ts';
export { TEST_COLUMNS, testHeading, testsTable, type TestedMachine } from './testsTable.ts';
export { checkTestsFile, readTests, TESTS_FORMAT, type TestsFound } from './readTests.ts';
export type { TestResult, Width } from './methods/result.ts';
export { weighBack, type WeighBack } from './methods/weighBack.ts';
export { sprayCatch, type SprayCatch, type SprayedInto } from './methods/sprayCatch.ts';
export { caught, type Caught } from './methods/caught.ts';
export { timedCatch, type TimedCatch } from './methods/timedCatch.ts';
export { runOut, type RunOut } from './methods/runOut.ts';
export { fillAim, rateFromFill, type FillAim, type FillTime } from './methods/fillTime.ts';
export { rowOutlets, type RowOutlets, type RowOutletsResult } from './methods/rowOutlets.ts';
