// Run sheet: what a crew carries out on one day. A worksheet with its ground and its machine becomes passes, zones, fills and times,
// and everything that stands against it.
export type { AreaRun, LoadedBlock, PlacedFill } from './areaRun.ts';
export { assumedFor, coverageFor, type CoverageLook } from './coverageFor.ts';
export type { GroundFacts, MachineFacts, RunFacts } from './facts.ts';
export {
  openObstacles,
  overruled,
  readinessOf,
  sheetMark,
  type Obstacle,
  type Readiness,
} from './obstacles.ts';
export {
  beginRun,
  elapsedS,
  paceOfPass,
  paceOfRun,
  pauseRun,
  rateByFill,
  runLogInput,
  tapPass,
  untapPass,
  walkedBy,
  type PassPace,
  type RunLog,
} from './runLog.ts';
export { runSheet, type RunSheet } from './runSheet.ts';
export { passesGeoJson, passesGpx, type NameOfLeg } from './passFiles.ts';
export { runTable, seasonOrderTable, type TableUnits } from './runTable.ts';
export { seasonOrder, type OrderLine } from './seasonOrder.ts';
export type { Zone } from './zones.ts';
export {
  blankWalk,
  logOf,
  RUN_ACTS,
  runCautions,
  walkInput,
  withLog,
  type RunAct,
  type WalkInput,
} from './walk.ts';
