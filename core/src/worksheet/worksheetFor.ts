import { blankWorksheet, type WorksheetInput } from './typed.ts';
import type { ProductInput } from '../shelf/product.ts';
import { isUsUnit } from '../shelf/rateUnit.ts';

/**
 * A worksheet for a need with this product, its label as it stands now: what is changed on the shelf later does not
 * change the sheet.
 *
 * @param firstAreaId id of the one empty row of ground
 * @example worksheetFor(product, { of: 'N', amount: '0.8', unit: 'lb/1000 ft2' }, 'a').product.grade // '24-0-8'
 */
export const worksheetFor = (
  product: ProductInput,
  need: WorksheetInput['need'],
  firstAreaId: string,
): WorksheetInput => ({
  ...blankWorksheet(isUsUnit(product.package.unit) ? 'us' : 'metric', firstAreaId),
  need,
  product,
});
