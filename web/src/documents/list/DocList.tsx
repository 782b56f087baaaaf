import { Box, Button, chakra } from '@chakra-ui/react';
import type { Kind } from '@steady-scatter/contract';
import { Download, Plus } from 'lucide-react';
import { Link } from 'react-router';
import { rich, say } from '@steady-scatter/words/common';
import { manyOf, oneOf } from '@steady-scatter/words/things';
import { explain } from '../../api/explain.ts';
import { useNotices } from '../../notices/notices.tsx';
import { fieldBox } from '../../ui/fieldBox.ts';
import { Message } from '../../ui/Message.tsx';
import { TopBar } from '../../ui/TopBar.tsx';
import { PartialNote } from '../PartialNote.tsx';
import { removingOf } from '../removing.ts';
import { saveRaw } from '../saveRaw.ts';
import { FEW, SearchField } from '../SearchField.tsx';
import type { DocListProps, MarksProps } from './listColumns.ts';
import { ListTable } from './ListTable.tsx';
import { MoreButton } from './MoreButton.tsx';
import { RemovedList } from './RemovedList.tsx';
import { useListTable } from './useListTable.ts';
import { useRemoval } from './useRemoval.ts';
import { richly, TAGS } from '../../ui/richly.tsx';

const Select = chakra('select', { base: fieldBox });
const noMark = () => null;
const NoMarks = ({ children }: { children: MarksProps<unknown>['children'] }) => children(noMark);

type Table<Of extends Kind> = ReturnType<typeof useListTable<Of>>;

/** What narrows the list down: words, and one choice for each filter. */
function Narrowing<Of extends Kind>({ table, many }: { table: Table<Of>; many: string }) {
  const { filters, chosen, choose, search, isSought, list } = table;
  const total = list.data?.total ?? 0;
  const isLong = total > FEW || (filters.length > 0 && total > 0);
  if (!isLong && !isSought && search.value === '') return null;
  return (
    <Box display="flex" flexWrap="wrap" gap="10px" marginBottom="6px">
      <SearchField label={say('common.searchMany', { many })} {...search} />
      {filters.map(({ label, column, all, options }) => (
        <Select
          key={column}
          aria-label={label}
          value={chosen[column] ?? ''}
          onChange={(event) => choose(column, event.target.value)}
        >
          <option value="">{all}</option>
          {options.map((option) => (
            <option key={option.id} value={option.id}>
              {option.label}
            </option>
          ))}
        </Select>
      ))}
    </Box>
  );
}

interface TickedProps {
  count: number;
  act: string;
  onDelete(): void;
  onClear(): void;
}

/** What can be done with the lines that are ticked. */
const Ticked = ({ count, act, onDelete, onClear }: TickedProps) =>
  count === 0 ? null : (
    <Box
      role="group"
      aria-label={say('common.selected')}
      display="flex"
      gap="10px"
      alignItems="center"
      flexWrap="wrap"
      marginBottom="6px"
    >
      {richly(rich('common.countSelected', { ...TAGS, count }))}
      <Button minHeight="44px" onClick={onDelete}>
        {act} {count}
      </Button>
      <Button minHeight="44px" variant="ghost" onClick={onClear}>
        {say('common.clearSelection')}
      </Button>
    </Box>
  );

/** Stored documents of a kind in a table, each leading to its own page, a page of them at a time. */
export function DocList<Of extends Kind>(props: DocListProps<Of>) {
  const { kind, heading, tabs, renderActs, columns, empty, detail, renderAct } = props;
  const Marks = props.Marks ?? NoMarks;
  const many = manyOf(kind.kind.name);
  const table = useListTable(props);
  const { list, lines, readable, ticked, untick, isSought } = table;
  const notices = useNotices();
  const remove = useRemoval(kind.kind);
  if (list.error && !list.data) {
    return (
      <Message
        heading={say('common.listNotRead', { heading })}
        text={explain(list.error)}
        act={say('common.tryAgain')}
        onAct={() => void list.refetch()}
      />
    );
  }
  const removeTicked = async () => {
    const gone = ticked.flatMap((id) => readable.find((line) => line.id === id) ?? []);
    untick();
    await remove(gone);
  };

  return (
    <>
      <title>{say('common.pageTitle', { name: heading })}</title>
      <TopBar
        acts={
          <>
            {renderActs?.(ticked)}
            <Button variant="solid" asChild>
              <Link to={props.newPath ?? `${kind.home.path}/new`}>
                <Plus size={18} /> {props.newLabel ?? say('common.newOne', { one: oneOf(kind.kind.name) })}
              </Link>
            </Button>
          </>
        }
      >
        <chakra.h1 id="list-heading" tabIndex={-1} fontSize="21px" fontWeight="bold">
          {heading}
        </chakra.h1>
      </TopBar>
      {tabs}
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}>
        <PartialNote />
        <Narrowing table={table} many={many} />
        {list.data && lines.length === 0 && (
          <Box padding="20px 0" fontSize="18px" maxWidth="600px">
            {isSought ? say('common.noMatchFewer') : empty}
          </Box>
        )}
        <Ticked
          count={ticked.length}
          act={removingOf(kind.kind).act}
          onDelete={() => void removeTicked()}
          onClear={untick}
        />
        {lines.length > 0 && (
          <Marks lines={readable}>
            {(mark) => (
              <ListTable<Of>
                label={heading}
                kind={kind}
                columns={columns}
                headers={table.table.getFlatHeaders()}
                rows={table.table.getRowModel().rows}
                unreadable={lines.filter((line) => !line.isReadable)}
                mark={mark}
                {...(detail && { detail })}
                {...(renderAct && { renderAct })}
                renderUnreadable={(line) => (
                  <Button
                    size="sm"
                    minHeight="44px"
                    onClick={() => void saveRaw(kind.kind, line, notices.tell)}
                  >
                    <Download size={16} /> {say('common.export')}
                  </Button>
                )}
                onDelete={(line) => void remove([line])}
              />
            )}
          </Marks>
        )}
        <MoreButton list={list} many={many} />
        <RemovedList kind={kind.kind} />
      </Box>
    </>
  );
}
