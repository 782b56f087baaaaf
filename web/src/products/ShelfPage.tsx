import { PartialNote } from '../documents/PartialNote.tsx';
import { Box, Button, chakra } from '@chakra-ui/react';
import type { products, SummaryHead } from '@steady-scatter/contract';
import { PRODUCT_KIND_IDS, PRODUCT_KINDS } from '@steady-scatter/core/products';
import {
  flexRender,
  getCoreRowModel,
  useReactTable,
  type Header,
  type Row,
  type RowSelectionState,
  type SortingState,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Download, Plus, Scale, Upload } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { explain } from '../api/explain.ts';
import { CommandButton } from '../ui/CommandButton.tsx';
import { fieldBox } from '../ui/fieldBox.ts';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../notices/notices.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { today } from '../ui/today.ts';
import { exportShelf } from './exportShelf.ts';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { allDocs, readable, useList } from '../documents/docs.ts';
import { MoreButton } from '../documents/MoreButton.tsx';
import { SearchField } from '../documents/SearchField.tsx';
import { useSought } from '../documents/useSought.ts';
import { UnfitLine } from '../ui/UnfitLine.tsx';
import { SHELF_COLUMNS, type ShelfLine } from './shelfTable.tsx';
import { PRODUCTS, productActs } from '../kinds/useProducts.ts';

const MAX_COMPARED = 6;
const ROWS_AT_A_TIME = 200;
const Kind = chakra('select', { base: fieldBox });

function useShelfTable() {
  const { q, ...search } = useSought();
  const [kind, setKind] = useState('');
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const [rowSelection, setRowSelection] = useState<RowSelectionState>({});
  const [by] = sorting;
  const list = useList(PRODUCTS, {
    limit: ROWS_AT_A_TIME,
    ...(q && { q }),
    ...(kind && { filter: [`kind:${kind}`] }),
    ...(by && { sort: `${by.desc ? '-' : ''}${by.id}` }),
  });
  const lines = list.data?.lines;
  const data = useMemo(() => readable<typeof products>(lines ?? []), [lines]);
  // oxlint-disable-next-line react/incompatible-library -- the React compiler is not used
  const table = useReactTable({
    data,
    columns: SHELF_COLUMNS,
    state: { rowSelection, sorting },
    // The server sorts and filters: it has all of them.
    manualSorting: true,
    manualFiltering: true,
    getRowId: ({ id }) => id,
    onRowSelectionChange: setRowSelection,
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
  });
  return { table, list, search, isSought: q !== '' || kind !== '', kind, setKind };
}

const hidden = (wide: boolean | undefined) => (wide ? { base: 'none', lg: 'table-cell' } : 'table-cell');
const SORT_WORDS = { asc: 'ascending', desc: 'descending' } as const;

function Heading({ header }: { header: Header<ShelfLine, unknown> }) {
  const { end, wide } = header.column.columnDef.meta ?? {};
  const sorted = header.column.getIsSorted();
  const Arrow = sorted === 'desc' ? ArrowDown : ArrowUp;
  return (
    <chakra.th
      scope="col"
      display={hidden(wide)}
      textAlign={end ? 'right' : 'left'}
      paddingY="4px"
      paddingRight="14px"
      aria-sort={sorted ? SORT_WORDS[sorted] : 'none'}
    >
      <chakra.button
        type="button"
        minHeight="40px"
        fontWeight="semibold"
        fontSize="14px"
        color="ink.soft"
        cursor="pointer"
        display="inline-flex"
        alignItems="center"
        flexDirection={end ? 'row-reverse' : 'row'}
        gap="4px"
        onClick={header.column.getToggleSortingHandler()}
      >
        {flexRender(header.column.columnDef.header, header.getContext())}
        <chakra.span visibility={sorted ? 'visible' : 'hidden'}>
          <Arrow size={14} aria-hidden />
        </chakra.span>
      </chakra.button>
    </chakra.th>
  );
}

function ShelfTableRow({ row, onDelete }: { row: Row<ShelfLine>; onDelete(): void }) {
  const { name } = row.original;
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.td width="44px">
        <chakra.label
          display="inline-flex"
          minWidth="44px"
          minHeight="44px"
          alignItems="center"
          cursor="pointer"
        >
          <chakra.input
            type="checkbox"
            width="20px"
            height="20px"
            accentColor="act"
            aria-label={`Compare ${name}`}
            checked={row.getIsSelected()}
            onChange={row.getToggleSelectedHandler()}
          />
        </chakra.label>
      </chakra.td>
      {row.getVisibleCells().map((cell) => {
        const { end, wide } = cell.column.columnDef.meta ?? {};
        return (
          <chakra.td
            key={cell.id}
            display={hidden(wide)}
            textAlign={end ? 'right' : 'left'}
            paddingY="8px"
            paddingRight="14px"
            fontVariantNumeric="tabular-nums"
            overflowWrap="anywhere"
          >
            {flexRender(cell.column.columnDef.cell, cell.getContext())}
          </chakra.td>
        );
      })}
      <chakra.td width="44px" textAlign="right">
        <DeleteButton name={name} onDelete={onDelete} />
      </chakra.td>
    </chakra.tr>
  );
}

