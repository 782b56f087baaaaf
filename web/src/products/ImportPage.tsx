import { textWithUnit } from '@steady-scatter/core/quantities';
import { Box, Button, chakra, Progress } from '@chakra-ui/react';
import { columnHeading, type ProductInput, SHELF_CSV } from '@steady-scatter/core/products';
import { MISSING } from '@steady-scatter/core/working';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { nameOf, say, speak } from '@steady-scatter/words/shelf';
import { callDocuments } from '../api/lazyCall.ts';
import { explain } from '../api/explain.ts';
import { FileDrop } from '../ui/FileDrop.tsx';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../notices/notices.tsx';
import { Section } from '../ui/Section.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import type { FilePreview } from './shelfFile.ts';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { PRODUCTS, productActs } from '../kinds/useProducts.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { useShelfFile } from './useShelfFile.ts';

const cell = { padding: '6px 14px 6px 0', textAlign: 'left', verticalAlign: 'top' } as const;
const Drop = ({ onFile }: { onFile(file: File): void }) => (
  <FileDrop accept=".csv,.tsv,.txt,text/csv" act={say('shelf.import.choose')} onFile={onFile}>
    {say('shelf.import.drop')}
    <chakra.details marginTop="6px" color="ink.soft" fontSize="15px">
      <chakra.summary cursor="pointer" minHeight="44px" paddingTop="10px" display="list-item">
        {say('shelf.import.columns')}
      </chakra.summary>
      {say('shelf.import.known', { columns: SHELF_CSV.map(({ id }) => speak(columnHeading(id))).join(', ') })}
    </chakra.details>
  </FileDrop>
);

/** How the file was understood, in sentences. */
function Understood({ preview }: { preview: FilePreview }) {
  const { separator, decimalComma, known, unknown } = preview;
  return (
    <Box fontSize="15px" color="ink.soft" maxWidth="760px" marginBottom="14px">
      {say('shelf.import.separator', { separator })} {decimalComma && say('shelf.import.decimal')}{' '}
      {say('shelf.import.understood', {
        columns: known
          .map(({ heading, as }) =>
            heading.trim() === as ? as : say('shelf.import.columnAs', { heading, as }),
          )
          .join(', '),
      })}{' '}
      {unknown.length > 0 && say('shelf.import.notUnderstood', { columns: unknown.slice(0, 12).join(', ') })}
    </Box>
  );
}

