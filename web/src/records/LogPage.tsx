import { Box, chakra } from '@chakra-ui/react';
import { isVoid, logTable, rowsWithin, type DoneRow } from '@steady-scatter/core/season';
import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/record';
import { useApplications } from '../kinds/useApplications.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { atPlace } from '../ui/momentText.ts';
import { saveCsv } from '../ui/saveCsv.ts';
import { dayOf, today } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { achievedText } from './RecordList.tsx';
import { rowText } from './rowText.ts';

const Table = chakra('table', {
  base: {
    fontSize: '16px',
    width: '100%',
    '& th': { textAlign: 'left' },
    '& th, & td': { paddingY: '8px', paddingRight: '16px', verticalAlign: 'baseline' },
    '& tbody tr': { borderTopWidth: '1px', borderColor: 'line' },
    '& thead th': { fontSize: '14px', color: 'ink.soft', fontWeight: 'semibold' },
  },
});

type Dated = DoneRow & { readonly onDay: string };

/** Each word stands somewhere on the row. */
function isFound({ input }: DoneRow, words: readonly string[]): boolean {
  const text = [input.siteName, input.areaName, input.product.name, input.by, input.machine.name].join(' ').toLowerCase(); // prettier-ignore
  return words.every((word) => text.includes(word));
}

/** Records between two days that hold every word, the latest first. */
function useLog(from: string, to: string, sought: string): readonly Dated[] | undefined {
  const rows = useApplications(null);
  return useMemo(() => {
    if (!rows) return undefined;
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    const dated = rows.map((row) => Object.assign({ onDay: dayOf(new Date(row.startedAt)) }, row));
    return rowsWithin(dated, from, to).filter((row) => isFound(row, words)).toReversed();
  }, [rows, from, to, sought]);
} // prettier-ignore

const HEADINGS = [say('record.log.day'), say('record.log.area'), say('record.log.product'), say('record.log.amount'), say('record.log.achieved'), say('record.log.by')]; // prettier-ignore

function LogRow({ row }: { row: Dated }) {
  const { input, onDay, subject } = row;
  const isOut = isVoid(input);
  const path = input.round === '' ? `/jobs/${subject}/after` : `/winter/storms/${subject}`;
  return (
    <chakra.tr textDecoration={isOut ? 'line-through' : undefined} color={isOut ? 'ink.soft' : undefined}>
      <chakra.td whiteSpace="nowrap">
        <Link to={path}>{dayText(onDay)}</Link>
      </chakra.td>
      <th scope="row">{[input.areaName, input.siteName].filter(Boolean).join(', ')}</th>
      <td>{input.product.name}</td>
      <td>{rowText(input)}</td>
      <td>{achievedText(row)}</td>
      <td>{input.by}</td>
    </chakra.tr>
  );
}

const save = (rows: readonly DoneRow[]): void => saveCsv(`${say('record.log.file')}.csv`, logTable(rows, atPlace, speak)); // prettier-ignore

/** Everything that was spread, by jobs and in storms: between two days, searched, saved as a table. */
export default function LogPage() {
  const [from, setFrom] = useState(() => `${Number(today().slice(0, 4)) - 1}-01-01`);
  const [to, setTo] = useState(today);
  const [sought, setSought] = useState('');
  const rows = useLog(from, to, sought);
  return (
    <>
      <title>{say('record.log.title')}</title>
      <TopBar
        acts={rows && rows.length > 0 && <CommandButton icon={FileDown} label={say('record.log.csv')} onClick={() => save(rows.toReversed())} />} // prettier-ignore
      >
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('record.log.heading')}
        </chakra.h1>
      </TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Box display="flex" flexWrap="wrap" gap="10px 14px" marginBottom="12px" data-noprint>
          <LabelledField label={say('record.log.from')} type="date" value={from} onChange={setFrom} />
          <LabelledField label={say('record.log.to')} type="date" value={to} onChange={setTo} />
          <Box flex="1 1 220px" maxWidth="360px">
            <LabelledField label={say('record.log.search')} value={sought} onChange={setSought} />
          </Box>
        </Box>
        {rows?.length === 0 && <Box fontSize="17px">{say('record.log.none')}</Box>}
        {rows && rows.length > 0 && (
          <Box overflowX="auto">
            <Box fontSize="15px" color="ink.soft">
              {say('record.log.count', { count: rows.length })}
            </Box>
            <Table>
              <thead>
                <tr>
                  {HEADINGS.map((heading) => (
                    <th key={heading} scope="col">
                      {heading}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => (
                  <LogRow key={row.root} row={row} />
                ))}
              </tbody>
            </Table>
          </Box>
        )}
      </Box>
    </>
  );
}
