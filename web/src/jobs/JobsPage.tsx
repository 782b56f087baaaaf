import { Box, Button, chakra } from '@chakra-ui/react';
import type { jobs, ReadableOf, SummaryHead } from '@steady-scatter/contract';
import type { PackageUnit } from '@steady-scatter/core/loads';
import { showQuantity, UNITS, type AreaUnit, type UnitId } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { Download, Plus } from 'lucide-react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link } from 'react-router';
import { explain } from '../api/explain.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../notices/notices.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { dayText } from '../ui/dayText.ts';
import { readable, useList } from '../documents/docs.ts';
import { PartialNote } from '../documents/PartialNote.tsx';
import { MoreButton } from '../documents/MoreButton.tsx';
import { saveRaw } from '../documents/saveRaw.ts';
import { FEW, SearchField } from '../documents/SearchField.tsx';
import { useSought } from '../documents/useSought.ts';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { JOBS, jobActs } from '../kinds/useJobs.ts';
import { useRulesBroken } from './useRulesBroken.ts';
import { NameLink } from '../ui/NameLink.tsx';
import { UnfitLine } from '../ui/UnfitLine.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';

const COLUMNS = { base: '1fr auto', lg: '104px minmax(240px, 2fr) 1.4fr 1.1fr 170px 90px 40px' };

/** The preferred unit, unless it measures something else than this product. */
const amountUnit = (preferred: PackageUnit | null, own: PackageUnit): PackageUnit =>
  preferred && UNITS[preferred].kind === UNITS[own].kind ? preferred : own;

const shown = (si: number | null, unit: UnitId): string => {
  if (si === null) return MISSING;
  const { number, unit: symbol } = showQuantity(si, unit);
  return `${number} ${symbol}`;
};

type JobLine = ReadableOf<typeof jobs>;

function JobRow({ job, broken, onDelete }: { job: JobLine; broken: number; onDelete(): void }) {
  const { areas, amountUnit: ownAmount, areaUnit } = job;
  const preferred = usePreferences().preferences.units;
  return (
    <Box
      role="row"
      display="grid"
      gridTemplateColumns={COLUMNS}
      columnGap="16px"
      alignItems="center"
      paddingY={{ base: '10px', lg: '6px' }}
      borderBottomWidth="1px"
      borderColor="line"
      fontSize="16px"
      css={{ '& > *': { minWidth: 0 } }}
    >
      <Box
        role="cell"
        color="ink.soft"
        fontSize="15px"
        gridColumn={{ base: 1, lg: 'auto' }}
        whiteSpace="nowrap"
      >
        {dayText(job.onDay)}
      </Box>
      <Box
        role="cell"
        gridRow={{ base: 2, lg: 'auto' }}
        gridColumn={{ base: '1 / 3', lg: 'auto' }}
        display="flex"
        flexWrap="wrap"
        alignItems="center"
        columnGap="10px"
        overflowWrap="anywhere"
      >
        <NameLink to={`/jobs/${job.id}`}>{job.name}</NameLink>
        {job.isSample && <SampleBadge />}
        {broken > 0 && (
          <chakra.span color="warn" fontWeight="semibold" fontSize="15px">
            ▲ {broken === 1 ? 'rule broken' : `${broken} rules broken`}
          </chakra.span>
        )}
      </Box>
      <Box role="cell" hideBelow="lg" overflowWrap="anywhere">
        {job.need || MISSING}
      </Box>
      <Box role="cell" gridColumn={{ base: 1, lg: 'auto' }} overflowWrap="anywhere">
        {job.product || MISSING}
      </Box>
      <Box role="cell" hideBelow="lg" textAlign="right" whiteSpace="nowrap">
        {areas} {areas === 1 ? 'area' : 'areas'},{' '}
        {shown(job.totalM2, preferred.area ?? (areaUnit as AreaUnit))}
      </Box>
      <Box
        role="cell"
        textAlign="right"
        fontWeight="bold"
        whiteSpace="nowrap"
        fontVariantNumeric="tabular-nums"
      >
        {shown(job.amountSi, amountUnit(preferred.amount, ownAmount as PackageUnit))}
      </Box>
      <Box
        role="cell"
        gridRow={{ base: 1, lg: 'auto' }}
        gridColumn={{ base: 2, lg: 'auto' }}
        textAlign="right"
      >
        <DeleteButton name={job.name} onDelete={onDelete} />
      </Box>
    </Box>
  );
}

