import { products } from '@steady-scatter/contract';
import { docActs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Products of the shelf. */
export const PRODUCTS = documentKind(products);

/** Keeps, deletes and restores products. */
export const productActs = docActs(PRODUCTS);
