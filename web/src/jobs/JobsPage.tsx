import { Box, Button, chakra, IconButton } from '@chakra-ui/react';
import type { JobSummary } from '@steady-scatter/contract';
import type { PackageUnit } from '@steady-scatter/core/loads';
import { showQuantity, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { Plus, Trash2 } from 'lucide-react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link } from 'react-router';
import { explain } from '../api/explain.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../ui/notices.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { dayText } from '../ui/dayText.ts';
import { jobActs } from './jobActs.ts';
import { useJobList } from './useJobs.ts';
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

function JobRow({ job, onDelete }: { job: JobSummary; onDelete(): void }) {
  const { areas, units } = job;
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
        {job.rulesBroken > 0 && (
          <chakra.span color="warn" fontWeight="semibold" fontSize="15px">
            ▲ {job.rulesBroken === 1 ? 'rule broken' : `${job.rulesBroken} rules broken`}
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
        {areas} {areas === 1 ? 'area' : 'areas'}, {shown(job.totalM2, preferred.area ?? units.area)}
      </Box>
      <Box
        role="cell"
        textAlign="right"
        fontWeight="bold"
        whiteSpace="nowrap"
        fontVariantNumeric="tabular-nums"
      >
        {shown(job.amountSi, amountUnit(preferred.amount, units.amount))}
      </Box>
      <Box
        role="cell"
        gridRow={{ base: 1, lg: 'auto' }}
        gridColumn={{ base: 2, lg: 'auto' }}
        textAlign="right"
      >
        <IconButton
          aria-label={`Delete ${job.name}`}
          variant="ghost"
          color="ink.soft"
          minWidth={{ base: '44px' }}
          size="sm"
          onClick={onDelete}
        >
          <Trash2 size={18} />
        </IconButton>
      </Box>
    </Box>
  );
}

const HEADINGS = ['Day', 'Job', 'Need', 'Product', 'Ground', 'Weigh out', ''];

function JobTable({ jobs, onDelete }: { jobs: readonly JobSummary[]; onDelete(job: JobSummary): void }) {
  return (
    <Box role="table" aria-label="Jobs">
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
      {jobs.map((job) => (
        <ErrorBoundary key={job.id} fallback={<UnfitLine name={job.name} onDelete={() => onDelete(job)} />}>
          <JobRow job={job} onDelete={() => onDelete(job)} />
        </ErrorBoundary>
      ))}
    </Box>
  );
}

const Empty = () => (
  <Box maxWidth="560px" paddingY="40px" fontSize="18px">
    <chakra.b display="block" fontSize="20px" marginBottom="6px">
      Nothing is kept yet
    </chakra.b>
    A job is a worksheet with a name and a day: 0.8 lb N on each 1000 ft² from 24-0-8, on three areas. Work
    one out, then keep it.
  </Box>
);

/** All kept jobs, the latest day first. */
export default function JobsPage() {
  const { data: jobs, error, refetch } = useJobList();
  const notices = useNotices();
  if (error && !jobs)
    return (
      <Message
        heading="The jobs could not be read"
        text={explain(error)}
        act="Try again"
        onAct={() => void refetch()}
      />
    );

  async function onDelete({ id, name }: JobSummary) {
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
        {jobs?.length === 0 ? (
          <Empty />
        ) : (
          <JobTable jobs={jobs ?? []} onDelete={(job) => void onDelete(job)} />
        )}
      </Box>
    </>
  );
}
