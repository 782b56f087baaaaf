import { Box } from '@chakra-ui/react';
import { mayGiveSetting } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/sheet';
import { useWatch } from 'react-hook-form';
import { useSheetForm } from '../sheet/sheet.tsx';
import { Section } from '../ui/Section.tsx';
import { Setting } from './Setting.tsx';
import { useJobMachine } from './useJobMachine.ts';

/**
 * The machine on the printed sheet: its chart, what to set, how far apart to pass. On screen it has stops of its own. Its code is there
 * beside each sheet, so that a chart that is chosen without a network finds it; nothing is asked for before.
 */
export default function MachinePrinted() {
  const { calibration } = useWatch({ control: useSheetForm().control, name: 'worksheet.spread' });
  return calibration === '' ? null : <Printed />;
}

function Printed() {
  const { spread, chosen, on, match } = useJobMachine();
  if (!chosen || !on || !match || !mayGiveSetting(match)) return null;
  return (
    <Box display={{ base: 'none', _print: 'block' }}>
      <Section heading={say('sheet.machine.heading')}>
        <Box fontSize="17px">{chosen.input.name}</Box>
        <Setting input={chosen.input} on={on} spread={spread} />
      </Section>
    </Box>
  );
}
