import { Box } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { message } from '@steady-scatter/core/messages';
import { readPositive, showQuantity, textWithUnit } from '@steady-scatter/core/quantities';
import { pressureUnitFor } from '@steady-scatter/core/fields';
import { paceText, speedText, sprayWays, type CalibrationInput } from '@steady-scatter/core/testing';
import type { RateWay } from '@steady-scatter/core/wet';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/bench';
import { useNozzleTable } from '../../kinds/useNozzles.ts';
import { LabelledField } from '../../ui/LabelledField.tsx';
import type { CalibrationContext } from '../calibrationContext.ts';

/** What it takes: "Drive at 3.9 mph: the course in 29 s." */
function wayText(way: RateWay, { units }: CalibrationInput): string {
  const pressure = (pa: number) => {
    const { number, unit } = showQuantity(pa, pressureUnitFor(units.length), 2);
    return `${number} ${unit}`;
  };
  const ok = way.isFeasible ? 'yes' : 'no';
  if (way.by === 'speed') return say('bench.spray.bySpeed', { speed: speedText(way.speedMPerS, units.length), pace: speak(paceText(way.speedMPerS, units.length)), ok, side: way.isFaster ? 'fast' : 'slow' });
  if (way.by === 'nozzle') return say('bench.spray.byNozzle', { nozzle: way.nozzle.name, pressure: pressure(way.pressurePa), ok });
  return say('bench.spray.byPressure', { pressure: pressure(way.pressurePa), ok, side: way.isHigher ? 'high' : 'low' });
} // prettier-ignore

/** What would give another rate: speed, a nozzle of the table, pressure, in that order; what cannot be done comes last and says why. */
export function RateWays({ input, on }: { input: CalibrationInput; on: CalibrationContext }) {
  const [asked, setAsked] = useState('');
  const table = useNozzleTable(on.rig?.spray.nozzle.name ?? '');
  const { amount, unit } = input.target;
  const wanted = asked.trim() || amount;
  const read = toResult(() => readPositive(wanted, { kind: 'volumePerArea', bareUnit: unit, field: 'wanted' }, message('errors.what.sprayVolume')).si); // prettier-ignore
  const { spray } = on.reading;
  const ways = read.value === null ? [] : sprayWays(on.reading, on.bench, read.value, table);
  const isRight = spray?.off !== null && asked.trim() === '' && Math.abs(spray?.off ?? 1) <= on.reading.tolerance; // prettier-ignore
  return (
    <Box marginTop="14px">
      {!isRight && ways.length > 0 && (
        <>
          <Box fontSize="17px" fontWeight="semibold">
            {say('bench.spray.toReach', { rate: textWithUnit(wanted, unit) })}
          </Box>
          <Box as="ol" listStyleType="decimal" paddingLeft="24px" fontSize="17px">
            {ways.map((way) => (
              <Box as="li" key={way.by} color={way.isFeasible ? 'ink' : 'ink.soft'} marginTop="4px">
                {wayText(way, input)}
              </Box>
            ))}
          </Box>
        </>
      )}
      <Box maxWidth="260px" marginTop="10px" data-noprint>
        <LabelledField
          label={say('bench.spray.whatWould')}
          placeholder={say('bench.spray.whatWouldHint')}
          inputMode="decimal"
          value={asked}
          error={asked.trim() === '' ? undefined : (read.error ?? undefined)}
          onChange={setAsked}
        />
      </Box>
    </Box>
  );
}
