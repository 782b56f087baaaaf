import { Box, Button, chakra } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link } from 'react-router';
import { explain } from '../api/explain.ts';
import { Message } from '../ui/Message.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { NameLink } from '../ui/NameLink.tsx';
import { useNotices } from '../ui/notices.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { UnfitLine } from '../ui/UnfitLine.tsx';
import { docActs, useDocs, type Doc, type DocKind } from './docs.ts';

interface Column<Typed> {
  readonly header: string;
  /** Left out on a phone. */
  readonly wide?: boolean;
  readonly end?: boolean;
  cell(typed: Typed): ReactNode;
}

interface Props<Typed extends { readonly name: string }> {
  kind: DocKind<Typed>;
  heading: string;
  tabs: ReactNode;
  columns: readonly Column<Typed>[];
  /** What to say, and show, while there is none. */
  empty: string;
  renderAct?(doc: Doc<Typed>): ReactNode;
}

const shownOn = (wide: boolean | undefined) => (wide ? { base: 'none', lg: 'table-cell' } : 'table-cell');
const cellStyle = {
  paddingY: '8px',
  paddingRight: '14px',
  verticalAlign: 'middle',
  textAlign: 'left',
} as const;

/** One of them; what breaks in it breaks nothing else. */
function DocRow<Typed extends { readonly name: string }>({
  doc,
  kind,
  columns,
  renderAct,
  onDelete,
}: Pick<Props<Typed>, 'kind' | 'columns' | 'renderAct'> & { doc: Doc<Typed>; onDelete(): void }) {
  const { id, isSample, typed } = doc;
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.td {...cellStyle} overflowWrap="anywhere">
        <NameLink to={`${kind.home.path}/${id}`}>{typed.name}</NameLink> {isSample && <SampleBadge />}
      </chakra.td>
      {columns.map(({ header, wide, end, cell }) => (
        <chakra.td
          key={header}
          {...cellStyle}
          textAlign={end ? 'right' : 'left'}
          display={shownOn(wide)}
          fontVariantNumeric="tabular-nums"
        >
          {cell(typed)}
        </chakra.td>
      ))}
      <chakra.td textAlign="right" whiteSpace="nowrap">
        {renderAct?.(doc)}
        <DeleteButton name={typed.name} onDelete={onDelete} />
      </chakra.td>
    </chakra.tr>
  );
}

/** All kept things of a kind in a table, each leading to its own page. */
export function DocList<Typed extends { readonly name: string }>(props: Props<Typed>) {
  const { kind, heading, tabs, columns, empty } = props;
  const { data: docs, error, refetch } = useDocs(kind);
  const notices = useNotices();
  if (error && !docs) {
    return (
      <Message
        heading={`${heading} could not be read`}
        text={explain(error)}
        act="Try again"
        onAct={() => void refetch()}
      />
    );
  }
  const { remove, restore } = docActs(kind);
  async function onDelete({ id, typed: { name } }: Doc<Typed>) {
    try {
      await remove(id);
      document.getElementById('list-heading')?.focus();
      notices.undoable(`Deleted “${name}”.`, () => restore(id));
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }

  return (
    <>
      <title>{`${heading} · Steady Scatter`}</title>
      <TopBar
        acts={
          <Button variant="solid" asChild>
            <Link to={`${kind.home.path}/new`}>
              <Plus size={18} /> New {kind.one}
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
        {docs?.length === 0 && (
          <Box padding="20px 0" fontSize="18px" maxWidth="600px">
            {empty}
          </Box>
        )}
        {docs && docs.length > 0 && (
          <chakra.table width="100%" fontSize="16px">
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
            <tbody>
              {docs.map((doc) => (
                <ErrorBoundary
                  key={doc.id}
                  fallback={
                    <chakra.tr borderTopWidth="1px" borderColor="line">
                      <chakra.td colSpan={columns.length + 2} {...cellStyle}>
                        <UnfitLine name={doc.typed.name} onDelete={() => void onDelete(doc)} />
                      </chakra.td>
                    </chakra.tr>
                  }
                >
                  <DocRow {...props} doc={doc} onDelete={() => void onDelete(doc)} />
                </ErrorBoundary>
              ))}
            </tbody>
          </chakra.table>
        )}
      </Box>
    </>
  );
}