const HEADINGS = ['Day', 'Job', 'Need', 'Product', 'Ground', 'Weigh out', ''];

interface TableProps {
  list: ReturnType<typeof useList<typeof jobs>>['data'];
  broken: ReadonlyMap<string, number>;
  onDelete(job: SummaryHead): void;
  onExport(job: SummaryHead): void;
}

const Headings = () => (
  <Box
    role="row"
    display={{ base: 'none', lg: 'grid' }}
    gridTemplateColumns={COLUMNS}
    columnGap="16px"
    fontSize="14px"
    fontWeight="semibold"
    color="ink.soft"
    paddingY="8px"
    borderBottomWidth="1px"
    borderColor="line.strong"
  >
    {HEADINGS.map((heading, index) => (
      <Box key={heading} role="columnheader" textAlign={index === 4 || index === 5 ? 'right' : 'left'}>
        {heading || <chakra.span srOnly>Delete</chakra.span>}
      </Box>
    ))}
  </Box>
);

const JobTable = ({ list, broken, onDelete, onExport }: TableProps) => (
  <Box role="table" aria-label="Jobs">
    <Headings />
    {list?.lines.map((job) =>
      job.isReadable ? (
        <ErrorBoundary key={job.id} fallback={<UnfitLine name={job.name} onDelete={() => onDelete(job)} />}>
          <JobRow job={job} broken={broken.get(job.id) ?? 0} onDelete={() => onDelete(job)} />
        </ErrorBoundary>
      ) : (
        <UnfitLine
          key={job.id}
          name={job.name}
          act={
            <Button size="sm" minHeight="44px" onClick={() => onExport(job)}>
              <Download size={16} /> Export
            </Button>
          }
          onDelete={() => onDelete(job)}
        />
      ),
    )}
  </Box>
);

const Empty = () => (
  <Box maxWidth="560px" paddingY="40px" fontSize="18px">
    <chakra.b display="block" fontSize="20px" marginBottom="6px">
      Nothing is kept yet
    </chakra.b>
    A job is a worksheet with a name and a day: 0.8 lb N on each 1000 ft² from 24-0-8, on three areas. Work
    one out, then keep it.
  </Box>
);

/** All kept jobs, the latest day first, a page at a time. */
export default function JobsPage() {
  const { q, ...search } = useSought();
  const list = useList(JOBS, q === '' ? {} : { q });
  const { data, error, refetch } = list;
  const broken = useRulesBroken(readable<typeof jobs>(data?.lines ?? []).map(({ id }) => id));
  const notices = useNotices();
  if (error && !data)
    return (
      <Message
        heading="The jobs could not be read"
        text={explain(error)}
        act="Try again"
        onAct={() => void refetch()}
      />
    );

  async function onDelete({ id, name }: SummaryHead) {
    try {
      await jobActs.remove(id);
      document.getElementById('jobs-heading')?.focus();
      notices.undoable(`Deleted “${name}”.`, () => jobActs.restore(id));
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }

  return (
    <>
      <title>Jobs · Steady Scatter</title>
      <TopBar
        acts={
          <Button variant="solid" asChild>
            <Link to="/">
              <Plus size={18} /> New sheet
            </Link>
          </Button>
        }
      >
        <chakra.h1 id="jobs-heading" tabIndex={-1} fontSize="21px" fontWeight="bold">
          Jobs
        </chakra.h1>
      </TopBar>
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}>
        <PartialNote />
        {(q !== '' || (data && data.total > FEW)) && <SearchField label="Look for a job" {...search} />}
        {data?.lines.length === 0 &&
          (q === '' ? <Empty /> : <Box paddingY="20px">No match. Look with fewer letters.</Box>)}
        {data && data.lines.length > 0 && (
          <JobTable
            list={data}
            broken={broken}
            onDelete={(job) => void onDelete(job)}
            onExport={(job) => void saveRaw(JOBS.kind, job, notices.tell)}
          />
        )}
        <MoreButton list={list} words={JOBS.kind.words} />
      </Box>
    </>
  );
}
