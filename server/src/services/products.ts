import { isDeepStrictEqual } from 'node:util';
import { productTyped, type Product, type ProductWrite } from '@steady-scatter/contract';
import { readProduct, type ProductTyped } from '@steady-scatter/core';
import type { Sequelize } from 'sequelize';
import { ProductRow } from '../models/index.ts';
import { versioned, type Versioned } from './versioned.ts';

export type ProductService = Versioned<ProductWrite, Product>;

const typedOf = (row: ProductRow): ProductTyped => productTyped.parse(JSON.parse(row.typed));

function productOf(row: ProductRow): Product {
  const { id, version, isSample, updatedAt } = row;
  return { id, version, isSample, typed: typedOf(row), changedAt: updatedAt.toISOString() };
}

/** What a write changes in a product's row: the label as typed, and the SI values that lists and sums need. */
function productColumns({ typed }: ProductWrite) {
  const { packageSi, densityKgPerL, priceCents, stockPackages } = readProduct(typed);
  return {
    kind: typed.kind,
    name: typed.name,
    typed: JSON.stringify(typed),
    packageSi,
    densityKgPerL,
    priceCents,
    stockPackages,
  };
}

/** The crew's shelf in the database. */
export const productService = (sequelize: Sequelize): ProductService =>
  versioned<ProductRow, ProductWrite, Product>(sequelize, {
    what: 'product',
    model: ProductRow,
    order: [['name', 'ASC'], ['id', 'ASC']], // prettier-ignore
    wireOf: productOf,
    isSame: (row, { typed }) => isDeepStrictEqual(typedOf(row), typed),
    columnsOf: productColumns,
  });
