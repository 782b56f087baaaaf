import { Box, Button } from '@chakra-ui/react';
import type { AreaRun } from '@steady-scatter/core/runSheet';
import { countPackages } from '@steady-scatter/core/loads';
import { moneyText } from '@steady-scatter/core/fields';
import { showNumber } from '@steady-scatter/core/quantities';
import { paceText } from '@steady-scatter/core/testing';
import { Link } from 'react-router';
import { say, speak } from '@steady-scatter/words/load';
import { useSheet } from '../sheet/sheet.tsx';
import { AnswerBox } from '../ui/AnswerBox.tsx';
import { BigNumber } from '../ui/BigNumber.tsx';
import { useFigures } from '../ui/currency.ts';
import { shownIn } from '../units/shownIn.ts';
import { LoadTable, type RunUnits } from './LoadTable.tsx';
import { ReadyBox } from './ReadyBox.tsx';
import { lengthText, totalsText } from './texts.ts';
import type { RunOfSheet } from './useRunSheet.ts';

interface Props {
  run: AreaRun;
  of: RunOfSheet;
  units: RunUnits;
}

/** What is set, and how it is walked. */
export function SetAndWalk({ run, of, units }: Props) {
  const field = run.zones.find(({ zone }) => zone !== 'trim') ?? run.zones[0];
  const { sheet } = of;
  const pace = speak(paceText(sheet.paceMPerS, units.length));
  const isEvened = sheet.spacingM !== null && Math.abs(run.plan.spacingM / sheet.spacingM - 1) > 0.005;
  return (
    <Box>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('load.set')}
      </Box>
      <Box display="flex" flexWrap="wrap" gap="4px 22px" alignItems="center">
        <BigNumber number={field?.setting?.mark ?? say('load.set.none')} unit="" live />
        <Box fontSize="18px">
          <Box>{say('load.set.pace', { pace, assumed: sheet.isPaceAssumed ? 'yes' : 'no' })}</Box>
          <Box>
            {say(isEvened ? 'load.set.evened' : 'load.set.passes', {
              spacing: lengthText(run.plan.spacingM, units.length),
            })}
          </Box>
          {field?.setting?.beyond && (
            <Box color="warn" fontWeight="semibold">
              {say('load.set.guess')}
            </Box>
          )}
        </Box>
      </Box>
      {of.machine === null && (
        <Lacks text={say('load.set.noChart')} to="/bench/new" act={say('load.set.test')} />
      )}
    </Box>
  );
}

const Lacks = ({ text, to, act }: { text: string; to: string; act: string }) => (
  <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" marginTop="8px" data-noprint>
    {text}
    <Button asChild minHeight="touch">
      <Link to={to}>{act}</Link>
    </Button>
  </Box>
);

/** Packages, scoops, what the product costs. */
export function InPackages({ run, units }: Omit<Props, 'of'>) {
  const figures = useFigures();
  const { answer } = useSheet();
  const { package: pack, priceCents, scoop } = { ...answer.reading.product };
  if (!pack) return null;
  const { exact, whole } = countPackages(run.amountSi, pack.si);
  return (
    <Box fontSize="16px" color="ink.soft" marginTop="6px">
      {say('load.packages', { count: whole, size: shownIn(pack.si, units.amount) })}
      {scoop && ` ${say('load.scoops', { scoops: showNumber(run.amountSi / scoop.meanKg, 3) })}`}
      {priceCents !== null &&
        `. ${say('load.cost', { cost: figures({ number: moneyText(Math.round(exact * priceCents)), isMoney: true }) })}`}
    </Box>
  );
}

/** How far fills go: the check on each of them. */
function FillCheck({ run, of, units }: Props) {
  const [first] = run.fills;
  if (!first?.end) return null;
  const longest = run.plan.legs.reduce((most, { lengthM }) => Math.max(most, lengthM), 0);
  return (
    <Box fontSize="17px" marginTop="10px">
      {first.metres < longest && !of.sheet.isMix
        ? say('load.fill.hopperSmall')
        : say('load.fill.metres', { metres: lengthText(first.metres, units.length) })}{' '}
      {say('load.fill.check')}
    </Box>
  );
}

/** The run sheet of an area: what is set, what is weighed out, what stands against it. */
export function LoadPanel(props: Props) {
  const { of, units } = props;
  return (
    <AnswerBox borderRadius="10px" padding={{ base: '16px', md: '22px' }}>
      <SetAndWalk {...props} />
      <LoadTable {...props} />
      <InPackages run={props.run} units={units} />
      <FillCheck {...props} />
      {of.sheet.areas.length > 1 && (
        <Box fontSize="16px" marginTop="12px" paddingTop="10px" borderTopWidth="1px" borderColor="line">
          <b>{say('load.total')}:</b> {totalsText(of.sheet, units.amount, units.length)}
        </Box>
      )}
      <ReadyBox of={of} />
    </AnswerBox>
  );
}
