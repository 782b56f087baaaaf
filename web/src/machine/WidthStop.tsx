import { Box, Button, chakra } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/sheet';
import { latestAccepted, useWidthTests } from '../kinds/useWidthTests.ts';
import { SheetError } from '../sheet/SheetError.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { dayText } from '../ui/dayText.ts';
import { Section } from '../ui/Section.tsx';
import { metres } from './ChartTold.tsx';
import { useJobMachine } from './useJobMachine.ts';

/** The stop of the width: how far apart this job is passed, and what the last tray test of the machine says. */
export default function WidthStop() {
  const { spread, chosen, change } = useJobMachine();
  const { data: tests = [] } = useWidthTests();
  const latest = latestAccepted(tests, chosen?.input.rig ?? '');
  const accepted = latest?.input.accepted;
  const passed = metres(spread.width);
  const isTaken = accepted && passed !== null && metres(accepted) === passed;
  return (
    <Section heading={say('sheet.width.heading')}>
      <Box fontSize="17px">
        <TypedTerm
          name="worksheet.spread.width.text"
          label={say('sheet.machine.spacing')}
          placeholder={chosen?.input.width.text ?? '9'}
          origin="typed"
          unit={<chakra.span>&nbsp;{say('sheet.machine.spacingUnit', { symbol: /[a-z'"]/i.test(spread.width.text) ? '' : UNITS[spread.width.unit].symbol })}</chakra.span>}
        />
      </Box>
      <SheetError name="worksheet.spread.width.text" />
      {latest && accepted && (
        <Box fontSize="16px" marginTop="10px">
          {say('sheet.width.accepted', { spacing: accepted.text, day: dayText(accepted.onDay), test: latest.input.name })}{' '}
          {!isTaken && (
            <Button minHeight="44px" onClick={() => change({ width: { text: accepted.text, unit: accepted.unit }, recomputed: false })}>
              {say('sheet.machine.passAt', { worked: accepted.text })}
            </Button>
          )}
        </Box>
      )}
      <Box display="flex" flexWrap="wrap" gap="10px 16px" marginTop="14px" data-noprint>
        {latest && (
          <Button asChild variant="outline" minHeight="touch">
            <Link to={`/bench/width/${latest.id}`}>{say('sheet.width.open')}</Link>
          </Button>
        )}
        <Button asChild variant={latest ? 'outline' : 'solid'} minHeight="touch">
          <Link to="/bench/width/new">{say('sheet.width.test')}</Link>
        </Button>
      </Box>
    </Section>
  ); // prettier-ignore
}
