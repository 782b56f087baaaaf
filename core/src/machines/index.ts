// Rigs: machines that spread or spray, their controls with the marks on them, and what is looked at before and after.
// Marks are known by how far they open from the closed one, whichever way their numbers run.
export {
  isByTime,
  isThrown,
  isCarried,
  MARKS_READABLE,
  RIG_KIND_IDS,
  RIG_KINDS,
  rigKind,
  type RigKind,
} from './kinds.ts';
export {
  blankScale,
  NO_SCALE,
  readMark,
  evaluateScale,
  type Mark,
  type ScaleResult,
  type ScaleInput,
} from './scale.ts';
export { readScaleLine, scaleLine } from './scaleLine.ts';
export { blankRig, rigInput, type Feeds, type RigInput, type ServiceInput } from './rigInput.ts';
export { evaluateRig, type RigResult } from './rig.ts';
export {
  blankNozzle,
  evaluateNozzle,
  evaluateNozzleFacts,
  nozzleInput,
  type NozzleFacts,
  type NozzleInput,
  type NozzleResult,
} from './nozzle.ts';
export { blankSpray, evaluateSpray, MAX_NOZZLES, type SprayInput, type SprayResult } from './spray.ts';
export { rigUpgrades } from './rigUpgrades.ts';
export { readPace, type PaceOfWork } from './readPace.ts';
export { readWidth, type WidthBy, type WidthInput } from './width.ts';
