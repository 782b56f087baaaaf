import { Box, Button, chakra } from '@chakra-ui/react';
import { areaKeyOf, isVoid, logTable, rowsWithin, type DoneRow } from '@steady-scatter/core/season';
import { Braces, FileDown, FileSpreadsheet, Plus, TableProperties, Upload, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/record';
import { explain } from '../api/explain.ts';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { useApplications, type Subject } from '../kinds/useApplications.ts';
import { useNotices } from '../notices/notices.tsx';
import { useCrew } from '../settings/CrewProvider.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { atPlace } from '../ui/momentText.ts';
import { saveCsv } from '../ui/saveCsv.ts';
import { saveFile } from '../ui/saveFile.ts';
import { dayOf, today } from '../ui/today.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { LogImport } from './LogImport.tsx';
import type { LogPaper } from './logPdf.ts';
import { QuickEntry } from './QuickEntry.tsx';
import { achievedText } from './RecordList.tsx';
import { RowPanel } from './RowPanel.tsx';
import { rowText } from './rowText.ts';

type Dated = DoneRow & { readonly onDay: string };

/** Each word stands somewhere on the row. */
function isFound({ input }: DoneRow, words: readonly string[]): boolean {
  const text = [input.siteName, input.areaName, input.product.name, input.by, input.machine.name, input.product.lot, input.note].join(' ').toLowerCase(); // prettier-ignore
  return words.every((word) => text.includes(word));
}

/** Records between two days that hold every word, of one area where one is asked for, the latest first. */
function useLog(from: string, to: string, sought: string, areaKey: string | null): readonly Dated[] | undefined {
  const rows = useApplications(null);
  return useMemo(() => {
    if (!rows) return undefined;
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    const dated = rows.map((row) => Object.assign({ onDay: row.input.onDay || dayOf(new Date(row.startedAt)) }, row)); // prettier-ignore
    return rowsWithin(dated, from, to).filter((row) => (areaKey === null || areaKeyOf(row.input.area, row.input.areaName) === areaKey) && isFound(row, words)).toReversed();
  }, [rows, from, to, sought, areaKey]);
} // prettier-ignore

const HEADINGS = [say('record.log.day'), say('record.log.area'), say('record.log.product'), say('record.log.amount'), say('record.log.achieved'), say('record.log.by'), say('record.log.correct')]; // prettier-ignore

const areaText = ({ input }: DoneRow): string => [input.areaName, input.siteName].filter(Boolean).join(', '); // prettier-ignore

/** That records of one area alone are shown, and the way to all. */
const OnlyArea = ({ name = '', onClear }: { name: string | undefined; onClear(): void }) => (
  <Button alignSelf="flex-end" minHeight="48px" aria-label={say('record.log.allAreas', { area: name || '…' })} onClick={onClear}>{say('record.log.onlyArea', { area: name || '…' })}<X size={18} aria-hidden /></Button>
); // prettier-ignore

/** Where it was recorded: its job, its storm; nothing for what was typed at the desk, which is corrected here. */
const placeOf = ({ input, subject }: DoneRow): string | null => {
  if (input.site !== '' && input.site === subject) return null;
  return input.round === '' ? `/jobs/${subject}/after` : `/winter/storms/${subject}`;
};

function LogRow({ row, onCorrect }: { row: Dated; onCorrect(): void }) {
  const { input, onDay } = row;
  const isOut = isVoid(input);
  const path = placeOf(row);
  return (
    <chakra.tr textDecoration={isOut ? 'line-through' : undefined} color={isOut ? 'ink.soft' : undefined}>
      <chakra.td whiteSpace="nowrap">{path === null ? dayText(onDay) : <Link to={path}>{dayText(onDay)}</Link>}</chakra.td>
      <th scope="row">{areaText(row)}</th>
      <td>{input.product.name}</td>
      <td>{rowText(input)}</td>
      <td>{achievedText(row)}</td>
      <td>{input.by}</td>
      <td>
        <Button variant="ghost" size="sm" minHeight="44px" data-noprint aria-label={say('record.area.change', { area: input.areaName })} onClick={onCorrect}>
          {say('record.area.correct')}
        </Button>
      </td>
    </chakra.tr>
  ); // prettier-ignore
}

type Format = 'csv' | 'xlsx' | 'json' | 'pdf';

/** Saves records in one of the open formats. */
async function saveLog(format: Format, { rows, ...paper }: LogPaper): Promise<void> {
  const name = `${say('record.log.file')}-${paper.from}-${paper.to}`;
  if (format === 'csv') saveCsv(`${name}.csv`, logTable(rows, atPlace, speak));
  if (format === 'xlsx') await (await import('../ui/saveXlsx.ts')).saveXlsx(`${name}.xlsx`, logTable(rows, atPlace, speak));
  if (format === 'json') saveFile(`${name}.json`, 'application/json', JSON.stringify(rows, null, 1));
  if (format === 'pdf') saveFile(`${name}.pdf`, 'application/pdf', await (await import('./logPdf.ts')).logPdf({ ...paper, rows }));
} // prettier-ignore

/** On a phone they stand without their words. */
const ICONS = { pdf: FileDown, csv: TableProperties, xlsx: FileSpreadsheet, json: Braces } as const;
const FORMATS = ['pdf', 'csv', 'xlsx', 'json'] as const;

/** The ways out of the log, and in. */
function Acts({ paper, onQuick, onImport }: { paper: LogPaper; onQuick(): void; onImport(): void }) {
  const notices = useNotices();
  const save = (format: Format) => void saveLog(format, paper).catch((error: unknown) => notices.tell(explain(error))); // prettier-ignore
  useCommands([{ id: 'quick-entry', label: say('log.quick'), keys: 'a', run: onQuick }]);
  return (
    <>
      <CommandButton icon={Plus} label={say('log.quick.act')} onClick={onQuick} />
      {paper.rows.length > 0 && FORMATS.map((format) => <CommandButton key={format} icon={ICONS[format]} label={say('log.save', { format })} onClick={() => save(format)} />)}
      <CommandButton icon={Upload} label={say('log.import.act')} onClick={onImport} />
    </>
  ); // prettier-ignore
}

/** The records in a table. */
const Rows = ({ rows, onCorrect }: { rows: readonly Dated[]; onCorrect(row: DoneRow): void }) => (
  <Box overflowX="auto">
    <Box fontSize="15px" color="ink.soft">{say('record.log.count', { count: rows.length })}</Box>
    <PlainTable>
      <thead><tr>{HEADINGS.map((heading) => <th key={heading} scope="col">{heading}</th>)}</tr></thead>
      <tbody>{rows.map((row) => <LogRow key={row.root} row={row} onCorrect={() => onCorrect(row)} />)}</tbody>
    </PlainTable>
  </Box>
); // prettier-ignore

/** Of which kind of document a record is. */
const subjectOf = (row: DoneRow): Subject => {
  const path = placeOf(row);
  return { id: row.subject, kind: path === null ? 'sites' : path.startsWith('/jobs') ? 'jobs' : 'storms' };
};

/** Everything that was spread, by jobs, in storms and without a sheet: between two days, searched, saved, corrected. */
function Log({
  params,
  setParams,
}: {
  params: URLSearchParams;
  setParams: ReturnType<typeof useSearchParams>[1];
}) {
  const areaKey = params.get('area');
  const [from, setFrom] = useState(() => params.get('from') ?? `${Number(today().slice(0, 4)) - 1}-01-01`);
  const [to, setTo] = useState(() => params.get('to') ?? today());
  const [sought, setSought] = useState(() => params.get('q') ?? '');
  const [open, setOpen] = useState<'quick' | 'import' | DoneRow | null>(null);
  const rows = useLog(from, to, sought, areaKey);
  const { name: crew } = useCrew();
  const { area } = usePreferences().preferences.units;
  const paper = { crew, from, to, rows: rows?.toReversed() ?? [], area: area ?? 'ft2' };
  return (
    <>
      <title>{say('record.log.title')}</title>
      <TopBar acts={<Acts paper={paper} onQuick={() => setOpen('quick')} onImport={() => setOpen('import')} />}>
        <chakra.h1 fontSize="21px" fontWeight="bold">{say('record.log.heading')}</chakra.h1>
      </TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Box display="flex" flexWrap="wrap" gap="10px 14px" marginBottom="12px" data-noprint>
          <LabelledField label={say('record.log.from')} type="date" value={from} onChange={setFrom} />
          <LabelledField label={say('record.log.to')} type="date" value={to} onChange={setTo} />
          <Box flex="1 1 220px" maxWidth="360px"><LabelledField label={say('record.log.search')} value={sought} onChange={setSought} /></Box>
          {areaKey !== null && <OnlyArea name={rows?.[0] && areaText(rows[0])} onClear={() => setParams((now) => { now.delete('area'); return now; }, { replace: true })} />}
        </Box>
        {rows?.length === 0 && <Box fontSize="17px">{say('record.log.none')}</Box>}
        {rows && rows.length > 0 && <Rows rows={rows} onCorrect={setOpen} />}
        {open === 'quick' && <QuickEntry onClose={() => setOpen(null)} />}
        {open === 'import' && <LogImport onClose={() => setOpen(null)} />}
        {open !== null && typeof open === 'object' && <RowPanel row={open} subject={subjectOf(open)} onClose={() => setOpen(null)} />}
      </Box>
    </>
  ); // prettier-ignore
}

/** The log as its address asks for it, anew when another page leads here. */
export default function LogPage() {
  const [params, setParams] = useSearchParams();
  const asked = ['from', 'to', 'q'].map((name) => params.get(name) ?? '').join(' ');
  return <Log key={asked} params={params} setParams={setParams} />;
}
