import { useMemo } from 'react';
import { useDocs } from '../documents/docs.ts';
import { PRODUCTS } from './useProducts.ts';
import { useStock, withStock } from './useStock.ts';

/** The products on the shelf, each with what is there of it. */
export function useShelf() {
  const { data, error, refetch } = useDocs(PRODUCTS);
  const stock = useStock();
  const shelf = useMemo(() => data?.map((doc) => withStock(doc, stock)), [data, stock]);
  return { data: shelf, error, refetch };
}
