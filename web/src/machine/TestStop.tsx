import { Box, Button } from '@chakra-ui/react';
import { fromSi, showExact } from '@steady-scatter/core/quantities';
import {
  dimensionOf,
  evaluateCalibration,
  mayGiveSetting,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { calibrationContext, useMachineShelf, type CalibrationContext } from '../bench/calibrationContext.ts';
import { useDoc } from '../documents/docs.ts';
import { CALIBRATIONS } from '../kinds/useCalibrations.ts';
import { Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { say } from '@steady-scatter/words/sheet';
import { useSheet } from '../sheet/sheet.tsx';
import { lazyPart } from '../ui/lazyPart.ts';
import { Section } from '../ui/Section.tsx';
import { termOf } from '../ui/termShown.ts';
import { BoomDrawing } from '../bench/spray/BoomDrawing.tsx';
import { OtherProduct } from './Match.tsx';
import { Setting } from './Setting.tsx';
import { useJobMachine } from './useJobMachine.ts';

const SettingChart = lazyPart(() => import('../bench/SettingChart.tsx'));

type Machine = ReturnType<typeof useJobMachine>;

/** A chart as it is for the rate of a job: what is wanted is that rate, not the one that it was made for. */
function forRate(
  { input }: NonNullable<Machine['chosen']>,
  on: NonNullable<Machine['on']>,
  kgPerM2: number | null,
): { input: CalibrationInput; on: CalibrationContext } {
  if (kgPerM2 === null || dimensionOf(input.target.unit) !== 'massPerArea') return { input, on };
  const amount = showExact(fromSi(kgPerM2, input.target.unit), 4);
  const wanted = { ...input, target: { ...input.target, amount }, signOff: null };
  return { input: wanted, on: { ...on, reading: evaluateCalibration(wanted, on.bench) } };
}

/** What sprays at the same time, by its own chart. */
function Alongside({ id }: { id: string }) {
  const { data } = useDoc(CALIBRATIONS, id);
  const shelf = useMachineShelf(data?.input.rig ?? '');
  const { spread } = useJobMachine();
  if (!data) return null;
  return (
    <Box marginTop="14px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('sheet.tank.both', { chart: data.input.name })}
      </Box>
      <Setting input={data.input} on={calibrationContext(data.input, shelf, id)} spread={spread} />
    </Box>
  );
}

/** The stop of the test: what to set for this job, whether the chart still holds, and the way to the next test run. */
export default function TestStop() {
  const { spread, product, chosen, on, match } = useJobMachine();
  const { answer, worksheet } = useSheet();
  const { id: job } = useParams();
  const rate = termOf(answer.lines.once, 'once.rate').shown;
  if (!chosen || !on || !match) {
    const asked = new URLSearchParams({ product: product.name || product.grade, rate: rate ? `${rate.number} ${rate.unit}` : '' }); // prettier-ignore
    return (
      <Section heading={say('sheet.setting.heading')}>
        <Box fontSize="17px" marginBottom="10px">
          {say('sheet.setting.noChart')}
        </Box>
        <Button asChild variant="solid" minHeight="touch">
          <Link to={`/bench/new?${asked}`}>{say('sheet.machine.newCalibration')}</Link>
        </Button>
      </Section>
    );
  }
  const ofJob = forRate(chosen, on, answer.numbers.once.rateSi);
  return (
    <Section heading={say('sheet.setting.heading')}>
      {match.is === 'other' && (
        <OtherProduct match={match} id={chosen.id} input={chosen.input} spread={spread} />
      )}
      {mayGiveSetting(match) && <Setting input={chosen.input} on={on} spread={spread} isLarge />}
      <Box display="flex" flexWrap="wrap" gap="10px 16px" alignItems="center" marginTop="14px" data-noprint>
        <Button asChild variant="solid" minHeight="touch">
          <Link to={`/bench/${chosen.id}/run`}>{say('sheet.setting.testRun')}</Link>
        </Button>
        <Button asChild variant="outline" minHeight="touch">
          <Link to={`/bench/${chosen.id}`}>{say('sheet.machine.itsChart')}</Link>
        </Button>
        {job && mayGiveSetting(match) && (
          <Button asChild variant="outline" minHeight="touch">
            <Link to={`/bench/cards?of=${chosen.id}&job=${job}`}>{say('sheet.machine.card')}</Link>
          </Button>
        )}
      </Box>
      {worksheet.tank.calibration !== '' && <Alongside id={worksheet.tank.calibration} />}
      {on.reading.spray?.nozzles && <BoomDrawing check={on.reading.spray.nozzles} />}
      {on.reading.spray === null && (
        <Suspense fallback={null}>
          <SettingChart input={ofJob.input} on={ofJob.on} marks={on.bench.scale.marks} />
        </Suspense>
      )}
    </Section>
  );
}
