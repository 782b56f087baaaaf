import { evaluateProduct } from '@steady-scatter/core/products';
import type { WinterLoads } from '@steady-scatter/core/winter';
import type { Night } from './useNight.ts';

/** What the product comes in, and what it goes out of. */
export function loadsOf({ product, machines }: Pick<Night, 'product' | 'machines'>): WinterLoads {
  if (!product) return { packageSi: null, fillSi: null, scoopKg: null };
  const { package: pack, scoop } = evaluateProduct(product.input);
  return { packageSi: pack?.si ?? null, fillSi: machines[0]?.fillSi ?? null, scoopKg: scoop?.meanKg ?? null }; // prettier-ignore
}
