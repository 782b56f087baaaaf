import { carrierRate } from '../need/activeIngredient.ts';
import { fractionOf } from '../need/grade.ts';
import { concentration, liquidRate } from '../need/liquid.ts';
import { NUTRIENT_IDS, NUTRIENTS, type Nutrient } from '../need/nutrients.ts';
import { productRate } from '../need/productRate.ts';
import type { ProductResult } from './evaluateProduct.ts';

/** What a need is stated in: a nutrient, the active ingredient that a product carries, or the product itself. */
export type NeedOf = Nutrient | 'ai' | 'product';

/** How each is written after its unit: "lb N", "lb a.i."; nothing for the product itself. */
export const NEED_OF: Readonly<Record<NeedOf, { readonly symbol: string }>> = {
  ...NUTRIENTS,
  ai: { symbol: 'a.i.' },
  product: { symbol: '' },
};

export const NEED_OF_IDS = [...NUTRIENT_IDS, 'ai', 'product'] as const satisfies readonly NeedOf[];

/**
 * Whether a need is for a nutrient, and not for an active ingredient or the product itself.
 *
 * @example isNutrient('ai') // false
 */
export const isNutrient = (nutrient: NeedOf): nutrient is Nutrient =>
  nutrient !== 'ai' && nutrient !== 'product';

/** The share of the product that is wanted, as its label states it: 0.24 for N in 24-0-8; null where it says nothing. */
export function shareOf({ grade, load }: ProductResult, nutrient: NeedOf): number | null {
  if (nutrient === 'product') return 1;
  return nutrient === 'ai' ? load : grade && fractionOf(grade, nutrient);
}

/**
 * The product rate that meets a need.
 *
 * @param product the label as read
 * @param nutrient what the need is stated in
 * @param needPerM2 kg/m2, above 0; for the product itself its own rate, kg/m2 or L/m2
 * @returns kg/m2, or L/m2 for a liquid; null where the label does not say enough
 * @throws InputError grade.lacks when the product holds none of the nutrient
 * @example rateForNeed(label, 'N', 0.0039) // 0.01625 for 24-0-8
 */
export function rateForNeed(product: ProductResult, nutrient: NeedOf, needPerM2: number): number | null {
  const { grade, load, kgPerSi, form } = product;
  if (nutrient === 'product') return needPerM2;
  if (kgPerSi === null) return null;
  if (nutrient === 'ai') return load ? carrierRate(needPerM2, load * kgPerSi) : null;
  if (!grade) return null;
  return form === 'dry'
    ? productRate(needPerM2, nutrient, grade)
    : liquidRate(needPerM2, concentration(grade, nutrient, kgPerSi));
}

/**
 * The way back: what a product rate puts down of what is wanted.
 *
 * @param rateSi kg/m2, or L/m2 for a liquid
 * @returns kg/m2, or the rate itself for the product; null where the label does not say enough
 * @example delivered(label, 'N', 1) // 0.24 for 24-0-8
 */
export function delivered(product: ProductResult, nutrient: NeedOf, rateSi: number): number | null {
  if (nutrient === 'product') return rateSi;
  const share = shareOf(product, nutrient);
  return share === null || product.kgPerSi === null ? null : rateSi * share * product.kgPerSi;
}
