import { lazyPart } from '../../ui/lazyPart.ts';
import { Box, chakra } from '@chakra-ui/react';
import { Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import { say } from '@steady-scatter/words/bench';
import { dayText } from '../../ui/dayText.ts';
import { NameLink } from '../../ui/NameLink.tsx';
import { TopBar } from '../../ui/TopBar.tsx';
import { calibrationContext, useBenchShelf } from '../calibrationContext.ts';
import { BenchTabs } from '../../shell/BenchTabs.tsx';
import { CheckLine } from '../../ui/CheckLine.tsx';
import { STYLES, styleOf, type Compared } from './compared.ts';
import { machineHistory } from './machineHistory.ts';
import { isComparable, NotCompared, settingsTested } from './NotCompared.tsx';

const CompareChart = lazyPart(() => import('./CompareChart.tsx'));
const Cell = chakra('td', { base: { padding: '8px 14px 8px 0', verticalAlign: 'middle' } });

const nameOf = (one: Compared): string =>
  [
    one.input.name,
    one.input.signOff && say('bench.compare.at', { setting: one.input.signOff.setting }),
    say('bench.compare.tested', { count: settingsTested(one) }),
  ]
    .filter(Boolean)
    .join(', ');

/** What is shown first: charts of the machine that has most of them. */
const withSameMachine = (tested: readonly Compared[]): Compared[] => {
  const of = (rig: string) => tested.filter(({ input }) => input.rig === rig && input.signOff);
  const rigs = [...new Set(tested.map(({ input }) => input.rig))];
  return (rigs.map(of).toSorted((a, b) => b.length - a.length)[0] ?? []).slice(0, 2);
};

/** Two machines or two products on one chart; and everything that was found out about each machine, by its days. */
export default function ComparePage() {
  const shelf = useBenchShelf();
  const [parameters] = useSearchParams();
  // Nothing picked yet: what the address says, else what is shown first.
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const wanted = picked ?? parameters.getAll('of');
  const all = shelf.calibrations.map(
    ({ id, input }): Compared => ({ id, input, on: calibrationContext(input, shelf, id) }),
  );
  const tested = all.filter(isComparable);
  const chosen =
    picked !== null || wanted.length > 0
      ? tested.filter(({ id }) => wanted.includes(id))
      : withSameMachine(tested);
  const toggle = (id: string) => {
    const now = chosen.map((each) => each.id);
    const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id].slice(-STYLES.length);
    setPicked(next);
  };
  return (
    <>
      <title>{say('bench.compare.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          {say('bench.compare.heading')}
        </chakra.h1>
      </TopBar>
      <BenchTabs />
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }}>
        {tested.length === 0 ? (
          <>
            <Box fontSize="18px">{say('bench.compare.none')}</Box>
            <NotCompared those={all} />
          </>
        ) : (
          <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '400px 1fr' }} gap="28px">
            <Box>
              {tested.map((each) => {
                const index = chosen.findIndex(({ id }) => id === each.id);
                return (
                  <CheckLine
                    key={each.id}
                    label={`${index < 0 ? '' : `${styleOf(index).sign} `}${nameOf(each)}`}
                    checked={index >= 0}
                    onChange={() => toggle(each.id)}
                  />
                );
              })}
              <NotCompared those={all.filter((one) => !isComparable(one))} />
            </Box>
            <Box minWidth={0}>
              <Suspense fallback={<Box height="420px" />}>
                {chosen.length > 0 && <CompareChart compared={chosen} />}
              </Suspense>
            </Box>
          </Box>
        )}
        <chakra.h2 fontSize="19px" fontWeight="bold" marginTop="28px" marginBottom="6px">
          {say('bench.compare.history')}
        </chakra.h2>
        <chakra.table width="100%" fontSize="16px">
          <tbody>
            {machineHistory(shelf.rigs, all).map(({ day, machine, what, link }) => (
              <chakra.tr key={`${day}${machine}${what}`} borderTopWidth="1px" borderColor="line">
                <Cell whiteSpace="nowrap">{day === '' ? say('bench.compare.noDay') : dayText(day)}</Cell>
                <Cell fontWeight="bold">{machine}</Cell>
                <Cell>{link ? <NameLink to={link}>{what}</NameLink> : what}</Cell>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </>
  );
}
