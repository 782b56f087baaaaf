import { toResult, type InputError } from '../errors/InputError.ts';
import { deliveredAtRate, type Delivered } from '../need/productRate.ts';
import type { ProductResult } from './evaluateProduct.ts';
import { rateForNeed, type NeedOf } from './wanted.ts';

/** What is asked of a product on each m2: kg, above 0; of the product itself its own rate. */
export interface LabelNeed {
  readonly nutrient: NeedOf;
  readonly perM2: number;
}

/** What one product does for one need. Rates are kg/m2, or L/m2 for a liquid; money is in hundredths. */
export interface LabelResult {
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

function standing(rate: number | null, { labelLow, labelHigh }: ProductResult): LabelResult['againstLabel'] {
  if (rate === null || (labelLow === null && labelHigh === null)) return null;
  const slack = 1e-9 * rate;
  if (labelLow !== null && rate < labelLow - slack) return 'below';
  return labelHigh !== null && rate > labelHigh + slack ? 'above' : 'within';
}

/**
 * Reads a label for one need: the rate, what it delivers, how far one package goes, and what it costs.
 *
 * @param product the product as read
 * @param need what is wanted on each m2
 * @returns null wherever the label does not say enough; `error` when the product holds none of the nutrient
 * @example readLabel(label, { nutrient: 'N', perM2: 0.0039 }).rateSi // 0.01625 for 24-0-8
 */
export function readLabel(product: ProductResult, need: LabelNeed): LabelResult {
  const { grade, kgPerSi, priceCents, coverage, slowShare } = product;
  const packageSi = product.package?.si ?? null;
  const { value: rateSi, error } = toResult(() => rateForNeed(product, need.nutrient, need.perM2));
  const massRate = times(rateSi, kgPerSi);
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
    centsPerKgWanted: centsPerM2 === null ? null : centsPerM2 / need.perM2,
    labelRateSi: over(packageSi, coverage?.areaM2 ?? null) ?? product.labelLow,
    againstLabel: standing(rateSi, product),
    error,
  };
}
