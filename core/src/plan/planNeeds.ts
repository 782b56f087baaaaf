import { finite } from '../errors/preconditions.ts';
import { grouped } from '../fields/grouped.ts';
import { orderFor, type Order } from '../loads/order.ts';
import { evaluateProduct } from '../products/evaluateProduct.ts';
import type { PlannedPortion, PlanProduct } from './planned.ts';

/** What a plan still takes of one product. */
export interface PlanNeed {
  readonly product: string;
  readonly name: string;
  readonly isLiquid: boolean;
  /** kg or L. */
  readonly amountSi: number;
  /** Portions whose ground or rate is not known: they are in no sum. */
  readonly unknown: number;
  /** null: the package is not known, or the product is no longer on the shelf. */
  readonly order: Order | null;
}

/**
 * What is still to be spread takes of each product, against what is on the shelf: rounded up once for each.
 *
 * @param open portions that are not spread yet
 * @param shelf products with what is there of them
 * @example planNeeds([], []) // []
 */
export function planNeeds(open: readonly PlannedPortion[], shelf: readonly PlanProduct[]): PlanNeed[] {
  const labels = new Map(shelf.map(({ id, input }) => [id, input]));
  return [...grouped(open, ({ input }) => input.product || input.productName)].map(([product, own]) => {
    const label = labels.get(product);
    const read = label && evaluateProduct(label);
    const amountSi = finite(own.reduce((sum, each) => sum + (each.amountSi ?? 0), 0));
    const pack = read?.package ?? null;
    return {
      product,
      name: label?.name ?? own[0]!.input.productName,
      isLiquid: read?.form === 'liquid',
      amountSi,
      unknown: own.filter((each) => each.amountSi === null).length,
      order: pack && read ? orderFor(amountSi, 0, pack.si, read.stockPackages ?? 0, read.priceCents) : null,
    };
  });
}
