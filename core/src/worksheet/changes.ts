import { splitUnit } from '../need/needField.ts';
import { UNITS, type MassPerAreaUnit } from '../quantities/units.ts';
import { PRODUCT_KINDS, type ProductTyped, type RateUnit } from '../shelf/product.ts';
import { isUsUnit, liquidRateUnit } from '../shelf/rateUnit.ts';
import { isNutrient, type NeedOf } from '../shelf/wanted.ts';
import type { WorksheetTyped } from './typed.ts';

/** The unit of a need of the kind that it now has to be, on the same area. */
function unitFor(of: NeedOf, product: ProductTyped, unit: RateUnit): RateUnit {
  const byVolume = of === 'product' && PRODUCT_KINDS[product.kind].form === 'liquid';
  const isVolume = UNITS[unit].kind === 'volumePerArea';
  if (byVolume === isVolume) return unit;
  if (byVolume) return liquidRateUnit(unit as MassPerAreaUnit);
  return `${isUsUnit(unit) ? 'lb' : 'kg'}/${splitUnit(unit)[1]}`;
}

/**
 * The sheet with its need stated in something else: the number stays, its unit follows in kind.
 *
 * @example withNeedOf(sheetOfALiquid, 'product').need.unit // 'L/ha' where it was 'kg/ha'
 */
export const withNeedOf = (sheet: WorksheetTyped, of: NeedOf): WorksheetTyped => ({
  ...sheet,
  need: { ...sheet.need, of, unit: unitFor(of, sheet.product, sheet.need.unit) },
});

/** What a product is asked for when the sheet does not ask for anything it has. */
function askedOf(product: ProductTyped, of: NeedOf): NeedOf {
  if (of === 'product') return of;
  if (isNutrient(of)) return product.grade === '' ? (product.load === '' ? 'product' : 'ai') : of;
  return product.load === '' ? (product.grade === '' ? 'product' : 'N') : of;
}

/**
 * The sheet with another product, its label as it stands now. What is asked stays where the product can have it; the
 * stock stays on the shelf.
 *
 * @example withProduct(sheet, carrierWithLoad).need.of // 'ai'
 */
export const withProduct = (sheet: WorksheetTyped, product: ProductTyped): WorksheetTyped =>
  withNeedOf({ ...sheet, product: { ...product, stock: '' } }, askedOf(product, sheet.need.of));
