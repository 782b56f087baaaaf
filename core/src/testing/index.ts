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
export { fromShape, starts, type Listed, type Starts } from './start.ts';
export {
  METHOD_IDS,
  METHODS,
  methodOf,
  type MethodField,
  type MethodId,
  type Worked,
} from './methodTable.ts';
export {
  blankCalibration,
  blankRun,
  MOST_RUNS,
  type CalibrationTyped,
  type RunTyped,
  type SignOffTyped,
} from './calibrationTyped.ts';
export { adviceText, coarseText, runLine, showRate, showRun, type AdviceText } from './benchLines.ts';
export { readCalibration, type CalibrationReading, type RunReading } from './calibration.ts';
export type { TestResult, Width } from './methods/result.ts';
export { weighBack, type WeighBack } from './methods/weighBack.ts';
export { caught, type Caught } from './methods/caught.ts';
export { timedCatch, type TimedCatch } from './methods/timedCatch.ts';
export { runOut, type RunOut } from './methods/runOut.ts';
export { fillAim, rateFromFill, type FillAim, type FillTime } from './methods/fillTime.ts';
export { rowOutlets, type RowOutlets, type RowOutletsResult } from './methods/rowOutlets.ts';
