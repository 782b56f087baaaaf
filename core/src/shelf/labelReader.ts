import { attempt, type InputError } from '../errors/InputError.ts';
import { carrierRate } from '../need/activeIngredient.ts';
import { concentration, liquidRate } from '../need/liquid.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { deliveredAtRate, productRate, type Delivered } from '../need/productRate.ts';
import type { ProductReading } from './readProduct.ts';

/** What is asked of a product: a nutrient, or the active ingredient that it carries; kg/m2, above 0. */
export type LabelNeed =
  | { readonly of: 'nutrient'; readonly nutrient: Nutrient; readonly kgPerM2: number }
  | { readonly of: 'active-ingredient'; readonly kgPerM2: number };

/** What one product does for one need. Rates are kg/m2, or L/m2 for a liquid; money is in hundredths. */
export interface LabelReading {
  /** Product rate for the need; null where the product cannot meet it. */
  readonly rateSi: number | null;
  /** Everything that this rate delivers, kg/m2. */
  readonly delivered: readonly Delivered[];
  /** Of the nitrogen: the part that is slow and the part that is quick, kg/m2; null where the label does not say. */
  readonly slowKgPerM2: number | null;
  readonly quickKgPerM2: number | null;
  /** Ground that one package covers at this need, m2. */
  readonly packageCoversM2: number | null;
  readonly centsPerM2: number | null;
  readonly centsPerKgWanted: number | null;
  /** The product rate that the label's own coverage or low rate means. */
  readonly labelRateSi: number | null;
  /** Below, within or above the label's own range of rates; null where the label gives none. */
  readonly againstLabel: 'below' | 'within' | 'above' | null;
  readonly error: InputError | null;
}

const over = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a / b);
const times = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a * b;

function rateFor({ grade, form, densityKgPerL, load }: ProductReading, need: LabelNeed): number | null {
  if (need.of === 'active-ingredient') return load ? carrierRate(need.kgPerM2, load) : null;
  if (!grade) return null;
  if (form === 'dry') return productRate(need.kgPerM2, need.nutrient, grade);
  if (densityKgPerL === null) return null;
  return liquidRate(need.kgPerM2, concentration(grade, need.nutrient, densityKgPerL));
}

function standing(
  rate: number | null,
  { labelLow, labelHigh }: ProductReading,
): LabelReading['againstLabel'] {
  if (rate === null || (labelLow === null && labelHigh === null)) return null;
  const slack = 1e-9 * rate;
  if (labelLow !== null && rate < labelLow - slack) return 'below';
  return labelHigh !== null && rate > labelHigh + slack ? 'above' : 'within';
}

/**
 * Reads a label for one need: the rate, what it delivers, how far one package goes, and what it costs.
 *
 * @param product the product as read
 * @param need the nutrient or active ingredient wanted on each m2
 * @returns null wherever the label does not say enough; `error` when the product holds none of the nutrient
 * @example readLabel(product, { of: 'nutrient', nutrient: 'N', kgPerM2: 0.0039 }).rateSi // 0.01625 for 24-0-8
 */
export function readLabel(product: ProductReading, need: LabelNeed): LabelReading {
  const { grade, densityKgPerL, packageSi, priceCents, coverageM2, slowShare } = product;
  const { value: rateSi, error } = attempt(() => rateFor(product, need));
  const massRate = product.form === 'dry' ? rateSi : times(rateSi, densityKgPerL);
  const delivered = grade && massRate !== null ? deliveredAtRate(massRate, grade) : [];
  const nitrogen = delivered.find((line) => line.nutrient === 'N')?.kgPerM2 ?? null;
  const centsPerM2 = times(over(priceCents, packageSi), rateSi);
  return {
    rateSi,
    delivered,
    slowKgPerM2: times(nitrogen, slowShare),
    quickKgPerM2: times(nitrogen, slowShare === null ? null : 1 - slowShare),
    packageCoversM2: over(packageSi, rateSi),
    centsPerM2,
    centsPerKgWanted: centsPerM2 === null ? null : centsPerM2 / need.kgPerM2,
    labelRateSi: over(packageSi, coverageM2) ?? product.labelLow,
    againstLabel: standing(rateSi, product),
    error,
  };
}
