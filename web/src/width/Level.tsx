import { Box } from '@chakra-ui/react';
import { showQuantity, systemOf } from '@steady-scatter/core/quantities';
import { outputAt } from '@steady-scatter/core/testing';
import { levelText } from '@steady-scatter/core/width';
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
    if (outputKgPerM === null)
      return `That chart has no mark ${input.setting || 'yet'}: say at which setting the trays were thrown over.`;
    if (caughtKgPerM !== null) return levelText(caughtKgPerM, outputKgPerM);
    const at = on.reading.lookedM;
    if (at === null) return null;
    const mean = showQuantity(
      outputKgPerM / at,
      systemOf(chosen.target.unit) === 'us' ? 'lb/1000 ft2' : 'kg/ha',
    );
    return `The shape is from the trays, the level from weighing: ${mean.number} ${mean.unit} on average at this spacing.`;
  };
  return (
    <Box marginTop="14px" maxWidth="420px" data-noprint>
      <Choice
        label="Level from a weigh test"
        options={[{ id: '', label: 'none chosen' }, ...same.map(({ id, input: each }) => ({ id, label: each.name }))]}
{...bind('calibration')}
      />
      {text() && <Box marginTop="6px">{text()}</Box>}
    </Box>
  ); // prettier-ignore
}
