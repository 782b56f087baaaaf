import type { Product } from '@steady-scatter/contract';
import { upgradeProduct, evaluateProduct } from '@steady-scatter/core/shelf';
import { call } from '../api/lazyCall.ts';
import { docActs, useDocs, type DocKind } from '../documents/docs.ts';

/** Products of the shelf. */
export const PRODUCTS: DocKind<Product['typed']> = {
  root: 'products',
  one: 'product',
  home: { path: '/shelf', label: 'the shelf' },
  errorsOf: (typed) => evaluateProduct(typed).errors,
  complete: upgradeProduct,
  list: (signal) => call('listProducts', { signal }),
  read: (id, signal) => call('readProduct', { params: { id }, signal }),
  write: (id, body) => call('writeProduct', { params: { id }, body }),
  remove: (id) => call('deleteProduct', { params: { id } }),
  restore: (id) => call('restoreProduct', { params: { id } }),
};

/** The products on the shelf. */
export const useShelf = () => useDocs(PRODUCTS);

/** Keeps, deletes and restores products. */
export const productActs = docActs(PRODUCTS);
