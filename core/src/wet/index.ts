// Wet: what sprays. Flow of nozzles and what changes it, tanks with the last one exactly, what dissolves in how much water.
// Finished mix and water alone are apart by name; a liquid takes room in the mix, what is dissolved is taken to take none.
export { densityFactor, flowAt, pressureFor, type RatedFlow } from './flow.ts';
export {
  checkNozzles,
  NOZZLE_LIMITS,
  type NozzleCheck,
  type NozzleState,
  type NozzleVerdict,
} from './nozzleCheck.ts';
export { ratedAt, rateWays, sprayRate, type NozzleChoice, type RateWay, type Spraying } from './rateWays.ts';
export { coolsBy, SALT_IDS, SALTS, solubilityAt, type SaltId } from './salts.ts';
export { dissolving, type Dissolved, type Dissolving } from './dissolve.ts';
export { tankPlan, type TankFill, type TankPlan, type TankProduct, type TankWork } from './tank.ts';
export { inMeasures, readMeasures, type Measure, type Measured } from './measures.ts';
export { combinedCourses, type CombinedCourses, type CombinedWork } from './combined.ts';
export { patchPlan, type PatchPlan, type PatchWork } from './patch.ts';
