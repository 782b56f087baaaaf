import type { Product } from '@steady-scatter/contract';
import { isBareNumber, UNITS } from '@steady-scatter/core/quantities';
import { PRODUCT_KINDS, evaluateProduct } from '@steady-scatter/core/shelf';
import { MISSING } from '@steady-scatter/core/working';
import { createColumnHelper } from '@tanstack/react-table';
import { NameLink } from '../ui/NameLink.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';

/** A product with what the list sorts by. */
export interface ShelfRow {
  readonly product: Product;
  readonly kind: string;
  readonly packageSi: number;
  readonly priceCents: number;
  readonly stock: number;
}

export function shelfRow(product: Product): ShelfRow {
  const { package: pack, priceCents, stockPackages } = evaluateProduct(product.typed);
  return {
    product,
    kind: PRODUCT_KINDS[product.typed.kind].words,
    packageSi: pack?.si ?? -1,
    priceCents: priceCents ?? -1,
    stock: stockPackages ?? -1,
  };
}

const packageText = ({ typed }: Product): string => {
  const { size, unit } = typed.package;
  if (size === '') return MISSING;
  return isBareNumber(size) ? `${size} ${UNITS[unit].symbol}` : size;
};

const column = createColumnHelper<ShelfRow>();

/** The columns of the shelf; `wide` ones are left out on a phone, `end` ones are set to the right. */
export const SHELF_COLUMNS = [
  column.accessor((row) => row.product.typed.name, {
    id: 'name',
    header: 'Product',
    cell: ({ row, getValue }) => (
      <>
        <NameLink to={`/shelf/${row.original.product.id}`}>{getValue()}</NameLink>{' '}
        {row.original.product.isSample && <SampleBadge />}
      </>
    ),
  }),
  column.accessor('kind', { header: 'Kind', meta: { wide: true } }),
  column.accessor(
    (row) =>
      row.product.typed.grade || (row.product.typed.load && `${row.product.typed.load} load`) || MISSING,
    {
      id: 'grade',
      header: 'Analysis',
    },
  ),
  column.accessor('packageSi', {
    header: 'Package',
    meta: { end: true, wide: true },
    cell: ({ row }) => packageText(row.original.product),
  }),
  column.accessor('priceCents', {
    header: 'Price each',
    meta: { end: true, wide: true },
    cell: ({ row }) => row.original.product.typed.price || MISSING,
  }),
  column.accessor('stock', {
    header: 'In stock',
    meta: { end: true },
    cell: ({ row }) => row.original.product.typed.stock || MISSING,
  }),
  column.accessor((row) => row.product.typed.lot || MISSING, {
    id: 'lot',
    header: 'Lot',
    meta: { wide: true },
  }),
];

declare module '@tanstack/react-table' {
  // oxlint-disable-next-line no-unused-vars -- the library's own parameters
  interface ColumnMeta<TData, TValue> {
    end?: boolean;
    wide?: boolean;
  }
}

/** True when every word typed is found in the product's name, kind, analysis, lot or notes. */
export function matches({ product, kind }: ShelfRow, typed: string): boolean {
  const { name, grade, lot, notes, activeIngredient } = product.typed;
  const text = [name, kind, grade, lot, notes, activeIngredient].join(' ').toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
