import { Box } from '@chakra-ui/react';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { useWatch } from 'react-hook-form';
import { say } from '@steady-scatter/words/load';
import { useSheetForm } from '../sheet/sheet.tsx';
import { dayText } from '../ui/dayText.ts';
import { LoadTable, type RunUnits } from './LoadTable.tsx';
import { InPackages, SetAndWalk } from './LoadPanel.tsx';
import { PlanSvg } from './PlanDrawing.tsx';
import { planLines } from './planLines.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  of: RunOfSheet;
  units: RunUnits;
}

/** One area on a page of its own. */
function AreaPage({ run, of, units, heading }: Props & { run: AreaRun; heading: string }) {
  return (
    <Box as="section" css={{ breakInside: 'avoid', breakAfter: 'page' }} aria-label={run.name}>
      <Box as="h2" fontSize="24px" fontWeight="bold">
        {heading}
      </Box>
      <SetAndWalk run={run} of={of} units={units} />
      <LoadTable run={run} of={of} units={units} />
      <InPackages run={run} units={units} />
      <Box marginTop="10px">
        <PlanSvg run={run} label={run.name} width={640} highest={380} />
      </Box>
      {planLines(run, of, units.length).map((line) => (
        <Box key={line} fontSize="15px">
          {line}
        </Box>
      ))}
      <Box marginTop="18px" fontSize="16px">
        {say('load.pdf.left')} ____________ {say('load.pdf.by')} ____________ {say('load.pdf.done')} ______
      </Box>
    </Box>
  );
}

/** Whether the page is being printed: what is printed alone is not drawn before. */
function useIsPrinting(): boolean {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    const media = window.matchMedia('print');
    const follow = () => flushSync(() => setPrinting(media.matches));
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    media.addEventListener('change', follow);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      media.removeEventListener('change', follow);
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return isPrinting;
}

/** The run sheet as it is printed: one page for each area. */
export function RunSheetPrinted(props: Props) {
  return useIsPrinting() ? <Pages {...props} /> : null;
}

function Pages(props: Props) {
  const { control } = useSheetForm();
  const [name, onDay] = useWatch({ control, name: ['name', 'onDay'] });
  return (
    <Box display={{ base: 'none', _print: 'block' }}>
      {props.of.sheet.areas.map((run) => (
        <AreaPage
          key={run.id}
          {...props}
          run={run}
          heading={[say('load.pdf.page', { job: name, area: run.name }), dayText(onDay)].join(' · ')}
        />
      ))}
    </Box>
  );
}
