import { toResult } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
import { readNeed } from '../need/needField.ts';
import { evaluateProduct, type ProductResult } from '../products/evaluateProduct.ts';
import type { ProductInput } from '../products/product.ts';
import { rateForNeed } from '../products/wanted.ts';
import type { PortionInput } from './planInput.ts';

/** An area as a plan takes it. */
export interface PlanGround {
  readonly site: string;
  readonly area: string;
  readonly siteName: string;
  readonly areaName: string;
  /** null: it was not measured. */
  readonly areaM2: number | null;
}

/** A product as it stands on the shelf. */
export interface PlanProduct {
  readonly id: string;
  readonly input: ProductInput;
}

/** A portion with what is known of its product and its ground now. Null: not known. */
export interface PlannedPortion {
  readonly input: PortionInput;
  /** null: it is no longer on the shelf. */
  readonly product: ProductResult | null;
  /** null: it is no longer among the areas of its site. */
  readonly ground: PlanGround | null;
  /** Of the product, kg/m2 or L/m2. */
  readonly rateSi: number | null;
  /** On all of the area, kg or L. */
  readonly amountSi: number | null;
}

/**
 * Portions with the product and the ground as they stand now: what was relabelled or measured anew changes the plan with it.
 *
 * @example plannedPortions([], [], []) // []
 */
export function plannedPortions(
  portions: readonly PortionInput[],
  shelf: readonly PlanProduct[],
  ground: readonly PlanGround[],
): PlannedPortion[] {
  const products = new Map<string, ProductResult>();
  for (const { id, input } of shelf) products.set(id, evaluateProduct(input));
  const areas = new Map(ground.map((each) => [each.area, each]));
  return portions.map((input): PlannedPortion => {
    const product = products.get(input.product) ?? null;
    const area = areas.get(input.area) ?? null;
    const { value: rateSi } = toResult(() => {
      const need = readNeed(input.amount, input.unit, 'amount').si;
      return product && rateForNeed(product, input.nutrient, need);
    });
    const amountSi = rateSi === null || area === null || area.areaM2 === null ? null : finite(rateSi * area.areaM2); // prettier-ignore
    return { input, product, ground: area, rateSi, amountSi };
  });
}
