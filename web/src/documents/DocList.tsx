import { PartialNote } from './PartialNote.tsx';
import { Box, Button, chakra } from '@chakra-ui/react';
import type { Kind, ListAsk, ReadableOf, SummaryHead, SummaryOf } from '@steady-scatter/contract';
import { Download, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link } from 'react-router';
import { explain } from '../api/explain.ts';
import { Message } from '../ui/Message.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { NameLink } from '../ui/NameLink.tsx';
import { useNotices } from '../notices/notices.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { UnfitLine } from '../ui/UnfitLine.tsx';
import { docActs, useList } from './docs.ts';
import { MoreButton } from './MoreButton.tsx';
import { RemovedList } from './RemovedList.tsx';
import { removingOf } from './removing.ts';
import { saveRaw } from './saveRaw.ts';
import { FEW, SearchField } from './SearchField.tsx';
import { useSought } from './useSought.ts';

interface Column<Line> {
  readonly header: string;
  /** Left out on a phone. */
  readonly wide?: boolean;
  readonly end?: boolean;
  cell(line: Line): ReactNode;
}

interface Props<Of extends Kind> {
  kind: { readonly kind: Of; readonly home: { readonly path: string } };
  heading: string;
  tabs: ReactNode;
  columns: readonly Column<ReadableOf<Of>>[];
  /** What to say, and show, while there is none. */
  empty: string;
  ask?: ListAsk;
  renderAct?(line: ReadableOf<Of>): ReactNode;
}

const shownOn = (wide: boolean | undefined) => (wide ? { base: 'none', lg: 'table-cell' } : 'table-cell');
const cellStyle = {
  paddingY: '8px',
  paddingRight: '14px',
  verticalAlign: 'middle',
  textAlign: 'left',
} as const;

type RowProps<Of extends Kind> = Pick<Props<Of>, 'kind' | 'columns' | 'renderAct'> & { line: ReadableOf<Of>; onDelete(): void }; // prettier-ignore

/** One line of the list; what breaks in it breaks nothing else. */
function DocRow<Of extends Kind>({ line, kind, columns, renderAct, onDelete }: RowProps<Of>) {
  const { id, isSample, name } = line as SummaryHead;
  const removing = removingOf(kind.kind);
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.td {...cellStyle} overflowWrap="anywhere">
        <NameLink to={`${kind.home.path}/${id}`}>{name}</NameLink> {isSample && <SampleBadge />}
      </chakra.td>
      {columns.map(({ header, wide, end, cell }) => (
        <chakra.td
          key={header}
          {...cellStyle}
          textAlign={end ? 'right' : 'left'}
          display={shownOn(wide)}
          fontVariantNumeric="tabular-nums"
        >
          {cell(line)}
        </chakra.td>
      ))}
      <chakra.td textAlign="right" whiteSpace="nowrap">
        {renderAct?.(line)}
        <DeleteButton name={name} act={removing.act} icon={removing.icon} onDelete={onDelete} />
      </chakra.td>
    </chakra.tr>
  );
}

function Headings<Line>({ columns }: { columns: readonly Column<Line>[] }) {
  return (
    <chakra.thead borderBottomWidth="1px" borderColor="line.strong" fontSize="14px" color="ink.soft">
      <tr>
        <chakra.th scope="col" {...cellStyle}>
          Name
        </chakra.th>
        {columns.map(({ header, wide, end }) => (
          <chakra.th
            key={header}
            scope="col"
            {...cellStyle}
            textAlign={end ? 'right' : 'left'}
            display={shownOn(wide)}
          >
            {header}
          </chakra.th>
        ))}
        <td />
      </tr>
    </chakra.thead>
  );
}

/** Stored documents of a kind in a table, each leading to its own page, a page of them at a time. */
export function DocList<Of extends Kind>(props: Props<Of>) {
  const { kind, heading, tabs, columns, empty, ask = {} } = props;
  const { words } = kind.kind;
  const { q, ...search } = useSought();
  const list = useList(kind, { ...ask, ...(q && { q }) });
  const notices = useNotices();
  if (list.error && !list.data) {
    return (
      <Message
        heading={`${heading} could not be read`}
        text={explain(list.error)}
        act="Try again"
        onAct={() => void list.refetch()}
      />
    );
  }
  const { remove, restore } = docActs(kind);
  async function onDelete({ id, name }: SummaryHead) {
    try {
      await remove(id);
      document.getElementById('list-heading')?.focus();
      notices.undoable(`${removingOf(kind.kind).done} “${name}”.`, () => restore(id));
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }
  const { lines = [], total = 0 } = list.data ?? {};
  const unfit = (line: SummaryOf<Of>, act?: ReactNode) => (
    <chakra.tr key={line.id} borderTopWidth="1px" borderColor="line">
      <chakra.td colSpan={columns.length + 2} {...cellStyle}>
        <UnfitLine name={line.name} act={act} onDelete={() => void onDelete(line)} />
      </chakra.td>
    </chakra.tr>
  );

  return (
    <>
      <title>{`${heading} · Steady Scatter`}</title>
      <TopBar
        acts={
          <Button variant="solid" asChild>
            <Link to={`${kind.home.path}/new`}>
              <Plus size={18} /> New {words.one}
            </Link>
          </Button>
        }
      >
        <chakra.h1 id="list-heading" tabIndex={-1} fontSize="21px" fontWeight="bold">
          {heading}
        </chakra.h1>
      </TopBar>
      {tabs}
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}>
        <PartialNote />
        {(q !== '' || total > FEW) && <SearchField label={`Look for a ${words.one}`} {...search} />}
        {list.data && lines.length === 0 && (
          <Box padding="20px 0" fontSize="18px" maxWidth="600px">
            {q === '' ? empty : 'No match. Look with fewer letters.'}
          </Box>
        )}
        {lines.length > 0 && (
          <chakra.table width="100%" fontSize="16px">
            <Headings columns={columns} />
            <tbody>
              {lines.map((line) =>
                line.isReadable ? (
                  <ErrorBoundary key={line.id} fallback={unfit(line)}>
                    <DocRow {...props} line={line as ReadableOf<Of>} onDelete={() => void onDelete(line)} />
                  </ErrorBoundary>
                ) : (
                  unfit(
                    line,
                    <Button
                      size="sm"
                      minHeight="44px"
                      onClick={() => void saveRaw(kind.kind, line, notices.tell)}
                    >
                      <Download size={16} /> Export
                    </Button>,
                  )
                ),
              )}
            </tbody>
          </chakra.table>
        )}
        <MoreButton list={list} words={words} />
        <RemovedList kind={kind.kind} />
      </Box>
    </>
  );
}
