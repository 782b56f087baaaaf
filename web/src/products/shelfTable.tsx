import type { products, ReadableOf } from '@steady-scatter/contract';
import { textWithUnit, type UnitId } from '@steady-scatter/core/quantities';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { MISSING } from '@steady-scatter/core/working';
import { createColumnHelper } from '@tanstack/react-table';
import { NameLink } from '../ui/NameLink.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';

/** A product as the list tells of it. */
export type ShelfLine = ReadableOf<typeof products>;

const packageText = ({ package: size, packageUnit }: ShelfLine): string => {
  return size === '' ? MISSING : textWithUnit(size, packageUnit as UnitId);
};

const column = createColumnHelper<ShelfLine>();

/** The columns of the shelf, each by the column of the list that it is sorted by; `wide` ones are left out on a phone, `end` ones are set to the right. */
export const SHELF_COLUMNS = [
  column.accessor('name', {
    header: 'Product',
    cell: ({ row: { original }, getValue }) => (
      <>
        <NameLink to={`/shelf/${original.id}`}>{getValue()}</NameLink> {original.isSample && <SampleBadge />}
      </>
    ),
  }),
  column.accessor('kind', {
    header: 'Kind',
    meta: { wide: true },
    cell: ({ getValue }) => PRODUCT_KINDS[getValue()].words,
  }),
  column.accessor('grade', {
    header: 'Analysis',
    cell: ({ row: { original } }) => original.grade || (original.load && `${original.load} load`) || MISSING,
  }),
  column.accessor('packageSi', {
    header: 'Package',
    meta: { end: true, wide: true },
    cell: ({ row }) => packageText(row.original),
  }),
  column.accessor('priceCents', {
    header: 'Price each',
    meta: { end: true, wide: true },
    cell: ({ row }) => row.original.price || MISSING,
  }),
  column.accessor('stockPackages', {
    header: 'In stock',
    meta: { end: true },
    cell: ({ row }) => row.original.stock || MISSING,
  }),
  column.accessor('lot', {
    header: 'Lot',
    meta: { wide: true },
    cell: ({ getValue }) => getValue() || MISSING,
  }),
];

declare module '@tanstack/react-table' {
  // oxlint-disable-next-line no-unused-vars -- the library's own parameters
  interface ColumnMeta<TData, TValue> {
    end?: boolean;
    wide?: boolean;
  }
}
