import { Box, Button, chakra } from '@chakra-ui/react';
import type { TodayLine } from '@steady-scatter/core/season';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/today';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { dayText } from '../ui/dayText.ts';
import { today } from '../ui/today.ts';
import { TopBar } from '../ui/TopBar.tsx';
import { useToday } from './useToday.ts';

/** Where a line is dealt with. */
const PLACES: Readonly<Record<TodayLine['kind'], (id: string) => string>> = {
  run: (id) => `/jobs/${id}/run`,
  water: (id) => `/log?${id}`,
  held: (id) => `/plans/${id}`,
  unsent: () => '/log',
  overdue: (id) => `/jobs/${id}/load`,
  due: (id) => `/jobs/${id}/load`,
  stale: (id) => `/bench/${id}/run`,
  look: () => '/log/looks',
  short: () => '/jobs/order',
  license: (id) => `/people/${id}`,
};

/** Where it is done: a job that is ready at its run, what stands on a plan at the plan. */
function placeOf({ kind, id, isReady, isPlanned }: TodayLine): string {
  if (isPlanned) return `/plans/${id}`;
  return (kind === 'overdue' || kind === 'due') && isReady ? `/jobs/${id}/run` : PLACES[kind](id);
}

/** One line, one act. */
function Line({ line }: { line: TodayLine }) {
  const { kind, name, onDay, more, isReady, isPlanned } = line;
  const ready = isReady ? 'yes' : isPlanned ? 'plan' : 'no';
  return (
    <Box as="li" display="flex" flexWrap="wrap" justifyContent="space-between" alignItems="center" gap="6px 20px" borderBottomWidth="1px" borderColor="line" paddingY="8px">
      <Box fontSize="19px" flex="1 1 190px" minWidth={0} overflowWrap="anywhere">
        {(kind === 'overdue' || kind === 'stale') && <chakra.span color="warn" aria-hidden>▲ </chakra.span>}
        {say('today.line', { kind, name, day: dayText(onDay), more, ready })}
      </Box>
      <Button asChild minHeight="56px">
        <Link to={placeOf(line)} aria-label={`${say('today.act', { kind, ready })}: ${name || say('today.all')}`}>
          {say('today.act', { kind, ready })}
        </Link>
      </Button>
    </Box>
  );
} // prettier-ignore

/** What this day asks of the crew: at most seven lines, each with one act. */
export default function TodayPage() {
  const lines = useToday();
  return (
    <>
      <title>{say('today.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('today.heading', { day: dayText(today()) })}
        </chakra.h1>
      </TopBar>
      <JobsTabs />
      <Box as="main" id="main" padding={{ base: '4px 16px 32px', md: '4px 24px 32px' }} maxWidth="860px">
        {lines.length === 0 && <Box fontSize="19px">{say('today.nothing')}</Box>}
        <Box as="ul" listStyleType="none">
          {lines.map((line) => (
            <Line key={`${line.kind} ${line.id}`} line={line} />
          ))}
        </Box>
      </Box>
    </>
  );
}
