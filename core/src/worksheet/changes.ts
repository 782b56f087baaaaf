import { systemOf } from '../quantities/units.ts';
import { splitUnit } from '../need/needField.ts';
import { UNITS, type MassPerAreaUnit } from '../quantities/units.ts';
import { PRODUCT_KINDS, type ProductInput, type RateUnit } from '../products/product.ts';
import { liquidRateUnit } from '../products/rateUnit.ts';
import { isNutrient, type NeedOf } from '../products/wanted.ts';
import type { WorksheetInput } from './worksheetInput.ts';

/** The unit of a need of the kind that it now has to be, on the same area. */
function unitFor(nutrient: NeedOf, product: ProductInput, unit: RateUnit): RateUnit {
  const byVolume = nutrient === 'product' && PRODUCT_KINDS[product.kind].form === 'liquid';
  const isVolume = UNITS[unit].kind === 'volumePerArea';
  if (byVolume === isVolume) return unit;
  if (byVolume) return liquidRateUnit(unit as MassPerAreaUnit);
  return `${systemOf(unit) === 'us' ? 'lb' : 'kg'}/${splitUnit(unit)[1]}`;
}

/**
 * The sheet with its need stated in something else: the number stays, its unit follows in kind.
 *
 * @example withNeedOf(sheet, 'K2O').need.nutrient // 'K2O'
 */
export const withNeedOf = (sheet: WorksheetInput, nutrient: NeedOf): WorksheetInput => ({
  ...sheet,
  need: { ...sheet.need, nutrient: nutrient, unit: unitFor(nutrient, sheet.product, sheet.need.unit) },
});

/** What a product is asked for: what was asked before, unless its label has another thing to give instead. */
function askedOf(product: ProductInput, nutrient: NeedOf): NeedOf {
  if (isNutrient(nutrient)) return product.grade === '' && product.load !== '' ? 'ai' : nutrient;
  return nutrient === 'ai' && product.load === '' && product.grade !== '' ? 'N' : nutrient;
}

/** Facts of a label that a sheet may have had typed by hand. */
const FACTS = [
  ['grade', (product: ProductInput) => product.grade],
  ['load', (product: ProductInput) => product.load],
  ['slowShare', (product: ProductInput) => product.slowShare],
  ['density', (product: ProductInput) => product.density.text],
  ['package', (product: ProductInput) => product.package.size],
  ['coverage', (product: ProductInput) => product.coverage.size],
  ['price', (product: ProductInput) => product.price],
] as const;

/** Something typed by hand that a label says otherwise. */
export interface Replaced {
  readonly fact: (typeof FACTS)[number][0];
  readonly from: string;
  readonly to: string;
}

/** A fact that somebody typed is typed once: the label's own text of nothing leaves it. */
function withTyped(label: ProductInput, input: ProductInput): ProductInput {
  const keep = <K extends keyof ProductInput>(key: K, isBlank: boolean) => (isBlank ? { [key]: input[key] } : {});
  return {
    ...label,
    ...keep('grade', label.grade === ''),
    ...keep('gradeBasis', label.grade === ''),
    ...keep('load', label.load === ''),
    ...keep('slowShare', label.slowShare === ''),
    ...keep('density', label.density.text === ''),
    ...keep('package', label.package.size === '' && PRODUCT_KINDS[label.kind].form === PRODUCT_KINDS[input.kind].form),
    ...keep('coverage', label.coverage.size === ''),
    ...keep('price', label.price === ''),
  };
} // prettier-ignore

/**
 * The sheet with another product: it brings what its label says and leaves the rest. What was typed by hand stays where the label is
 * silent; what it says otherwise is in `replaced`, to be asked. A label that stood there before goes as a whole. What is asked stays
 * where the product can have it; the stock stays on the shelf.
 *
 * @example withProduct(sheet, { ...lakeFeed, grade: '22-2-11' }).sheet.product.grade // '22-2-11'
 */
export function withProduct(
  sheet: WorksheetInput,
  product: ProductInput,
): { readonly sheet: WorksheetInput; readonly replaced: readonly Replaced[] } {
  const before = sheet.product;
  const isByHand = before.name.trim() === '';
  const label = { ...(isByHand ? withTyped(product, before) : product), stock: '' };
  const replaced = FACTS.flatMap(([fact, of]): Replaced[] => {
    const [from, to] = [of(before).trim(), of(label).trim()];
    return isByHand && from !== '' && from !== to ? [{ fact, from, to }] : [];
  });
  const { means } = label.carrier;
  const carrier = means === '' ? sheet.carrier : { ...sheet.carrier, means };
  return {
    sheet: withNeedOf({ ...sheet, product: label, carrier }, askedOf(label, sheet.need.nutrient)),
    replaced,
  };
}