function BadRows({ preview: { bad, badRows } }: { preview: FilePreview }) {
  if (bad === 0) return null;
  return (
    <Section heading={say('shelf.import.bad', { count: bad })}>
      <chakra.table fontSize="16px" width="100%" maxWidth="960px">
        <chakra.thead fontSize="14px" color="ink.soft">
          <tr>
            <chakra.th scope="col" {...cell} width="64px">
              {say('shelf.import.row')}
            </chakra.th>
            <chakra.th scope="col" {...cell} width="30%">
              {say('shelf.import.name')}
            </chakra.th>
            <chakra.th scope="col" {...cell}>
              {say('shelf.import.why')}
            </chakra.th>
          </tr>
        </chakra.thead>
        <tbody>
          {badRows.map(({ row, name, reasons }) => (
            <chakra.tr key={row} borderTopWidth="1px" borderColor="line">
              <chakra.td {...cell} fontVariantNumeric="tabular-nums">
                {row}
              </chakra.td>
              <chakra.td {...cell} overflowWrap="anywhere">
                {name || MISSING}
              </chakra.td>
              <chakra.td {...cell} color="warn" overflowWrap="anywhere">
                {reasons.join(' ')}
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      {bad > badRows.length && (
        <Box marginTop="6px">{say('shelf.import.moreRows', { count: bad - badRows.length })}</Box>
      )}
    </Section>
  );
}

/** What of a label is shown before it is taken; `wide` ones are left out on a phone. */
const SHOWN: readonly { heading: string; wide?: boolean; of(input: ProductInput): string }[] = [
  { heading: say('shelf.import.name'), of: ({ name }) => name },
  { heading: say('shelf.import.kind'), wide: true, of: ({ kind }) => nameOf('product', kind) },
  { heading: say('shelf.import.grade'), of: ({ grade }) => grade },
  {
    heading: say('shelf.import.package'),
    wide: true,
    of: ({ package: { size, unit } }) => textWithUnit(size, unit),
  },
  { heading: say('shelf.import.price'), wide: true, of: ({ price }) => price },
  { heading: say('shelf.import.stock'), wide: true, of: ({ stock }) => stock },
];
const shownOn = (wide = false) => (wide ? { base: 'none', md: 'table-cell' } : 'table-cell');

function GoodRows({ preview: { good, goodRows } }: { preview: FilePreview }) {
  if (goodRows.length === 0) return null;
  return (
    <Section
      heading={
        good > goodRows.length
          ? say('shelf.import.firstGood', { count: goodRows.length })
          : say('shelf.import.good')
      }
    >
      <chakra.table fontSize="16px" width="100%" maxWidth="960px">
        <chakra.thead fontSize="14px" color="ink.soft">
          <tr>
            {SHOWN.map(({ heading, wide }) => (
              <chakra.th key={heading} scope="col" {...cell} display={shownOn(wide)}>
                {heading}
              </chakra.th>
            ))}
          </tr>
        </chakra.thead>
        <tbody>
          {goodRows.map((input, index) => (
            // oxlint-disable-next-line react/no-array-index-key -- rows of a file have no other identity
            <chakra.tr key={index} borderTopWidth="1px" borderColor="line">
              {SHOWN.map(({ heading, wide, of }) => (
                <chakra.td key={heading} {...cell} overflowWrap="anywhere" display={shownOn(wide)}>
                  {of(input) || MISSING}
                </chakra.td>
              ))}
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Section>
  );
}

/** Products from a file: looked through first, good rows taken, bad ones named with their reasons. */
export default function ImportPage() {
  const { data: shelf, error, refetch } = useShelf();
  const [file, setFile] = useState<File | null>(null);
  const [takeTwice, setTakeTwice] = useState(false);
  const notices = useNotices();
  const navigate = useNavigate();
  const onShelf = useMemo(() => (shelf ?? []).map(({ input }) => input.name.toLowerCase()), [shelf]);
  const { state, keep } = useShelfFile(shelf ? file : null, { onShelf, takeTwice });
  if (error && !shelf) {
    return (
      <Message
        heading={say('shelf.notRead')}
        text={explain(error)}
        act={say('common.tryAgain')}
        onAct={() => void refetch()}
      />
    );
  }
  const { preview } = state;
  const busy = state.status === 'reading' || state.status === 'keeping';

  async function onKeep() {
    const ids = await keep();
    await productActs.refresh();
    if (!ids) {
      notices.tell(say('shelf.import.partly'));
      return;
    }
    notices.undoable(say('shelf.import.done', { count: ids.length }), async () => {
      for (let index = 0; index < ids.length; index += 5000) {
        // oxlint-disable-next-line no-await-in-loop
        await callDocuments(PRODUCTS.kind, 'removeMany', { body: { ids: ids.slice(index, index + 5000) } });
      }
      await productActs.refresh();
    });
    await navigate('/shelf');
  }

  return (
    <>
      <title>{say('shelf.import.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('shelf.import.heading')}
        </chakra.h1>
      </TopBar>
      <ShelfTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 24px', md: '4px 24px 32px' }}>
        <Drop onFile={setFile} />
        {state.status === 'trouble' && (
          <Box
            role="alert"
            color="warn"
            fontWeight="semibold"
            fontSize="17px"
            maxWidth="760px"
            marginBottom="16px"
          >
            ▲ {file?.name}: {state.trouble}
          </Box>
        )}
        {busy && (
          <Progress.Root value={state.share * 100} maxWidth="760px" marginBottom="16px">
            <Progress.Label>
              {state.status === 'reading' ? say('shelf.import.reading') : say('shelf.import.saving')}
            </Progress.Label>
            <Progress.Track>
              <Progress.Range bg="act" />
            </Progress.Track>
          </Progress.Root>
        )}
        {preview && (
          <>
            <Box fontSize="20px" fontWeight="bold" marginBottom="6px" aria-live="polite">
              {say('shelf.import.canBe', { count: preview.good })}
              {preview.bad > 0 && say('shelf.import.cannot', { count: preview.bad })}
              {preview.twice > 0 && say('shelf.import.twice', { count: preview.twice })}.
            </Box>
            <Understood preview={preview} />
            {preview.twice > 0 && (
              <chakra.label display="flex" gap="10px" alignItems="center" minHeight="44px" cursor="pointer">
                <chakra.input
                  type="checkbox"
                  width="20px"
                  height="20px"
                  accentColor="act"
                  checked={takeTwice}
                  onChange={(event) => setTakeTwice(event.target.checked)}
                />
                {say('shelf.import.takeTwice', {
                  names: preview.twiceRows
                    .slice(0, 3)
                    .map(({ name, row }) => say('shelf.import.inRow', { name, row }))
                    .join(', '),
                })}
                {preview.twice > 3 && ' …'}
              </chakra.label>
            )}
            <Button
              variant="solid"
              minHeight="48px"
              marginY="12px"
              disabled={busy || preview.good === 0}
              onClick={() => void onKeep()}
            >
              {say('shelf.import.do', { count: preview.good })}
            </Button>
            <BadRows preview={preview} />
            <GoodRows preview={preview} />
          </>
        )}
      </Box>
    </>
  );
}
