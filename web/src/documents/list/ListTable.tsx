import { chakra } from '@chakra-ui/react';
import type { Kind, ReadableOf, SummaryHead } from '@steady-scatter/contract';
import { flexRender, type Header, type Row } from '@tanstack/react-table';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { say } from '@steady-scatter/words/common';
import { aboutDocument, useWaiting } from '../../outbox/index.ts';
import { DeleteButton } from '../../ui/DeleteButton.tsx';
import { NameLink } from '../../ui/NameLink.tsx';
import { SampleBadge } from '../../ui/SampleBadge.tsx';
import { UnfitLine } from '../../ui/UnfitLine.tsx';
import { removingOf } from '../removing.ts';
import type { DocListProps, ListColumn } from './listColumns.ts';

/** Styled once for all cells: a style of its own for each of thousands takes longer than the list may. */
const Table = chakra('table', {
  base: {
    width: '100%',
    fontSize: '16px',
    tableLayout: 'auto',
    '& th, & td': {
      paddingY: '6px',
      paddingRight: '14px',
      textAlign: 'left',
      verticalAlign: 'middle',
      fontVariantNumeric: 'tabular-nums',
      overflowWrap: 'anywhere',
    },
    '& thead': {
      borderBottomWidth: '1px',
      borderColor: 'line.strong',
      fontSize: '14px',
      color: 'ink.soft',
    },
    '& th': { fontWeight: 'semibold', whiteSpace: { lg: 'nowrap' } },
    '& tbody tr': { borderTopWidth: '1px', borderColor: 'line' },
    '& [data-end]': { textAlign: 'right', whiteSpace: { lg: 'nowrap' } },
    '& [data-one-line]': { whiteSpace: { sm: 'nowrap' } },
    '& [data-tick]': { width: '44px', paddingRight: '4px' },
    '& [data-acts]': { textAlign: 'right', whiteSpace: 'nowrap', paddingRight: 0 },
    '& [data-wide]': { display: { base: 'none', lg: 'table-cell' } },
    '& [data-detail]': {
      display: { base: 'block', lg: 'none' },
      fontSize: '15px',
      color: 'ink.soft',
    },
    '& [data-mark]': {
      color: 'warn',
      fontWeight: 'semibold',
      fontSize: '15px',
      whiteSpace: { sm: 'nowrap' },
    },
    '& [data-mark=good]': { color: 'act' },
    '& th button': {
      minHeight: '40px',
      display: 'inline-flex',
      alignItems: 'center',
      gap: '4px',
      cursor: 'pointer',
      fontWeight: 'semibold',
    },
    '& th[data-end] button': { flexDirection: 'row-reverse' },
    '& label': {
      display: 'inline-flex',
      minWidth: '44px',
      minHeight: '44px',
      alignItems: 'center',
      cursor: 'pointer',
    },
    '& label input': { width: '20px', height: '20px', accentColor: 'act' },
  },
});

const SORTED = { asc: 'ascending', desc: 'descending' } as const;

interface HeadingProps<Line> {
  header: Header<Line, unknown>;
  column: ListColumn<Line> | undefined;
}

function Heading<Line>({ header, column }: HeadingProps<Line>) {
  const sorted = header.column.getIsSorted();
  const Arrow = sorted === 'desc' ? ArrowDown : ArrowUp;
  const label = flexRender(header.column.columnDef.header, header.getContext());
  const mayBeSorted = header.column.getCanSort();
  return (
    <th
      scope="col"
      data-wide={column?.wide || undefined}
      data-end={column?.end || undefined}
      aria-sort={sorted ? SORTED[sorted] : undefined}
    >
      {mayBeSorted ? (
        <button type="button" onClick={header.column.getToggleSortingHandler()}>
          {label}
          {sorted && <Arrow size={14} aria-hidden />}
        </button>
      ) : (
        label
      )}
    </th>
  );
}

/** What waits on this device, in words. */
function WaitingMark({ kind, id }: { kind: Kind; id: string }) {
  const waiting = useWaiting(aboutDocument(kind.name, id));
  if (!waiting) return null;
  return <span data-mark>{waiting.refusal ? say('common.rowRefused') : say('common.rowWaiting')}</span>;
}

interface LineProps<Of extends Kind>
  extends Pick<DocListProps<Of>, 'kind' | 'columns' | 'detail' | 'renderAct'> {
  line: ReadableOf<Of>;
  isTicked: boolean;
  mark: ReactNode;
  onTick(): void;
  onDelete(): void;
}

