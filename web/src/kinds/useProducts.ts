import { products } from '@steady-scatter/contract';
import { docActs, useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Products of the shelf. */
export const PRODUCTS = documentKind(products);

/** The products on the shelf. */
export const useShelf = () => useDocs(PRODUCTS);

/** Keeps, deletes and restores products. */
export const productActs = docActs(PRODUCTS);
