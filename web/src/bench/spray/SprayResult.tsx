import { Box } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import {
  showRate,
  speedText,
  sprayedAt,
  type BenchRateUnit,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { pressureUnitFor } from '@steady-scatter/core/fields';
import { MISSING } from '@steady-scatter/core/working';
import { say } from '@steady-scatter/words/bench';
import { VOLUME_RATE_CHOICES } from '../../units/units.ts';
import { BigNumber } from '../../ui/BigNumber.tsx';
import type { CalibrationContext } from '../calibrationContext.ts';
import { BoomDrawing } from './BoomDrawing.tsx';
import { RateWays } from './RateWays.tsx';

/** The same spray volume in the other units that people state it in. */
const OTHERS: readonly BenchRateUnit[] = [
  'gal/1000 ft2',
  'gal/acre',
  'qt/1000 ft2',
  'fl oz/1000 ft2',
  'L/ha',
];

/** How far from what is wanted, and what follows. */
function standing({ off }: { off: number | null }, tolerance: number): string {
  if (off === null) return say('bench.spray.lacksTarget');
  const side = Math.abs(off) <= tolerance ? 'right' : off > 0 ? 'over' : 'under';
  return say('bench.spray.standing', { side, percent: Math.abs(off * 100).toFixed(1) });
}

/** What a sprayer puts down as it is set: the mean of its test runs with its band, its nozzles, and what would give another rate. */
export function SprayResult({ input, on }: { input: CalibrationInput; on: CalibrationContext }) {
  const { spray, tolerance } = on.reading;
  const { unit } = input.target;
  const mean = spray?.now?.mean;
  const shown = mean && showRate(mean.mean, mean.uRelative, unit);
  const { length } = input.units;
  const at = on.rig ? sprayedAt(spray, on.rig, pressureUnitFor(length)) : '';
  return (
    <>
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
        {say('bench.spray.volume', { at: at || 'none', speed: spray?.speedMPerS ? speedText(spray.speedMPerS, length) : 'none' })}
      </Box>
      <BigNumber number={shown?.number ?? MISSING} unit={shown ? `${shown.unit}${shown.band ? ` ±${shown.band}` : ''}` : ''} live />
      {mean && spray ? (
        <>
          <Box fontSize="17px">{standing(spray, tolerance)}</Box>
          <Box fontSize="16px" color="ink.soft" fontVariantNumeric="tabular-nums">
            {OTHERS.filter((other) => other !== unit).map((other) => `${showRate(mean.mean, 0, other).number} ${UNITS[other].symbol}`).join(' · ')}
          </Box>
          {spray.nozzles && <BoomDrawing check={spray.nozzles} />}
          <RateWays input={input} on={on} />
        </>
      ) : (
        <Box fontSize="17px">{say(on.rig ? 'bench.spray.noTest' : 'bench.answer.lacksMachine')}</Box>
      )}
    </>
  );
} // prettier-ignore

/** Rates of what is sprayed that a machine can be asked for. */
export const SPRAY_RATE_CHOICES = VOLUME_RATE_CHOICES;
