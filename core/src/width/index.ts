// Width: how far a machine throws, how even passes are at a spacing, and which spacing is the widest that is still even.
// A pattern is straight between its trays; passes are laid beside each other and integrated exactly.
export { depositAt, leftShare, mirrored, patternOf, scaled, throwOf, underPattern, type Pattern } from './pattern.ts'; // prettier-ignore
export {
  cvAt,
  depositOfPass,
  depositOfPasses,
  isTurned,
  PASS_PATTERNS,
  overlay,
  twoDirections,
  type PassPattern,
  type Overlay,
} from './overlap.ts';
export { PASSING, sweep, type Sweep } from './sweep.ts';
export { unevenness } from './correlation.ts';
export { seeded } from './seeded.ts';
export { resample, type Band, type Resampled, type Resampling } from './bootstrap.ts';
export {
  blankWidthTest,
  CATCH_KINDS,
  MAX_ROWS,
  MAX_TRAYS,
  SPACING_METHODS,
  type AcceptedInput,
  type CatchKind,
  type SpacingMethod,
  type WidthTestInput,
  widthTestInput,
} from './widthInput.ts';
export { widthTestUpgrades } from './widthTestUpgrades.ts';
export {
  evaluateTrays,
  positionsOf,
  type TrayCheck,
  type TrayResult,
  type TraysResult,
} from './evaluateTrays.ts';
export { groundAt, evaluateWidthTest, type OnGround, type WidthResult } from './widthTest.ts';
export { faultsOf, faultTexts, type Fault } from './diagnose.ts';
export { mismatchOf, mismatchRemark, type Mismatch } from './mismatch.ts';
export { changeIn, groundRemarks, handySpacing, levelOf, meanLine, recommendation } from './widthLines.ts';
export { readTraysTable, traysTable } from './traysTable.ts';
