import type { Product, ProductWrite } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { useKeptActs } from '../api/useKeptActs.ts';

const ROOT = 'products';

/** The products on the shelf. */
export const useShelf = () =>
  useQuery<Product[]>({ queryKey: [ROOT], queryFn: ({ signal }) => call('listProducts', { signal }) });

/** One product; not asked for while there is no id. */
export const useProduct = (id: string | null) =>
  useQuery<Product>({
    queryKey: [ROOT, id],
    queryFn: ({ signal }) => call('readProduct', { params: { id: id ?? '' }, signal }),
    enabled: id !== null,
  });

/** Keeps, deletes and restores products. */
export const useProductActs = () =>
  useKeptActs<Product, ProductWrite>(ROOT, {
    write: (id, body) => call('writeProduct', { params: { id }, body }),
    remove: (id) => call('deleteProduct', { params: { id } }),
    restore: (id) => call('restoreProduct', { params: { id } }),
  });
