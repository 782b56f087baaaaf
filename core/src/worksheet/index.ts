// Worksheet: a need, a product, some ground and a package brought to one answer with its working.
// Texts in, numbers and lines out; incomplete input gives an incomplete answer, never an exception.
export {
  AS_TYPED,
  blankWorksheet,
  shownIn,
  MAX_AREAS,
  type AreaOrigin,
  type AreaInput,
  type CarrierInput,
  type MateInput,
  type RuleFactsInput,
  type ShownIn,
  type SpreadInput,
  type SplitInput,
  type WorksheetInput,
} from './worksheetInput.ts';
export { withNeedOf, withProduct, type Replaced } from './changes.ts';
export { worksheetFor } from './worksheetFor.ts';
export { evaluateJob, jobInput, newJob, type JobInput, type JobResult } from './job.ts';
export { evaluateLoad, USUAL, type LoadResult } from './evaluateLoad.ts';
export { blankLoad, type LoadAreaInput, type LoadInput, type OverrideInput } from './loadInput.ts';
export { jobUpgrades } from './jobUpgrades.ts';
export { evaluateWorksheet, type AreaResult, type SplitResult, type WorksheetResult } from './readings.ts';
export type { OnceOver, TankMix, WorksheetNumbers } from './numbers.ts';
export {
  goesInTank,
  tankSheet,
  USUAL_WATER_C,
  type TankFacts,
  type TankLack,
  type TankPart,
  type TankSheet,
} from './tankSheet.ts';
export { patchSheet, type PatchSheet } from './patchSheet.ts';
export { questionsOf, type Question } from './questions.ts';
export type { SheetUnits } from './units.ts';
export { needShown } from './workings.ts';
export { orderTable } from './orderTable.ts';
export { compareRates, type Comparison } from './comparison.ts';
export {
  answerWorksheet,
  lessNeed,
  needAtRate,
  needFromLabel,
  worksheetText,
  type DeliveredLine,
  type WorksheetAnswer,
} from './answer.ts';
