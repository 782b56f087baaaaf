// Shelf: the products that a crew owns, as their labels state them, and what each does for a need.
// What is typed from a label keeps its text; readings are SI.
export {
  blankProduct,
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  type LabelSetting,
  type ProductKind,
  type ProductTyped,
} from './product.ts';
export { readProduct, type ProductReading } from './readProduct.ts';
export { readLabel, type LabelNeed, type LabelReading } from './labelReader.ts';
export { cheapest, labelLines, type LabelLines, type ShownNeed } from './labelLines.ts';
export { worksheetFor } from './worksheetFor.ts';
