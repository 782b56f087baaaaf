import { Box, Button } from '@chakra-ui/react';
import { UNITS } from '@steady-scatter/core/quantities';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import type { CalibrationContext } from '../calibrationContext.ts';

/** The aim in one line, while it is not being changed. */
export function AimSummary({
  input,
  on,
  onOpen,
}: {
  input: CalibrationInput;
  on: CalibrationContext;
  onOpen(): void;
}) {
  const { target, width, pace } = input;
  const bare = (text: string, unit: keyof typeof UNITS) =>
    /[a-z'"%]/i.test(text) ? text : `${text} ${UNITS[unit].symbol}`;
  const parts = [
    on.rig?.name ?? 'no machine chosen',
    input.product,
    target.amount &&
      `${input.isCeiling ? 'at most ' : ''}${bare(target.amount, target.unit)} ±${input.tolerance} %`,
    width.text &&
      `${bare(width.text, width.unit)} ${/\//.test(width.text) ? 'of row' : width.by === 'chosen' ? 'between passes' : 'wide'}`,
    pace.time && `${bare(pace.course, pace.unit)} in ${bare(pace.time, 's')}`,
    input.second && `${on.rig?.second.name} at ${input.second}`,
  ].filter(Boolean);
  return (
    <Box
      as="section"
      aria-label="What is calibrated"
      display="flex"
      gap="4px 14px"
      flexWrap="wrap"
      alignItems="baseline"
      marginBottom="14px"
      fontSize="17px"
    >
      <Box minWidth={0}>{parts.join(' · ')}</Box>
      <Button variant="ghost" minHeight="44px" paddingX="8px" marginLeft="-8px" onClick={onOpen} data-noprint>
        Change
      </Button>
    </Box>
  );
}
