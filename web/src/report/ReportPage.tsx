import { Box, chakra } from '@chakra-ui/react';
import type { SeasonSite } from '@steady-scatter/core/plan';
import { FileDown, FileSpreadsheet } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { say } from '@steady-scatter/words/report';
import { explain } from '../api/explain.ts';
import { yearsFrom } from '../kinds/useLedger.ts';
import { usePlans } from '../kinds/usePlans.ts';
import { useNotices } from '../notices/notices.tsx';
import { useCrew } from '../settings/CrewProvider.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { Choice } from '../ui/Choice.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { useFigures } from '../ui/currency.ts';
import { dayText } from '../ui/dayText.ts';
import { PlainTable } from '../ui/PlainTable.tsx';
import { saveFile } from '../ui/saveFile.ts';
import { Section } from '../ui/Section.tsx';
import { SideScroll } from '../ui/SideScroll.tsx';
import { today } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';
import type { ReportPaper } from './reportPdf.ts';
import { reportRows, reportUnits, siteTables, type Cell, type ReportUnits } from './reportTable.ts';
import { plansWithin, useSeasonReport } from './useSeasonReport.ts';

/** Saves the report as a file. */
async function save(format: 'pdf' | 'xlsx', paper: ReportPaper): Promise<void> {
  const name = say('report.file', { from: paper.from });
  if (format === 'xlsx')
    await (
      await import('../ui/saveXlsx.ts')
    ).saveXlsx(`${name}.xlsx`, reportRows(paper.sites, { ...paper.units, money: String }));
  else saveFile(`${name}.pdf`, 'application/pdf', await (await import('./reportPdf.ts')).reportPdf(paper));
}

const CellText = ({ cell: { text, warns } }: { cell: Cell }) => (
  <chakra.td
    data-end=""
    color={warns ? 'warn' : undefined}
    fontWeight={warns ? 'bold' : undefined}
    title={warns}
  >
    {warns && (
      <>
        <span aria-hidden>▲ </span>
        <chakra.span srOnly>{warns} </chakra.span>
      </>
    )}
    {text}
  </chakra.td>
);

/** What a site came to: nutrients, cost and accuracy, and salt by itself. */
function SiteTable({ site, units }: { site: SeasonSite; units: ReportUnits }) {
  const hasWhole = site.lines.length > 1;
  return (
    <Section heading={site.siteName || say('report.unnamed')}>
      {siteTables(site, units).map(({ id, headings, rows }) => (
        <SideScroll key={id} label={`${site.siteName || say('report.unnamed')}, ${headings[1]}`} marginBottom="10px" maxWidth={id === 'salt' ? '720px' : undefined}>
          <PlainTable css={{ '& th, & td': { paddingRight: '12px' }, '& thead th': { verticalAlign: 'bottom' }, '& thead th[data-end]': { whiteSpace: 'normal', minWidth: '62px' } }}>
            <thead><tr>{headings.map((heading, index) => <th key={heading} scope="col" {...(index > 0 && { 'data-end': '' })}>{heading}</th>)}</tr></thead>
            <tbody>
              {rows.map(([name, ...cells], row) => (
                <chakra.tr key={name!.text} fontWeight={hasWhole && row === rows.length - 1 ? 'bold' : undefined}>
                  <th scope="row">{name!.text}</th>
                  {cells.map((cell, index) => <CellText key={headings[index + 1]} cell={cell} />)}
                </chakra.tr>
              ))}
            </tbody>
          </PlainTable>
        </SideScroll>
      ))}
      {site.withoutPrice > 0 && <Box fontSize="15px" color="ink.soft">{say('report.noPrice', { count: site.withoutPrice })}</Box>}
    </Section>
  );
} // prettier-ignore

/** What a season came to, site by site: against its plan, caps and the year before; what it cost, how even and how true it was. */
export default function ReportPage() {
  const [params, setParams] = useSearchParams();
  const { yearStart, name: crew } = useCrew();
  const { data: plans = [] } = usePlans();
  const notices = useNotices();
  const years = yearsFrom(today(), yearStart);
  const year = years.find(({ from }) => from === params.get('year')) ?? years[0]!;
  const fitting = plansWithin(plans, year);
  const plan = fitting.find(({ id }) => id === params.get('plan')) ?? (params.get('plan') === 'none' ? undefined : fitting[0]);
  const sites = useSeasonReport(year, plan?.id ?? '');
  const plain = reportUnits(useSystem() === 'us');
  const figures = useFigures();
  const units: ReportUnits = { ...plain, money: (number) => figures({ number, isMoney: true }) };
  const change = (more: Record<string, string>) => setParams({ ...Object.fromEntries(params), ...more }, { replace: true });
  const paper = { crew, ...year, plan: plan?.input.name ?? '', sites: sites ?? [], units };
  const act = (format: 'pdf' | 'xlsx') => void save(format, paper).catch((error: unknown) => notices.tell(explain(error)));
  const isEmpty = sites?.length === 0;
  return (
    <>
      <title>{say('report.title')}</title>
      <TopBar acts={sites && !isEmpty && <><CommandButton icon={FileDown} label={say('report.pdf')} onClick={() => act('pdf')} /><CommandButton icon={FileSpreadsheet} label={say('report.xlsx')} onClick={() => act('xlsx')} /></>}>
        <chakra.h1 fontSize="21px" fontWeight="bold">{say('report.title')}</chakra.h1>
      </TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }}>
        <Box data-noprint display="grid" gap="10px 14px" gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 260px))' }} marginBottom="14px">
          <Choice label={say('report.year')} value={year.from} options={years.map(({ from, to }) => ({ id: from, label: say('report.years', { from: dayText(from), to: dayText(to) }) }))} onChange={(from) => change({ year: from })} />
          <Choice label={say('report.plan')} value={plan?.id ?? 'none'} options={[{ id: 'none', label: say('report.noPlan') }, ...fitting.map(({ id, input: { name } }) => ({ id, label: name }))]} onChange={(id) => change({ plan: id })} />
        </Box>
        {isEmpty && <Box fontSize="17px">{say('report.empty')}</Box>}
        {sites && !plan && !isEmpty && <Box fontSize="16px" color="ink.soft" marginBottom="10px">{say('report.noCaps')}</Box>}
        {sites?.map((site) => <SiteTable key={site.siteName} site={site} units={units} />)}
        {sites && !isEmpty && <Box fontSize="15px" color="ink.soft" maxWidth="860px">{say('report.notes')}</Box>}
      </Box>
    </>
  );
} // prettier-ignore
