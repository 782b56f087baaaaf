import type { Kind, ListAsk, SummaryHead, SummaryOf } from '@steady-scatter/contract';
import {
  createColumnHelper,
  getCoreRowModel,
  useReactTable,
  type ColumnDef,
  type RowSelectionState,
  type SortingState,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { readable, useList } from '../docs.ts';
import { useSought } from '../useSought.ts';
import type { DocListProps, ListColumn } from './listColumns.ts';

const NONE: readonly never[] = [];

function defsOf<Line>(nameHeader: string, columns: readonly ListColumn<Line>[]): ColumnDef<Line>[] {
  const column = createColumnHelper<Line>();
  const none = () => null;
  return [
    column.accessor(none, { id: 'name', header: nameHeader, sortDescFirst: false }),
    ...columns.map(({ header, by, end }) =>
      column.accessor(none, {
        id: by ?? `unsorted-${header}`,
        header,
        enableSorting: by !== undefined,
        // Of numbers the largest is looked for first.
        sortDescFirst: end ?? false,
      }),
    ),
  ];
}

/** What a list shows and in which order: the server sorts, filters and searches, since it has all of it. */
export function useListTable<Of extends Kind>(props: DocListProps<Of>) {
  const { kind, columns, filters = NONE, ask, nameHeader = 'Name' } = props;
  const { q, ...search } = useSought();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [rowSelection, setRowSelection] = useState<RowSelectionState>({});
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const [by] = sorting;
  const filter = [
    ...(ask?.filter ?? []),
    ...Object.entries(chosen).flatMap(([column, value]) => (value === '' ? [] : [`${column}:${value}`])),
  ];
  const asked: ListAsk = {
    ...ask,
    ...(q && { q }),
    ...(filter.length > 0 && { filter }),
    ...(by && { sort: `${by.desc ? '-' : ''}${by.id}` }),
  };
  const list = useList(kind, asked);
  const lines = list.data?.lines ?? (NONE as readonly SummaryOf<Of>[]);
  const shown = useMemo(() => readable<Of>(lines), [lines]);
  const defs = useMemo(() => defsOf(nameHeader, columns), [nameHeader, columns]);
  // oxlint-disable-next-line react/incompatible-library -- the React compiler is not used
  const table = useReactTable({
    data: shown,
    columns: defs,
    state: { sorting, rowSelection },
    manualSorting: true,
    enableSortingRemoval: true,
    getRowId: (line) => (line as SummaryHead).id,
    onSortingChange: setSorting,
    onRowSelectionChange: setRowSelection,
    getCoreRowModel: getCoreRowModel(),
  });
  const there = new Set(shown.map(({ id }) => id));
  return {
    list,
    lines,
    readable: shown,
    table,
    search,
    filters,
    chosen,
    choose: (column: string, value: string) => setChosen({ ...chosen, [column]: value }),
    /** The ids that are ticked and still there. */
    ticked: Object.keys(rowSelection).filter((id) => there.has(id)),
    untick: () => setRowSelection({}),
    isSought: q !== '' || filter.length > (ask?.filter?.length ?? 0),
  };
}
