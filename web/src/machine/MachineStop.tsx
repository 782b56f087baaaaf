import { Box, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { nameOf, say } from '@steady-scatter/words/sheet';
import { fieldBox } from '../ui/fieldBox.ts';
import { Section } from '../ui/Section.tsx';
import { dayText } from '../ui/dayText.ts';
import { today } from '../ui/today.ts';
import { MatchNote, OtherProduct } from './Match.tsx';
import { useCharts } from './useCharts.ts';
import { useJobMachine } from './useJobMachine.ts';

const Select = chakra('select', { base: { ...fieldBox, maxWidth: '100%' } });

type Machine = ReturnType<typeof useJobMachine>;

/** What is looked at before the machine goes out: its kind, what is due, the checks. */
function BeforeItGoesOut({ on }: Pick<Machine, 'on'>) {
  if (!on?.rig) return null;
  const due = on.rig.services.filter(({ dueDay }) => dueDay !== '' && dueDay <= today());
  return (
    <Section heading={say('sheet.machine.before', { name: on.rig.name })}>
      <Box fontSize="16px" color="ink.soft">
        {nameOf('rig', on.rig.kind)}
      </Box>
      {due.map(({ id, what, dueDay }) => (
        <Box key={id} color="warn" fontWeight="semibold">
          {say('sheet.machine.due', { what, day: dayText(dueDay) })}
        </Box>
      ))}
      <Box as="ul" listStyleType="none" fontSize="17px" marginTop="4px">
        {on.beforeUse.map((check) => (
          <li key={check}>{check}</li>
        ))}
      </Box>
    </Section>
  );
}

/** The stop of the machine: which one, by its chart; whether the chart is for this product; what is looked at before it goes out. */
export default function MachineStop() {
  const { spread, chosen, on, match, choose } = useJobMachine();
  const { data: lines = [] } = useCharts();
  return (
    <>
      <Section heading={say('sheet.machine.heading')}>
        <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" fontSize="17px">
          <Select
            aria-label={say('sheet.machine.chart')}
            value={chosen ? spread.calibration : ''}
            minHeight="touch"
            onChange={(event) => choose(event.target.value)}
          >
            <option value="">{say('sheet.machine.none')}</option>
            {lines.map(({ id, name, setting }) => (
              <option key={id} value={id}>
                {name}
                {setting ? say('sheet.machine.at', { setting }) : say('sheet.machine.notSigned')}
              </option>
            ))}
          </Select>
          {chosen && (
            <Box asChild fontSize="15px" textDecoration="underline">
              <Link to={`/bench/rigs/${chosen.input.rig}`}>{say('sheet.machine.itsPage')}</Link>
            </Box>
          )}
        </Box>
        {!chosen && (
          <Box fontSize="16px" color="ink.soft" marginTop="8px">
            {say('sheet.machine.noneYet')}{' '}
            <Link to="/bench/new">{say('sheet.machine.newCalibration')}</Link>
          </Box>
        )}
        {chosen && match?.is === 'other' && <OtherProduct match={match} id={chosen.id} input={chosen.input} spread={spread} />}
        {chosen && match && match.is !== 'other' && <MatchNote match={match} spread={spread} />}
      </Section>
      <BeforeItGoesOut on={on} />
    </>
  ); // prettier-ignore
}