function Line<Of extends Kind>({
  line,
  kind,
  columns,
  detail,
  renderAct,
  isTicked,
  mark,
  onTick,
  onDelete,
}: LineProps<Of>) {
  const { id, isSample, name } = line as SummaryHead;
  const removing = removingOf(kind.kind);
  return (
    <>
      <td data-tick>
        <label>
          <input
            type="checkbox"
            aria-label={say('common.selectRow', { name })}
            checked={isTicked}
            onChange={onTick}
          />
        </label>
      </td>
      <td>
        <NameLink to={`${kind.home.path}/${id}`}>{name}</NameLink> {isSample && <SampleBadge />} {mark}
        <WaitingMark kind={kind.kind} id={id} />
        {detail && <span data-detail>{detail(line)}</span>}
      </td>
      {columns.map(({ header, wide, end, oneLine, cell }) => (
        <td
          key={header}
          data-wide={wide || undefined}
          data-end={end || undefined}
          data-one-line={oneLine || undefined}
        >
          {cell(line)}
        </td>
      ))}
      <td data-acts>
        {renderAct?.(line)}
        <DeleteButton name={name} act={removing.act} icon={removing.icon} onDelete={onDelete} />
      </td>
    </>
  );
}

/** From so many on only those in view are drawn. */
const MANY_ROWS = 100;
const ROW_PX = 61;
/** Drawn while it is not known yet what is in view. */
const FIRST_ROWS = 30;

/** Which rows are drawn, and how high the rest is before and after them. */
function useWindowed(count: number) {
  const body = useRef<HTMLTableSectionElement>(null);
  const isLong = count > MANY_ROWS;
  // oxlint-disable-next-line react/incompatible-library -- the React compiler is not used
  const virtual = useWindowVirtualizer({
    count,
    enabled: isLong,
    estimateSize: () => ROW_PX,
    overscan: 12,
    initialRect: { width: window.innerWidth, height: window.innerHeight },
    // oxlint-disable-next-line react/refs -- where the list begins is known once it stands
    scrollMargin: body.current?.offsetTop ?? 0,
  });
  const items = virtual.getVirtualItems();
  const first = items[0];
  const last = items.at(-1);
  if (!isLong) return { body, from: 0, to: count, before: 0, after: 0 };
  if (!first || !last)
    return { body, from: 0, to: FIRST_ROWS, before: 0, after: (count - FIRST_ROWS) * ROW_PX };
  return {
    body,
    from: first.index,
    to: last.index + 1,
    before: first.start - virtual.options.scrollMargin,
    after: virtual.getTotalSize() - (last.end - virtual.options.scrollMargin),
  };
}

const Space = ({ height }: { height: number }) =>
  height > 0 ? (
    <tr aria-hidden>
      <td style={{ height, padding: 0 }} />
    </tr>
  ) : null;

interface Props<Of extends Kind> extends Pick<DocListProps<Of>, 'kind' | 'columns' | 'detail' | 'renderAct'> {
  label: string;
  headers: readonly Header<ReadableOf<Of>, unknown>[];
  rows: readonly Row<ReadableOf<Of>>[];
  /** Lines that cannot be read: they stand after the others, each with a way to be rid of it. */
  unreadable: readonly SummaryHead[];
  mark(line: ReadableOf<Of>): ReactNode;
  renderUnreadable(line: SummaryHead): ReactNode;
  onDelete(line: SummaryHead): void;
}

/** The lines of a list: sorted by their headings, ticked, each leading to its own page. */
export function ListTable<Of extends Kind>(props: Props<Of>) {
  const { label, headers, rows, columns, unreadable, mark, renderUnreadable, onDelete, ...line } = props;
  const { body, from, to, before, after } = useWindowed(rows.length);
  const width = columns.length + 3;
  const unfit = (head: SummaryHead, act?: ReactNode) => (
    <td colSpan={width}>
      <UnfitLine name={head.name} act={act} onDelete={() => onDelete(head)} />
    </td>
  );
  return (
    <Table aria-label={label} aria-rowcount={rows.length + unreadable.length + 1}>
      <thead>
        <tr>
          <td data-tick />
          {headers.map((header, index) => (
            <Heading key={header.id} header={header} column={columns[index - 1]} />
          ))}
          <td data-acts />
        </tr>
      </thead>
      <tbody ref={body}>
        <Space height={before} />
        {rows.slice(from, to).map((row, index) => (
          <tr key={row.id} aria-rowindex={from + index + 2}>
            <ErrorBoundary fallback={unfit(row.original as SummaryHead)}>
              <Line
                {...line}
                columns={columns}
                line={row.original}
                isTicked={row.getIsSelected()}
                mark={mark(row.original)}
                onTick={() => row.toggleSelected()}
                onDelete={() => onDelete(row.original)}
              />
            </ErrorBoundary>
          </tr>
        ))}
        <Space height={after} />
        {unreadable.map((head) => (
          <tr key={head.id}>{unfit(head, renderUnreadable(head))}</tr>
        ))}
      </tbody>
    </Table>
  );
}
