import { nameKey } from '@steady-scatter/core/fields';
import { evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { lotsOf, type Lot } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useDoc } from '../documents/docs.ts';
import { useRows } from '../events/appended.ts';
import { useApplications } from './useApplications.ts';
import { PRODUCTS } from './useProducts.ts';

/** A product with its lots. */
export interface ProductLots {
  readonly product: ProductInput;
  readonly lots: readonly Lot[];
}

/** The lots of a product: bought, spread where, left. Undefined until all of it has come. */
export function useLots(id: string): ProductLots | undefined {
  const { data: doc } = useDoc(PRODUCTS, id);
  const { data: moves } = useRows('stockMoves', id);
  const rows = useApplications(null);
  const product = doc?.input;
  return useMemo(() => {
    if (!product || !moves || !rows) return undefined;
    const uses = rows.filter(({ input }) => nameKey(input.product.name) === nameKey(product.name));
    return { product, lots: lotsOf(moves, uses, evaluateProduct(product).package?.si ?? null) };
  }, [product, moves, rows]);
}
