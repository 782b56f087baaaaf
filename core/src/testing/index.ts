// Testing: what a calibration run measures, what comes out, how sure it is, and what to set next.
// Everything is output per metre travelled at a pace; a pass spacing makes a rate of it.
export { leastNet, netOf, relative, resolutionU, type Net, type Reading } from './uncertainty.ts';
export { student95 } from './student.ts';
export {
  groupBySetting,
  scatterOf,
  settingMeans,
  type Run,
  type Scatter,
  type SettingMean,
} from './scatter.ts';
export { rateChangeAtPace, timedPace, timeToAimFor, type PaceTimed } from './pace.ts';
export { pooled, settingCurve, type CurvePoint, type SettingCurve } from './curve.ts';
export {
  advise,
  chartOf,
  standingOf,
  type Advice,
  type Because,
  type Standing,
  type Wanted,
} from './advise.ts';
export { fromShape, lookUp, starts, type Listed, type Starts } from './start.ts';
export {
  METHOD_IDS,
  METHODS,
  methodOf,
  type MethodField,
  type MethodId,
  type Moment,
  type Worked,
} from './methodTable.ts';
export { blankTools, chooseMethod, type MethodChoice, type ToolsTyped } from './choose.ts';
export { planFor, planTest, planText, type PlanWanted, type TestPlan } from './plan.ts';
export { cautionsFor, type Act } from './cautions.ts';
export { stepsOf, type Step } from './steps.ts';
export { press, runningS, split, STANDING, type Clock, type Lap, type Stopwatch } from './stopwatch.ts';
export {
  blankCalibration,
  blankRun,
  completeCalibration,
  MOST_RUNS,
  STARTS,
  type CalibrationTyped,
  type EarlierReading,
  type PaceOfWork,
  type RunTyped,
  type SignOffTyped,
  type StartId,
} from './calibrationTyped.ts';
export { benchRig, NO_RIG, type BenchRig } from './benchRig.ts';
export type { RunReading } from './readRun.ts';
export {
  readCalibration,
  readPace,
  chartShape,
  type CalibrationReading,
  type ChartLine,
} from './calibration.ts';
export { calibrationFor, calibrationOn } from './fromShelf.ts';
export { practiceText, timeToAim } from './practice.ts';
export type { Doubt } from './doubts.ts';
export { keepEarlier, lostReadings } from './keepsReadings.ts';
export { corrections, type Corrections } from './corrections.ts';
export { freshness, type Age, type Freshness, type ProductNow } from './freshness.ts';
export { paceText, showRate, speedText } from './showBench.ts';
export { againstText, runLine, runRemarks, showRun } from './benchLines.ts';
export { adviceText, coarseText, correctionText, type AdviceText } from './adviceText.ts';
export { PACE_SPREAD, settingPicture, type ChartPoint, type SettingPicture } from './settingPicture.ts';
export {
  lookUpMark,
  lookUpText,
  markText,
  outputAt,
  spreadPlan,
  type LookedUp,
  type SpreadPlan,
} from './lookup.ts';
export { cardOf, type Card } from './card.ts';
export { TEST_COLUMNS, testsTable, type TestedMachine } from './testsTable.ts';
export { checkTestsFile, readTests, TESTS_FORMAT, type TestsFound } from './readTests.ts';
export type { TestResult, Width } from './methods/result.ts';
export { weighBack, type WeighBack } from './methods/weighBack.ts';
export { caught, type Caught } from './methods/caught.ts';
export { timedCatch, type TimedCatch } from './methods/timedCatch.ts';
export { runOut, type RunOut } from './methods/runOut.ts';
export { fillAim, rateFromFill, type FillAim, type FillTime } from './methods/fillTime.ts';
export { rowOutlets, type RowOutlets, type RowOutletsResult } from './methods/rowOutlets.ts';
