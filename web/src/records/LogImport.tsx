import { Box, Button, chakra } from '@chakra-ui/react';
import {
  logColumns,
  readLogRow,
  type ApplicationInput,
  type LogColumn,
  type LogRowResult,
} from '@steady-scatter/core/season';
import type { System } from '@steady-scatter/core/quantities';
import { nameKey } from '@steady-scatter/core/fields';
import type { SiteInput } from '@steady-scatter/core/ground';
import Papa from 'papaparse';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/record';
import type { Doc } from '../documents/docs.ts';
import { appendApplication } from '../kinds/useApplications.ts';
import { useSites } from '../kinds/useSites.ts';
import { useNotices } from '../notices/notices.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { dayText } from '../ui/dayText.ts';
import { FileDrop } from '../ui/FileDrop.tsx';
import { Panel } from '../ui/Panel.tsx';
import { today } from '../ui/today.ts';

/** A line that can be taken in, and for which site. */
interface Good {
  readonly row: number;
  readonly site: string;
  readonly input: ApplicationInput;
  readonly startedAt: string;
}
interface Bad {
  readonly row: number;
  readonly name: string;
  readonly reasons: readonly string[];
}
export interface LogPreview {
  readonly good: readonly Good[];
  readonly bad: readonly Bad[];
  readonly unknown: readonly string[];
}

const MAX_BYTES = 8_000_000;
const MAX_ROWS = 5000;

/** The area of a site that a line names. */
function placed(
  { input, onDay, time }: LogRowResult,
  sites: readonly Doc<SiteInput>[],
): Omit<Good, 'row'> | null {
  const site = sites.find((each) => nameKey(each.input.name) === nameKey(input.siteName));
  if (!site) return null;
  const area = site.input.areas.find((each) => nameKey(each.name) === nameKey(input.areaName));
  const startedAt = new Date(`${onDay}T${time}`).toISOString();
  return { site: site.id, startedAt, input: { ...input, site: site.id, area: area?.id ?? '' } };
}

/** Looks a table of records through: what can be taken in, and what not, with the reasons. */
export function previewLog(text: string, sites: readonly Doc<SiteInput>[], system: System): LogPreview {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [headings = [], ...lines] = data;
  const columns = logColumns(headings, speak);
  const unknown = headings.filter((_, index) => columns[index] === null);
  const [good, bad]: [Good[], Bad[]] = [[], []];
  lines.slice(0, MAX_ROWS).forEach((line, index) => {
    const row = index + 2;
    const cells = Object.fromEntries(columns.flatMap((column, place): [LogColumn, string][] => (column ? [[column, line[place] ?? '']] : [])));
    const read = readLogRow(cells, { today: today(), system, runId: newId() });
    const reasons = read.errors.map(({ sentence }) => speak(sentence));
    const where = reasons.length === 0 ? placed(read, sites) : null;
    if (where) good.push({ row, ...where });
    else bad.push({ row, name: read.input.areaName, reasons: reasons.length > 0 ? reasons : [say('log.import.noSite', { site: read.input.siteName || '…' })] });
  });
  return { good, bad, unknown };
} // prettier-ignore

function Lines({ preview }: { preview: LogPreview }) {
  const { good, bad, unknown } = preview;
  return (
    <>
      <Box fontSize="19px" fontWeight="bold" aria-live="polite">{say('log.import.canBe', { good: good.length, bad: bad.length })}</Box>
      {unknown.length > 0 && <Box color="ink.soft">{say('log.import.unknown', { columns: unknown.slice(0, 8).join(', ') })}</Box>}
      <Box as="ul" listStyleType="none" maxHeight="200px" overflowY="auto">
        {bad.slice(0, 50).map(({ row, name, reasons }) => <chakra.li key={row} color="warn">{say('log.import.bad', { row, name: name || '…', why: reasons.join(' ') })}</chakra.li>)}
        {good.slice(0, 50).map(({ row, input }) => <li key={row}>{say('log.import.good', { row, day: dayText(input.onDay), area: input.areaName, product: input.product.name, amount: `${input.amount.text} ${input.amount.unit}` })}</li>)}
      </Box>
    </>
  );
} // prettier-ignore

/** Records from a table: looked through first, good lines appended, the others named with their reasons. */
export function LogImport({ onClose }: { onClose(): void }) {
  const { data: sites = [] } = useSites();
  const system = useSystem();
  const notices = useNotices();
  const [preview, setPreview] = useState<LogPreview | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const look = async (file: File) => {
    setPreview(null);
    setTrouble(file.size > MAX_BYTES ? say('log.import.tooLarge') : null);
    if (file.size <= MAX_BYTES) setPreview(previewLog(await file.text(), sites, system));
  };
  const take = () => {
    for (const { site, input, startedAt } of preview?.good ?? [])
      void appendApplication({ subject: { kind: 'sites', id: site }, input, startedAt });
    notices.tell(say('log.import.taken', { count: preview?.good.length ?? 0 }));
    onClose();
  };
  return (
    <Panel title={say('log.import')} size="lg" onClose={onClose} footer={preview && preview.good.length > 0 && <Button variant="solid" minHeight="56px" onClick={take}>{say('log.import.do', { count: preview.good.length })}</Button>}>
      <FileDrop accept=".csv,text/csv" act={say('log.import.choose')} onFile={(file) => void look(file)}>{say('log.import.drop')}</FileDrop>
      {trouble && <Box role="alert" color="warn" fontWeight="semibold">{trouble}</Box>}
      {preview && <Lines preview={preview} />}
    </Panel>
  );
} // prettier-ignore
