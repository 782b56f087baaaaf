// Shelf: the products that a crew owns, as their labels state them, and what each does for a need.
// What is typed from a label keeps its text; readings are SI.
export {
  blankProduct,
  productInput,
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  type GradeBasis,
  type LabelSetting,
  type ProductKind,
  type ProductInput,
  type RateUnit,
} from './product.ts';
export { productUpgrades } from './productUpgrades.ts';
export { evaluateLabelFacts, evaluateProduct, type ProductResult } from './evaluateProduct.ts';
export {
  blankLimits,
  conditionLimits,
  evaluateLimits,
  GROUND_STATES,
  readOutdoors,
  type ConditionLimits,
  type GroundState,
  type LimitsResult,
} from './conditionLimits.ts';
export { readLabel, type LabelNeed, type LabelResult } from './labelReader.ts';
export { cheapest, labelLines, type LabelLines, type ShownNeed } from './labelLines.ts';
export { isNutrient, NEED_OF, NEED_OF_IDS, delivered, rateForNeed, type NeedOf } from './wanted.ts';
export {
  columnHeading,
  columnsOf,
  SHELF_CSV,
  shelfTable,
  type ColumnId,
  type ShelfColumn,
} from './shelfColumns.ts';
export { readShelfRow, type RowOptions, type ShelfRowResult } from './shelfRow.ts';
export {
  blankDeicer,
  chlorideOf,
  DEICER_SALT_IDS,
  DEICER_SALTS,
  evaluateDeicer,
  type DeicerFacts,
  type DeicerSaltId,
} from './deicer.ts';
