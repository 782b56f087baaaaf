import { Box } from '@chakra-ui/react';
import { showQuantity, systemOf } from '@steady-scatter/core/quantities';
import { outputAt } from '@steady-scatter/core/testing';
import { levelOf } from '@steady-scatter/core/width';
import { say, speak } from '@steady-scatter/words/width';
import { calibrationContext, useMachineShelf } from '../bench/calibrationContext.ts';
import { Choice } from '../ui/Choice.tsx';
import type { WidthProps } from './widthProps.ts';

/** The level: what the trays caught against what the bench weighed at the same setting. */
export function Level({ input, on, bind }: WidthProps) {
  const shelf = useMachineShelf(input.rig);
  const same = shelf.calibrations;
  const chosen = same.find(({ id }) => id === input.calibration)?.input;
  if (same.length === 0) return null;
  const bench = chosen && calibrationContext(chosen, shelf);
  const outputKgPerM = bench ? outputAt(bench.reading, input.setting) : null;
  const { caughtKgPerM } = on.reading;
  const text = (): string | null => {
    if (!chosen) return null;
    if (outputKgPerM === null) return say('width.level.noMark', { setting: input.setting || '—' });
    if (caughtKgPerM !== null) return speak(levelOf(caughtKgPerM, outputKgPerM));
    const at = on.reading.lookedM;
    if (at === null) return null;
    const mean = showQuantity(
      outputKgPerM / at,
      systemOf(chosen.target.unit) === 'us' ? 'lb/1000 ft2' : 'kg/ha',
    );
    return say('width.level.is', { mean: mean.number, unit: mean.unit });
  };
  return (
    <Box marginTop="14px" maxWidth="420px" data-noprint>
      <Choice
        label={say('width.level.label')}
        options={[{ id: '', label: say('width.level.none') }, ...same.map(({ id, input: each }) => ({ id, label: each.name }))]}
{...bind('calibration')}
      />
      {text() && <Box marginTop="6px">{text()}</Box>}
    </Box>
  ); // prettier-ignore
}