const Nothing = ({ shelfIsEmpty }: { shelfIsEmpty: boolean }) => (
  <Box padding="30px 0" fontSize="18px" maxWidth="560px">
    {shelfIsEmpty
      ? 'Nothing stands on the shelf yet. Type a product in from its label: what it holds, how much is in a package, what it costs.'
      : 'No product is called that. Look with fewer letters, or among all kinds.'}
  </Box>
);

/** The shelf: everything that the crew owns, to look through, sort, and hold side by side for a need. */
export default function ShelfPage() {
  const { table, list, search, isSought, kind, setKind } = useShelfTable();
  const { data, error, isPending, refetch } = list;
  const notices = useNotices();
  const navigate = useNavigate();
  const ticked = table.getSelectedRowModel().rows.map(({ id }) => id);
  const compare = () => void navigate(`/shelf/compare?products=${ticked.slice(0, MAX_COMPARED).join(',')}`);
  useCommands([
    { id: 'new-product', label: 'New product', keys: 'a', run: () => void navigate('/shelf/new') },
    { id: 'compare', label: 'Compare labels for a need', keys: 'v', run: compare },
  ]);
  if (error && !data) {
    return (
      <Message
        heading="The shelf could not be read"
        text={explain(error)}
        act="Try again"
        onAct={() => void refetch()}
      />
    );
  }

  async function save() {
    try {
      const products = await allDocs(PRODUCTS);
      exportShelf(
        products.map(({ input }) => input),
        today(),
      );
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }

  async function onDelete({ id, name }: SummaryHead) {
    try {
      await productActs.remove(id);
      document.getElementById('shelf-heading')?.focus();
      notices.undoable(`Took “${name}” off the shelf.`, () => productActs.restore(id));
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }

  const { rows } = table.getRowModel();
  return (
    <>
      <title>Shelf · Steady Scatter</title>
      <TopBar
        acts={
          <>
            <CommandButton
              icon={Scale}
              label={ticked.length > 0 ? `Compare ${Math.min(ticked.length, MAX_COMPARED)}` : 'Compare all'}
              onClick={compare}
            />
            <CommandButton
              icon={Download}
              label="Export"
              disabled={data?.total === 0}
              onClick={() => void save()}
            />
            <CommandButton icon={Upload} label="Import" onClick={() => void navigate('/shelf/import')} />
            <Button variant="solid" asChild>
              <Link to="/shelf/new">
                <Plus size={18} /> New product
              </Link>
            </Button>
          </>
        }
      >
        <chakra.h1 id="shelf-heading" tabIndex={-1} fontSize="21px" fontWeight="bold">
          Shelf
        </chakra.h1>
      </TopBar>
      <ShelfTabs />
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}>
        <PartialNote />
        <Box display="flex" flexWrap="wrap" gap="10px" marginBottom="10px">
          <SearchField label="Look for a product" placeholder="Name, grade, lot, note" {...search} />
          <Kind aria-label="Kind of product" value={kind} onChange={(event) => setKind(event.target.value)}>
            <option value="">all kinds</option>
            {PRODUCT_KIND_IDS.map((id) => (
              <option key={id} value={id}>
                {PRODUCT_KINDS[id].words}
              </option>
            ))}
          </Kind>
        </Box>
        {rows.length > 0 ? (
          <>
            <chakra.table width="100%" fontSize="16px">
              <chakra.thead borderBottomWidth="1px" borderColor="line.strong">
                {table.getHeaderGroups().map(({ id, headers }) => (
                  <tr key={id}>
                    <chakra.td width="44px" />
                    {headers.map((header) => (
                      <Heading key={header.id} header={header} />
                    ))}
                    <td />
                  </tr>
                ))}
              </chakra.thead>
              <tbody>
                {rows.map((row) => (
                  <ShelfTableRow key={row.id} row={row} onDelete={() => void onDelete(row.original)} />
                ))}
              </tbody>
            </chakra.table>
            <MoreButton list={list} words={PRODUCTS.kind.words} />
          </>
        ) : (
          !isPending && <Nothing shelfIsEmpty={!isSought} />
        )}
        {data?.lines.map((line) =>
          line.isReadable ? null : (
            <UnfitLine key={line.id} name={line.name} onDelete={() => void onDelete(line)} />
          ),
        )}
      </Box>
    </>
  );
}
