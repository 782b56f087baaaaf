import { systemOf } from '../quantities/units.ts';
import { blankWorksheet, type WorksheetInput } from './worksheetInput.ts';
import type { ProductInput } from '../products/product.ts';

/**
 * A worksheet for a need with this product, its label as it stands now: what is changed on the shelf later does not
 * change the sheet.
 *
 * @param firstAreaId id of the one empty row of ground
 * @example worksheetFor(lakeFeed, { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' }, 'a').product.grade // '24-0-8'
 */
export const worksheetFor = (
  product: ProductInput,
  need: WorksheetInput['need'],
  firstAreaId: string,
): WorksheetInput => ({
  ...blankWorksheet(systemOf(product.package.unit), firstAreaId),
  need,
  product,
});
