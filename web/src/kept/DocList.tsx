import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { explain } from '../api/explain.ts';
import { Message } from '../ui/Message.tsx';
import { NameLink } from '../ui/NameLink.tsx';
import { useNotices } from '../ui/notices.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';
import { TopBar } from '../ui/TopBar.tsx';
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

/** All kept things of a kind in a table, each leading to its own page. */
export function DocList<Typed extends { readonly name: string }>(props: Props<Typed>) {
  const { kind, heading, tabs, columns, empty, renderAct } = props;
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
                <chakra.tr key={doc.id} borderTopWidth="1px" borderColor="line">
                  <chakra.td {...cellStyle} overflowWrap="anywhere">
                    <NameLink to={`${kind.home.path}/${doc.id}`}>{doc.typed.name}</NameLink>{' '}
                    {doc.isSample && <SampleBadge />}
                  </chakra.td>
                  {columns.map(({ header, wide, end, cell }) => (
                    <chakra.td
                      key={header}
                      {...cellStyle}
                      textAlign={end ? 'right' : 'left'}
                      display={shownOn(wide)}
                      fontVariantNumeric="tabular-nums"
                    >
                      {cell(doc.typed)}
                    </chakra.td>
                  ))}
                  <chakra.td textAlign="right" whiteSpace="nowrap">
                    {renderAct?.(doc)}
                    <IconButton
                      aria-label={`Delete ${doc.typed.name}`}
                      variant="ghost"
                      color="ink.soft"
                      minWidth="44px"
                      minHeight="44px"
                      onClick={() => void onDelete(doc)}
                    >
                      <Trash2 size={18} />
                    </IconButton>
                  </chakra.td>
                </chakra.tr>
              ))}
            </tbody>
          </chakra.table>
        )}
      </Box>
    </>
  );
}
