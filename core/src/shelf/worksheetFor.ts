import { blankWorksheet, type WorksheetTyped } from '../worksheet/typed.ts';
import { PRODUCT_KINDS, type ProductTyped } from './product.ts';

const METRIC_AREAS = new Set(['m2', 'ha']);

/**
 * A worksheet for a need with this product, its label as it stands now: what is changed on the shelf later does not
 * change the sheet. Null for liquids, which a worksheet cannot weigh out.
 *
 * @param firstAreaId id of the one empty row of ground
 * @example worksheetFor(product, { nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' }, 'a')?.grade // '24-0-8'
 */
export function worksheetFor(
  product: ProductTyped,
  need: WorksheetTyped['need'],
  firstAreaId: string,
): WorksheetTyped | null {
  if (PRODUCT_KINDS[product.kind].form === 'liquid') return null;
  const metric = METRIC_AREAS.has(product.coverage.unit);
  const { size, unit } = product.package;
  return {
    ...blankWorksheet(metric ? 'metric' : 'us', firstAreaId),
    need,
    grade: product.grade,
    package: { size, unit: unit as WorksheetTyped['package']['unit'] },
    coverage: product.coverage,
  };
}
